/** What a probe can reach, and what a terminal is for. */
import type { Build } from '../build/build';
import type { Catalogue } from '../catalogue/catalogue';
import { modelIn, terminalOf } from '../catalogue/catalogue';
import type { PartModel, Role, Terminal } from '../catalogue/partModel';
import type { TerminalRef } from '../names';
import { terminalRef } from '../names';

/** Terminals under a mated plug, a coating, a lid or another board. */
export function coveredTerminals(build: Build, catalogue: Catalogue): ReadonlySet<TerminalRef> {
  const covered = new Set(Object.keys(build.hidden) as TerminalRef[]);
  for (const mate of Object.values(build.mates)) {
    for (const side of [mate.a, mate.b]) {
      if (!('slot' in side)) continue;
      const model = modelIn(build, side.slot, catalogue);
      const connector = model?.connectors.find(({ id }) => id === side.connector);
      const cover = model?.covers.find(({ by, id }) => by === 'mate' && id === side.connector);
      for (const id of cover?.hides ?? connector?.pins ?? []) covered.add(terminalRef(side.slot, id));
    }
  }
  return covered;
}

/** True when one of the alternatives of a terminal is of this kind. */
export function hasRole(terminal: Terminal, is: Role['is']): boolean {
  return terminal.roles.some((role) => role.is === is);
}

/** The motor channel that a terminal is a phase of, or null. */
export function phaseChannel(model: PartModel, terminalId: string): number | null {
  const role = terminalOf(model, terminalId)?.roles.find((one) => one.is === 'port');
  const port = role?.is === 'port' ? model.ports.find(({ id }) => id === role.port) : undefined;
  return port?.kind === 'motorPhase' ? (port.index ?? 0) : null;
}
