/**
 * What the rules say of plan and quad, at the place, with remedies that one key applies, and what was waived by whom.
 */
import type { Finding, Remedy, Waived, WireId } from '@junctor/core';
import { judge, judgeAsReceived, splitWaived, whyRule, assemble, severities } from '@junctor/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { remediesOf } from '../../compute/planner';
import { KeyCap } from '../../ui/Plate';
import { severityWord } from '../../bench/frame/FindingsLine';
import type { Bench } from '../../bench/provider/bench';

export interface Said {
  finding: Finding;
  /** Who says it: the plan, the quad as it is built so far, or the quad as it came in. */
  of: 'the plan' | 'what is built' | 'the quad as it came in';
  waiver: Waived['waiver'] | null;
}

export interface Findings {
  /** Worst first, waived ones last. */
  all: readonly Said[];
  /** Of the wire in question, or the one that was gone on to. */
  shown: Said | null;
  remedies: readonly Remedy[];
  searching: boolean;
  /** Goes on to the next and returns it. */
  next: () => Said | null;
  /** Back to what is said of the wire in question. */
  letGo: () => void;
}

/** Each finding once: what the plan says counts before what follows from it at the bench. */
function saidOf({ id, plan }: Bench['job'], catalogue: Bench['catalogue'], state: Bench['state']): Said[] {
  const lists = [
    ['the plan', judge(assemble(plan.target, catalogue), plan.links, plan.cells)],
    ['what is built', [...state.findings, ...state.waived.map(({ finding }) => finding)]],
    ['the quad as it came in', judgeAsReceived(state.start, state.asBuilt, plan.cells)],
  ] as const;
  const byKey = new Map<string, { finding: Finding; of: Said['of'] }>();
  for (const [of, list] of lists)
    for (const finding of list) if (!byKey.has(finding.key)) byKey.set(finding.key, { finding, of });
  const { open, waived } = splitWaived(
    [...byKey.values()].map(({ finding }) => finding),
    state.log,
    id,
  );
  const rank = ({ severity }: Finding) => severities.indexOf(severity);
  return [
    ...open
      .sort((a, b) => rank(a) - rank(b))
      .map((finding) => ({ finding, of: byKey.get(finding.key)!.of, waiver: null })),
    ...waived.map(({ finding, waiver }) => ({ finding, of: byKey.get(finding.key)!.of, waiver })),
  ];
}

/** What the rules say, worst first, waived ones last; worked out once for a plan and a log. */
export function useSaid({ job, catalogue, state }: Bench): readonly Said[] {
  // The bench is another object at each render; what the findings come from is not.
  return useMemo(() => saidOf(job, catalogue, state), [job, catalogue, state]);
}

/**
 * Of `all`: `wire` is whose findings are shown, `first` the key of one that is shown to begin with, whichever wire it
 * is about.
 */
export function useFindings(
  { job: { plan }, catalogue }: Bench,
  all: readonly Said[],
  wire: WireId | null,
  first: string | null,
): Findings {
  // By its key: when it is mended, what is said of the wire in question takes its place.
  const [chosen, setChosen] = useState(first);
  const sought = all.findIndex(({ finding }) => finding.key === chosen);
  const at = sought >= 0 ? sought : all.findIndex(({ finding }) => wire !== null && finding.wires.includes(wire));
  const shown = all[at] ?? null;
  const [found, setFound] = useState<{ of: string; list: readonly Remedy[] } | null>(null);
  const asked = shown?.of === 'the plan' ? shown.finding : null;
  const key = asked && `${plan.version} ${asked.key}`;
  useEffect(() => {
    let gone = false;
    if (asked && key)
      void remediesOf(plan, catalogue.models, asked).then((list) => !gone && setFound({ of: key, list }));
    return () => {
      gone = true;
    };
    // The key stands for the plan and the finding: both are made anew with every record.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const ready = found && found.of === key ? found : null;
  return {
    all,
    shown,
    remedies: ready?.list ?? [],
    searching: key !== null && ready === null,
    next: () => {
      const next = all[(at + 1) % Math.max(1, all.length)] ?? null;
      setChosen(next?.finding.key ?? null);
      return next;
    },
    letGo: () => setChosen(null),
  };
}

const Box = styled.section`
  text-align: left;
  font-size: 16px;
  line-height: 20px;
  display: grid;
  gap: 8px;
  align-content: center;
  h3 {
    font-size: 17px;
  }
  ol,
  ul {
    display: grid;
    gap: 6px;
  }
  ul.why li {
    font-weight: 400;
  }
  li {
    display: grid;
    grid-template-columns: 30px 1fr;
    gap: 6px;
    align-items: center;
    font-weight: 700;
    line-height: 18px;
  }
  .why {
    color: ${({ theme }) => theme.quiet};
  }
`;

export function FindingHere({
  findings: { all, shown, remedies, searching },
  bench,
}: {
  findings: Findings;
  bench: Bench;
}) {
  if (!shown) return null;
  const { finding, of, waiver } = shown;
  return (
    <Box aria-label="Finding">
      <h3>▲ {severityWord[finding.severity]}</h3>
      <p>{finding.message}</p>
      {of !== 'the plan' && (
        <p className="why">
          Said of {of}
          {of === 'the quad as it came in' ? ', until it is moved' : ''}.
        </p>
      )}
      {waiver && (
        <p role="note">
          <strong>Waived by {nameOf(bench, waiver.record.id)}:</strong> {waiver.record.body.reason}
        </p>
      )}
      {!waiver && remedies.length === 0 && (
        <p className="why" role="status">
          {searching ? 'looking for a remedy' : whyRule(finding.rule)}
        </p>
      )}
      {!waiver && remedies.length > 0 && (
        <ol aria-label="Remedies">
          {remedies.slice(0, 3).map(({ message }, index) => (
            <li key={message}>
              <KeyCap>{index + 1}</KeyCap>
              <span>{message}</span>
            </li>
          ))}
        </ol>
      )}
      <ul className="why">
        {of !== 'the quad as it came in' && (
          <li>
            <KeyCap>*</KeyCap>
            <span>{waiver ? 'does that still hold?' : 'may it stay as it is?'}</span>
          </li>
        )}
        {all.length > 1 && (
          <li>
            <KeyCap>N</KeyCap>
            <span>next of {all.length}</span>
          </li>
        )}
      </ul>
    </Box>
  );
}

export function nameOf(bench: Bench, recordId: string): string {
  return bench.records.find(({ id }) => id === recordId)?.person ?? 'somebody';
}
