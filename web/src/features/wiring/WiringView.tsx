/** The wiring, end by end: which wire goes to which pad, on the two boards it joins. A planned landing can be moved, a landing found elsewhere is kept as it is. */
import type { FoundElsewhere, KeepOffer, TerminalRef } from '@junctor/core';
import { foundElsewhere, jointName, modelIn, offerToPlan, padWords, splitRef, terminalOf } from '@junctor/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { padTowards } from '../../drawing/view';
import type { Answer } from '../../ui/Answers';
import { Plate } from '../../ui/Plate';
import { severityWord } from '../job/FindingsLine';
import { sideFor, wireHands } from '../job/hands';
import { JobFrame } from '../job/JobFrame';
import type { SetMode } from '../job/mode';
import { work } from '../job/mode';
import type { Bench } from '../job/useBench';
import { FindingHere, useFindings } from './FindingHere';
import type { WalkedEnd } from './landings';
import { endWords, walkedEnds, walkedWords } from './landings';
import { usePlanEdits } from './usePlanEdits';

const Wires = styled.ol`text-align: left; font-size: 16px; line-height: 21px; li { white-space: nowrap; overflow: hidden; text-overflow: ellipsis; } li[aria-current='true'] { font-weight: 700; text-decoration: underline; }`;
const room = 15;

export function WiringView({ bench, first, setMode }: { bench: Bench; first: string | null; setMode: SetMode }) {
  const { words, asBuilt } = bench.state;
  const navigate = useNavigate();
  const edits = usePlanEdits(bench);
  const findings = useFindings(bench);
  const ends = walkedEnds(bench);
  const [at, setAt] = useState(Math.max(0, ends.findIndex(({ wire }) => wire.id === (first ?? findings.shown?.finding.wires[0]))));
  const [ring, setRing] = useState<{ ref: TerminalRef; flipped: boolean } | null>(null);
  const here = ends[Math.min(at, ends.length - 1)]!;
  const { wire, end, planned, now } = here;
  const usual = planned ?? now!;
  const ref = ring?.ref ?? usual;
  const moved = ref !== usual;
  const offer = moved && planned ? offerToPlan(bench.job.plan, asBuilt, bench.catalogue, wire.id, end, ref) : null;
  const found = moved && now && ref !== now ? foundElsewhere(asBuilt, wire.id, end, ref, bench.catalogue, bench.job.plan.cells) : null;
  const objection = objectionTo(here, moved, offer);
  const choose = (to: number) => {
    setAt((to + ends.length) % ends.length);
    setRing(null);
  };
  const { slot, terminal } = splitRef(ref);
  const model = modelIn(slot in words.build.slots ? words.build : asBuilt, slot, bench.catalogue)!;
  const flipped = ring?.flipped ?? false;
  const walk = (direction: 'left' | 'right' | 'up' | 'down') => {
    const next = padTowards(model, sideFor(model, [terminal], flipped), terminalOf(model, terminal)!, direction);
    if (next) setRing({ ref: `${slot}.${next.id}`, flipped });
  };
  const turnOver = () => {
    const over = sideFor(model, [terminal], flipped) === 'top' ? 'bottom' : 'top';
    const there = model.terminals.find(({ sides, form }) => sides.includes(over) && form === 'pad');
    if (there) setRing({ ref: `${slot}.${there.id}`, flipped: there.sides.length > 1 && over === 'bottom' });
  };
  const keepFound = () => {
    if (found) bench.record([found.act], null, undefined, 'found');
    setRing(null);
  };
  const nextFinding = () => {
    const shown = findings.next();
    const there = ends.findIndex((one) => shown?.finding.wires.includes(one.wire.id));
    if (there >= 0) choose(there);
  };
  const { shown } = findings;
  const waive = () => shown && setMode({ is: 'waive', finding: shown.finding, waiver: shown.waiver?.record.id ?? null });
  const arrows = (['left', 'right', 'up', 'down'] as const).map((direction): Answer => ({ key: `Arrow${direction.charAt(0).toUpperCase()}${direction.slice(1)}`, label: `Ring ${direction}`, hidden: true, act: () => walk(direction) }));
  const doors: Answer[] = [
    { key: '4', label: 'Planner', act: () => setMode({ is: 'planner' }) },
    { key: '5', label: 'Wires', act: () => void navigate(`/jobs/${bench.job.id}/wires`) },
    { key: '6', label: 'Supplies', act: () => setMode({ is: 'supplies' }) },
    { key: '7', label: 'Motors', act: () => setMode({ is: 'motors' }) },
    { key: '8', label: 'Set-up', act: () => void navigate(`/jobs/${bench.job.id}/setup`) },
    { key: '0', label: 'See all', act: () => setMode({ is: 'whole board', slot }) },
  ];
  const answers: Answer[] = [
    { key: 'Escape', label: moved ? 'Ring back' : 'Bench', act: () => (moved ? setRing(null) : setMode(work)) },
    { key: '-', label: 'Wire before', hidden: true, act: () => choose(at - 1) },
    { key: '+', label: 'Wire after', hidden: true, act: () => choose(at + 1) },
    { key: '9', also: ['f'], label: 'Flip', hidden: true, act: turnOver },
    { key: 'z', label: 'Undo the last change of the plan', hidden: true, act: edits.undo, blocked: edits.canUndo ? null : 'nothing to undo here' },
    { key: 'y', label: 'Make it again', hidden: true, act: edits.redo, blocked: edits.canRedo ? null : 'nothing to make again' },
    { key: 'n', label: 'Next finding', hidden: true, act: nextFinding, blocked: findings.all.length > 1 ? null : 'there is no other' },
    { key: '*', also: ['v'], label: 'May the finding stay as it is?', hidden: true, act: waive, blocked: shown ? (shown.of === 'the quad as it came in' ? 'it came so: it is moved, not waived' : null) : 'no rule objects' },
    ...(moved ? [] : findings.remedies.slice(0, 3).map((remedy, index): Answer => ({ key: String(index + 1), label: remedy.says, hidden: true, act: () => edits.make(remedy.changes) }))),
    ...(moved ? [{ key: '0', label: `Found: it is on ${padWords(ref, words)}`, act: keepFound, blocked: found ? null : now ? 'It is known to be there' : 'It is not on any pad yet' }] : doors),
    ...arrows,
    { key: 'Enter', label: moved ? `Plan: on ${padWords(ref, words)}` : 'Arrows move the ring', main: true, act: () => offer && edits.make(offer.changes, () => setRing(null)), blocked: !moved ? 'Move the ring to another pad first' : (objection ?? (edits.pending ? 'changing' : null)) },
  ];
  const hands = wireHands(bench, jointName(wire.id, end), { ringAt: ref, flipped, onPick: (picked) => setRing({ ref: picked, flipped: false }) });
  return (
    <JobFrame
      bench={bench} shown={bench.state.current} answers={answers} {...hands}
      sentence={planned ? <>Which pad takes <strong>{walkedWords(bench, here)}</strong>? Planned: <Plate>{padWords(planned, words)}</Plate></> : <><strong>{walkedWords(bench, here)}</strong> is on <Plate>{padWords(now!, { ...words, build: asBuilt })}</Plate> and comes off</>}
      under={underLine(here, { objection, worst: offer?.objections[0]?.says ?? null, failed: edits.failed, changes: offer?.changes.length ?? 0 })}
      crossing={found ? <IfFound found={found} /> : shown && !moved ? <FindingHere findings={findings} bench={bench} /> : (
        <Wires aria-label="Ends of wires">
          {ends.slice(Math.max(0, Math.min(at - 7, ends.length - room))).slice(0, room).map((one) => <li key={jointName(one.wire.id, one.end)} aria-current={one === here}>{endWords(bench, one)}</li>)}
        </Wires>
      )}
    />
  );
}

