/**
 * `junctor COMMAND FILE`: readable text, or data with --json. Ends with 0 clean, 1 something found, 2 bad input.
 */
import { parseArgs } from 'node:util';
import type { Meter, PartModel } from '@junctor/core';
import { checkModel, makeCatalogue } from '@junctor/core';
import { shippedMeters, shippedModels } from '@junctor/catalogue';
import type { NetlistAs, Said } from './commands';
import { checkFile, convertFiles, netlistOf, planFile, sheetOf } from './commands';
import { composeHeap } from './compose';
import { cutsOf } from './cuts';
import { expectModes, expectOf, simulateOf } from './faults';
import type { LayoutAs } from './layout';
import { layoutFile } from './layout';
import { probesOf } from './probes';
import { BadInput, readBuildFile, readHeapFile, readText } from './readFile';

const usage = `junctor check FILE                judges a build by every rule
junctor plan FILE [--keep BUILT]  plans its wiring from its parts and wishes, beside what is built; --json gives the build file
junctor compose HEAP              an aircraft of a heap of parts: what it lacks or what clashes, else its plan
junctor convert FROM TO           what must be done to make the one the other
junctor netlist FILE [--as nets|spice|csv|svg] [--fault FAULT]
                                  a deck with a fault in it, by its name from simulate
junctor layout FILE [--as text|above|side]
                                  every part in the frame, margins, cut lengths; drawings to scale
junctor cuts FILE [--offcuts STOCK]
                                  which wire is cut from which offcut of a stock list, and what comes off the reels
junctor sheet FILE [--dump DUMP]  the set-up sheet, or a dump of settings held against it
junctor probes FILE [--school proven|warnings] [--minutes N] [--meter NAME]
                                                      [--as text|csv]
                                  the quickest touches that prove it before first power, and what they prove
junctor expect FILE BLACK RED [--mode tone|diode|ohms] [--meter NAME]
                                  what the meter must show between two terminals, and through what
junctor simulate FILE [--fault FAULT] [--meter NAME]
                                  everything that can be wrong; with one of them, what touches show of it
  --json  data instead of text    --catalogue FILE  part models beside the shipped ones`;

/** Of one's hands, for one list. */
const mostMinutes = 60;

/** What each command can print, the usual first. */
const formsOf: Readonly<Record<string, readonly string[]>> = {
  check: ['text'],
  plan: ['text'],
  compose: ['text'],
  convert: ['text'],
  layout: ['text', 'above', 'side'],
  cuts: ['text'],
  netlist: ['nets', 'spice', 'csv', 'svg'],
  sheet: ['text'],
  probes: ['text', 'csv'],
  expect: ['text'],
  simulate: ['text'],
};

async function run(): Promise<Said> {
  const {
    positionals: [command, file, second, third],
    values,
  } = parseArgs({
    allowPositionals: true,
    options: {
      json: { type: 'boolean' },
      catalogue: { type: 'string' },
      as: { type: 'string' },
      dump: { type: 'string' },
      offcuts: { type: 'string' },
      keep: { type: 'string' },
      school: { type: 'string' },
      minutes: { type: 'string' },
      meter: { type: 'string' },
      mode: { type: 'string' },
      fault: { type: 'string' },
    },
  });
  const forms = Object.hasOwn(formsOf, command ?? '') ? formsOf[command!]! : [];
  const as = values.as ?? forms[0] ?? '';
  const mode = expectModes.find((one) => one === (values.mode ?? 'tone'));
  const known = forms.includes(as) && mode !== undefined && ['proven', 'warnings', undefined].includes(values.school);
  if (!known || !file || (command === 'convert' && !second))
    throw new BadInput([{ file: 'junctor', line: 1, path: '', reason: `\n${usage}` }]);
  const catalogue = makeCatalogue([...(values.catalogue ? modelsIn(values.catalogue) : []), ...shippedModels()]);
  if (command === 'compose') return composeHeap(readHeapFile(file, catalogue), catalogue);
  const build = readBuildFile(file, catalogue);
  switch (command) {
    case 'check':
      return checkFile(build, catalogue);
    case 'plan':
      return planFile(build, catalogue, values.keep ? readBuildFile(values.keep, catalogue).plan.target : null);
    case 'convert':
      return convertFiles(build, readBuildFile(second!, catalogue), catalogue);
    case 'layout':
      return layoutFile(build, catalogue, as as LayoutAs);
    case 'cuts':
      return cutsOf(build, catalogue, values.offcuts);
    case 'netlist':
      return netlistOf(build, catalogue, { as: as as NetlistAs, fault: values.fault });
    case 'expect':
      return expectOf(build, catalogue, { black: second, red: third, mode, meter: meterNamed(values.meter) });
    case 'simulate':
      return simulateOf(build, catalogue, { fault: values.fault, meter: meterNamed(values.meter) });
    case 'probes':
      return probesOf(build, catalogue, {
        meter: meterNamed(values.meter),
        minutes: minutesFrom(values.minutes),
        school: values.school === 'warnings' ? 'with warnings' : 'proven',
        as: as as 'text' | 'csv',
      });
    default:
      return sheetOf(build, catalogue, values.dump ?? null);
  }
}

/** @throws {BadInput} If it is no number of minutes. */
function minutesFrom(text: string | undefined): number | undefined {
  const minutes = text === undefined ? undefined : Number(text);
  if (minutes === undefined || (minutes >= 0 && minutes <= mostMinutes)) return minutes;
  const reason = `${text} is no number of minutes from 0 to ${mostMinutes}`;
  throw new BadInput([{ file: 'junctor', line: 1, path: '--minutes', reason }]);
}

/** @throws {BadInput} If no card has that name. */
function meterNamed(name: string | undefined): Meter {
  const card = name === undefined ? shippedMeters[0] : shippedMeters.find((one) => one.name === name);
  if (card) return { id: card.name, ...card };
  const known = shippedMeters.map((one) => one.name).join(', ');
  throw new BadInput([{ file: 'junctor', line: 1, path: '--meter', reason: `no card ${name}; there are ${known}` }]);
}

/** @throws {BadInput} If the file is no catalogue. */
function modelsIn(file: string): PartModel[] {
  let read: { models?: PartModel[] };
  try {
    read = JSON.parse(readText(file)) as { models?: PartModel[] };
  } catch (error) {
    if (error instanceof BadInput) throw error;
    throw new BadInput([{ file, line: 1, path: '', reason: 'is no JSON' }]);
  }
  const models = read.models ?? [];
  const wrong = models.flatMap((model) =>
    checkModel(model).map(({ path, message }) => ({ file, line: 1, path: `${model.id}.${path}`, reason: message })),
  );
  if (wrong.length > 0) throw new BadInput(wrong);
  return models;
}

try {
  const said = await run();
  process.stdout.write(`${process.argv.includes('--json') ? JSON.stringify(said.data, null, 2) : said.text}\n`);
  process.exitCode = said.found ? 1 : 0;
} catch (error) {
  // Unknown options are the caller's too.
  if (!(error instanceof BadInput) && !(error instanceof TypeError && 'code' in error)) throw error;
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 2;
}
