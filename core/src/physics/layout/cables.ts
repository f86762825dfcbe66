/**
 * Cables that cannot be cut: between the sockets that their plugs are in, or from the part that hangs on one to its
 * socket. Lengths in mm.
 */
import type { Assembly } from '../../facts/assembly/assembly';
import type { ConnectorRef } from '../../facts/assembly/build';
import { matesOn } from '../../facts/assembly/build';
import type { Cable } from '../../facts/catalogue/partModel';
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { Laid } from './laid';
import { hasNoPlace } from './places';

/** What a plug and its first bend take of a cable. */
export const pluggedMm = 2;

export interface CableRun {
  /** The part that is the cable, or hangs on it. */
  slot: Slot;
  cable: Cable;
  ends: readonly [TerminalRef, TerminalRef];
  /** The parts at its ends. */
  slots: readonly [Slot, Slot];
  /** What its plugs take of its length. */
  endsMm: number;
}

/** Of parts that lie somewhere: what ends where nobody knows is none. */
export function cableRuns({ assembly, poses }: Pick<Laid, 'assembly' | 'poses'>): CableRun[] {
  return Object.keys(assembly.build.slots).flatMap((slot): CableRun[] => {
    const model = assembly.model(slot)!;
    if (!model.cable) return [];
    const { cable } = model;
    const sockets = socketsOf(assembly, slot);
    const own = ownEnd(assembly, slot);
    const ends = own ? [own, ...sockets].slice(0, 2) : sockets.slice(0, 2);
    const [a, b] = ends;
    if (!a || !b) return [];
    const slots = [splitRef(a).slot, splitRef(b).slot] as const;
    if (!slots.every((one) => poses.has(one))) return [];
    return [{ slot, cable, ends: [a, b], slots, endsMm: pluggedMm * sockets.length }];
  });
}

/** The sockets that the plugs of a part's cable are in, each by its first contact. */
export function socketsOf(assembly: Assembly, slot: Slot): TerminalRef[] {
  const own = assembly.model(slot)!.cable?.connectors ?? [];
  return matesOn(slot, assembly.build).flatMap((id) => {
    const { a, b } = lookUp(assembly.build.mates, id)!;
    if (isOn(a, slot, own)) return firstContact(assembly, b);
    return isOn(b, slot, own) ? firstContact(assembly, a) : [];
  });
}

function isOn(ref: ConnectorRef, slot: Slot, own: readonly string[]): boolean {
  return 'slot' in ref && ref.slot === slot && own.includes(ref.connector);
}

function firstContact(assembly: Assembly, ref: ConnectorRef): TerminalRef[] {
  if (!('slot' in ref)) return [];
  const pin = assembly.model(ref.slot)?.connectors.find(({ id }) => id === ref.connector)?.pins[0];
  return pin ? [terminalRef(ref.slot, pin)] : [];
}

/** Where a part with a place of its own lets its cable out; null: it is nothing but cable, or hangs on one. */
function ownEnd(assembly: Assembly, slot: Slot): TerminalRef | null {
  const model = assembly.model(slot)!;
  if (hasNoPlace(model)) return null;
  const pin = model.connectors.find(({ id }) => model.cable?.connectors.includes(id))?.pins[0];
  return pin ? terminalRef(slot, pin) : null;
}
