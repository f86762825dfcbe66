/** Answers that keep their place on every bench screen. */
import type { Act, Step } from '@junctor/core';
import { notesAbout, ofJob, stretches } from '@junctor/core';
import type { Bench } from '../../bench/provider/bench';
import type { Doors } from '../../bench/provider/useDoors';
import type { Answer } from '../../ui/Answers';

/** Back and Problem, with the looking keys that need no button. */
export function commonAnswers({ state: { steps, current } }: Bench, { places, open }: Doors): Answer[] {
  const here = current ? steps.indexOf(current) : steps.length;
  const look = (index: number) => open(places.step(stepAt(steps, index).id));
  return [
    { key: '-', also: ['ArrowLeft'], label: 'Back', act: () => look(here - 1) },
    { key: '*', also: ['p'], label: 'Problem', act: () => open(places.problem) },
    { key: '+', also: ['ArrowRight'], label: 'Look ahead', hidden: true, act: () => look(here + 1) },
    { key: 'z', label: 'Take back the last record', hidden: true, act: () => open(places.takeBack) },
    { key: 'm', label: 'The wiring', hidden: true, act: () => open(places.wiring()) },
    { key: 'l', label: 'The touches, and what they prove', hidden: true, act: () => open(places.touches) },
    { key: '[', label: 'Look at the stretch before', hidden: true, act: () => look(ferrule(steps, here, -1)) },
    { key: ']', label: 'Look at the stretch after', hidden: true, act: () => look(ferrule(steps, here, 1)) },
  ];
}

/** What stays while something is asked for: in a number a minus is a minus, and behind a digit m is milli. */
export function askedAnswers(
  bench: Bench,
  doors: Doors,
  { number, typed }: { number: boolean; typed: string },
): Answer[] {
  return commonAnswers(bench, doors).filter(
    ({ key }) => key === '*' || (key === '-' && !number) || (['m', 'l'].includes(key) && typed === ''),
  );
}

/** The nearest step to a place on the cord. */
export function stepAt(steps: readonly Step[], index: number): Step {
  return steps[Math.max(0, Math.min(steps.length - 1, index))]!;
}

export function whyAnswer({ places, open }: Doors): Answer {
  return { key: '8', also: ['w'], label: 'Why now', act: () => open(places.why) };
}

/** First step of the stretch before or after the one a step is in. */
export function ferrule(steps: readonly Step[], index: number, direction: 1 | -1): number {
  const stretch = stretches.indexOf(stepAt(steps, index).stretch);
  const wanted = stretches[Math.max(0, Math.min(stretches.length - 1, stretch + direction))];
  return steps.findIndex((step) => step.stretch === wanted);
}

/** Puts off what may wait: said in the log, never forgotten. */
export function notNow(bench: Bench, step: Step): Answer {
  return {
    key: '+',
    also: ['n'],
    label: 'Not now',
    act: () => bench.record([{ saw: 'skip', step: step.id, reason: 'put off at the table' }], step.id),
  };
}

/** Acts that put parts in place, with the physical part that was counted onto the table for the slot. */
export function withParts(bench: Bench, effect: readonly Act[]): readonly Act[] {
  return effect.map((act) =>
    act.do === 'fit'
      ? { ...act, fitted: { ...act.fitted, part: act.fitted.part ?? countedPart(bench, act.slot) } }
      : act,
  );
}

/** The physical part on the table for a slot, or null when none was named. */
export function countedPart({ job, state: { steps, log } }: Bench, slot: string): string | null {
  const step = steps.find(
    (step) => step.verb === 'count' && step.line.kind === 'part' && step.line.slots.includes(slot),
  );
  if (step?.verb !== 'count') return null;
  const counted = notesAbout(log, 'kit', step.subject).findLast(ofJob(job.id))?.record.body.parts ?? [];
  return counted[step.line.slots.indexOf(slot)] ?? null;
}
