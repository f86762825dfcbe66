/** What a probe can reach, and what a terminal is for. */
import type { Build } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { modelIn } from '../../facts/assembly/lookUp';

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

