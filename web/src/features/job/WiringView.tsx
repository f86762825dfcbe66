/** The wiring of the plan: which wire goes to which pad, on the two boards it joins; a planned landing can be moved. */
import type { TerminalRef, Wire } from '@junctor/core';
import { jointName, landedOn, modelIn, offerToPlan, padWords, printed, splitRef, terminalOf, wireWords } from '@junctor/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { FindingHere, useFindings } from '../wiring/FindingHere';
import { usePlanEdits } from '../wiring/usePlanEdits';
import { padTowards } from '../../drawing/view';
import type { Answer } from '../../ui/Answers';
import { Plate } from '../../ui/Plate';
import { handsFor, sideFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';

const Wires = styled.ol`text-align: left; font-size: 16px; line-height: 21px; li { white-space: nowrap; overflow: hidden; text-overflow: ellipsis; } li[aria-current='true'] { font-weight: 700; text-decoration: underline; }`;
const room = 15;

export function WiringView({ bench, first, setMode }: { bench: Bench; first: string | null; setMode: SetMode }) {
  const { words, asBuilt } = bench.state;
  const navigate = useNavigate();
  const edits = usePlanEdits(bench);
  const findings = useFindings(bench);
  const landings = Object.values(words.build.wires).flatMap((wire) => ([1, 0] as const).flatMap((end) => (wire.ends[end].by === 'solder' ? [{ wire, end }] : [])));
  const [at, setAt] = useState(Math.max(0, landings.findIndex(({ wire }) => wire.id === (first ?? findings.shown?.wires[0]))));
  const [ring, setRing] = useState<{ ref: TerminalRef; flipped: boolean } | null>(null);
  const { wire, end } = landings[at]!;
  const planned = landedOn(wire.ends[end])!;
  const ref = ring?.ref ?? planned;
  const moved = ref !== planned;
  const offer = moved ? offerToPlan(bench.job.plan, asBuilt, bench.catalogue, wire.id, end, ref) : null;
  const [worst] = offer?.objections ?? [];
  // A plan may pass through what does not work yet; power stays closed meanwhile. What would kill is not planned.
  const objection = worst?.severity === 'kill' ? worst.says : null;
  const choose = (to: number) => {
    setAt((to + landings.length) % landings.length);
    setRing(null);
  };
  const { slot, terminal } = splitRef(ref);
  const model = modelIn(words.build, slot, bench.catalogue)!;
  const walk = (direction: 'left' | 'right' | 'up' | 'down') => {
    const next = padTowards(model, sideFor(model, [terminal], ring?.flipped ?? false), terminalOf(model, terminal)!, direction);
    if (next) setRing({ ref: `${slot}.${next.id}`, flipped: ring?.flipped ?? false });
  };
  const move = () => offer && edits.make(offer.changes, () => setRing(null));
  const nextFinding = () => {
    const shown = findings.next();
    const there = landings.findIndex((one) => shown?.wires.includes(one.wire.id));
    if (there >= 0) choose(there);
  };
  const turnOver = () => {
    const over = sideFor(model, [terminal], ring?.flipped ?? false) === 'top' ? 'bottom' : 'top';
    const there = model.terminals.find(({ sides, form }) => sides.includes(over) && form === 'pad');
    if (there) setRing({ ref: `${slot}.${there.id}`, flipped: there.sides.length > 1 && over === 'bottom' });
  };
  const arrows = (['left', 'right', 'up', 'down'] as const).map((direction): Answer => ({ key: `Arrow${direction.charAt(0).toUpperCase()}${direction.slice(1)}`, label: `Ring ${direction}`, hidden: true, act: () => walk(direction) }));
  const answers: Answer[] = [
    { key: 'Escape', label: 'Bench', act: () => setMode(work) },
    { key: '-', label: 'Landing before', hidden: true, act: () => choose(at - 1) },
    { key: '+', label: 'Landing after', hidden: true, act: () => choose(at + 1) },
    { key: '9', also: ['f'], label: 'Flip', hidden: true, act: turnOver },
    { key: 'z', label: 'Undo the last change of the plan', hidden: true, act: edits.undo, blocked: edits.canUndo ? null : 'nothing to undo here' },
    { key: 'y', label: 'Make it again', hidden: true, act: edits.redo, blocked: edits.canRedo ? null : 'nothing to make again' },
    { key: 'n', label: 'Next finding', hidden: true, act: nextFinding, blocked: findings.all.length > 1 ? null : 'there is no other' },
    ...(moved ? [] : findings.remedies.slice(0, 3).map((remedy, index): Answer => ({ key: String(index + 1), label: remedy.says, hidden: true, act: () => edits.make(remedy.changes) }))),
    { key: '4', label: 'Planner', act: () => setMode({ is: 'planner' }) },
    { key: '5', label: 'Wires', act: () => void navigate(`/jobs/${bench.job.id}/wires`) },
    { key: '6', label: 'Supplies', act: () => setMode({ is: 'supplies' }) },
    { key: '7', label: 'Motors', act: () => setMode({ is: 'motors' }) },
    { key: '8', label: 'Set-up', act: () => void navigate(`/jobs/${bench.job.id}/setup`) },
    ...arrows,
    { key: 'Enter', label: moved ? `Plan: on ${padWords(ref, words)}` : 'Arrows move the ring', main: true, act: move, blocked: !moved ? 'Move the ring to another pad first' : (objection ?? (edits.pending ? 'changing' : null)) },
  ];
  const step = bench.state.steps.find(({ id }) => id === `land:${jointName(wire.id, end)}`);
  const hands = step ? handsFor(bench, step, { ringAt: ref, flipped: ring?.flipped ?? false, onPick: (picked) => setRing({ ref: picked, flipped: false }) }) : null;
  return (
    <JobFrame
      bench={bench} shown={bench.state.current} answers={answers}
      left={hands?.left ?? { title: slot, note: '', body: null }} right={hands?.right ?? { title: '', note: '', body: null }}
      sentence={<>Which pad takes <strong>{wireWords(wire, words)}</strong>? Planned: <Plate>{padWords(planned, words)}</Plate></>}
      under={underLine(objection, worst?.says ?? null, edits.failed, offer?.changes.length ?? 0, isLanded(bench, { wire, end }))}
      crossing={findings.shown && !moved ? <FindingHere findings={findings} /> : (
        <Wires aria-label="Landings of the plan">
          {landings.slice(Math.max(0, Math.min(at - 7, landings.length - room))).slice(0, room).map((one) => {
            const to = landedOn(one.wire.ends[one.end])!;
            return (
              <li key={jointName(one.wire.id, one.end)} aria-current={one.wire === wire && one.end === end}>
                {isLanded(bench, one) ? '● ' : '○ '}{one.wire.id} → {printed(to, words)}
              </li>
            );
          })}
        </Wires>
      )}
    />
  );
}

function isLanded(bench: Bench, { wire, end }: { wire: Wire; end: 0 | 1 }): boolean {
  const built = bench.state.asBuilt.wires[wire.id]?.ends[end];
  return Boolean(built && landedOn(built));
}

function underLine(objection: string | null, warning: string | null, failed: string | null, changes: number, landed: boolean): string {
  if (failed) return `The plan was not changed: ${failed}`;
  if (objection) return `Not there: ${objection}`;
  if (warning) return `It would not work yet: ${warning}`;
  if (changes > 1) return 'No rule objects. The wire that was planned there takes the freed pad.';
  if (changes === 1) return landed ? 'No rule objects. It is soldered already: it will have to be moved.' : 'No rule objects.';
  return landed ? 'Soldered already. Arrows move the ring, − and + choose the wire.' : 'Arrows move the ring, − and + choose the wire. Rules judge at once.';
}
