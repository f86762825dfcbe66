/** What a probe can reach, and where it goes, in words. */
import type { TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { terminalWords } from '../../facts/assembly/padWords';
import type { Assembly } from '../../facts/assembly/assembly';
import { remembered } from '../../facts/assembly/assembly';

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

/** Terminals that a probe can be set on. */
export const reachableTerminals = remembered((assembly): ReadonlySet<TerminalRef> => {
  const covered = coveredTerminals(assembly);
  const found = Object.keys(assembly.build.slots).flatMap((slot) =>
    assembly
      .model(slot)!
      .terminals.filter(({ touch, form }) => touch !== 'no' && form !== 'tail')
      .map(({ id }) => terminalRef(slot, id))
      .filter((ref) => !covered.has(ref)),
  );
  return new Set(found);
});

/** Contacts of parts that a crimped plug is on: a fine tip reaches them from behind, along the wire. */
export const contactsBehindPlugs = remembered((assembly): ReadonlySet<TerminalRef> => {
  const { mates, hidden, wires } = assembly.build;
  const found = new Set<TerminalRef>();
  for (const { a, b, shift, mirrored } of Object.values(mates)) {
    const [own, other] = 'slot' in a ? [a, b] : [b, a];
    if (!('slot' in own) || !('housing' in other) || shift !== 0 || mirrored) continue;
    const crimped = new Set(
      Object.values(wires).flatMap(({ ends }) =>
        ends.flatMap(({ at }) => (at.on === 'cavity' && at.housing === other.housing ? [at.position] : [])),
      ),
    );
    assembly.connector(own.slot, own.connector)?.pins.forEach((pin, index) => {
      const ref = terminalRef(own.slot, pin);
      if (crimped.has(index + 1) && !Object.hasOwn(hidden, ref)) found.add(ref);
    });
  }
  return found;
});

/** "GPS G, from behind its plug": where a probe goes. */
export function probeWords(ref: TerminalRef, assembly: Assembly): string {
  const words = terminalWords(ref, assembly);
  return contactsBehindPlugs(assembly).has(ref) ? `${words}, from behind its plug` : words;
}
