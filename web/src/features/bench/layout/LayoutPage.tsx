/**
 * Step zero: the aircraft laid out dry, from above and from the side, with every margin. A part in hand is turned and
 * moved by key; what that makes better and worse shows before it is made. Signed, the plan keeps it.
 */
import type { Layout, Margin, Pose } from '@junctor/core';
import { capital, gapKey, isSamePose, lowerNut, placesToMove, posesFor, tenths } from '@junctor/core';
import { useState } from 'react';
import { verdictMark } from '../../../bench/frame/verdictMark';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { usePlanEdits } from '../../../bench/provider/usePlanEdits';
import { LaidFromAbove } from '../../../drawing/LaidFromAbove';
import type { Answer } from '../../../ui/Answers';
import { ChangeFacts, MarginFacts } from './MarginFacts';
import type { HeldPart } from '../../../bench/provider/useLayout';
import { layoutScreen, sideHand } from './layoutScreen';
import { useSigning } from './useSigning';
import { WithLayout } from './WithLayout';

export function LayoutPage() {
  const [held, setHeld] = useState<HeldPart | null>(null);
  return <WithLayout held={held}>{(layout) => <Laid {...layout} held={held} hold={setHeld} />}</WithLayout>;
}

interface LaidProps {
  planned: Layout;
  shown: Layout;
  held: HeldPart | null;
  hold: (held: HeldPart | null) => void;
}

function Laid({ planned, shown, held, hold }: LaidProps) {
  const bench = useBench();
  const doors = useDoors();
  const edits = usePlanEdits(bench);
  const [at, setAt] = useState(0);
  const { margins } = shown;
  const walked = held ? margins.findIndex(({ slots }) => slots.includes(held.slot)) : Math.min(at, margins.length - 1);
  const margin = margins[walked] ?? null;
  const inHand = held?.slot ?? movable(planned, margin);
  const sign = useSigning(planned);
  const no = planned.margins.filter(({ verdict }) => verdict === 'no');
  const remedy = margin?.remedies[0];
  const nut = lowerNut(planned.laid);
  const change = (by: 'turn' | 'place') => {
    if (inHand) hold(nextPose(planned, inHand, { held, by }));
  };
  const putDown = () => {
    if (!held) return;
    const before = bench.job.plan.target.slots[held.slot]!;
    edits.make([{ path: `slots/${held.slot}`, before, after: { ...before, pose: held.pose } }], () => hold(null));
  };
  const mend = () => {
    if (remedy) edits.make(remedy.changes);
  };
  const answers: Answer[] = [
    {
      key: 'Escape',
      label: held ? 'As it was' : 'Bench',
      act: () => (held ? hold(null) : doors.leave(doors.places.now)),
    },
    {
      key: 'ArrowUp',
      also: ['-'],
      label: 'Margin before',
      act: () => walk(-1),
      blocked: held ? 'a part is in hand' : null,
    },
    {
      key: 'ArrowDown',
      also: ['+'],
      label: 'Margin after',
      act: () => walk(1),
      blocked: held ? 'a part is in hand' : null,
    },
    {
      key: '9',
      also: ['t'],
      label: inHand ? `Turn ${inHand}` : 'Turn',
      act: () => change('turn'),
      blocked: inHand ? null : 'nothing here can be turned',
    },
    {
      key: '6',
      label: inHand ? `Move ${inHand}` : 'Move',
      act: () => change('place'),
      blocked: inHand ? null : 'nothing here can be moved',
    },
    {
      key: '4',
      label: remedy ? remedy.says : 'Mend it',
      act: mend,
      blocked: mendBlocked(remedy !== undefined, held !== null, edits.pending),
    },
    {
      key: '5',
      label: 'Measure it',
      act: () => margin && doors.open(doors.places.measure(gapKey(margin))),
      blocked: measureBlocked(margin, held !== null),
    },
    {
      key: '7',
      also: ['n'],
      label: nut?.says ?? 'Lower nuts',
      hidden: true,
      act: () => nut && edits.make(nut.changes),
      blocked: held || edits.pending ? 'changing' : null,
    },
    { key: 'p', label: 'A picture of it', hidden: true, act: () => doors.open(doors.places.layoutPicture) },
    { key: 'c', label: 'The cut list', hidden: true, act: () => doors.open(doors.places.cuts) },
    held
      ? {
          key: 'Enter',
          label: `Put ${held.slot} so`,
          main: true,
          act: putDown,
          blocked: edits.pending ? 'changing' : null,
        }
      : {
          key: 'Enter',
          label: no.length > 0 ? 'Let it in…' : 'Sign: it fits',
          main: true,
          act: () => (no.length > 0 ? doors.open(doors.places.letIn) : sign.sign('')),
          blocked:
            sign.blocked ?? (no.length > 0 && bench.person.role !== 'lead' ? `▲ ${no[0]!.what}: mend it first` : null),
        },
  ];
  const walk = (by: number) => setAt((walked + by + margins.length) % margins.length);
  return (
    <JobFrame
      {...layoutScreen(bench)}
      answers={answers}
      sentence={
        margin ? (
          <>
            {verdictMark[margin.verdict]} <strong>{capital(margin.what)}</strong>:{' '}
            {sentenceFor(margin, sign.isPictured)}
          </>
        ) : (
          'Nothing is laid out'
        )
      }
      under={edits.failed ?? sign.failed ?? margin?.says ?? ''}
      left={{
        title: 'from above',
        note: 'to scale, wires as they run, dashed the blades’ reach',
        body: <LaidFromAbove laid={shown.laid} held={margin?.slots ?? []} />,
      }}
      crossing={held ? <ChangeFacts planned={planned} shown={shown} /> : <MarginFacts margins={margins} at={walked} />}
      right={sideHand(shown.laid, margin?.slots ?? [], `; harness ${Math.round(shown.harnessMm / 10) / 100} m`)}
    />
  );
}

