/**
 * From a heap of parts to a plan, and from the parts of a running job to others: what is put on, taken off or exchanged
 * is put together at once, with what it lacks, what is taken besides, what clashes and how out of it.
 */
import type { Build, Catalogue, Clash, Composed } from '@junctor/core';
import {
  assemble,
  balanceOf,
  cellsOf,
  emptyBuild,
  flyingWith,
  kitList,
  lacksOf,
  planChangesTo,
  sameFitted,
  serialPortsLeft,
  wantsOf,
  withoutParts,
  withWayOut,
} from '@junctor/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { places } from '../../../addresses';
import { useChangePlan } from '../../../api/queries';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { Notice } from '../../../ui/Notice';
import { Ways } from '../PlannerOutcome';
import { variedWays } from '../question';
import { Aircraft } from './Aircraft';
import { composeAnswers } from './composeAnswers';
import { ComposeFacts } from './ComposeFacts';
import { sentenceFor, underFor } from './composeWords';
import { HeapHand } from './HeapHand';
import { heapLines } from './heapLines';
import { LineFacts } from './LineFacts';
import { useComposeQuestion } from './useComposeQuestion';
import { useComposer } from './useComposer';
import { useDrawn } from './useDrawn';
import { useFinding } from './useFinding';
import type { Heaped } from './useHeap';
import { useHeap } from './useHeap';
import { usePutFromAddress } from './usePutFromAddress';
import { WishesOfHeap } from './WishesOfHeap';

export function ComposePage() {
  const heap = useHeap();
  const asking = useComposeQuestion(heap.heaped, heap.isChanged);
  const { catalogue } = asking;
  // While another model is fetched, those of before are shown.
  const [shown, setShown] = useState<{ catalogue: Catalogue; heaped: Heaped } | null>(null);
  if (catalogue && (shown?.heaped !== heap.heaped || shown.catalogue !== catalogue))
    setShown({ catalogue, heaped: heap.heaped });
  if (!shown) return <Notice title="Fetching the parts">One moment.</Notice>;
  return <Composing heap={{ ...heap, heaped: shown.heaped }} asking={{ ...asking, catalogue: shown.catalogue }} />;
}

interface ComposingProps {
  heap: ReturnType<typeof useHeap>;
  asking: ReturnType<typeof useComposeQuestion> & { catalogue: Catalogue };
}

