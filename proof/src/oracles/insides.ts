/**
 * What lies inside the parts of an aircraft that is switched off, as branches between pieces of copper; elements that
 * have failed as they have failed. Units: ohm, F, A, V.
 */
import type { Build, Catalogue, PartModel, TerminalRef } from '@junctor/core';

export type Branch = { a: string; b: string; id: string } & (
  | { is: 'resistor'; ohms: number }
  | { is: 'capacitor'; farads: number; esrOhms: number }
  | { is: 'diode'; saturationA: number; slopeV: number; seriesOhms: number }
);

/** An element inside a part that has failed. */
export interface Broken {
  slot: string;
  element: string;
  is: 'open' | 'short' | 'leaky';
}

/** How one aircraft differs from the print. */
export interface Spread {
  /** Factor on what is called so in that element, 1 as printed. */
  factor: (id: string, of: 'ohms' | 'farads') => number;
  /** Added to a junction. */
  junctionV: (id: string) => number;
}

/** Something inside a part that no sheet shows: a load, or a junction from `a` to `b`. */
export type Unshown = { a: TerminalRef; b: TerminalRef } & ({ ohms: number } | { forwardV: number });

/** As a branch between two pieces of copper. */
export function unshownBranch(unshown: Unshown, id: string, [a, b]: readonly [string, string]): Branch {
  if ('ohms' in unshown) return { id, a, b, is: 'resistor', ohms: unshown.ohms };
  return diode(id, [a, b], { forwardV: unshown.forwardV, atA: 1e-3, seriesOhms: 5 }, asPrinted);
}

export const asPrinted: Spread = { factor: () => 1, junctionV: () => 0 };

const slopeV = 0.0457;
/** What a failed element becomes between its ends, beside or in place of itself. */
export const failedOhms = { short: 0.05, leaky: 50 } as const;

interface Whole {
  build: Build;
  catalogue: Catalogue;
  point: (slot: string, node: string) => string;
  broken: readonly Broken[];
  spread: Spread;
}

export function insidesOf({ build, catalogue, point, broken, spread }: Whole): Branch[] {
  return Object.entries(build.slots).flatMap(([slot, fitted]) =>
    catalogue.model(fitted).elements.flatMap((element) => {
      const failed = broken.find((one) => one.slot === slot && one.element === element.id)?.is;
      const id = `${slot} ${element.id}`;
      const ends = endsOf(element).map((node) => point(slot, node)) as [string, string];
      const good = branchesOf(element, { id, at: (node) => point(slot, node), spread });
      if (failed === undefined) return good;
      if (failed === 'open') return [];
      const [a, b] = ends;
      const bad: Branch = {
        id: `${id} failed`,
        a,
        b,
        is: 'resistor',
        ohms: failedOhms[failed],
      };
      return failed === 'short' ? [bad] : [...good, bad];
    }),
  );
}

type Element = PartModel['elements'][number];

/** Between which a failed one conducts. */
export function endsOf(element: Element): [string, string] {
  switch (element.is) {
    case 'resistor':
    case 'winding':
    case 'switch':
      return [element.a, element.b];
    case 'load':
    case 'capacitor':
      return [element.plus, element.minus];
    case 'diode':
      return [element.anode, element.cathode];
    case 'regulator':
      return [element.input, element.output];
  }
}

function branchesOf(
  element: Element,
  { id, at, spread }: { id: string; at: (node: string) => string; spread: Spread },
): Branch[] {
  const [a, b] = endsOf(element).map(at) as [string, string];
  const resistor = (name: string, ohms: number, ends: [string, string] = [a, b]): Branch => ({
    id: name,
    a: ends[0],
    b: ends[1],
    is: 'resistor',
    ohms: ohms * spread.factor(name, 'ohms'),
  });
  switch (element.is) {
    case 'resistor':
      return [resistor(id, element.ohms)];
    case 'winding':
      return [{ id, a, b, is: 'resistor', ohms: element.ohms }];
    case 'load':
      return [resistor(id, element.offOhms)];
    case 'capacitor': {
      const { farads, esrOhms, leakOhms } = element;
      const filled = farads * spread.factor(id, 'farads');
      return [{ id, a, b, is: 'capacitor', farads: filled, esrOhms }, resistor(`${id} leak`, leakOhms)];
    }
    case 'diode':
      return [diode(id, [a, b], element, spread)];
    case 'regulator': {
      const out = resistor(id, element.offOhms, [at(element.output), at(element.ground)]);
      if (element.backDiodeV === null) return [out];
      const law = { forwardV: element.backDiodeV, atA: 1e-3, seriesOhms: 1 };
      return [out, diode(`${id} back`, [at(element.output), at(element.input)], law, spread)];
    }
    case 'switch':
      return [];
  }
}

function diode(
  id: string,
  [a, b]: [string, string],
  law: { forwardV: number; atA: number; seriesOhms: number },
  spread: Spread,
): Branch {
  const junctionV = law.forwardV + spread.junctionV(id) - law.atA * law.seriesOhms;
  const saturationA = law.atA / Math.expm1(junctionV / slopeV);
  return { id, a, b, is: 'diode', saturationA, slopeV, seriesOhms: law.seriesOhms };
}
