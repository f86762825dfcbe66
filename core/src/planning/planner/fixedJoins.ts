/** What is joined without a choice. */
import type { PartModel, Terminal } from '../../facts/catalogue/partModel';
import type { PortId, Slot, TerminalRef } from '../../facts/terms/names';

/** Two terminals that are to be joined, with the link they serve. `own` is the side whose part brings the wire. */
export interface Join {
  own: TerminalRef;
  to: TerminalRef;
  link: string;
  carries: 'supply' | 'ground' | 'signal';
}

export interface FixedLink {
  id: string;
  purpose: string;
  ends: readonly { slot: Slot; port: PortId }[];
}

export interface PowerPath {
  joins: readonly Join[];
  links: readonly FixedLink[];
  /** Parts whose supply and ground come with these joins. */
  fed: ReadonlySet<Slot>;
  /** The part with the pads that the battery lands on; null without one. */
  main: Slot | null;
}

export interface Channel {
  slot: Slot;
  port: PortId;
  /** Its number on its own board. */
  index: number;
}

export function thickest(terminals: readonly Terminal[]): Terminal | undefined {
  return [...terminals].sort((a, b) => a.thickestAwg - b.thickestAwg)[0];
}

export function pinsOf(model: PartModel, port: PortId): Terminal[] {
  return model.terminals.filter(({ roles }) => roles.some((role) => role.is === 'port' && role.port === port));
}
