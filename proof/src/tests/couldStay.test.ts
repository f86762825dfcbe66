/** The oracle of exchanges: it names what was undone in vain, and nothing else. */
import type { Build } from '@junctor/core';
import { shippedTemplates } from '@junctor/catalogue';
import { describe, expect, it } from 'vitest';
import { undoneInVain } from '../oracles/couldStay';

const { target } = shippedTemplates().find(({ id }) => id === 'quad-serial-6s')!.plan;
const loose = Object.values(target.wires).find(
  ({ from, ends }) => from === 'stock' && ends.every(({ by }) => by === 'solder'),
)!;
const [plugged, mate] = Object.entries(target.mates)[0]!;
const without = (table: Readonly<Record<string, unknown>>, key: string) =>
  Object.fromEntries(Object.entries(table).filter(([id]) => id !== key));
const renamedWire = { ...target, wires: { ...without(target.wires, loose.id), Z1: { ...loose, id: 'Z1' } } } as Build;
const renamedPlug = { ...target, mates: { ...without(target.mates, plugged), ZZ: mate } } as Build;

describe('what was undone in vain', () => {
  it('is nothing where nothing is undone, and where it does not come back', () => {
    expect(undoneInVain(target, target)).toEqual([]);
    expect(undoneInVain(target, { ...target, wires: without(target.wires, loose.id) } as Build)).toEqual([]);
  });
  it('is a wire that comes off two pads for one that is the same', () => {
    expect(undoneInVain(target, renamedWire)).toHaveLength(2);
  });
  it('is a plug that is pulled and goes in again under another name', () => {
    expect(undoneInVain(target, renamedPlug)).toHaveLength(1);
  });
});
