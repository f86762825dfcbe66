/**
 * Which pads of a solved wiring serve alike and may be exchanged: the three leads of a motor, supplies and grounds of
 * one rail on one board.
 */
import type { TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { pointOf } from '../../physics/geometry/place';
import { joinMm } from '../../physics/layout/wireLength';
import type { Strand } from './uncross';
import { uncross } from './uncross';
import type { WiringInput } from './wiringVariables';

/** The same wiring (pad by own terminal) with fewer crossings. What is soldered already or was chosen by hand stays. */
export function straightened(
  { assembly, kept, pinned, path, needs }: WiringInput,
  pads: ReadonlyMap<TerminalRef, TerminalRef>,
) {
  const held = new Set(pinned.filter(({ what }) => what === 'terminal').map(({ of }) => of));
  const stays = (own: TerminalRef, to: TerminalRef) =>
    held.has(own) || kept.has(`${own}>${to}`) || kept.has(`${to}>${own}`);
  const solderable = (ref: TerminalRef) => assembly.terminal(ref)!.form !== 'pin';
  // Of three phases any two may change places; a brushed motor has a plus and a minus.
  const isPhase = (own: TerminalRef) =>
    assembly
      .terminal(own)!
      .roles.some((role) => role.is === 'port' && (['a', 'b', 'c'] as const).some((pin) => pin === role.pin));
  const fixed = path.joins.map(({ own, to, link }): Strand => ({
    own,
    to,
    group: link.startsWith('motor ') && isPhase(own) && !stays(own, to) ? link : null,
    may: () => true,
  }));
  const chosen = [...pads].map(([own, to]): Strand => {
    const need = needs.find((need) => need.own === own);
    const pad = need?.pads.find(({ ref }) => ref === to);
    const alike = (ref: TerminalRef) =>
      need?.pads.some(
        (candidate) => candidate.ref === ref && candidate.rail === pad?.rail && candidate.doubtful === pad?.doubtful,
      ) ?? false;
    return {
      own,
      to,
      group:
        need && need.awg !== 'thick' && pad && solderable(to) && !stays(own, to)
          ? `${need.is} ${splitRef(to).slot} ${pad.rail}`
          : null,
      may: (ref) => solderable(ref) && alike(ref),
    };
  });
  const points = new Map<TerminalRef, readonly [number, number]>();
  const above = (ref: TerminalRef) => {
    const known = points.get(ref);
    if (known) return known;
    const [x, y] = pointOf(assembly, ref);
    points.set(ref, [x, y]);
    return [x, y] as const;
  };
  const found = uncross([...fixed, ...chosen], {
    pointOf: above,
    lengthMm: (own, pad) => joinMm(assembly, own, pad),
  });
  return {
    path: { ...path, joins: path.joins.map((join, index) => ({ ...join, to: found.pads[index]! })) },
    pads: new Map([...pads.keys()].map((own, index) => [own, found.pads[path.joins.length + index]!])),
    crossings: { before: found.before, after: found.after },
  };
}
