/** The wires of a board between the two hands. */
import { jointName } from '@junctor/core';
import styled from 'styled-components';
import { KeyCap } from '../../ui/Plate';
import { upright } from '../../ui/theme';
import type { Bench } from '../../bench/provider/bench';
import type { WalkedEnd } from './landings';
import { endWords } from './landings';
import type { Walk } from './useWalk';

const Wires = styled.ol`
  text-align: left;
  font-size: 16px;
  line-height: 21px;
  li {
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  li[aria-current='true'] {
    font-weight: 700;
    text-decoration: underline;
  }
  @media ${upright} {
    columns: 3;
    column-gap: 24px;
  }
`;
const Own = styled.ul`
  text-align: left;
  font-size: 16px;
  line-height: 20px;
  display: grid;
  gap: 6px;
  li {
    display: grid;
    grid-template-columns: 30px 1fr;
    gap: 6px;
    align-items: center;
  }
`;
const room = 13;

/** The ends near this one, what this wire is, and that rules object elsewhere. */
export function WiresBetween({
  bench,
  walk: { ends, place, findings },
  here,
}: {
  bench: Bench;
  walk: Walk;
  here: WalkedEnd;
}) {
  const open = findings.all.filter(({ waiver }) => waiver === null).length;
  return (
    <>
      <Wires aria-label="Ends of wires">
        {ends
          .slice(Math.max(0, Math.min(place - 6, ends.length - room)))
          .slice(0, room)
          .map((end) => (
            <li key={jointName(end.wire.id, end.end)} aria-current={end === here}>
              {endWords(bench, end)}
            </li>
          ))}
      </Wires>
      <Own aria-label="This wire">
        {here.planned && (
          <li>
            <KeyCap>C</KeyCap>
            <span>
              {here.wire.colour}, {here.wire.awg} AWG{here.wire.lengthMm === null ? '' : `, ${here.wire.lengthMm} mm`}
            </span>
          </li>
        )}
        {open > 0 && (
          <li>
            <KeyCap>N</KeyCap>
            <span>
              ▲ {open} {open === 1 ? 'finding' : 'findings'}, not here
            </span>
          </li>
        )}
      </Own>
    </>
  );
}
