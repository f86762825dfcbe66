/** Housings that do not belong together: twins of another pitch nearly fit, and bend every pin. */
import type { ConnectorRef } from '../../facts/assembly/build';
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
      if (!first || !second || Math.abs(first.pitchMm - second.pitchMm) < 0.05) return [];
      const at = [a, b].flatMap((side) => pinsOf(view, side))[0];
      if (!at) return [];
      const message = `A housing of ${first.pitchMm} mm pitch is put to one of ${second.pitchMm} mm.`;
      return [finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(at)!, at: [at], message })];
    }),
};

function bodyOf({ assembly }: RuleView, side: ConnectorRef): { pitchMm: number } | null {
  return 'housing' in side
    ? (lookUp(assembly.build.housings, side.housing) ?? null)
    : assembly.connector(side.slot, side.connector);
}

function pinsOf({ assembly }: RuleView, side: ConnectorRef): TerminalRef[] {
  if ('housing' in side) return [];
  return (assembly.connector(side.slot, side.connector)?.pins ?? []).map((pin) => terminalRef(side.slot, pin));
}
