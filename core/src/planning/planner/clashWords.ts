/** What stands against a request that cannot be met, in words with figures. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Slot } from '../../facts/terms/names';
import { enumerated } from '../../facts/terms/enumerated';
import { groupedBy } from '../../facts/terms/groupedBy';
import { splitRef } from '../../facts/terms/names';
import { isEsc } from '../../facts/catalogue/kinds';
import type { Solve } from '../../facts/terms/solver';
import type { Prepared } from './attempt';
import { attempt, prepare } from './attempt';
import { counted } from './counted';
import { regulatorOn } from './feeds';
import type { Need } from './needs';
import { alwaysWired } from './needs';
import type { PlanRequest } from './request';

/** @param request The clash alone: every part and every must in it is needed for it. */
export function clashWords(request: PlanRequest, { solve, rule }: { solve: Solve; rule: string | null }): string {
  const prepared = prepare(request);
  const wanted = request.wishes.filter(({ must }) => must);
  const musts = wanted.map(({ id }) => id);
  return (
    counted(prepared.input.assembly) ??
    (rule === null ? null : refusal(request, solve)) ??
    unfed(prepared, new Set(wanted.map(({ of }) => of))) ??
    (musts.length > 0 ? wishesWords(musts, prepared) : (overdrawn(prepared) ?? crowded(prepared)))
  );
}

function refusal(request: PlanRequest, solve: Solve): string | null {
  const tried = attempt(request, solve, { until: 'served' });
  return tried.is === 'refused' ? tried.finding.message : null;
}

/** A part that must be wired and that nothing suits, with what it takes. */
function unfed({ needs, input }: Prepared, wanted: ReadonlySet<Slot>): string | null {
  const must = (slot: Slot) => wanted.has(slot) || alwaysWired(input.assembly.model(slot)!);
  const without = needs.find(({ slot, pads }) => pads.length === 0 && must(slot));
  if (!without) return null;
  const role = input.assembly.terminal(without.own)!.roles.find(({ is }) => is === 'supply');
  const range = without.is === 'supply' && role?.is === 'supply' ? ` (${role.volts.join(' to ')} V)` : '';
  return `${without.slot}: nothing here gives the ${without.is} that ${without.own} takes${range}`;
}

function wishesWords(musts: readonly string[], prepared: Prepared): string {
  const { options } = prepared;
  const ports = new Set(
    options
      .filter(({ wish }) => musts.includes(wish))
      .flatMap(({ ends, wish }) =>
        ends.flatMap(({ slot, port }) => (wish.endsWith(` ${slot}`) ? [] : [`${slot}/${port}`])),
      ),
  );
  if (musts.length === 1) return `${musts[0]} cannot be met with these parts`;
  if (ports.size >= musts.length)
    return `${enumerated(musts)} cannot all be met: ${overdrawn(prepared) ?? 'there are ports, and the pads or the supplies do not suffice'}`;
  const count = ports.size === 1 ? 'one port' : `${ports.size} ports`;
  return `${enumerated(musts)} cannot all be met: ${count} for them${ports.size <= 4 && ports.size > 0 ? ` (${[...ports].join(', ')})` : ''}`;
}

/** Parts that take more together than what could feed them gives. */
function overdrawn({ needs, input: { assembly } }: Prepared): string | null {
  const supplies = needs.filter(({ is, awg }) => is === 'supply' && awg !== 'thick');
  const rails = new Map<string, number>();
  for (const { ref } of supplies.flatMap(({ pads }) => pads)) {
    const { slot } = splitRef(ref);
    const regulator = regulatorOn(assembly.model(slot)!, assembly.terminal(ref)!.node);
    if (!regulator) return null;
    rails.set(`${slot} ${regulator.outV} V`, regulator.limitA);
  }
  const drawnA = supplies.reduce((sum, { pads }) => sum + Math.min(...pads.map(({ typicalA }) => typicalA)), 0);
  const givenA = [...rails.values()].reduce((sum, limitA) => sum + limitA, 0);
  if (rails.size === 0 || drawnA === 0) return null;
  const list = enumerated(supplies.map(({ slot }) => slot));
  return `${list} take ${drawnA.toFixed(2)} A; ${[...rails.keys()].join(', ')} ${rails.size === 1 ? 'gives' : 'give'} ${givenA.toFixed(2)} A, and what hangs on them already counts`;
}

/** More wires than there are pads for. */
function crowded({ needs, input: { assembly, pinned } }: Prepared): string {
  if (pinned.length > 0) return 'what was chosen by hand cannot be kept';
  const thick = needs.filter(({ awg }) => awg === 'thick');
  const parts = thick.length > 0 && thick.every(({ slot }) => isEsc(assembly.model(slot)!.kind)) ? thick : needs;
  const sorts = [...groupedBy(parts, ({ is }) => is).values()].map((same) => room(same, assembly));
  const { wires, pads, holds } = sorts.find((own) => own.wires > own.holds) ?? room(parts, assembly);
  const slots = [...new Set(parts.map(({ slot }) => slot))];
  const those = pads === 1 ? 'the one pad that would do holds' : `${pads} pads that would do hold`;
  return `the pads do not suffice for ${enumerated(slots)}: ${wires} wires, and ${those} ${holds}`;
}

/** Wires, the pads that any of them could go to, and how many these hold. */
function room(needs: readonly Need[], assembly: Assembly): { wires: number; pads: number; holds: number } {
  const pads = new Set(needs.flatMap((need) => need.pads.map(({ ref }) => ref)));
  const holds = [...pads].reduce((sum, ref) => sum + assembly.terminal(ref)!.holds, 0);
  return { wires: needs.length, pads: pads.size, holds };
}
