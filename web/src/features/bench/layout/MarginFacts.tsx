/** Between the hands: the margins, the worst first, and what a part that is held otherwise would change. */
import type { Layout, Margin } from '@junctor/core';
import { alignmentOf, alignmentWords, balanceOf, centreWords, tenths, whatChanges } from '@junctor/core';
import styled from 'styled-components';
import { verdictMark } from '../../../bench/frame/verdictMark';
import { Fact } from '../../../ui/Frame';

const List = styled.ol`
  text-align: left;
  font-size: 17px;
  line-height: 22px;
  li {
    padding: 3px 4px;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
  }
  li[aria-current='true'] {
    outline: 2px solid ${({ theme }) => theme.bronze};
    border-radius: 4px;
    font-weight: 700;
  }
`;

/** Seen at once; the others are walked to. */
const atOnce = 7;

export function MarginFacts({ margins, at }: { margins: readonly Margin[]; at: number }) {
  const from = Math.max(0, Math.min(at - 2, margins.length - atOnce));
  return (
    <List aria-label="Margins">
      {margins.slice(from, from + atOnce).map(({ kind, slots, what, verdict, mm }, index) => (
        <li key={`${kind} ${slots.join(' ')} ${what}`} aria-current={from + index === at}>
          {verdictMark[verdict]} {verdict}
          {mm === null ? '' : ` ${tenths(mm)} mm`}
          <br />
          {what}
        </li>
      ))}
    </List>
  );
}

export function ChangeFacts({ planned, shown }: { planned: Layout; shown: Layout }) {
  const { harnessMm, better, worse } = whatChanges(planned, shown);
  const alignments = [planned, shown].map(({ laid }) => alignmentOf(laid.assembly));
  const words = alignments.map((alignment) => (alignment ? alignmentWords(alignment) : 'none'));
  return (
    <>
      <Fact>
        <dt>harness</dt>
        <dd>
          {harnessMm < 0 ? '−' : '+'}
          {Math.abs(Math.round(harnessMm))} mm
        </dd>
      </Fact>
      <Fact>
        <dt>its centre</dt>
        <dd className="long">{centreOf(shown)}</dd>
      </Fact>
      <Fact>
        <dt>worse</dt>
        <dd className="long">{named(worse)}</dd>
      </Fact>
      <Fact>
        <dt>better</dt>
        <dd className="long">{named(better)}</dd>
      </Fact>
      {words[0] !== words[1] && (
        <Fact>
          <dt>the software is told</dt>
          <dd className="long">{words[1]}</dd>
        </Fact>
      )}
    </>
  );
}

/** Dry, without a pack. */
function centreOf({ laid }: Layout): string {
  const { centre } = balanceOf(laid.assembly, {}, laid);
  return centre ? centreWords(centre) : 'not known';
}

function named(margins: readonly Margin[]): string {
  if (margins.length === 0) return 'nothing';
  const [first, ...others] = margins;
  return `${first!.what}: ${first!.verdict}${others.length > 0 ? `, and ${others.length} more` : ''}`;
}
