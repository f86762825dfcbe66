/**
 * What must live before the controller's software runs hangs on nothing that the software switches, not even by way of
 * another part. dark: a part is fed only once the software has switched it on.
 */
import { fliesOnIt } from '../../facts/catalogue/kinds';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Constraint, Terms } from '../../facts/terms/solver';
import type { WiringInput } from './wiringVariables';
import { darkName, joinName } from './wiringVariables';

/** Gives the variables that it made: none where no pad is switched. */
export function liveBefore(
  { assembly, needs }: WiringInput,
  may: (own: TerminalRef, pad: TerminalRef) => boolean,
  add: (terms: Terms, is: Constraint['is'], value: number) => void,
): string[] {
  const supplies = needs.filter(({ is }) => is === 'supply');
  const canBeDark = new Set<Slot>();
  const darkens = ({ ref, rail, switched }: (typeof supplies)[number]['pads'][number]) =>
    switched || (rail !== null && canBeDark.has(splitRef(ref).slot));
  for (let before = -1; before < canBeDark.size;) {
    before = canBeDark.size;
    for (const { slot, pads } of supplies) if (pads.some(darkens)) canBeDark.add(slot);
  }
  for (const { own, slot, pads } of supplies)
    for (const pad of pads.filter((one) => may(own, one.ref) && darkens(one))) {
      const host = splitRef(pad.ref).slot;
      const above: Terms = pad.switched ? [] : [[darkName(host), 1]];
      add([[joinName(own, pad.ref), 1], ...above, [darkName(slot), -1]], '<=', pad.switched ? 0 : 1);
    }
  const dark = [...canBeDark];
  for (const slot of dark) if (fliesOnIt(assembly.model(slot)!.kind)) add([[darkName(slot), 1]], '=', 0);
  return dark.map(darkName);
}
