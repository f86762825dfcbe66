/**
 * Physical checks of the shipped part models. Each model is broken on purpose in every kind of fault that it has room
 * for; unbroken models must pass, broken ones must not.
 */
import type { PartModel } from '@junctor/core';
import { checkComplete, checkLooseReadings, checkModel } from '@junctor/core';
import { check, partModel } from '@junctor/core/schemas';
import { shippedModels } from '@junctor/catalogue';
import type { Mutable } from '../generators/brokenModels/broken';
import { kindsOfFault } from '../generators/brokenModels/index';
import type { Measurement } from './measurement';
import { none } from './measurement';

const leastKinds = 60;

const passes = (model: PartModel) =>
  check(partModel, model).ok &&
  checkModel(model).length === 0 &&
  checkComplete(model).length === 0 &&
  checkLooseReadings(model).length === 0;

export async function models(): Promise<Measurement[]> {
  const shipped = shippedModels();
  const good = shipped.filter(passes).length;
  const missed: string[] = [];
  const used = new Set<string>();
  let broken = 0;
  for (const model of shipped)
    for (const [name, breakIt] of Object.entries(kindsOfFault)) {
      const copy = structuredClone(model) as unknown as Mutable;
      if (!breakIt(copy)) continue;
      broken += 1;
      used.add(name);
      if (passes(copy as unknown as PartModel)) missed.push(`${model.id}: ${name}`);
    }
  for (const line of missed) console.log(`# not found: ${line}`);
  return [
    {
      what: `shipped models that pass every check, of ${shipped.length}:`,
      value: String(good),
      unit: 'models',
      bar: `=${shipped.length}`,
      met: good === shipped.length,
    },
    {
      what: 'kinds of fault that some model has room for:',
      value: String(used.size),
      unit: '',
      bar: `>=${leastKinds}`,
      met: used.size >= leastKinds,
    },
    none(`models broken on purpose that pass, of ${broken}:`, missed.length),
  ];
}