/** A plan may pass through what does not work yet; power stays closed meanwhile. What would kill is not planned. */
function objectionTo({ planned }: WalkedEnd, moved: boolean, offer: KeepOffer | null): string | null {
  if (moved && !planned) return 'It comes off: the plan has no place for it';
  const [worst] = offer?.objections ?? [];
  return worst?.severity === 'kill' ? worst.says : null;
}

/** What it would mean if the wire really is where the ring is. */
function IfFound({ found: { findings } }: { found: FoundElsewhere }) {
  const [worst] = findings;
  return (
    <section aria-label="If it is there now" style={{ textAlign: 'left', fontSize: 16, lineHeight: '20px', display: 'grid', gap: 8 }}>
      <h3 style={{ fontSize: 17 }}>If it is there now</h3>
      {worst ? <p><strong>▲ {severityWord[worst.severity]}:</strong> {worst.says}</p> : <p>No rule objects: the quad would work as before.</p>}
      <p>Key 0 keeps it as found. Nothing is planned by that.</p>
    </section>
  );
}

interface Standing {
  objection: string | null;
  worst: string | null;
  failed: string | null;
  changes: number;
}

function underLine({ planned, now }: WalkedEnd, { objection, worst, failed, changes }: Standing): string {
  if (failed) return `The plan was not changed: ${failed}`;
  if (objection) return planned ? `Not there: ${objection}` : objection;
  if (worst) return `It would not work yet: ${worst}`;
  if (changes > 1) return 'No rule objects. The wire that was planned there takes the freed pad.';
  if (changes === 1) return now ? 'No rule objects. It is soldered already: it will have to be moved.' : 'No rule objects.';
  if (!planned) return 'It came in with the quad. Is it really there? Arrows move the ring, − and + choose the wire.';
  return now ? 'Soldered already. Arrows move the ring, − and + choose the wire.' : 'Arrows move the ring, − and + choose the wire. Rules judge at once.';
}
