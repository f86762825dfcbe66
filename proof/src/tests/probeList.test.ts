/** The list of touches: what it says that it shows it shows, by circuits edited here; none of it can be left out. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Circuit, Defect, PlanDraft, Touch, TouchList } from '@junctor/core';
import {
  assemble,
  compile,
  defectsOf,
  expectIn,
  makeCatalogue,
  netlist,
  probeList,
  reduceToPort,
  sourceOf,
  touchResponse,
} from '@junctor/core';
import { shippedMeters, shippedModels } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { beforeAll, describe, expect, it } from 'vitest';
import { random } from '../generators/generate';

const example = join(import.meta.dirname, '../../../docs/formats/example-build.json');
const { plan } = JSON.parse(readFileSync(example, 'utf8')) as { plan: PlanDraft };
const assembly = assemble(plan.target, makeCatalogue(shippedModels()));
const circuit = compile(assembly);
const meter = { id: 'meter', ...shippedMeters[0]! };
const { countsTo: most, ...diode } = sourceOf(meter, 'diode');
const countsTo = most!;
/** One that shows numbers as far as its source goes: its bands are whole. */
const counting = { ...meter, modes: { ...meter.modes, diode } };

const defects = defectsOf(assembly);
let list: TouchList;
beforeAll(async () => {
  const made = probeList(assembly, { meter, solve: await loadSolver() });
  if (made.is === 'gave up') throw new Error(made.why);
  list = made.list;
}, 60_000);

/** The circuit with the fault in it, made anew. */
function faulty({ edits }: Defect): Circuit {
  const cut = new Set(edits.flatMap((edit) => ('cut' in edit ? [edit.cut] : [])));
  const bridges = edits.flatMap((edit, index): Circuit['branches'][number][] =>
    'cut' in edit
      ? []
      : [
          {
            id: `added ${index}`,
            a: edit.bridge[0],
            b: edit.bridge[1],
            element: { is: 'resistor', ohms: edit.ohms },
            site: { slot: 'none' },
          },
        ],
  );
  return { ...circuit, branches: [...circuit.branches.filter(({ id }) => !cut.has(id)), ...bridges] };
}

/** Red against black once settled, as far as the meter counts. */
function settledV(on: Circuit, { black, red, mode }: Touch): number {
  const port = reduceToPort(on, { blackNode: on.at[black]!, redNode: on.at[red]! }, 0.5, false);
  const { settledV: volts } = touchResponse(
    port,
    meter,
    {},
    {
      heldS: 0,
      watchS: 0,
      mode: mode === 'tone' ? 'tone' : 'diode',
    },
  );
  return Math.min(volts, countsTo);
}

describe('the list', () => {
  it('shows what it says, and nothing of what it does not say, outside the band of good readings', () => {
    const chance = random(3);
    const all = [...defects.entries()].filter(([, { edits }]) => edits.length > 0);
    for (const { touch, shows } of list.touches.filter(({ touch: { mode } }) => mode === 'diode')) {
      const [low, high] = expectIn(circuit, touch, { meter: counting }).band!;
      for (const [place, defect] of all.filter(() => chance() < 0.1)) {
        const volts = settledV(faulty(defect), touch);
        // Between the band and as much again a fault may be said or not.
        const said = [defect.id, touch, volts, low, high, shows.includes(place)];
        if (volts > low && volts < high) expect(said.at(-1), said.join(' ')).toBe(false);
        const isFar =
          volts < Math.min(low, countsTo) - (high - low) - 0.05 ||
          (volts > high + (high - low) + 0.05 && high < countsTo);
        if (isFar) expect(said.at(-1), said.join(' ')).toBe(true);
      }
    }
  }, 60_000);

  it('asks the main leads both ways', () => {
    const across = list.touches.filter(
      ({ touch: { black, red } }) => black.startsWith('BAT.') && red.startsWith('BAT.'),
    );
    expect(across.map(({ touch: { black } }) => black).sort()).toEqual(['BAT.MINUS', 'BAT.PLUS']);
  });

  it('shows by two touches what kills, where two can, and has each fault that stops', () => {
    const count = (place: number) => list.touches.filter(({ shows }) => shows.includes(place)).length;
    const shown = [...list.faults.entries()].filter(([, { shownBy }]) => shownBy === 'list');
    const grave = shown.filter(([, { harm }]) => harm !== 'warn');
    expect(grave.length).toBeGreaterThan(60);
    expect(grave.filter(([place]) => count(place) === 0)).toEqual([]);
    const kills = grave.filter(([, { harm }]) => harm === 'kill');
    expect(kills.filter(([place]) => count(place) > 1).length).toBeGreaterThan(0.9 * kills.length);
  });

  it('has an anchor in itself for each silence that it counts', () => {
    const nets = netlist(assembly);
    for (const { touch, good, anchored } of list.touches) {
      if (good !== 'silent' || !anchored) continue;
      for (const ref of [touch.black, touch.red]) {
        const sounding = list.touches.some(
          (other) =>
            other.good !== 'silent' &&
            [other.touch.black, other.touch.red].some((one) => nets.netOf(one) === nets.netOf(ref)),
        );
        expect([ref, sounding]).toEqual([ref, true]);
      }
    }
  });

  it('can spare none of its junctions: each shows something that fewer others show than must', () => {
    const isGrave = (place: number) => list.faults[place]!.harm !== 'warn';
    const spare = list.touches.filter(({ touch, shows, good }) => {
      if (touch.mode === 'tone' || good !== 'silent') return false;
      return shows.filter(isGrave).every((place) => {
        const others = list.touches.filter((other) => other.touch !== touch && other.shows.includes(place)).length;
        return others >= (list.faults[place]!.harm === 'kill' ? 2 : 1);
      });
    });
    expect(spare.map(({ touch }) => touch)).toEqual([]);
  });
});
