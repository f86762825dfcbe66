/** Gates: the checks of a stretch that must hold before the next one opens. Derived, never stored. */
import type { FoldedLog } from '../../facts/log/fold';
import type { Finding } from '../../judgement/rules/finding';
import { openFaults } from './firstPower';
import type { Gate, Step } from './step';
import { stretches } from './step';

/** One gate for each stretch, in order. A gate is passed when every step of its stretch is done. */
export function gates(steps: readonly Step[]): Gate[] {
  return stretches.map((id) => {
    const open = steps.filter((step) => step.stretch === id && !step.done);
    const unpassedBy = open.map(({ reopenedBy }) => reopenedBy).find(Boolean) ?? null;
    return { id, state: open.length === 0 ? 'passed' : 'blocking', missing: open.map((step) => step.id), unpassedBy };
  });
}

/**
 * Why limited power may not be given now, in words, in the order in which to clear it; empty when a permit may be made.
 * Everything before the permit must be done, no stop or kill may be open, no fault may be unmended.
 */
export function powerObjections(
  steps: readonly Step[],
  findings: readonly Finding[],
  log: FoldedLog,
  say: (step: Step) => string,
): string[] {
  const permitAt = steps.findIndex(({ verb }) => verb === 'permit');
  const open = steps.slice(0, permitAt).filter(({ done }) => !done);
  return [
    ...open.map((step) => (step.against ? `${say(step)}: ${step.against}` : say(step))),
    ...findings.filter(({ severity }) => severity !== 'warn').map(({ says }) => says),
    ...openFaults(log).map(({ record }) => `Open fault: ${record.body.fault.symptom}`),
  ];
}
