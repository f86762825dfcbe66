/**
 * An aircraft as it truly is: what is built, metal that touches metal, insides that have failed. And the places on it
 * that a fault can befall. Written from the trade's own words; no computation of the core is in it.
 */
import type { Build, Catalogue, PartModel, TerminalRef, Wire, WireEnd } from '@junctor/core';
import { conductors } from '../dcSolve';
import type { Broken } from '../insides';
import type { Bridge } from '../trueMeter';

export type Harm = 'kill' | 'stop' | 'warn';

export interface Aircraft {
  build: Build;
  bridges: readonly Bridge[];
  broken: readonly Broken[];
}

/** One thing wrong with an aircraft that was good. */
export interface Injected {
  family: string;
  /** In words, with the places. */
  what: string;
  harm: Harm;
  aircraft: Aircraft;
}

type Terminal = PartModel['terminals'][number];

export interface Place {
  slot: string;
  model: PartModel;
  terminal: Terminal;
  ref: TerminalRef;
}

/** An end of a wire that somebody has put where it is. */
export interface PlacedEnd {
  wire: Wire;
  index: 0 | 1;
  end: WireEnd;
}

/** A good aircraft and its places. */
export class Good {
  readonly places: readonly Place[];
  readonly ends: readonly PlacedEnd[];
  readonly at: ReadonlyMap<TerminalRef, Place>;
  /** The copper that a terminal is on, by name. */
  readonly copper: (ref: TerminalRef) => string;

  constructor(
    readonly build: Build,
    readonly catalogue: Catalogue,
  ) {
    this.places = Object.entries(build.slots).flatMap(([slot, fitted]) => {
      const model = catalogue.model(fitted);
      return model.terminals.map((terminal): Place => ({ slot, model, terminal, ref: `${slot}.${terminal.id}` }));
    });
    this.at = new Map(this.places.map((place) => [place.ref, place]));
    this.copper = this.copperIn(build);
    this.ends = Object.values(build.wires).flatMap((wire) =>
      ([0, 1] as const).flatMap((index): PlacedEnd[] => {
        const end = wire.ends[index];
        return end.at.on === 'air' || end.by === 'factory' ? [] : [{ wire, index, end }];
      }),
    );
  }

  /** The same for a build in which something is otherwise. */
  copperIn(build: Build): (ref: TerminalRef) => string {
    const point = conductors(build, this.catalogue);
    return (ref) => {
      const { slot, terminal } = this.at.get(ref)!;
      return point(slot, terminal.node);
    };
  }

  of(slot: string): readonly Place[] {
    return this.places.filter((place) => place.slot === slot);
  }

  with(more: Partial<Build>): Aircraft {
    return { build: { ...this.build, ...more }, bridges: [], broken: [] };
  }

  touching(a: TerminalRef, b: TerminalRef, ohms = 0.05): Aircraft {
    return { build: this.build, bridges: [{ a, b, ohms }], broken: [] };
  }

  /** With the end of each wire where it is said to be. */
  moved(...ends: readonly (readonly [PlacedEnd, WireEnd])[]): Aircraft {
    const wires = { ...this.build.wires };
    for (const [{ wire, index }, end] of ends) {
      const own = [...wires[wire.id]!.ends] as [WireEnd, WireEnd];
      own[index] = end;
      wires[wire.id] = { ...wires[wire.id]!, ends: own };
    }
    return this.with({ wires });
  }
}

export const inAir: WireEnd = { at: { on: 'air', end: 'insulated' }, by: 'none' };

/** Where an end is, in words. */
export function words({ wire, end: { at } }: PlacedEnd): string {
  if (at.on === 'air') return `wire ${wire.id}`;
  return `wire ${wire.id} at ${at.on === 'terminal' ? at.ref : `${at.housing}#${at.position}`}`;
}

/** Copper to copper on one side of a board, in mm; null when they have no side in common. */
export function gapMm(a: Terminal, b: Terminal): number | null {
  if (!a.sides.some((side) => b.sides.includes(side))) return null;
  const [x, y] = [0, 1].map((axis) =>
    Math.max(0, Math.abs(a.atMm[axis]! - b.atMm[axis]!) - (a.sizeMm[axis]! + b.sizeMm[axis]!) / 2),
  );
  return Math.hypot(x!, y!);
}
