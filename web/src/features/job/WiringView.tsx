/** The wiring of the plan: which wire goes to which pad, on the two boards it joins; a planned landing can be moved. */
import type { TerminalRef, Wire } from '@junctor/core';
import { findTerminal, landedOn, modelIn, offerToPlan, padWords, splitRef, terminalOf, wireWords } from '@junctor/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useChangePlan } from '../../api/queries';
import { padTowards } from '../../drawing/view';
import type { Answer } from '../../ui/Answers';
import { Plate } from '../../ui/Plate';
import { handsFor, sideFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';

const Wires = styled.ol`text-align: left; font-size: 16px; line-height: 21px; li[aria-current='true'] { font-weight: 700; text-decoration: underline; }`;
const room = 15;

export function WiringView({ bench, first, setMode }: { bench: Bench; first: string | null; setMode: SetMode }) {
  const { words, asBuilt } = bench.state;
  const change = useChangePlan(bench.job.id);
  const wires = Object.values(words.build.wires).filter((wire) => wire.ends.some((end) => end.by === 'solder'));
  const [at, setAt] = useState(Math.max(0, wires.findIndex(({ id }) => id === first)));
  const [ring, setRing] = useState<{ ref: TerminalRef; flipped: boolean } | null>(null);
  const wire = wires[at]!;
  const planned = landedOn(wire.ends[1])!;
  const ref = ring?.ref ?? planned;
  const moved = ref !== planned;
  const offer = moved ? offerToPlan(bench.job.plan, asBuilt, bench.catalogue, wire.id, 1, ref) : null;
  const objection = offer?.objections[0]?.says ?? null;
  const choose = (to: number) => {
    setAt((to + wires.length) % wires.length);
    setRing(null);
  };
  const { slot, terminal } = splitRef(ref);
  const model = modelIn(words.build, slot, bench.catalogue)!;
  const walk = (direction: 'left' | 'right' | 'up' | 'down') => {
    const next = padTowards(model, sideFor(model, [terminal], ring?.flipped ?? false), terminalOf(model, terminal)!, direction);
    if (next) setRing({ ref: `${slot}.${next.id}`, flipped: ring?.flipped ?? false });
  };
  const move = () => offer && change.mutate({ version: bench.job.plan.version, changes: offer.changes }, { onSuccess: () => setRing(null) });
  const turnOver = () => {
    const over = sideFor(model, [terminal], ring?.flipped ?? false) === 'top' ? 'bottom' : 'top';
    const there = model.terminals.find(({ sides, form }) => sides.includes(over) && form === 'pad');
    if (there) setRing({ ref: `${slot}.${there.id}`, flipped: there.sides.length > 1 && over === 'bottom' });
  };
  const arrows = (['left', 'right', 'up', 'down'] as const).map((direction): Answer => ({ key: `Arrow${direction.charAt(0).toUpperCase()}${direction.slice(1)}`, label: `Ring ${direction}`, hidden: true, act: () => walk(direction) }));
  const answers: Answer[] = [
    { key: 'Escape', label: 'Back to the bench', act: () => setMode(work) },
    { key: '-', label: 'Wire before', act: () => choose(at - 1) },
    { key: '+', label: 'Wire after', act: () => choose(at + 1) },
    { key: '9', also: ['f'], label: 'Flip', act: turnOver },
    ...arrows,
    { key: 'Enter', label: moved ? `Plan: on ${padWords(ref, words)}` : 'Arrows move the ring', main: true, act: move, blocked: !moved ? 'Move the ring to another pad first' : (objection ?? (change.isPending ? 'changing' : null)) },
  ];
  const step = bench.state.steps.find(({ id }) => id === `land:${wire.id}.b`);
  const hands = step ? handsFor(bench, step, { ringAt: ref, flipped: ring?.flipped ?? false, onPick: (picked) => setRing({ ref: picked, flipped: false }) }) : null;
  return (
    <JobFrame
      bench={bench} shown={bench.state.current} answers={answers}
      left={hands?.left ?? { title: slot, note: '', body: null }} right={hands?.right ?? { title: '', note: '', body: null }}
      sentence={<>Which pad takes <strong>{wireWords(wire, words)}</strong>? Planned: <Plate>{padWords(planned, words)}</Plate></>}
      under={underLine(objection, change.error?.message ?? null, offer?.changes.length ?? 0, isLanded(bench, wire))}
      crossing={
        <Wires aria-label="Wires of the plan">
          {wires.slice(Math.max(0, Math.min(at - 7, wires.length - room))).slice(0, room).map((one) => (
            <li key={one.id} aria-current={one.id === wire.id}>{one.id} → {splitRef(landedOn(one.ends[1])!).slot} {findTerminal(words.build, landedOn(one.ends[1])!, bench.catalogue)?.printed}{isLanded(bench, one) ? ' ●' : ''}</li>
          ))}
        </Wires>
      }
    />
  );
}

function isLanded(bench: Bench, { id }: Wire): boolean {
  const end = bench.state.asBuilt.wires[id]?.ends[1];
  return Boolean(end && landedOn(end));
}

function underLine(objection: string | null, failed: string | null, changes: number, landed: boolean): string {
  if (failed) return `The plan was not changed: ${failed}`;
  if (objection) return `Not there: ${objection}`;
  if (changes > 1) return 'No rule objects. The wire that was planned there takes the freed pad.';
  if (changes === 1) return landed ? 'No rule objects. It is soldered already: it will have to be moved.' : 'No rule objects.';
  return landed ? 'Soldered already. Arrows move the ring, − and + choose the wire.' : 'Arrows move the ring, − and + choose the wire. Rules judge at once.';
}
