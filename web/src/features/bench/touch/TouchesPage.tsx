/** The list of touches as a whole: what it proves and has proved, what it leaves, each touch; to be read or printed. */
import type { ListedTouch, ProvedLine, StepOf, TouchList } from '@junctor/core';
import {
  capital,
  enumerated,
  faultPlaceWords,
  harmWords,
  leftByKind,
  minutesFor,
  plugWords,
  provedWords,
  ruledOut,
  slotTitle,
  touchRows,
  whatListProves,
} from '@junctor/core';
import { useNavigate } from 'react-router';
import { jobPlaces } from '../../../addresses';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { saveFile } from '../../../files/saveFile';
import { writeTouches } from '../../../files/touchCsv';
import { Columns, Lines, Sheet } from '../../../ui/Sheet';
import { Words } from '../../../ui/layout';
import { TouchMaps } from './TouchMaps';
import { useListSchool } from './useListSchool';

export function TouchesPage() {
  const bench = useBench();
  const navigate = useNavigate();
  const { job, state, meter, listing } = bench;
  const { list, touches, history, ruledOutEarlier } = state.touches;
  const place = `${job.quad}, touches`;
  const go = (to: string) => void navigate(to);
  const school = useListSchool(bench);
  const back = { key: 'b', label: 'To the bench', to: jobPlaces(job.id).now };
  if (!list)
    return (
      <Sheet place={place} title="The list of touches is being worked out" go={go} doors={[back, school.door]}>
        <section>
          <Words>{listing ? `${Math.round(100 * listing.share)} %: ${listing.says}` : 'It has been asked for.'}</Words>
        </section>
      </Sheet>
    );
  const steps = state.steps.filter((step): step is StepOf<'touch'> => step.verb === 'touch' && step.withApart === null);
  const answered = steps.filter(({ done }) => done);
  const write = () => saveFile('touches.csv', writeTouches(list, touches, state.target), 'text/csv');
  return (
    <Sheet
      place={place}
      title={`${touches.length} touches, about ${minutesFor(list, touches)} min: what they prove`}
      note={`${job.quad}, ${job.title}, plan version ${job.plan.version}; for ${meter.name}, everything plugged together, no power; ${school.now}.${history.length > 0 ? ` ${history.length} of the whole list are not asked: this work did not reach them.` : ''}`}
      go={go}
      doors={[
        back,
        { key: 'c', label: 'Write as CSV', act: write },
        { key: 'p', label: 'Print it', act: () => window.print() },
        school.door,
      ]}
    >
      <Columns>
        <section>
          <h2>What they prove</h2>
          <Lines aria-label="What they prove">
            {whatListProves(list).map((line) => (
              <li key={line.harm}>{capital(provedWords(line))}</li>
            ))}
          </Lines>
          <h2>So far</h2>
          <SoFar list={list} answered={answered.map(({ listed }) => listed)} steps={steps} loose={ruledOutEarlier} />
          <Earlier title="Only on the loose part" asked={onLoose(bench, list)} ruledOut={ruledOutEarlier} />
          <Earlier title="With a plug apart" asked={withApart(bench, list)} ruledOut={ruledOutEarlier} />
        </section>
        <section>
          <h2>Left to the eye and to function</h2>
          <Left bench={bench} list={list} />
        </section>
      </Columns>
      <section>
        <h2>The touches, in the order of work</h2>
        <Lines
          $columns="16px 26px 84px minmax(0, 1fr) minmax(0, 1fr) minmax(0, 0.7fr) minmax(0, 1.6fr)"
          aria-label="Touches"
        >
          {touchRows({ ...list, touches }, state.target).map(({ no, mode, black, red, good }, index) => (
            <li key={steps[index]!.id}>
              <span>{markOf(steps[index]!)}</span>
              <span>{no}</span>
              <span>{mode}</span>
              <span>black {black}</span>
              <span>red {red}</span>
              <span>{good}</span>
              <span className="quiet">{enumerated(steps[index]!.rulesOut, 4)}</span>
            </li>
          ))}
        </Lines>
      </section>
      <TouchMaps bench={bench} touches={steps.map(({ listed }) => listed)} />
    </Sheet>
  );
}

function markOf({ done, blockedReason }: StepOf<'touch'>): string {
  if (done) return '●';
  return blockedReason ? '▲' : '○';
}

function SoFar({
  list,
  answered,
  steps,
  loose,
}: {
  list: TouchList;
  answered: readonly ListedTouch[];
  steps: readonly StepOf<'touch'>[];
  loose: ReadonlySet<number>;
}) {
  const out = ruledOut(list, answered, loose);
  const wrong = steps.filter(({ done, blockedReason }) => !done && blockedReason !== null).length;
  const said = ({ harm, by }: ProvedLine) =>
    `${out[harm]} of ${by.list + by['loose part'] + by['plug apart']} ${harmWords[harm]}`;
  return (
    <Words>
      {answered.length} of {steps.length} answered as a good build would. Ruled out:{' '}
      {enumerated(whatListProves(list).map(said))}. {wrong > 0 ? `${wrong} to be looked into or asked again.` : ''}
    </Words>
  );
}

/** What is asked before everything is mated, and how much of it was ruled out then. */
function Earlier({
  title,
  asked,
  ruledOut,
}: {
  title: string;
  asked: readonly Asked[];
  ruledOut: ReadonlySet<number>;
}) {
  if (asked.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <Lines $columns="minmax(0, 1fr)" aria-label={title}>
        {asked.map(({ key, says, touches }) => {
          const faults = new Set(touches.flatMap(({ shows }) => shows));
          const out = [...faults].filter((place) => ruledOut.has(place)).length;
          return (
            <li key={key}>
              {capital(says)}; {out} of {faults.size} ruled out
            </li>
          );
        })}
      </Lines>
    </>
  );
}

interface Asked {
  key: string;
  says: string;
  touches: readonly { shows: readonly number[] }[];
}

function onLoose({ state: { target } }: Bench, { loose }: TouchList): Asked[] {
  return Object.entries(loose).map(([slot, touches]) => ({
    key: slot,
    says: `${slotTitle(slot, target)}: ${touches.length === 1 ? '1 reading' : `${touches.length} readings`}, before it is joined`,
    touches,
  }));
}

/** With one plug apart: of the last one as a step, of another one when it is pulled. */
function withApart({ state: { target, touches: asked } }: Bench, { apart }: TouchList): Asked[] {
  return Object.entries(apart).map(([mate, { touches, seconds }]) => {
    const when = asked.apart?.mate === mate ? 'before it goes home' : 'asked once it is pulled';
    const says = `${touches.length === 1 ? '1 touch' : `${touches.length} touches`}, about ${Math.ceil(seconds)} s, ${when}`;
    return { key: mate, says: `${plugWords(mate, target)}: ${says}`, touches };
  });
}

/** Places that are written out of one kind. */
const mostPlaces = 5;

function Left({ bench: { state }, list }: { bench: Bench; list: TouchList }) {
  const kinds = leftByKind(list, state.touches.ruledOutEarlier);
  if (kinds.length === 0) return <Words>Nothing that is known to go wrong here.</Words>;
  return (
    <Lines $columns="60px minmax(0, 1fr)" aria-label="Left to the eye and to function">
      {kinds.map(({ kind, harm, faults }) => (
        <li key={`${harm} ${kind}`}>
          <span>{harm}</span>
          <span>
            {kind}:{' '}
            {enumerated(
              faults.map(({ site }) => faultPlaceWords(site, state.target)),
              mostPlaces,
            )}
          </span>
        </li>
      ))}
    </Lines>
  );
}
