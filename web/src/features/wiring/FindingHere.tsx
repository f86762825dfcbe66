/** What the rules say of the plan, at the place, with remedies that one key applies. */
import type { Finding, Remedy } from '@junctor/core';
import { judge, whyRule } from '@junctor/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { remediesOf } from '../../compute/planner';
import { KeyCap } from '../../ui/Plate';
import { severityWord } from '../job/FindingsLine';
import type { Bench } from '../job/useBench';

export interface Findings {
  all: readonly Finding[];
  shown: Finding | null;
  remedies: readonly Remedy[];
  searching: boolean;
  /** Goes on to the next and returns it. */
  next: () => Finding | null;
}

export function useFindings({ job: { plan }, catalogue }: Bench): Findings {
  const all = useMemo(() => judge(plan.target, catalogue, plan.links, plan.cells), [plan, catalogue]);
  const [at, setAt] = useState(0);
  const shown = all[at % Math.max(1, all.length)] ?? null;
  const [found, setFound] = useState<{ of: Finding; list: readonly Remedy[] } | null>(null);
  useEffect(() => {
    let gone = false;
    if (shown) void remediesOf(plan, catalogue.models, shown).then((list) => !gone && setFound({ of: shown, list }));
    return () => {
      gone = true;
    };
  }, [plan, catalogue, shown]);
  const here = found && found.of === shown ? found : null;
  return {
    all, shown, remedies: here?.list ?? [], searching: shown !== null && here === null,
    next: () => {
      const to = (at + 1) % Math.max(1, all.length);
      setAt(to);
      return all[to] ?? null;
    },
  };
}

const Box = styled.section`
  text-align: left; font-size: 16px; line-height: 20px; display: grid; gap: 8px; align-content: center;
  h3 { font-size: 17px; } ol { display: grid; gap: 6px; } li { display: grid; grid-template-columns: 30px 1fr; gap: 6px; align-items: center; font-weight: 700; line-height: 18px; }
  .why { color: ${({ theme }) => theme.quiet}; }
`;

export function FindingHere({ findings: { all, shown, remedies, searching } }: { findings: Findings }) {
  if (!shown) return null;
  return (
    <Box aria-label="Finding">
      <h3>▲ {severityWord[shown.severity]}</h3>
      <p>{shown.says}</p>
      {remedies.length === 0 && <p className="why" role="status">{searching ? 'looking for a remedy' : whyRule(shown.rule)}</p>}
      {remedies.length > 0 && <ol aria-label="Remedies">{remedies.slice(0, 3).map(({ says }, index) => <li key={says}><KeyCap>{index + 1}</KeyCap><span>{says}</span></li>)}</ol>}
      {all.length > 1 && <p className="why">N: next of {all.length} findings</p>}
    </Box>
  );
}
