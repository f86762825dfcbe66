/**
 * Benchmarks: prints `name value unit bar` a line; ends with an error when a bar is missed. ./measure [NAME] runs those
 * whose name begins so; --long takes the long form of those that have one.
 */
import type { Measurement } from '@junctor/proof';
import {
  composedProbes,
  composing,
  conversions,
  exchanges,
  growth,
  labelledComposed,
  labels,
  layout,
  lists,
  meter,
  models,
  pace,
  planner,
  plantedClashes,
  probes,
  remedies,
  replacements,
  rules,
  tones,
  unseen,
  wholeHistories,
  wrongFamilies,
  impossibleRequests,
} from '@junctor/proof';
import { firstLoad } from './firstLoad';
import { access } from './access';
import { floor } from './floor';
import { fuzz } from './fuzz/fuzz';
import { gate } from './gate/gate';
import { kill } from './kill';
import { pageOfJob } from './page';
import { planning } from './planning';
import { stores } from './stores';

/** Some bars take an hour: short by default. */
const long = process.argv.includes('--long');
const groups: Readonly<Record<string, () => Promise<Measurement[]>>> = {
  rules,
  'families of wrong wiring': wrongFamilies,
  'impossible requests': () => impossibleRequests(long),
  'unseen wirings': unseen,
  remedies,
  planner,
  compose: () => composing(long),
  'compose, planted clashes': () => plantedClashes(long),
  'compose, parts exchanged': () => exchanges(long),
  'compose, boards from labels': labelledComposed,
  'compose, continuity': () => composedProbes(long),
  conversion: conversions,
  'page of a job': pageOfJob,
  'page while planning': planning,
  labels,
  layout,
  meter: () => meter(long),
  models,
  tones,
  probes: () => probes(long),
  'lists that ship': lists,
  pace,
  replacements,
  histories: wholeHistories,
  'growing log': growth,
  floor,
  stores,
  'first load': firstLoad,
  gate: () => gate(long),
  kill: () => kill(long),
  access,
  fuzz: () => fuzz(long),
};
const asked = process.argv.slice(2).find((argument) => !argument.startsWith('--')) ?? '';
const wanted = Object.entries(groups).filter(([name]) => name.startsWith(asked));
if (wanted.length === 0) {
  console.error(`No bar is called ${asked}. There are: ${Object.keys(groups).join(', ')}`);
  process.exit(2);
}
let missed = 0;
for (const [, run] of wanted) {
  for (const { what, value, unit, bar, met } of await run()) {
    console.log(`${what} ${value} ${unit} ${bar}${met ? '' : '  MISSED'}`);
    if (!met) missed += 1;
  }
}
process.exit(missed === 0 ? 0 : 1);
