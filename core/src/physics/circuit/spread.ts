/**
 * By how much a part's value may differ from what its model says: its sheet's tolerance, else what is usual, by how the
 * number is known. Usual spreads are experience values of small boards.
 */
import type { Certainty, Element, PartModel } from '../../facts/catalogue/partModel';
import { certaintyAt } from '../../facts/catalogue/revisions';
import type { Inner } from './port';

/** Relative, of capacitors around their print and of resistors and loads inside parts. */
export const usualShare = { capacitor: 0.2, resistor: 0.5 } as const;
/** Junctions of one sheet differ by so much from part to part and with the room. */
const usualDiodeV = 0.06;
/** Against a number that is typical of its kind. What was measured was measured on one of them. */
const factorOf: Readonly<Record<Certainty, number>> = { measured: 0.5, sheet: 0.8, typical: 1, assumed: 2 };
/** Nothing is taken for twice or for nothing. */
const most = 0.8;

const value = { resistor: 'ohms', winding: 'ohms', capacitor: 'farads', diode: 'forwardV', switch: 'onOhms' } as const;

function factor(model: PartModel, element: Element): number {
  const key = element.is === 'regulator' || element.is === 'load' ? 'offOhms' : value[element.is];
  return factorOf[certaintyAt(model, `/elements/${model.elements.indexOf(element)}/${key}`)];
}

/** Relative spread of a capacitor's farads, or of the ohms of anything else. */
export function shareOf(model: PartModel, element: Element): number {
  const usual = usualShare[element.is === 'capacitor' ? 'capacitor' : 'resistor'];
  return element.tolerance ?? Math.min(most, usual * factor(model, element));
}

/** Spread of a junction's forward volts. */
export function junctionV(model: PartModel, element: Element): number {
  return usualDiodeV * factor(model, element);
}

/** Wires, contacts and windings: what these measure is known. */
const copperBelowOhms = 5;

/**
 * An element at one end of its spread.
 * @param way 1: what holds a current back is greater, and what takes charge is smaller; -1: the other way.
 */
function elementAtEnd(element: Inner['element'], way: -1 | 1): Inner['element'] {
  switch (element.is) {
    case 'capacitor':
      return { ...element, farads: element.farads * (1 - way * (element.spread ?? 0)) };
    case 'diode':
      return { ...element, forwardV: element.forwardV + way * (element.spreadV ?? 0) };
    case 'resistor':
      return element.ohms < copperBelowOhms
        ? element
        : { ...element, ohms: element.ohms * (1 + way * (element.spread ?? 0)) };
  }
}

/** Elements with every part at one end of its spread. */
export function atEndOfSpread(inners: readonly Inner[], way: -1 | 1): Inner[] {
  return inners.map((inner) => ({ ...inner, element: elementAtEnd(inner.element, way) }));
}
