/**
 * Fewer crossings of wires seen from above, by exchanging pads that serve alike. Local search: each exchange must lower
 * the
 * number of crossings and must not lengthen the wires, so it ends, and the optimum found before it stands.
 */
import type { TerminalRef } from '../../facts/terms/names';
import { segmentsCross } from '../../physics/geometry/crossings';

export interface Strand {
  own: TerminalRef;
  to: TerminalRef;
  /** Strands of one group may exchange pads as far as `may` allows; null: it stays. */
  group: string | null;
  may: (pad: TerminalRef) => boolean;
}

interface Ground {
  /** From above, mm. */
  pointOf: (ref: TerminalRef) => readonly [number, number];
  lengthMm: (own: TerminalRef, pad: TerminalRef) => number;
}

interface Uncrossed {
  /** In the order given. */
  pads: TerminalRef[];
  before: number;
  after: number;
}

export function uncross(strands: readonly Strand[], { pointOf, lengthMm }: Ground): Uncrossed {
  const from = strands.map(({ own }) => pointOf(own));
  const pads = strands.map(({ to }) => to);
  const cross = (i: number, j: number) => segmentsCross(from[i]!, pointOf(pads[i]!), from[j]!, pointOf(pads[j]!));
  const around = (i: number, j: number) =>
    strands.reduce(
      (sum, _, k) => sum + (k !== i && cross(i, k) ? 1 : 0) + (k !== i && k !== j && cross(j, k) ? 1 : 0),
      0,
    );
  const total = () => strands.reduce((sum, _, i) => sum + strands.filter((__, j) => j > i && cross(i, j)).length, 0);
  const exchange = (i: number, j: number) => ([pads[i], pads[j]] = [pads[j]!, pads[i]!]);
  const pairs = strands.flatMap((a, i) =>
    strands.flatMap((b, j) => (j > i && a.group !== null && a.group === b.group ? [[i, j] as const] : [])),
  );
  const before = total();
  for (let again = true; again;) {
    again = false;
    for (const [i, j] of pairs) {
      const [a, b] = [strands[i]!, strands[j]!];
      if (!a.may(pads[j]!) || !b.may(pads[i]!)) continue;
      if (lengthMm(a.own, pads[j]!) + lengthMm(b.own, pads[i]!) > lengthMm(a.own, pads[i]!) + lengthMm(b.own, pads[j]!))
        continue;
      const was = around(i, j);
      exchange(i, j);
      if (around(i, j) < was) again = true;
      else exchange(i, j);
    }
  }
  return { pads, before, after: total() };
}