function mendBlocked(canMend: boolean, isHeld: boolean, isPending: boolean): string | null {
  if (isHeld) return 'a part is in hand';
  if (isPending) return 'changing';
  return canMend ? null : 'no key mends this';
}

function measureBlocked(margin: Margin | null, isHeld: boolean): string | null {
  if (isHeld) return 'a part is in hand';
  return margin?.gauge ? null : 'no gauge reaches it';
}

function sentenceFor({ verdict, mm, worstMm, remedies }: Margin, isPictured: boolean): string {
  if (mm === null && verdict === 'tight') return 'it will do';
  if (mm === null) return isPictured ? 'looked at, a picture shows it' : 'look, and take a picture of it (P)';
  const mend = remedies[0] ? `. ${remedies[0].says}` : '';
  if (verdict === 'no') return `${tenths(-mm)} mm too little${mend}`;
  return verdict === 'tight' ? `tight${mend}` : `${tenths(worstMm!)} mm to spare at worst`;
}

/** The part of a margin that has another pose to lie in. */
function movable({ laid }: Layout, margin: Margin | null): string | null {
  return margin?.slots.findLast((slot) => laid.places.has(laid.poses.get(slot)?.place ?? '')) ?? null;
}

/** Round through the turns of its place, or on to the next place that is free. */
function nextPose(
  { laid }: Layout,
  slot: string,
  { held, by }: { held: HeldPart | null; by: 'turn' | 'place' },
): HeldPart | null {
  const now = held?.pose ?? laid.poses.get(slot)!;
  const all = by === 'turn' ? posesFor(laid, slot).filter(({ place }) => place === now.place) : freePlaces(laid, slot);
  const isNow = (pose: Pose) => (by === 'turn' ? isSamePose(pose, now) : pose.place === now.place);
  const pick = all[(all.findIndex(isNow) + 1) % all.length];
  return !pick || isSamePose(pick, laid.poses.get(slot)!) ? null : { slot, pose: pick };
}

function freePlaces(laid: Layout['laid'], slot: string): Pose[] {
  const taken = new Set(
    [...laid.poses].flatMap(([other, { place }]) =>
      other !== slot && laid.places.get(place)?.kind !== 'stack' ? [place] : [],
    ),
  );
  return placesToMove(laid, slot).filter(({ place }) => !taken.has(place));
}
