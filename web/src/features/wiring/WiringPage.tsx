/**
 * The wiring, end by end: which wire goes to which pad, on the two boards it joins. A planned landing can be moved, a
 * landing found elsewhere is kept as it is.
 */
import {
  foundElsewhere,
  padByHand,
  jointName,
  rebasePlan,
  padWords,
  splitRef,
  terminalUnder,
  assemble,
} from '@junctor/core';
import { useParams } from 'react-router';
import type { Answer } from '../../ui/Answers';
import { NotHere } from '../../bench/frame/NotHere';
import { Tag } from '../../bench/frame/Tag';
import { wireHands } from '../../bench/hands/jointHands';
import { JobFrame } from '../../bench/frame/JobFrame';
import { useBench } from '../../bench/provider/useBench';
import { useDoors } from '../../bench/provider/useDoors';
import { FindingHere } from './FindingHere';
import type { WalkedEnd } from './landings';
import { walkedWords } from './landings';
import { usePlanEdits } from '../../bench/provider/usePlanEdits';
import type { Direction } from './useRing';
import { useRing } from './useRing';
import type { Walk } from './useWalk';
import { useWalk } from './useWalk';
import { objectionTo, underLine } from './wiringWords';
import { WiresBetween } from './WiresBetween';
import { IfFound } from './IfFound';

export function WiringPage() {
  const { at = null } = useParams();
  const bench = useBench();
  const doors = useDoors();
  const walk = useWalk(bench, at, (joint) => doors.walk(doors.places.wiring(joint)));
  if (walk.here) return <EndView walk={walk} here={walk.here} />;
  if (at !== null) return <NotHere what="No such wire is walked here" why={`“${at}” is neither planned nor built.`} />;
  const answers: Answer[] = [
    { key: 'Escape', label: 'Bench', act: () => doors.leave(doors.places.now) },
    { key: 'Enter', label: 'Plan the wiring', main: true, act: () => doors.open(doors.places.planner) },
  ];
  return (
    <JobFrame
      place="Wiring"
      shown={bench.state.current}
      answers={answers}
      sentence="No wire is planned yet"
      under="The planner makes a wiring of the parts and of what is wanted of them."
      both={{ title: 'nothing', note: 'no wire joins these parts', body: null }}
    />
  );
}