function Composing({ heap, asking }: ComposingProps) {
  const { job, state } = useBench();
  const { plan } = job;
  const doors = useDoors();
  const navigate = useNavigate();
  const changePlan = useChangePlan(job.id);
  const { heaped, isChanged, change, forget } = heap;
  const { catalogue, pack, propeller, question } = asking;
  const composer = useComposer(question);
  const finding = useFinding(heaped, catalogue, change);
  usePutFromAddress(finding.put);
  const [at, setAt] = useState(0);
  const [isWishing, setWishing] = useState(false);
  const lines = heapLines(heaped.slots, catalogue);
  const line = lines[Math.min(at, lines.length - 1)] ?? null;
  const models = lines.flatMap(({ model, slots }) => slots.map(() => model));
  const cells = heaped.cells ?? cellsOf(models, pack);
  const isEmpty = lines.length === 0;
  const lacks = isEmpty ? [] : lacksOf(models, cells);
  const composing = composer.state;
  const made: Composed | null = composing.is === 'answered' ? composing.made : null;
  const planned = isChanged ? null : plan.target;
  const build = useMemo(() => buildShown(made, planned, heaped.slots), [made, planned, heaped.slots]);
  const laid = useDrawn(build, catalogue);
  const assembly = useMemo(() => assemble(build, catalogue), [build, catalogue]);
  const wants = isEmpty ? [] : wantsOf(assembly, pack);
  const sums = useMemo(() => {
    const balance = balanceOf(assembly, {}, laid);
    const flying = pack && flyingWith(assembly, balance, { pack, propeller, laid });
    const kit = kitList(assemble(emptyBuild, catalogue), assembly);
    const screws = kit.filter(({ kind }) => kind === 'screw');
    return { dryG: balance.g, flying, portsLeft: serialPortsLeft(assembly), screws };
  }, [assembly, catalogue, pack, propeller, laid]);
  const clash = clashIn(made);
  const ways = variedWays(clash?.waysOut ?? []);
  const goes = Object.keys(state.asBuilt.build.slots).filter(
    (slot) =>
      !sameFitted(state.asBuilt.build.slots[slot], heaped.slots[slot]) &&
      !heaped.dormant.some((dormant) => dormant.slot === slot),
  );
  const take = ({ plan: next }: Extract<Composed, { is: 'composed' }>) =>
    changePlan.mutate(
      { version: plan.version, changes: planChangesTo(plan, next) },
      {
        onSuccess: () => {
          forget();
          doors.leave(laid ? doors.places.layout : doors.places.wiring());
        },
      },
    );
  const blockedOf = () => {
    if (changePlan.isPending) return 'changing';
    if (isEmpty) return 'nothing lies on the heap';
    if (lacks.length > 0) return 'something is open';
    if (made?.is === 'clash') return 'it cannot be as it is';
    return isChanged ? null : 'nothing is changed';
  };
  const suggested = made && 'suggested' in made ? made.suggested : [];
  const isBesides = suggested.length > 0;
  const said = { composing, lacks, isEmpty, isChanged };
  const act = {
    leave: () => (isEmpty ? void navigate(places.floor) : doors.close(doors.places.now)),
    cancel: composer.cancel,
    walk: (by: 1 | -1) => setAt((Math.min(at, lines.length - 1) + by + lines.length) % Math.max(1, lines.length)),
    more: () => finding.look({ is: 'more' }),
    instead: (one: NonNullable<typeof line>) => finding.look({ is: 'instead', line: one }),
    out: (one: NonNullable<typeof line>) => change((now) => withoutParts(now, new Set(one.slots))),
    cells: (by: 1 | -1) => change(() => ({ cells: cellsBy(cells?.[1] ?? 0, by) })),
    wishes: () => setWishing(true),
    drawUp: () => void navigate(places.newBoard, { state: { heapOf: job.id } }),
    take: (way: (typeof ways)[number]) => change((now) => withWayOut(way, now)),
    askNow: composer.askNow,
    plan: take,
    closeFinding: () => finding.look(null),
  };
  if (isWishing)
    return (
      <WishesOfHeap
        heaped={heaped}
        catalogue={catalogue}
        cells={cells ?? [1, 1]}
        change={change}
        onDone={() => setWishing(false)}
      />
    );
  return (
    <JobFrame
      place="Compose"
      shown={state.current}
      answers={composeAnswers({
        ...{ composing, line, ways, act },
        unknown: finding.unknown,
        isFinding: finding.isOpen,
        blocked: blockedOf(),
      })}
      sentence={sentenceFor(said)}
      under={finding.problem ?? (changePlan.error ? changePlan.error.message : underFor(said, sums.flying))}
      left={{
        title: 'the heap',
        note: `${models.length} parts${isBesides ? ', + taken besides' : ''}`,
        body: (
          <HeapHand
            {...{ lines, goes }}
            clash={clash?.conflict.parts ?? []}
            current={finding.isOpen ? null : line}
            {...{ suggested, assembly, cells }}
            finding={finding.field}
          />
        ),
      }}
      crossing={
        <>
          <ComposeFacts {...{ cells, lacks, wants, composing, sums }} isWired={Object.keys(build.wires).length > 0} />
          {line && !finding.isOpen && <LineFacts slots={line.slots} build={build} laid={laid} />}
        </>
      }
      right={
        clash && ways.length > 0
          ? {
              title: 'ways out',
              note: 'each was tried; of each kind the cheapest first',
              body: (
                <Ways
                  messages={ways.map(({ message }) => message)}
                  onTake={(index) => act.take(ways[index]!)}
                  waiting={false}
                />
              ),
            }
          : {
              title: 'the aircraft',
              note: laid ? 'from above and from the side, to scale' : 'nothing to draw yet',
              body: <Aircraft laid={laid} held={finding.isOpen ? [] : (line?.slots ?? [])} />,
            }
      }
    />
  );
}

/** What cannot be together, by its wiring or in its frame. */
function clashIn(made: Composed | null): Clash | null {
  if (made?.is === 'clash') return made;
  return made?.is === 'composed' ? made.misfit : null;
}

/** What was put together; else the plan as it is; else the bare parts, with what they would take besides. */
function buildShown(made: Composed | null, planned: Build | null, slots: Build['slots']): Build {
  if (made?.is === 'composed') return made.plan.target;
  const besides = made?.is === 'clash' ? made.suggested : [];
  const more = besides.flatMap(({ model: { id, revision }, slots }) =>
    slots.map((slot) => [slot, { model: id, revision, part: null, pose: null }] as const),
  );
  return planned ?? { ...emptyBuild, slots: { ...slots, ...Object.fromEntries(more) } };
}

const mostCells = 14;

function cellsBy(from: number, by: 1 | -1): [number, number] {
  const series = Math.min(mostCells, Math.max(1, from + by));
  return [series, series];
}
