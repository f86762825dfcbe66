/**
 * `Build`: what physically exists. A plan's target, the quad as built, any stage of it and any practice quad
 * are all a Build; every computation takes one. Immutable plain data.
 */
import type { HousingId, Id, Slot, TerminalRef, WireId } from '../terms/names';
import { lookUp } from '../terms/lookUp';

export interface Build {
  slots: Readonly<Record<Slot, Fitted>>;
  wires: Readonly<Record<WireId, Wire>>;
  housings: Readonly<Record<HousingId, Housing>>;
  mates: Readonly<Record<string, Mate>>;
  /** By place of the frame: what is threaded on its screws, where somebody has said so. */
  stacks?: Readonly<Record<string, Stack>>;
  contacts: readonly Contact[];
  hidden: Readonly<Record<TerminalRef, HiddenBy>>;
  /** How often each landing has been heated. */
  heats: Readonly<Record<TerminalRef, number>>;
}

/** What is threaded on the screws of a stack, from below. */
export interface Stack {
  screw: { thread: string; lengthMm: number };
  layers: readonly StackLayer[];
}

export type StackLayer =
  | { slot: Slot }
  | { washer: string; mm: number }
  | { nut: string; mm: number }
  | { grommet: string; freeMm: number; squeezedMm: number }
  | { tape: string; mm: number };

export type HiddenBy = 'coating' | 'glue' | 'lid' | 'shrink' | 'board';

export interface Fitted {
  model: string;
  revision: number;
  /** Which physical item; null in a plan. */
  part: Id | null;
  /** null: loose on the bench. */
  pose: Pose | null;
}

export interface Pose {
  place: string;
  atMm: readonly [xMm: number, yMm: number, zMm: number];
  yawDeg: number;
  face: 'up' | 'down';
}

export interface WireBody {
  awg: number;
  colour: string;
  insulation: string;
  from: 'stock' | 'tail' | 'supplied';
  tailOf?: TerminalRef;
  lengthMm: number | null;
  via: readonly string[];
  bundle?: string;
  sleeveMm?: number;
}

/** An end that is not landed yet is on air. */
export interface Wire extends WireBody {
  id: WireId;
  ends: readonly [WireEnd, WireEnd];
}

export interface WireEnd {
  at: Landing;
  by: 'solder' | 'crimp' | 'factory' | 'screw' | 'none';
  lay?: 'flat' | 'through' | 'cup';
}

export type Landing =
  | { on: 'terminal'; ref: TerminalRef }
  | { on: 'cavity'; housing: HousingId; position: number }
  | { on: 'air'; end: 'bare' | 'insulated' };

export interface Housing {
  id: HousingId;
  family: string;
  pitchMm: number;
  ways: number;
  key: string;
  marked?: string;
}

export type ConnectorRef = { slot: Slot; connector: string } | { housing: HousingId };

/** `shift`: mated that many positions off; `mirrored`: turned over. */
export interface Mate {
  a: ConnectorRef;
  b: ConnectorRef;
  shift: number;
  mirrored: boolean;
  glued: boolean;
}

export interface Contact {
  a: TerminalRef;
  b: TerminalRef;
  ohms: number;
  why: 'screw' | 'rests on' | 'measured';
}

export const emptyBuild: Build = { slots: {}, wires: {}, housings: {}, mates: {}, contacts: [], hidden: {}, heats: {} };

export const onAir: WireEnd = { at: { on: 'air', end: 'bare' }, by: 'none' };

/** True when both ends are on the same terminal, cavity or both on air. Lay and kind of joint do not count. */
export function sameLanding(a: Landing, b: Landing): boolean {
  if (a.on === 'terminal' && b.on === 'terminal') return a.ref === b.ref;
  if (a.on === 'cavity' && b.on === 'cavity') return a.housing === b.housing && a.position === b.position;
  return a.on === 'air' && b.on === 'air';
}

/** True when both are the same model in the same revision; which physical part does not count. */
export function sameFitted(a: Fitted | undefined, b: Fitted | undefined): boolean {
  return Boolean(a && b && a.model === b.model && a.revision === b.revision);
}

/** True when somebody has put the end where it is: it is not in the air, and the maker did not fix it. */
export function isAttached({ at, by }: WireEnd): boolean {
  return at.on !== 'air' && by !== 'factory';
}

/** The plugs that sit on a part's own sockets. */
export function matesOn(slot: Slot, { mates }: Pick<Build, 'mates'>): string[] {
  const isOn = (side: ConnectorRef) => 'slot' in side && side.slot === slot;
  return Object.keys(mates).filter((id) => isOn(lookUp(mates, id)!.a) || isOn(lookUp(mates, id)!.b));
}

/** The terminal an end is on, or null. */
export function landedOn(end: WireEnd): TerminalRef | null {
  return end.at.on === 'terminal' ? end.at.ref : null;
}
