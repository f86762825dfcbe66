/** What a probe can reach, and what a terminal is for. */
import type { TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import type { Assembly } from '../../facts/assembly/assembly';

/** Terminals under a mated plug, a coating, a lid or another board. */
export function coveredTerminals(assembly: Assembly): ReadonlySet<TerminalRef> {
  const covered = new Set(Object.keys(assembly.build.hidden) as TerminalRef[]);
  for (const mate of Object.values(assembly.build.mates)) {
    for (const side of [mate.a, mate.b]) {
      if (!('slot' in side)) continue;
      const model = assembly.model(side.slot);
      const connector = model?.connectors.find(({ id }) => id === side.connector);
      const cover = model?.covers.find(({ by, id }) => by === 'mate' && id === side.connector);
      for (const id of cover?.hides ?? connector?.pins ?? []) covered.add(terminalRef(side.slot, id));
    }
  }
  return covered;
}
