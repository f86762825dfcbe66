/** A Build read with its catalogue: what every computation is given. */
import type { Catalogue } from '../catalogue/catalogue';
import { terminalOf } from '../catalogue/catalogue';
import type { Connector, PartModel, Terminal } from '../catalogue/partModel';
import type { Slot, TerminalRef } from '../terms/names';
import { splitRef } from '../terms/names';
import type { Build } from './build';
import { lookUp } from '../terms/lookUp';

export interface Assembly {
  readonly build: Build;
  readonly catalogue: Catalogue;
  /**
   * The model of the part in a slot, or null when the slot is empty. @throws {RangeError} If the catalogue lacks it.
   */
  model(slot: Slot): PartModel | null;
  /** The terminal that a full name means, or null when slot or terminal do not exist. */
  terminal(ref: TerminalRef): Terminal | null;
  /** A connector of the part in a slot, or null. */
  connector(slot: Slot, id: string): Connector | null;
}

/** An aircraft in a job: as it was when the work began, as it is, and as it shall be. */
export interface Stages {
  start: Assembly;
  asBuilt: Assembly;
  target: Assembly;
}

const known = new WeakMap<Build, WeakMap<Catalogue, Assembly>>();

/** The one Assembly of a build and a catalogue, so that what is worked out from it is worked out once. */
export function assemble(build: Build, catalogue: Catalogue): Assembly {
  let ofBuild = known.get(build);
  if (!ofBuild) known.set(build, (ofBuild = new WeakMap()));
  let assembly = ofBuild.get(catalogue);
  if (!assembly) ofBuild.set(catalogue, (assembly = makeAssembly(build, catalogue)));
  return assembly;
}

function makeAssembly(build: Build, catalogue: Catalogue): Assembly {
  const model = (slot: Slot) => {
    const fitted = lookUp(build.slots, slot);
    return fitted ? catalogue.model(fitted) : null;
  };
  return {
    build,
    catalogue,
    model,
    terminal: (ref) => {
      const { slot, terminal } = splitRef(ref);
      const found = model(slot);
      return found ? terminalOf(found, terminal) : null;
    },
    connector: (slot, id) => model(slot)?.connectors.find((connector) => connector.id === id) ?? null,
  };
}

/**
 * A function of an Assembly that is computed once for each and then remembered; what it returns must not be changed.
 */
export function remembered<T>(compute: (assembly: Assembly) => T): (assembly: Assembly) => T {
  const results = new WeakMap<Assembly, { value: T }>();
  return (assembly) => {
    let found = results.get(assembly);
    if (!found) results.set(assembly, (found = { value: compute(assembly) }));
    return found.value;
  };
}
