/**
 * The names by which everything in a build is called.
 * A terminal is written `SLOT.TERMINAL`, split at the first dot: `FC.TX3`, `ESC.J1.4`.
 */

/** Designator, for example `FC` or `M3`: unique on a quad for life; outlives the part that sits in it. */
export type Slot = string;
/** Stable over the revisions of a model; what is printed on the board is another field. */
export type TerminalId = string;
export type TerminalRef = `${string}.${string}`;
export type NodeId = string;
export type PortId = string;
export type WireId = string;
export type HousingId = string;
/** UUIDv7 made by the client. */
export type Id = string;
export type XY = readonly [xMm: number, yMm: number];
export type Range = readonly [min: number, max: number];

/** The full name of a terminal of the part in a slot. */
export function terminalRef(slot: Slot, terminal: TerminalId): TerminalRef {
  return `${slot}.${terminal}`;
}

/** True when it has the form of a full name, whether such a terminal exists or not. */
export function isTerminalRef(text: string): text is TerminalRef {
  return text.indexOf('.') > 0;
}

/** Slot and terminal of a full name. @throws {RangeError} If there is no dot. */
export function splitRef(ref: TerminalRef): { slot: Slot; terminal: TerminalId } {
  const dot = ref.indexOf('.');
  if (dot < 1) throw new RangeError(`not a terminal: ${ref}`);
  return { slot: ref.slice(0, dot), terminal: ref.slice(dot + 1) };
}

/** Name of the wire that a part brings as its own lead: motor lead A of M3 is `M3-A`. */
export function tailWireId(slot: Slot, terminal: TerminalId): WireId {
  return `${slot}-${terminal}`;
}

/** `W12.a` or `W12.b`: end a is index 0. Subject of landing steps and of looks at a joint. */
export function jointName(wire: WireId, end: 0 | 1): string {
  return `${wire}.${end === 0 ? 'a' : 'b'}`;
}

/** Wire and end of a joint's name, or null when it is not one. */
export function splitJoint(name: string): { wire: WireId; end: 0 | 1 } | null {
  const match = /^(.+)\.([ab])$/.exec(name);
  return match ? { wire: match[1]!, end: match[2] === 'a' ? 0 : 1 } : null;
}

/** Volts of one lithium pouch cell, empty and full. */
const cellV: Range = [3.0, 4.2];

/** Empty to full volts of packs of so many cells in series, fewest and most. */
export function packVolts(cells: Range): Range {
  return [cells[0] * cellV[0], cells[1] * cellV[1]];
}

/** verb:subject, for example `land:W12.b`, `mate:J1`, `check:power path`: the same after every re-plan. */
export type StepId = `${string}:${string}`;

const numbersAsNumbers = new Intl.Collator('en', { numeric: true });

/** M2 before M10. */
export function compareNames(a: string, b: string): number {
  return numbersAsNumbers.compare(a, b);
}
