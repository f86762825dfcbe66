/** What the technician reads must leave no choice. */
import {
  assemble,
  deriveJob,
  emptyLog,
  makeCatalogue,
  neighboursOf,
  padWords,
  recipeFor,
  stepWords,
} from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { plainList } from '@junctor/demo';
import { shippedModels, shippedTemplate } from '@junctor/catalogue';

const catalogue = makeCatalogue(shippedModels());
const plan = { ...shippedTemplate('quad-serial-6s').plan, jobId: 'j', version: 1 };
const target = assemble(plan.target, catalogue);

describe('names of pads', () => {
  it.each(Object.keys(plan.target.slots))('of %s are different on each side, so that no two pads share one', (slot) => {
    const model = catalogue.model(plan.target.slots[slot]!);
    for (const side of ['top', 'bottom'] as const) {
      const pads = model.terminals.filter((terminal) => terminal.sides.includes(side) && terminal.form !== 'pin');
      const names = pads.map(({ id }) => padWords(`${slot}.${id}`, target));
      expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([]);
    }
  });
});

it('every step has a sentence of its own', () => {
  const state = deriveJob({ jobId: 'j', plan, log: emptyLog(catalogue), catalogue, list: plainList(target) });
  const sentences = state.steps.map((step) => stepWords(step, state));
  for (const sentence of sentences) expect(sentence).not.toMatch(/undefined|null|\[object/);
  expect(sentences.filter((sentence, index) => sentences.indexOf(sentence) !== index)).toEqual([]);
});

it('neighbours are those on the same side within two millimetres, nearest first', () => {
  const fc = catalogue.model({ model: 'plover-fc-36', revision: 1 });
  const near = (id: string) =>
    neighboursOf(
      fc,
      fc.terminals.find((terminal) => terminal.id === id)!,
    ).map(({ terminal }) => terminal.id);
  expect(near('RX2').sort()).toEqual(['5V2', 'TX2']);
  expect(near('SDA').sort()).toEqual(['RX4', 'SCL']);
});

it.each([
  [30, 350, 'signal'],
  [28, 350, 'signal'],
  [20, 400, 'motor'],
  [12, 430, 'battery'],
] as const)('%d AWG is soldered at %d °C, inside the range for a %s pad', (awg, setC, kind) => {
  const recipe = recipeFor(awg, { sizeMm: [1.2, 2] });
  expect(recipeFor(awg, { sizeMm: [1.2, 2] }, 'lead-free').setC).toBe(Math.min(450, recipe.setC + 30));
  const ranges = { signal: [320, 370], motor: [380, 420], battery: [400, 450] } as const;
  expect(recipe.setC).toBe(setC);
  expect(recipe.setC).toBeGreaterThanOrEqual(ranges[kind][0]);
  expect(recipe.setC).toBeLessThanOrEqual(ranges[kind][1]);
  expect(recipe.stripMm).toBeLessThanOrEqual(2);
  expect(recipe.flowsS[1]).toBeLessThanOrEqual(recipe.stopS);
});
