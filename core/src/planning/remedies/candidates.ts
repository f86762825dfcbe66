/**
 * Changes of a plan that might mend a finding, the likeliest first: a plug put straight, two ends exchanged, an end
 * moved, a
 * wire that is missing, another gauge, a wire out, another part. Only what makes sense to join is tried.
 */
import { wireEndsWords, wireWords } from '../../facts/assembly/itemWords';
import { plugWords } from '../../facts/assembly/plugWords';
import type { Wire } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Plan } from '../../facts/plan/plan';
import type { Finding } from '../../judgement/rules/finding';
import { netlist } from '../../facts/wiring/netlist';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { Joinable } from './joinable';
import { joinable } from './joinable';
import { portAsWired } from './portAsWired';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';
import type { Remedy, Scene } from './scene';
import { change, moved, spoken, placeWords, under, insulatedEnd } from './scene';
import { missing, nearestFree } from './missingWires';
import { otherModels } from './otherModels';
import { lookUp } from '../../facts/terms/lookUp';

const gauges = [10, 12, 14, 16, 18, 20, 22, 24, 26, 28, 30];

/** Every candidate once; an empty list when nothing here could help. */
export function candidates(plan: Plan, catalogue: Catalogue, found: Finding): Remedy[] {
  const { target } = plan;
  const assembly = assemble(target, catalogue);
  const sense = joinable(plan, catalogue);
  const named = found.wires.flatMap((id) => lookUp(target.wires, id) ?? []);
  const slots = new Set([
    ...named.flatMap((wire) => slotsOf(assembly, wire)),
    ...found.at.map((ref) => splitRef(ref).slot),
  ]);
  const odd = Object.values(target.wires).filter((wire) => !makesSense(assembly, sense, wire));
  const suspects = [...new Set([...named.filter((wire) => odd.includes(wire)), ...odd, ...named])];
  const innocent = Object.fromEntries(Object.entries(target.wires).filter(([, wire]) => !suspects.includes(wire)));
  const scene: Scene = {
    target,
    assembly,
    nets: netlist(assembly),
    without: netlist(assemble({ ...target, wires: innocent }, catalogue)),
    sense,
    slots,
  };
  return [
    ...portAsWired(plan, catalogue, found),
    ...straightened(scene),
    ...exchanges(scene, suspects),
    ...suspects.flatMap((wire) => moves(scene, wire)),
    ...missing(scene),
    ...named.flatMap((wire) => otherGauges(scene, wire)),
    ...named.flatMap((wire) => otherColours(scene, wire)),
    ...named.flatMap((wire) => insulated(scene, wire)),
    ...suspects
      .filter(({ from }) => from !== 'tail')
      .map((wire) => ({ message: `Take ${wireEndsWords(wire, scene.assembly)} out`, changes: [change(wire, null)] })),
    ...otherModels(scene, found),
  ];
}

function slotsOf(target: Assembly, { ends }: Wire): Slot[] {
  return ends.flatMap((end) => terminalUnder(target, end) ?? []).map((ref) => splitRef(ref).slot);
}

function makesSense(target: Assembly, sense: Joinable, { ends }: Wire): boolean {
  const [a, b] = ends.map((end) => terminalUnder(target, end));
  return !a || !b || sense.may(a, b);
}

/** Plugs that sit turned or one position off. */
function straightened({ target, assembly }: Scene): Remedy[] {
  return Object.entries(target.mates)
    .filter(([, { shift, mirrored }]) => shift !== 0 || mirrored)
    .map(([id, mate]) => ({
      message: `Seat plug ${plugWords(id, assembly)} straight, every contact on its own pin`,
      changes: [{ path: `mates/${id}`, before: mate, after: { ...mate, shift: 0, mirrored: false } }],
    }));
}

/** Two ends change places, so that both wires then join what belongs together. */
function exchanges(scene: Scene, suspects: readonly Wire[]): Remedy[] {
  const done = new Set<string>();
  return suspects.flatMap((a) =>
    Object.values(scene.target.wires)
      .filter(({ id }) => id !== a.id)
      .flatMap((b) =>
        ([0, 1] as const).flatMap((i) =>
          ([0, 1] as const).flatMap((j): Remedy[] => {
            const name = [`${a.id}.${i}`, `${b.id}.${j}`].sort().join(' ');
            if (done.has(name) || a.ends[i].by === 'factory' || b.ends[j].by === 'factory') return [];
            const [[a0, a1], [b0, b1]] = [under(scene, a), under(scene, b)];
            const [fromA, fromB] = [i === 0 ? a0 : a1, j === 0 ? b0 : b1];
            const [otherA, otherB] = [i === 0 ? a1 : a0, j === 0 ? b1 : b0];
            // On one conductor it would change nothing.
            if (!fromA || !fromB || !otherA || !otherB || scene.without.netOf(fromA) === scene.without.netOf(fromB))
              return [];
            if (!scene.sense.may(fromB, otherA) || !scene.sense.may(fromA, otherB)) return [];
            done.add(name);
            return [
              {
                message: `Exchange ${wireWords(a, scene.assembly)} and ${wireWords(b, scene.assembly)} at ${placeWords(scene, fromA, fromB)}`,
                changes: [change(a, moved(a, i, b.ends[j])), change(b, moved(b, j, a.ends[i]))],
              },
            ];
          }),
        ),
      ),
  );
}

/** One end to another free pad, where it joins what belongs together; also an end that is in the air. */
function moves(scene: Scene, wire: Wire): Remedy[] {
  const ends = under(scene, wire);
  return ([0, 1] as const).flatMap((end): Remedy[] => {
    const other = ends[end === 0 ? 1 : 0];
    if (wire.ends[end].by === 'factory' || !other) return [];
    const now = ends[end];
    return nearestFree(
      scene,
      other,
      scene.sense.partnersOf(other).filter((ref) => !now || scene.without.netOf(ref) !== scene.without.netOf(now)),
    ).map(({ ref, at }) => ({
      message: `Move ${wireEndsWords(wire, scene.assembly)} to ${spoken(scene, ref)}`,
      changes: [change(wire, moved(wire, end, at))],
    }));
  });
}

function otherGauges({ assembly }: Scene, wire: Wire): Remedy[] {
  return wire.from === 'tail'
    ? []
    : gauges
        .filter((awg) => awg !== wire.awg)
        .sort((a, b) => Math.abs(a - wire.awg) - Math.abs(b - wire.awg))
        .slice(0, 5)
        .map((awg) => ({
          message: `Make ${wireEndsWords(wire, assembly)} ${awg} AWG`,
          changes: [change(wire, { ...wire, awg })],
        }));
}

function otherColours({ assembly }: Scene, wire: Wire): Remedy[] {
  return wire.from === 'tail'
    ? []
    : ['red', 'black']
        .filter((colour) => colour !== wire.colour)
        .map((colour) => ({
          message: `Make ${wireEndsWords(wire, assembly)} ${colour}`,
          changes: [change(wire, { ...wire, colour })],
        }));
}

function insulated({ assembly }: Scene, wire: Wire): Remedy[] {
  const end = wire.ends.findIndex(({ at }) => at.on === 'air' && at.end === 'bare');
  return end < 0
    ? []
    : [
        {
          message: `Insulate the free end of ${wireWords(wire, assembly)}`,
          changes: [
            change(wire, { ...wire, ends: end === 0 ? [insulatedEnd, wire.ends[1]] : [wire.ends[0], insulatedEnd] }),
          ],
        },
      ];
}
