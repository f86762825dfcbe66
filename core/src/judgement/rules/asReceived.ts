/**
 * What was wrong with a quad as it came in: judged without a plan, as long as the wires in question have not been
 * touched.
 */
import { applyAct } from '../../facts/assembly/applyAct';
import type { Build } from '../../facts/assembly/build';
import { sameLanding } from '../../facts/assembly/build';
import { bodyOf } from '../../facts/assembly/difference';
import type { Range, TerminalRef, WireId } from '../../facts/terms/names';
import type { Finding } from './finding';
import { judge, newFindings } from './judge';
import type { Act } from '../../facts/assembly/act';
import type { Assembly } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

/** Kill and stop findings of the start that still hold. What only works badly there is the customer's own choice. */
export function judgeAsReceived(start: Assembly, asBuilt: Assembly, cells: Range): Finding[] {
  const untouched = (id: string) => {
    const [before, now] = [lookUp(start.build.wires, id), lookUp(asBuilt.build.wires, id)];
    return Boolean(
      before && now && ([0, 1] as const).every((end) => sameLanding(before.ends[end].at, now.ends[end].at)),
    );
  };
  return judge(start, [], cells).filter(
    ({ severity, wires }) => severity !== 'warn' && wires.length > 0 && wires.every(untouched),
  );
}

export interface FoundElsewhere {
  /** What is recorded. */
  act: Act;
  /**
   * What it would mean: findings that the build does not have while the wire is believed to be where it was. Worst
   * first.
   */
  findings: Finding[];
}

/** A wire of the quad is seen on another pad than believed. @throws {RangeError} If the quad has no such wire. */
export function foundElsewhere(
  asBuilt: Assembly,
  { wire, end }: { wire: WireId; end: 0 | 1 },
  to: TerminalRef,
  cells: Range,
): FoundElsewhere {
  const known = lookUp(asBuilt.build.wires, wire);
  if (!known) throw new RangeError(`no wire ${wire} in the quad`);
  const act: Act = {
    do: 'land',
    wire,
    end,
    as: { ...known.ends[end], at: { on: 'terminal', ref: to } },
    body: bodyOf(known),
  };
  const seen = (target: Build) => ({ target, links: [], cells });
  return { act, findings: newFindings(seen(asBuilt.build), seen(applyAct(asBuilt, act).build), asBuilt.catalogue) };
}
