/**
 * Wires of a build that nothing wants as they are. Where one is soldered to a pad that wants such a wire still, it
 * stays on that pad, and its other end alone goes elsewhere.
 */
import type { Wire, WireEnd } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import { assemble } from '../../facts/assembly/assembly';
import type { TerminalRef, WireId } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { joinMm } from '../../physics/layout/wireLength';
import type { Chosen } from './Drawing';
import type { Join } from './fixedJoins';
import { jointsOf } from './jointsOf';

/** By these a hand tells supply from ground from signal: such a wire stays what it is. */
const telling: readonly string[] = ['red', 'black'];

export class WiresLeftOver {
  private readonly left: Map<WireId, Wire>;

  constructor(
    private readonly chosen: Chosen,
    joins: readonly Join[],
  ) {
    const { assembly, held } = chosen;
    const wanted = new Set(joins.flatMap(({ own, to }) => [`${own}>${to}`, `${to}>${own}`]));
    const there = assemble(held.build, assembly.catalogue);
    const serves = (wire: Wire) => [...jointsOf(there, wire)].some((joint) => wanted.has(joint));
    const free = Object.values(held.build.wires).filter((wire) => wire.from === 'stock' && !serves(wire));
    this.left = new Map(free.map((wire) => [wire.id, wire]));
  }

  /** The wire that can be it with one end as it is; null when there is none. */
  take(wanted: Wire): Wire | null {
    for (const wire of this.left.values()) {
      if (!couldBe(wire, wanted) || !this.reaches(wire, wanted)) continue;
      const ends = this.withOneEnd(wire, wanted);
      if (!ends) continue;
      this.left.delete(wire.id);
      return { ...wire, ends };
    }
    return null;
  }

  private withOneEnd({ ends }: Wire, wanted: Wire): Wire['ends'] | null {
    for (const [own, other] of [
      [0, 1],
      [1, 0],
    ] as const) {
      const pad = landedOn(ends[own]);
      if (pad === null || ends[own].by !== 'solder' || !this.chosen.held.stays(splitRef(pad).slot)) continue;
      const at = wanted.ends.findIndex((end) => landedOn(end) === pad);
      if (at < 0) continue;
      const goes = wanted.ends[at === 0 ? 1 : 0]!;
      return own < other ? [ends[own], goes] : [goes, ends[own]];
    }
    return null;
  }

  /** A wire that is cut is as long as it is. */
  private reaches({ lengthMm }: Wire, { ends }: Wire): boolean {
    const [a, b] = ends.map(landedOn) as [TerminalRef | null, TerminalRef | null];
    return lengthMm === null || (a !== null && b !== null && joinMm(this.chosen.assembly, a, b) <= lengthMm);
  }
}

function couldBe(wire: Wire, wanted: Wire): boolean {
  const isTold = telling.includes(wire.colour) || telling.includes(wanted.colour);
  return (
    wire.awg === wanted.awg &&
    (!isTold || wire.colour === wanted.colour) &&
    [...wire.ends, ...wanted.ends].every(isBare)
  );
}

/** In no plug. */
function isBare({ at }: WireEnd): boolean {
  return at.on !== 'cavity';
}
