/**
 * A first measurement of the loose part against its draft: fills in what was assumed, or contradicts what was entered.
 */
import { firstOfNode, shortBelowOhms } from '../../facts/catalogue/conductors';
import { looseReadings } from '../checks/looseReadings';
import type { Element, Measured, PartModel } from '../../facts/catalogue/partModel';
import type { Meter } from '../../facts/terms/meter';

export interface Signature {
  model: PartModel;
  /** What cannot be as entered, in words. */
  contradicts: readonly string[];
  /** What is now known from measurement, in words. */
  filled: readonly string[];
}

/** What was measured, in words. */
export function measuredWords(measured: Measured): string {
  const between = `${measured.red} against ${measured.black}`;
  if (measured.is === 'ohms') return `${between}: ${measured.ohms} ohm`;
  return `${between}: ${measured.sounds ? 'sounds' : 'silent'}`;
}

/** What to measure first: each rail against ground, and one pair of each conductor that is said to join pads. */
export function firstMeasures(model: PartModel): { is: 'ohms' | 'tone'; black: string; red: string; asks: string }[] {
  const ground = model.terminals.find(({ roles }) => roles.some((role) => role.is === 'ground'));
  const nodes = [...new Set(model.terminals.map(({ node }) => node))];
  const joined = nodes.flatMap((node) => {
    const [a, b] = model.terminals.filter((terminal) => terminal.node === node);
    return a && b
      ? [{ is: 'tone' as const, black: a.id, red: b.id, asks: `Does it sound between ${a.id} and ${b.id}?` }]
      : [];
  });
  const rails = ground
    ? firstOfNode(model.terminals).filter(({ roles }) => roles.some((role) => role.is === 'supply'))
    : [];
  return [
    ...rails.map(({ id }) => ({
      is: 'ohms' as const,
      black: ground!.id,
      red: id,
      asks: `Ohms from ${ground!.id} (black) to ${id} (red)`,
    })),
    ...joined,
  ];
}

export function applySignature(model: PartModel, measured: readonly Measured[], meter: Meter): Signature {
  return measured.reduce<Signature>(
    (so, measured) => (measured.is === 'tone' ? applyTone(so, measured) : applyOhms(so, measured, meter)),
    {
      model: measured.length > 0 ? { ...model, measured } : model,
      contradicts: [],
      filled: [],
    },
  );
}

function applyTone(so: Signature, { black, red, sounds }: Extract<Measured, { is: 'tone' }>): Signature {
  const [a, b] = [black, red].map((id) => so.model.terminals.find((terminal) => terminal.id === id));
  if (!a || !b || (a.node === b.node) === sounds)
    return sounds ? { ...so, filled: [...so.filled, `${black} and ${red} are one conductor, heard`] } : so;
  const message = sounds
    ? `${black} and ${red} sound: they are one conductor, but their labels say two`
    : `${black} and ${red} are silent: one of them is something else than its label says`;
  return { ...so, contradicts: [...so.contradicts, message] };
}

function applyOhms(so: Signature, { black, red, ohms }: Extract<Measured, { is: 'ohms' }>, meter: Meter): Signature {
  const node = so.model.terminals.find(({ id }) => id === red)?.node;
  if (!node) return so;
  if (ohms < shortBelowOhms)
    return {
      ...so,
      contradicts: [...so.contradicts, `${red} reads ${ohms} ohm against ${black}: shorted, or it is no rail`],
    };
  const predicted = looseReadings(so.model, meter).find(
    (reading) => reading.mode === 'ohms' && reading.red.node === node,
  )?.expected.band;
  const index = so.model.elements.findIndex((element) => holdsDown(element, node));
  const element = so.model.elements[index];
  if (!predicted || !element || !('offOhms' in element)) return so;
  // Conductances in parallel add: what is measured beyond the rest is this element's own.
  const rest = 2 / (predicted[0] + predicted[1]) - 1 / element.offOhms;
  const own = 1 / ohms - rest;
  const elements = so.model.elements.map((old, at) =>
    at === index ? { ...element, offOhms: own > 0 ? 1 / own : element.offOhms * 100 } : old,
  );
  const knownFrom = { ...so.model.knownFrom, [`/elements/${index}/offOhms`]: 'measured' as const };
  return {
    ...so,
    model: { ...so.model, elements, knownFrom },
    filled: [...so.filled, `${red} against ${black}: ${ohms} ohm, measured`],
  };
}

function holdsDown(element: Element, node: string): boolean {
  return (element.is === 'regulator' && element.output === node) || (element.is === 'load' && element.plus === node);
}
