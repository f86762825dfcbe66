/**
 * All that a list of touches stands on, as text: two builds with the same have the same list. What a wire looks like,
 * which physical parts are fitted, how they lie and what was found touching is not in it; what a model is, its name and
 * revision say.
 */
import type { Build } from '../../facts/assembly/build';
import { canonicalJson } from '../../facts/terms/canonicalJson';
import { coreVersion } from '../../facts/terms/coreVersion';
import { lookUp } from '../../facts/terms/lookUp';
import type { Meter } from '../../facts/terms/meter';
import type { ListWanted } from './listSchool';

export function listBasis(
  { slots, wires, housings, mates, hidden }: Build,
  meter: Meter,
  { school, minutes }: ListWanted,
): string {
  const { id: _id, name: _name, toneHz: _toneHz, ...card } = meter;
  return canonicalJson([
    coreVersion,
    inOrder(slots, ({ model, revision }) => [model, revision]),
    inOrder(wires, ({ awg, lengthMm, via, tailOf, bundle, ends }) => [awg, lengthMm, via, tailOf, bundle, ends]),
    inOrder(housings, (housing) => housing),
    inOrder(mates, (mate) => mate),
    Object.keys(hidden).sort(),
    card,
    [school, minutes],
  ]);
}

function inOrder<T>(table: Readonly<Record<string, T>>, pick: (one: T) => unknown): [string, unknown][] {
  return Object.keys(table)
    .sort()
    .map((name) => [name, pick(lookUp(table, name)!)]);
}
