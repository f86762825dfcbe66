/**
 * Physical checks of the shipped part models. The oracle breaks each model on purpose in ways that are wrong by
 * construction; it shares nothing with the checks. Unbroken models must pass, broken ones must not.
 */
import type { PartModel } from '@junctor/core';
import { checkLooseReadings, checkModel } from '@junctor/core';
import { check, partModel } from '@junctor/core/schemas';
import { shippedModels } from '@junctor/catalogue';
import type { Measurement } from './measurement';

type Breakage = (model: Mutable) => boolean;
type Mutable = { -readonly [K in keyof PartModel]: unknown } & {
  terminals: Record<string, unknown>[];
  elements: Record<string, unknown>[];
  connectors: { pins: string[]; pitchMm: number }[];
};

const solid = (terminal: Record<string, unknown>) =>
  terminal.form !== 'tail' && terminal.form !== 'shell' && terminal.form !== 'metal';

const breakages: Readonly<Record<string, Breakage>> = {
  'two pads on one place': ({ terminals }) => {
    const [a, b] = terminals.filter(solid);
    const shared = a && b && (a.sides as string[]).some((side) => (b.sides as string[]).includes(side));
    if (shared) b.atMm = a.atMm;
    return Boolean(shared);
  },
  'a pad off the board': ({ terminals }) => {
    const pad = terminals.find(solid);
    if (pad) pad.atMm = [700, 0];
    return Boolean(pad);
  },
  'a pin off its pitch': ({ terminals, connectors }) => {
    const connector = connectors.find(({ pins }) => pins.length > 2);
    const pin = terminals.find(({ id }) => id === connector?.pins[1]);
    if (pin) pin.atMm = [(pin.atMm as number[])[0]! + 0.2, (pin.atMm as number[])[1]! + 0.2];
    return Boolean(pin);
  },
  'a load on a rail from nowhere': ({ elements }) => {
    const load = elements.find(({ is }) => is === 'load');
    if (load) elements.push({ ...load, id: 'GHOST', plus: 'NOWHERE' }, { ...load, id: 'GHOST2', plus: 'NOWHERE' });
    return Boolean(load);
  },
  'an element on a node that is not there': ({ elements }) => {
    const first = elements.find(({ is }) => is === 'resistor');
    if (first) first.b = 'NO-SUCH-NODE';
    return Boolean(first);
  },
  'a capacitor below its rail': ({ elements, terminals, kind }) => {
    const rails = new Set(
      terminals
        .filter(({ roles }) => (roles as { is: string }[]).some(({ is }) => is === 'supply'))
        .map(({ node }) => node),
    );
    const capacitor = elements.find(({ is, plus }) => is === 'capacitor' && rails.has(plus));
    if (capacitor) capacitor.ratedV = kind === 'capacitor' ? 1 : 0.5;
    return Boolean(capacitor);
  },
  'a regulator that feeds itself': ({ elements }) => {
    const regulator = elements.find(({ is }) => is === 'regulator');
    if (regulator)
      elements.push({ ...regulator, id: 'BACK', input: regulator.output, output: regulator.input, outV: 2, minInV: 3 });
    return Boolean(regulator);
  },
  'a shorted rail': ({ elements, terminals }) => {
    const rail = terminals.find(({ roles }) => (roles as { is: string }[]).some(({ is }) => is === 'supply'));
    const ground = terminals.find(({ roles }) => (roles as { is: string }[]).some(({ is }) => is === 'ground'));
    if (rail && ground)
      elements.push({ id: 'SHORT', fails: ['open'], is: 'resistor', a: rail.node, b: ground.node, ohms: 2 });
    return Boolean(rail && ground);
  },
};

export async function models(): Promise<Measurement[]> {
  const shipped = shippedModels();
  const good = shipped.filter(
    (model) => check(partModel, model).ok && checkModel(model).length === 0 && checkLooseReadings(model).length === 0,
  ).length;
  const missed: string[] = [];
  let broken = 0;
  for (const model of shipped) {
    for (const [name, breakIt] of Object.entries(breakages)) {
      const copy = structuredClone(model) as unknown as Mutable;
      if (!breakIt(copy)) continue;
      broken += 1;
      if (checkModel(copy as unknown as PartModel).length === 0) missed.push(`${model.id}: ${name}`);
    }
  }
  for (const line of missed) console.error(`not found: ${line}`);
  const found = (100 * (broken - missed.length)) / broken;
  return [
    {
      what: `shipped models that pass every physical check, of ${shipped.length}:`,
      value: String(good),
      unit: 'models',
      bar: `=${shipped.length}`,
      met: good === shipped.length,
    },
    {
      what: `models broken on purpose that are refused, of ${broken}:`,
      value: found.toFixed(1),
      unit: '%',
      bar: '=100',
      met: missed.length === 0,
    },
  ];
}
