/** The touches before first power of one build, as they are kept: what each would show, and what none of them can. */
import type { Touch } from '../../facts/log/reading';
import type { Slot, TerminalId } from '../../facts/terms/names';
import type { Site } from '../../facts/terms/site';
import type { Severity } from '../rules/finding';
import { severities } from '../rules/finding';
import type { GoodIs } from './probes/meterScale';

export interface ListedTouch {
  touch: Touch;
  /** What a good build shows. */
  good: GoodIs;
  /** False: a silence there proves nothing, since nothing can sound on that metal. */
  anchored: boolean;
  /** Across the pack's own contacts: red on + first, then exchanged. Nobody can waive these two. */
  across: 'main leads' | 'main leads exchanged' | null;
  /** The faults that it would show: places in the list of faults. */
  shows: readonly number[];
}

/** On a part that nothing is joined to; its terminals have no slot. */
export interface LooseTouch {
  black: TerminalId;
  red: TerminalId;
  mode: 'tone' | 'diode';
  /** The faults that it would show: places in the list of faults. */
  shows: readonly number[];
}

/**
 * By a touch of this list; only by one that the list left out; with everything mated by none, but by a reading of the
 * loose part, or with one plug apart; by none of this meter, but of a better one; by none at all.
 */
export type ShownBy = 'list' | 'longer list' | 'loose part' | 'plug apart' | 'better meter' | 'no touch';

export interface ListedFault {
  kind: string;
  site: Site;
  harm: Severity;
  shownBy: ShownBy;
  /** By so many touches of the list that ask different things. */
  proofs: number;
}

export interface TouchList {
  touches: readonly ListedTouch[];
  faults: readonly ListedFault[];
  /** Before a part is joined: what only then can be seen of it. */
  loose: Readonly<Record<Slot, readonly LooseTouch[]>>;
  /** With one plug apart, by its mate, and everything else mated: what can be seen only then, or on a loose part. */
  apart: Readonly<Record<string, ApartTouches>>;
  /** Of hands for the touches with everything mated, at assumed times. */
  seconds: number;
}

export interface ApartTouches {
  touches: readonly ListedTouch[];
  seconds: number;
}

/** Minutes of hands for some touches of a list, as if all took alike. */
export function minutesFor({ seconds, touches }: TouchList, asked: readonly ListedTouch[]): number {
  return Math.ceil((seconds * asked.length) / Math.max(1, touches.length) / 60);
}

/** Touches across the pack's own contacts. */
export function isOfMainLeads({ across }: Pick<ListedTouch, 'across'>): boolean {
  return across !== null;
}

/** True for touches that prove contact on a good build: anchors for silences on the same nets. */
export function provesContact({ good }: Pick<ListedTouch, 'good'>): boolean {
  return good === 'sounds' || good === 'reads';
}

/** The kinds of faults that a touch rules out, the worst first, each once. */
export function ruledOutBy({ faults }: TouchList, { shows }: ListedTouch): string[] {
  const own = shows.map((place) => faults[place]!);
  return [...new Set(severities.flatMap((harm) => own.flatMap((fault) => (fault.harm === harm ? [fault.kind] : []))))];
}
