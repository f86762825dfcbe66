/**
 * Another colour or gauge for one wire: judged by the rules before it is planned, and kept when the planner runs again.
 */
import type { Finding } from '@junctor/core';
import {
  ampsFor,
  applyPlanChanges,
  bodyByHand,
  diameterMm,
  isAttached,
  jointName,
  newFindings,
  padWords,
  terminalUnder,
  wireWords,
  assemble,
} from '@junctor/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import styled, { useTheme } from 'styled-components';
import { darkEdge, wireColour, wireColours } from '../../drawing/wireColours';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { severityWord } from '../../bench/frame/FindingsLine';
import { NotHere } from '../../bench/frame/NotHere';
import { wireHands } from '../../bench/hands/jointHands';
import { JobFrame } from '../../bench/frame/JobFrame';
import type { Bench } from '../../bench/provider/bench';
import { useBench } from '../../bench/provider/useBench';
import { useDoors } from '../../bench/provider/useDoors';
import { usePlanEdits } from '../../bench/provider/usePlanEdits';

const gauges = [12, 14, 16, 18, 20, 22, 24, 26, 28, 30];
const Choice = styled.ul`
  font-size: 18px;
  padding-top: 10px;
  display: grid;
  gap: 2px;
  li {
    display: grid;
    grid-template-columns: 300px 1fr;
    gap: 16px;
    align-items: center;
    height: 34px;
    padding: 0 8px;
    border: 2.5px solid transparent;
    border-radius: 5px;
  }
  li[aria-current='true'] {
    font-weight: 700;
    border-color: ${({ theme }) => theme.bronze};
  }
`;

export function WireBodyPage() {
  const { wireId = '' } = useParams();
  const known = wireId in useBench().job.plan.target.wires;
  return known ? (
    <WireBody wireId={wireId} />
  ) : (
    <NotHere what="The plan has no such wire" why={`“${wireId}” is not in it.`} />
  );
}

function WireBody({ wireId }: { wireId: string }) {
  const bench = useBench();
  const doors = useDoors();
  const {
    state: { target, asBuilt, current },
    catalogue,
    job: { plan },
  } = bench;
  const wire = plan.target.wires[wireId]!;
  const edits = usePlanEdits(bench);
  const [colour, setColour] = useState(wire.colour);
  const [awg, setAwg] = useState(wire.awg);
  const back = () => doors.close(doors.places.wiring(wireId));
  const changes = bodyByHand(plan, catalogue, wireId, { colour, awg });
  const worst = changes.length > 0 ? newFinding(bench, changes) : null;
  const step = <T,>(list: readonly T[], now: T, by: number) =>
    list[(Math.max(0, list.indexOf(now)) + by + list.length) % list.length]!;
  const landed = asBuilt.build.wires[wireId]?.ends.some(isAttached) ?? false;
  const fixedOf = () => {
    if (landed) return 'It is landed already: what it is now is a fact';
    if (wire.from === 'tail') return 'It is a lead of its part: the part brings it so';
    return null;
  };
  const fixed = fixedOf();
  const blockedOf = () => {
    if (changes.length === 0) return 'It is so already';
    if (worst?.severity === 'kill') return worst.message;
    if (edits.pending) return 'changing';
    return null;
  };
  const answers: Answer[] = [
    { key: 'Escape', label: 'Wiring', act: back },
    {
      key: 'ArrowUp',
      also: ['-'],
      label: 'Colour before',
      act: () => setColour(step(wireColours, colour, -1)),
      blocked: fixed,
    },
    {
      key: 'ArrowDown',
      also: ['+'],
      label: 'Colour after',
      act: () => setColour(step(wireColours, colour, 1)),
      blocked: fixed,
    },
    { key: 'ArrowLeft', label: 'Thicker', act: () => setAwg(step(gauges, awg, -1)), blocked: fixed },
    { key: 'ArrowRight', label: 'Thinner', act: () => setAwg(step(gauges, awg, 1)), blocked: fixed },
    {
      key: 'Enter',
      label: `Plan: ${colour}, ${awg} AWG`,
      main: true,
      act: () => edits.make(changes, back),
      blocked: fixed ?? blockedOf(),
    },
  ];
  const end =
    ([1, 0] as const).find((side) => terminalUnder(assemble(plan.target, catalogue), wire.ends[side]) !== null) ?? 1;
  const ref = terminalUnder(assemble(plan.target, catalogue), wire.ends[end]);
  const underOf = () => {
    if (edits.failed) return `The plan was not changed: ${edits.failed}`;
    if (fixed) return `${fixed}.`;
    if (worst) return `${severityWord[worst.severity]}: ${worst.message}`;
    if (changes.length > 0) return 'No rule objects. It is kept when the planner runs again.';
    return 'Up and down for the colour, left and right for the gauge.';
  };
  return (
    <JobFrame
      place="Wire"
      shown={current}
      answers={answers}
      sentence={
        <>
          What wire is <strong>{wireWords(wire, target)}</strong>
          {ref ? ` to ${padWords(ref, target)}` : ''}?
        </>
      }
      under={underOf()}
      left={{ ...wireHands(bench, jointName(wireId, end)).left, title: 'where it goes' }}
      crossing={
        <>
          <Fact>
            <dt>colour</dt>
            <dd>{colour}</dd>
          </Fact>
          <Fact>
            <dt>gauge</dt>
            <dd>{awg} AWG</dd>
          </Fact>
          <Fact>
            <dt>carries, in a bundle</dt>
            <dd>{ampsFor(awg, true).toFixed(1)} A</dd>
          </Fact>
          <Fact>
            <dt>in free air</dt>
            <dd>{ampsFor(awg, false).toFixed(1)} A</dd>
          </Fact>
        </>
      }
      right={{
        title: 'the wire',
        note: 'thickness of the copper to one scale for all gauges',
        body: (
          <Choice aria-label="Colours">
            {wireColours.map((other) => (
              <li key={other} aria-current={other === colour}>
                <Sample colour={other} awg={awg} />
                <span>{other}</span>
              </li>
            ))}
          </Choice>
        ),
      }}
    />
  );
}

/** The wire in its true colour, its copper ten times as thick as it is. */
function Sample({ colour, awg }: { colour: string; awg: number }) {
  const { ink } = useTheme();
  const { fill, light } = wireColour(colour);
  const thickPx = 10 * diameterMm(awg);
  return (
    <svg width="300" height="28" aria-hidden>
      <path d="M4 14H296" stroke={light ? darkEdge : ink} strokeWidth={thickPx + 3} />
      <path d="M4 14H296" stroke={fill} strokeWidth={thickPx} />
    </svg>
  );
}

/** What the rules would say of it and do not say now, worst first. */
function newFinding(
  { job: { plan }, catalogue }: Bench,
  changes: Parameters<typeof applyPlanChanges>[1],
): Finding | null {
  const changed = applyPlanChanges(plan, changes);
  return changed.ok ? (newFindings(plan, changed.plan, catalogue)[0] ?? null) : null;
}
