/** The numbers of a model that judgement rests on, each with the pointer to it and how sure it is. */
import type { PartModel } from '@junctor/core';
import { certaintyAt } from '@junctor/core';

export interface KnownNumber {
  pointer: string;
  what: string;
  value: number;
  unit: string;
  sure: ReturnType<typeof certaintyAt>;
}

const units: Readonly<Record<string, string>> = {
  ohms: 'Ω',
  offOhms: 'Ω unpowered',
  farads: 'F',
  esrOhms: 'Ω in series',
  ratedV: 'V rated',
  outV: 'V out',
  minInV: 'V in at least',
  limitA: 'A at most',
  idleA: 'A idle',
  typicalA: 'A typical',
  peakA: 'A peak',
  forwardV: 'V forward',
  henries: 'H',
  massG: 'g',
  limitErpm: 'turns a minute, electrical',
  kv: 'turns a minute and volt',
  polePairs: 'pole pairs',
  onOhms: 'Ω closed',
};
/** Clamps and leaks are many and alike: one of each kind stands for them. */
const repeated = /^(CLAMP|LEAK|PULL|HI-|LO-|SENSE|UNKNOWN)/;

export function numbersOf(model: PartModel): KnownNumber[] {
  const number = (pointer: string, what: string, key: string, value: unknown): KnownNumber[] =>
    typeof value === 'number' && units[key]
      ? [{ pointer, what, value, unit: units[key], sure: certaintyAt(model, pointer) }]
      : [];
  const elements = model.elements.flatMap((element, index) =>
    repeated.test(element.id)
      ? []
      : Object.entries(element).flatMap(([key, value]) => number(`/elements/${index}/${key}`, element.id, key, value)),
  );
  const speed = Object.entries(model.speed ?? {}).flatMap(([key, value]) =>
    number(`/speed/${key}`, 'speed', key, value),
  );
  return [...number('/massG', 'mass', 'massG', model.massG), ...speed, ...elements];
}

/** The next revision of a model with one number changed and said how sure it is. */
export function withNumber(model: PartModel, pointer: string, value: number, sure: KnownNumber['sure']): PartModel {
  const next = structuredClone(model) as PartModel & Record<string, unknown>;
  const names = pointer.split('/').slice(1);
  const last = names.pop()!;
  const holder = names.reduce<Record<string, unknown>>((at, name) => at[name] as Record<string, unknown>, next);
  holder[last] = value;
  return { ...next, revision: model.revision + 1, knownFrom: { ...model.knownFrom, [pointer]: sure } };
}
