/** Answers that keep their place on every bench screen. */
import type { Act, Step } from '@junctor/core';
import { notesAbout, ofJob, stretches } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import type { SetMode } from './mode';
import type { Bench } from './useBench';

/** Back, Problem and Why now, with the looking keys that need no button. */
export function commonAnswers(bench: Bench, setMode: SetMode): Answer[] {
  const { steps, current } = bench.state;
  const here = current ? steps.indexOf(current) : steps.length;
  const look = (index: number) => setMode({ is: 'looking', index: Math.max(0, Math.min(steps.length - 1, index)) });
  return [
    { key: '-', also: ['ArrowLeft'], label: 'Back', act: () => look(here - 1) },
    { key: '*', also: ['p'], label: 'Problem', act: () => setMode({ is: 'problem' }) },
    { key: '+', also: ['ArrowRight'], label: 'Look ahead', hidden: true, act: () => look(here + 1) },
    { key: 'z', label: 'Take back the last record', hidden: true, act: () => setMode({ is: 'take back' }) },
    { key: 'm', label: 'The wiring', hidden: true, act: () => setMode({ is: 'wiring', wire: null }) },
    { key: '[', label: 'Look at the stretch before', hidden: true, act: () => look(ferrule(bench, here, -1)) },
    { key: ']', label: 'Look at the stretch after', hidden: true, act: () => look(ferrule(bench, here, 1)) },
  ];
}

export function whyAnswer(setMode: SetMode): Answer {
  return { key: '8', also: ['w'], label: 'Why now', act: () => setMode({ is: 'why' }) };
}

/** First step of the stretch before or after the one a step is in. */
export function ferrule(bench: Bench, index: number, direction: 1 | -1): number {
  const { steps } = bench.state;
  const stretch = stretches.indexOf(steps[Math.min(index, steps.length - 1)]!.stretch);
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
    act.do === 'fit' ? { ...act, fitted: { ...act.fitted, part: countedPart(bench, act.slot) } } : act,
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
