/** What the layouts by hand are reckoned from: terms of which each is one length. */
import type { Build, PartModel } from '@junctor/core';
import { board } from './parts';

/** Its name, mm, and how far it may be off. */
export type Term = readonly [what: string, mm: number, tolMm?: number];

export interface LayoutByHand {
  says: string;
  /** The kind of the margin, and the parts that it is about where there are several of it. */
  margin: string;
  of?: readonly string[];
  parts: { build: Build; models: PartModel[] };
  terms: readonly Term[];
}

export const turn: Term = ['one turn', -0.5];
export const [bottom, arms]: [Term, Term] = [
  ['bottom plate', -2.5, 0.1],
  ['arms', -4, 0.1],
];
export const mount: Term = ['soft mount', -4.8, 0.5];
export const copper: Term = ['board', -1.6, 0.15];
export const nut: Term = ['nut', -2.4, 0.1];
export const plus = ([what, mm, tolMm]: Term): Term => [what, -mm, tolMm];
export const settles: Term = ['lid goes down', -0.5, 0.3];
export const under: Term = ['room under the lid', 30, 0.1];

export const fc = board('fc', 'controller');
export const esc = board('esc', 'esc');
export const softer = { heightMm: 7, squeezedMm: 5.6, thread: 'M3', lengthMm: 22 };
