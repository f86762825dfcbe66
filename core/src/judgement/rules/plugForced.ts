/**
 * Housings that do not belong together: of another pitch, family or sex. Twins of another pitch nearly fit, and bend
 * every pin.
 */
import type { ConnectorRef, Housing } from '../../facts/assembly/build';
import type { TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import type { Rule, RuleView } from './finding';
import { finding } from './finding';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'plug forced';

export const plugForced: Rule = {
  name,
  why: 'Housings of 1.0 and 1.25 mm look alike and can be forced together: pins bend, and plus meets what lies beside it.',
  judge: (view) =>
    Object.values(view.assembly.build.mates).flatMap(({ a, b }) => {
      const [first, second] = [bodyOf(view, a), bodyOf(view, b)];
      const message = first && second && unlike(first, second);
      if (!message) return [];
      const at = [a, b].flatMap((side) => pinsOf(view, side))[0];
      if (!at) return [];
      const socket = [a, b].find((side) => 'slot' in side)!;
      const where = 'slot' in socket ? `${socket.slot} ${socket.connector}` : '';
      const said = `On ${where} ${message} Take one that fits.`;
      return [finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(at)!, at: [at], message: said })];
    }),
};

type Shape = Pick<Housing, 'family' | 'pitchMm' | 'key'>;

/** Why two housings do not belong together, or null. */
function unlike(first: Shape, second: Shape): string | null {
  if (Math.abs(first.pitchMm - second.pitchMm) >= 0.05)
    return `a housing of ${first.pitchMm} mm pitch is put to one of ${second.pitchMm} mm.`;
  if (first.family !== second.family) return `a ${first.family} is put to a ${second.family}.`;
  // Two plugs or two sockets screw together and join nothing; other keys are the same on both sides.
  return first.key === second.key && sexed.has(first.key) ? `a ${first.family} ${first.key} is put to another.` : null;
}

const sexed: ReadonlySet<string> = new Set(['plug', 'socket']);

function bodyOf({ assembly }: RuleView, side: ConnectorRef): Shape | null {
  return 'housing' in side
    ? (lookUp(assembly.build.housings, side.housing) ?? null)
    : assembly.connector(side.slot, side.connector);
}

function pinsOf({ assembly }: RuleView, side: ConnectorRef): TerminalRef[] {
  if ('housing' in side) return [];
  return (assembly.connector(side.slot, side.connector)?.pins ?? []).map((pin) => terminalRef(side.slot, pin));
}
