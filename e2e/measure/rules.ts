/** The rules against blind mutations of the shipped wiring, whose truth shares no code with them. */
import { judge } from '@junctor/core';
import { catalogue, mutants, plan, truth } from '@junctor/demo/testing/mutations';
import type { Measurement } from './measurement';

export async function rules(): Promise<Measurement[]> {
  const all = mutants().map((mutant) => {
    const severities = judge(mutant.build, catalogue, plan.links, mutant.cells).map(({ severity }) => severity);
    return { is: truth(mutant), kill: severities.includes('kill'), any: severities.some((severity) => severity !== 'warn') };
  });
  const share = (what: string, of: typeof all, found: (one: (typeof all)[number]) => boolean, least: number): Measurement => {
    const percent = (100 * of.filter(found).length) / of.length;
    return { what: `${what}, of ${of.length} mutations:`, value: percent.toFixed(1), unit: '%', bar: `>=${least}`, met: percent >= least };
  };
  return [
    share('kills found', all.filter(({ is }) => is === 'kill'), ({ kill }) => kill, 100),
    share('stops found', all.filter(({ is }) => is === 'stop'), ({ any }) => any, 98),
  ];
}