function EndView({ walk, here }: { walk: Walk; here: WalkedEnd }) {
  const bench = useBench();
  const doors = useDoors();
  const {
    state: { target, asBuilt, current },
    catalogue,
    job: { plan },
  } = bench;
  const { places, open } = doors;
  const edits = usePlanEdits(bench);
  const { wire, end, planned, now, plugged } = here;
  const joint = jointName(wire.id, end);
  const ring = useRing(bench, joint, planned ?? now!);
  const offer = ring.moved && planned ? rebasePlan(plan, asBuilt, { wireId: wire.id, end }, ring.at) : null;
  const found =
    ring.moved && now && ring.at !== now ? foundElsewhere(asBuilt, { wire: wire.id, end }, ring.at, plan.cells) : null;
  const objection = objectionTo(here, ring.moved, offer);
  const { findings } = walk;
  const { shown } = findings;
  const waive = () => shown && open(places.finding(shown.finding.key));
  const planIt = () => {
    const other = terminalUnder(assemble(plan.target, catalogue), wire.ends[end === 0 ? 1 : 0]);
    // What was chosen by hand stays so when the planner runs again.
    if (offer) edits.make([...offer.changes, ...(other ? padByHand(plan, catalogue, ring.at, other) : [])], ring.back);
  };
  const keepFound = () => {
    if (found) bench.record([found.act], null, undefined, 'found');
    ring.back();
  };
  const inPlug = plugged ? 'A contact is moved in its plug, not by the iron' : null;
  const arrows = (['Left', 'Right', 'Up', 'Down'] as const).map((towards): Answer => ({
    key: `Arrow${towards}`,
    label: `Ring ${towards.toLowerCase()}`,
    hidden: true,
    act: () => ring.walk(towards.toLowerCase() as Direction),
    blocked: inPlug,
  }));
  const nearby: Answer[] = [
    { key: '4', label: 'Planner', act: () => open(places.planner) },
    { key: '5', label: 'Wires', act: () => open(places.wires) },
    { key: '6', label: 'Supplies', act: () => open(places.supplies) },
    { key: '7', label: 'Motors', act: () => open(places.motors) },
    { key: '8', label: 'Set-up', act: () => open(places.setUp) },
    { key: 'p', label: 'Parts', act: () => open(places.compose()) },
    { key: '0', label: 'See all', act: () => open(places.board(splitRef(ring.at).slot)) },
  ];
  const labelOf = () => {
    if (ring.moved) return `Plan: on ${padWords(ring.at, target)}`;
    if (plugged) return 'Moved in its plug';
    return 'Arrows move the ring';
  };
  const foundBlockedOf = () => {
    if (found) return null;
    if (now) return 'It is known to be there';
    return 'It is not on any pad yet';
  };
  const blockedOf = () => {
    if (shown) {
      if (shown.of === 'the quad as it came in') return 'it came so: it is moved, not waived';
      return null;
    }
    return 'no rule objects here';
  };
  const answers: Answer[] = [
    {
      key: 'Escape',
      label: ring.moved ? 'Ring back' : 'Bench',
      act: () => (ring.moved ? ring.back() : doors.leave(doors.places.now)),
    },
    { key: '-', label: 'Wire before', hidden: true, act: () => walk.by(-1) },
    { key: '+', label: 'Wire after', hidden: true, act: () => walk.by(1) },
    { key: '9', also: ['f'], label: 'Flip', hidden: true, act: ring.turnOver, blocked: inPlug },
    {
      key: 'c',
      label: 'Another colour or gauge',
      hidden: true,
      act: () => open(places.wireBody(wire.id)),
      blocked: planned ? null : 'It comes off',
    },
    {
      key: 'z',
      label: 'Undo the last change of the plan',
      hidden: true,
      act: edits.undo,
      blocked: edits.canUndo ? null : 'nothing to undo here',
    },
    {
      key: 'y',
      label: 'Make it again',
      hidden: true,
      act: edits.redo,
      blocked: edits.canRedo ? null : 'nothing to make again',
    },
    {
      key: 'n',
      label: 'Next finding',
      hidden: true,
      act: walk.nextFinding,
      blocked: findings.all.length > (shown ? 1 : 0) ? null : 'there is no other',
    },
    {
      key: '*',
      also: ['v'],
      label: 'May the finding stay as it is?',
      hidden: true,
      act: waive,
      blocked: blockedOf(),
    },
    ...(ring.moved
      ? []
      : findings.remedies.slice(0, 3).map((remedy, index): Answer => ({
          key: String(index + 1),
          label: remedy.message,
          hidden: true,
          act: () => edits.make(remedy.changes),
        }))),
    ...(ring.moved
      ? [
          {
            key: '0',
            label: `Found: it is on ${padWords(ring.at, target)}`,
            act: keepFound,
            blocked: foundBlockedOf(),
          },
        ]
      : nearby),
    ...arrows,
    {
      key: 'Enter',
      label: labelOf(),
      main: true,
      act: planIt,
      blocked: !ring.moved
        ? (inPlug ?? 'Move the ring to another pad first')
        : (objection ?? (edits.pending ? 'changing' : null)),
    },
  ];
  const hands = wireHands(bench, joint, {
    ringAt: ring.at,
    flipped: ring.flipped,
    ...(plugged ? {} : { onPick: ring.pick }),
  });
  const betweenOf = () => {
    if (found) return <IfFound found={found} />;
    if (shown && !ring.moved) return <FindingHere findings={findings} bench={bench} />;
    return <WiresBetween bench={bench} walk={walk} here={here} />;
  };
  return (
    <JobFrame
      place="Wiring"
      shown={current}
      answers={answers}
      {...hands}
      sentence={
        planned ? (
          <>
            Which pad takes <strong>{walkedWords(bench, here)}</strong>? Planned:{' '}
            <Tag at={planned}>{padWords(planned, target)}</Tag>
          </>
        ) : (
          <>
            <strong>{walkedWords(bench, here)}</strong> is on <Tag at={now!}>{padWords(now!, asBuilt)}</Tag> and comes
            off
          </>
        )
      }
      under={underLine(here, {
        objection,
        worst: offer?.objections[0]?.message ?? null,
        failed: edits.failed,
        changes: offer?.changes.length ?? 0,
      })}
      crossing={betweenOf()}
    />
  );
}
