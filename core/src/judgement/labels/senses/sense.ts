/** What a stem can mean in its company, and how often: the form in which the dictionary is written. */
import type { Company } from '../company';
import type { PadFunction } from '../meaning';
import type { Parsed } from '../print';

export interface Sense {
  /** Null: none of the functions that wires are put to. */
  is: PadFunction | null;
  weight: number;
  volts?: number;
  dir?: 'takes' | 'gives';
}

export type Senses = (at: Company, parsed: Parsed) => readonly Sense[];

/** Stems, separated by spaces, that share their senses. */
export type SenseTable = Readonly<Record<string, Senses>>;

export function one(is: PadFunction | null, weight = 1, more: Pick<Sense, 'volts' | 'dir'> = {}): Sense {
  return { is, weight, ...more };
}

export function always(...senses: readonly Sense[]): Senses {
  return () => senses;
}

/** Boards whose battery and motor pads are the point of them. */
export function isPowerBoard({ kind }: Company): boolean {
  return ['esc', 'distribution', 'single board', 'battery lead', 'pack', 'capacitor'].includes(kind);
}

export function isControllerLike({ kind }: Company): boolean {
  return kind === 'controller' || kind === 'single board';
}

export const grounds = ['G', 'GN', 'GD', 'GND', 'GRD', 'GROUND', '-'] as const;
export const batteries = ['VBAT', 'VBATT', 'BAT', 'BATT', 'BAT+', 'BATT+', 'B+', 'VB', 'LIPO+', 'VBAT+'] as const;
