/** A part of a half-built aircraft gives way to another: pads are found by what they mean, and what can stay stays. */
import { assemble, compose, draftOf, inPlaceOf, landedOn, makeCatalogue, putOn } from '@junctor/core';
import type { Build, Draft } from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { describe, expect, it } from 'vitest';
import { undoneInVain } from '../oracles/couldStay';

const models = shippedModels();
const catalogue = makeCatalogue(models);
const model = (id: string) => models.find((one) => one.id === id)!;
const given = { catalogue, stock: models, pack: null, solve: await loadSolver() };
const heap = {
  name: 'plain',
  cells: null,
  parts: ['coppice-frame-8', 'lapwing-esc-45', 'plover-fc-36', 'dunlin-rx-2', 'petrel-gps-25']
    .map((id) => ({ model: id, count: 1 }))
    .concat({ model: 'marl-motor-2812', count: 4 }),
};
const first = compose(draftOf(heap, catalogue).draft, given);
if (first.is !== 'composed') throw new Error(first.is);
const built = first.plan.target;
const draft: Draft = { ...first.plan, slots: built.slots };
const exchanged = (other: Draft): Build => {
  const made = compose(other, { ...given, keep: built, built });
  if (made.is !== 'composed') throw new Error(made.is);
  return made.plan.target;
};
const onPart = (build: Build, slot: string) =>
  Object.values(build.wires).filter(({ ends }) => ends.some((end) => landedOn(end)?.startsWith(`${slot}.`)));

describe('in a built aircraft', () => {
  it('another receiver takes nothing with it but what hangs on the old one', () => {
    const target = exchanged(inPlaceOf(draft, ['RX'], { model: model('teal-rx-c') }, catalogue));
    expect(target.slots.RX!.model).toBe('teal-rx-c');
    const of = new Set(onPart(built, 'RX').map(({ id }) => id));
    for (const wire of Object.values(built.wires)) if (!of.has(wire.id)) expect(target.wires[wire.id]).toEqual(wire);
    expect(undoneInVain(built, target)).toEqual([]);
  });

  it('another controller has every wire on a pad of the same meaning, whatever is printed there', () => {
    const target = exchanged(inPlaceOf(draft, ['FC'], { model: model('godwit-fc-40') }, catalogue));
    const assembly = assemble(target, catalogue);
    for (const wire of onPart(target, 'FC'))
      for (const end of wire.ends) {
        const ref = landedOn(end);
        if (ref?.startsWith('FC.')) expect([ref, assembly.terminal(ref)]).not.toEqual([ref, null]);
      }
    expect(undoneInVain(built, target)).toEqual([]);
  });

  it('one part more, or less, leaves all others as they are', () => {
    const more = exchanged(putOn(draft, { model: model('corncrake-bz-5'), count: 1 }, catalogue));
    expect(Object.keys(more.slots)).toContain('BZ');
    for (const wire of Object.values(built.wires)) expect(more.wires[wire.id]).toEqual(wire);
    const { GPS: _gone, ...slots } = draft.slots;
    const less = exchanged({ ...draft, slots, wishes: draft.wishes.filter(({ of }) => of !== 'GPS') });
    for (const [id, wire] of Object.entries(less.wires)) expect(built.wires[id]).toEqual(wire);
  });
});
