/**
 * Remedies of what blind mutations spoil: how many are known, and whether the wiring works again by the powered solve.
 */
import { goodBuilds } from '../trials/ruleTrial';
import { mended } from '../trials/remedyTrial';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';

const every = 17;

export async function remedies(): Promise<Measurement[]> {
  const from = performance.now();
  const all = goodBuilds().flatMap((good) => mended(good, every).map((mended) => ({ ...mended, of: good.name })));
  const seconds = (performance.now() - from) / 1000;
  const known = all.filter(({ remedy }) => remedy !== null);
  for (const { of, mutant, message } of all.filter(({ remedy }) => remedy === null))
    console.log(`# no remedy: ${of}: ${mutant.operator}, ${mutant.what}: ${message}`);
  const wrong = known.filter(({ gone, then }) => !gone || (then !== null && then.is !== 'fine'));
  for (const { of, mutant, remedy, then } of wrong)
    console.log(`# wrong: ${of}: ${mutant.operator}, ${mutant.what}: ${remedy}: ${then?.because ?? 'still found'}`);
  const percent = (100 * known.length) / all.length;
  return [
    {
      what: `findings with a remedy, of ${all.length}:`,
      value: percent.toFixed(1),
      unit: '%',
      bar: '>=90',
      met: percent >= 90,
    },
    none(`remedies that do not mend, by rules and powered solve, of ${known.length}:`, wrong.length),
    atMost('looking for remedies, mean', { value: seconds / all.length, unit: 's', bar: 1, digits: 2 }),
  ];
}
