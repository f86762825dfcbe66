/** An inside that nobody knows: no touch on which the reading hangs is in the list, and none is judged. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PartModel, PlanDraft } from '@junctor/core';
import { assemble, compile, expectIn, makeCatalogue, probeList } from '@junctor/core';
import { shippedMeters, shippedModels } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { expect, it } from 'vitest';

const example = join(import.meta.dirname, '../../../docs/formats/example-build.json');
const { plan } = JSON.parse(readFileSync(example, 'utf8')) as { plan: PlanDraft };
const meter = { id: 'meter', ...shippedMeters[0]! };
const esc = shippedModels().find(({ id }) => id === plan.target.slots.ESC!.model)!;
const [phase, ground] = ['A1', 'BM'].map((id) => esc.terminals.find((terminal) => terminal.id === id)!.node);
/** Whether its first phase is joined with ground nobody knows. */
const drawnUp: PartModel = {
  ...esc,
  elements: [
    ...esc.elements,
    { id: 'WHO', fails: [], is: 'switch', a: phase!, b: ground!, onOhms: 1, closedWhen: 'unknown' },
  ],
};
const catalogue = makeCatalogue([drawnUp, ...shippedModels().filter(({ id }) => id !== esc.id)]);
const assembly = assemble(plan.target, catalogue);

it('is for the record only, in every mode', () => {
  const circuit = compile(assembly);
  for (const mode of ['tone', 'ohms', 'diode'] as const) {
    const touch = { black: 'BAT.MINUS', red: 'ESC.A1', mode, power: 'off' } as const;
    expect([mode, expectIn(circuit, touch, { meter }).from]).toEqual([mode, 'none']);
    const beside = { ...touch, red: 'ESC.A2' } as const;
    expect([mode, expectIn(circuit, beside, { meter }).from]).toEqual([mode, 'computed']);
  }
});

it('is asked for by no list, and what only it could show is named as not seen', async () => {
  const made = probeList(assembly, { meter, solve: await loadSolver() });
  if (made.is === 'gave up') throw new Error(made.why);
  const circuit = compile(assembly);
  const unknown = made.list.touches.filter(({ touch }) => expectIn(circuit, touch, { meter }).from === 'none');
  expect(unknown.map(({ touch }) => touch)).toEqual([]);
}, 60_000);
