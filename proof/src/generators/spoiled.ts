/** What families of faults are put into a build with: wires found by what they join, ends moved, wires taken out. */
import type { Build, Catalogue, PartModel, TerminalRef, Wire } from '@junctor/core';

export type Terminal = PartModel['terminals'][number];

export interface Place {
  slot: string;
  model: PartModel;
  terminal: Terminal;
  ref: TerminalRef;
}

/** A wire with where its two ends are, seen from one of them. */
export interface Run {
  wire: Wire;
  end: 0 | 1;
  here: Place;
  there: Place | null;
}

export class Spoiled {
  constructor(
    readonly build: Build,
    readonly catalogue: Catalogue,
  ) {}

  model(slot: string): PartModel {
    return this.catalogue.model(this.build.slots[slot]!);
  }

  slots(...kinds: readonly string[]): string[] {
    return Object.keys(this.build.slots).filter((slot) => kinds.length === 0 || kinds.includes(this.model(slot).kind));
  }

  places(fits: (place: Place) => boolean = () => true): Place[] {
    return this.slots().flatMap((slot) => {
      const model = this.model(slot);
      return model.terminals
        .map((terminal): Place => ({ slot, model, terminal, ref: `${slot}.${terminal.id}` }))
        .filter(fits);
    });
  }

  /** Wires soldered at a place that fits. */
  runs(fits: (here: Place, there: Place | null) => boolean): Run[] {
    return Object.values(this.build.wires).flatMap((wire) =>
      ([0, 1] as const).flatMap((end): Run[] => {
        const [here, there] = [this.at(wire, end), this.at(wire, end === 0 ? 1 : 0)];
        return here && fits(here, there) ? [{ wire, end, here, there }] : [];
      }),
    );
  }

  /** The wires between two kinds of place, whichever way round. */
  isWired(ref: TerminalRef): boolean {
    return Object.values(this.build.wires).some(({ ends }) =>
      ends.some(({ at }) => at.on === 'terminal' && at.ref === ref),
    );
  }

  moved({ wire, end }: Pick<Run, 'wire' | 'end'>, ref: TerminalRef): Build {
    const ends: [Wire['ends'][0], Wire['ends'][1]] = [...wire.ends];
    ends[end] = { ...ends[end], at: { on: 'terminal', ref } };
    return this.with({ ...wire, ends });
  }

  exchanged(a: Run, b: Run): Build {
    const first = new Spoiled(this.moved(a, b.here.ref), this.catalogue);
    return first.moved(b, a.here.ref);
  }

  without(...ids: readonly string[]): Build {
    return {
      ...this.build,
      wires: Object.fromEntries(Object.entries(this.build.wires).filter(([id]) => !ids.includes(id))),
    };
  }

  with(wire: Wire): Build {
    return { ...this.build, wires: { ...this.build.wires, [wire.id]: wire } };
  }

  added(a: TerminalRef, b: TerminalRef, awg = 26): Build {
    const end = (ref: TerminalRef): Wire['ends'][0] => ({ at: { on: 'terminal', ref }, by: 'solder' });
    const own = { awg, colour: 'white', insulation: 'silicone', from: 'stock' as const, lengthMm: 60, via: [] };
    return this.with({ id: 'STRAY', ...own, ends: [end(a), end(b)] });
  }

  touching(a: TerminalRef, b: TerminalRef, ohms = 0.2): Build {
    return { ...this.build, contacts: [...this.build.contacts, { a, b, ohms, why: 'measured' }] };
  }

  private at(wire: Wire, end: 0 | 1): Place | null {
    const { at } = wire.ends[end];
    if (at.on !== 'terminal') return null;
    const slot = at.ref.slice(0, at.ref.indexOf('.'));
    const terminal = this.model(slot).terminals.find(({ id }) => `${slot}.${id}` === at.ref);
    return terminal ? { slot, model: this.model(slot), terminal, ref: at.ref } : null;
  }
}

export const isGround = ({ terminal }: Pick<Place, 'terminal'>) => terminal.roles.some(({ is }) => is === 'ground');
export const gives = ({ terminal }: Pick<Place, 'terminal'>, least = 0, most = 99) =>
  terminal.roles.some(
    (role) => role.is === 'supply' && role.dir === 'gives' && role.volts[0] >= least && role.volts[1] <= most,
  );
export const takes = ({ terminal }: Pick<Place, 'terminal'>, least = 0, most = 99) =>
  terminal.roles.some(
    (role) => role.is === 'supply' && role.dir === 'takes' && role.volts[0] >= least && role.volts[1] <= most,
  );
/** A pin of a port of some kind. */
export function pin(place: Pick<Place, 'terminal' | 'model'>, kind: string, name?: string): boolean {
  return place.terminal.roles.some(
    (role) =>
      role.is === 'port' &&
      (name === undefined || role.pin === name) &&
      place.model.ports.find(({ id }) => id === role.port)?.kind === kind,
  );
}
