/**
 * Pairs of builds for judging conversions by: planned builds of one family, and small ones of two parts and a few
 * wires.
 */
import type { Build, Catalogue, Wire } from '@junctor/core';
import { emptyBuild } from '@junctor/core';
import { random } from './generate';

/** A small build: a board, one or two receivers, one or two wires between them, some with an end in the air. */
export function smallBuild(seed: number, catalogue: Catalogue): Build {
  const next = random(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const models: Record<string, string> = {
    FC: 'plover-fc-36',
    RX: pick(['dunlin-rx-2', 'goldeneye-rx-33']),
    ...(next() < 0.15 ? { RX2: 'dunlin-rx-2' } : {}),
  };
  const slots = Object.fromEntries(
    Object.entries(models).map(([slot, model]) => [slot, { model, revision: 1, part: null, pose: null }]),
  );
  const pads = ['FC.TX1', 'FC.RX1', 'FC.5V1', 'FC.G1'];
  const own = Object.entries(models)
    .filter(([slot]) => slot !== 'FC')
    .flatMap(([slot, model]) =>
      catalogue
        .model({ model, revision: 1 })
        .terminals.slice(0, 3)
        .map(({ id }) => `${slot}.${id}`),
    );
  const wires = Object.fromEntries(
    ['W1', 'W2']
      .filter(() => next() < 0.85)
      .map((id): [string, Wire] => {
        const end = (list: readonly string[]): Wire['ends'][number] =>
          next() < 0.15
            ? { at: { on: 'air', end: 'bare' }, by: 'none' }
            : { at: { on: 'terminal', ref: pick(list) as `${string}.${string}` }, by: 'solder' };
        return [
          id,
          {
            id,
            awg: 28,
            colour: 'white',
            insulation: 'silicone',
            from: 'stock',
            lengthMm: 60,
            via: [],
            ends: [{ at: { on: 'terminal', ref: pick(own) as `${string}.${string}` }, by: 'solder' }, end(pads)],
          },
        ];
      }),
  );
  return { ...emptyBuild, slots, wires };
}
