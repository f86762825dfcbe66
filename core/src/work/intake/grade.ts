/** How hard a job is, and how long it may take: joints by class, the smallest pad, plugs against soldered ends. */
import { landedOn } from '../../facts/assembly/build';
import { difference } from '../../facts/assembly/difference';
import type { Step } from '../sequence/stepTable';
import type { Assembly } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

export interface Grade {
  word: 'plain' | 'fine' | 'delicate';
  /** Joints to solder, by wire: signal thinner than 24 AWG, motor 17 to 24, power thicker. */
  joints: { signal: number; motor: number; power: number };
  crimps: number;
  plugs: number;
  smallestPad: { terminal: string; widthMm: number } | null;
  minutes: { least: number; most: number };
  /** What a plug saves over soldering its ends, in minutes; null without plugs. */
  plugsSaveMinutes: number | null;
  message: string;
}

/** No times are learned yet: the sum of the starting values, a third either way. */
const spread = 1 / 3;
const solderedEndS = 60;
const plugS = 20;

export function gradeJob(start: Assembly, target: Assembly, steps: readonly Step[]): Grade {
  const ends = difference(start.build, target.build).flatMap(({ verb, about }) => {
    const joint = verb === 'land' ? about : null;
    const wire = joint && lookUp(target.build.wires, joint.wire);
    const ref = wire && landedOn(wire.ends[joint.end]);
    return wire && ref ? [{ ref, awg: wire.awg, by: wire.ends[joint.end].by, pad: target.terminal(ref) }] : [];
  });
  const soldered = ends.filter(({ by }) => by === 'solder');
  const count = (from: number, to: number) => soldered.filter(({ awg }) => awg >= from && awg < to).length;
  const pads = soldered.flatMap(({ ref, pad }) => (pad ? [{ terminal: ref, widthMm: Math.min(...pad.sizeMm) }] : []));
  const smallestPad = pads.reduce<(typeof pads)[number] | null>(
    (least, pad) => (!least || pad.widthMm < least.widthMm ? pad : least),
    null,
  );
  const joints = { power: count(0, 17), motor: count(17, 25), signal: count(25, 99) };
  const width = smallestPad?.widthMm ?? 9;
  const wordOf = () => {
    if (width < 1 || soldered.length > 90) return 'delicate';
    if (width < 1.3 || soldered.length > 40) return 'fine';
    return 'plain';
  };
  const word = wordOf();
  const minutes = steps.filter(({ done }) => !done).reduce((sum, { takesS }) => sum + takesS, 0) / 60;
  const plugs = Object.keys(target.build.mates).filter((id) => !Object.hasOwn(start.build.mates, id)).length;
  const contacts = Object.values(target.build.wires)
    .filter((wire) => !Object.hasOwn(start.build.wires, wire.id))
    .flatMap((wire) => wire.ends)
    .filter(({ at }) => at.on === 'cavity').length;
  return {
    word,
    joints,
    plugs,
    smallestPad,
    crimps: ends.filter(({ by }) => by === 'crimp').length,
    minutes: { least: Math.floor(minutes * (1 - spread)), most: Math.ceil(minutes * (1 + spread)) },
    plugsSaveMinutes: plugs > 0 ? Math.round((contacts * solderedEndS - plugs * plugS) / 60) : null,
    message: words(word),
  };
}

function words(word: Grade['word']): string {
  if (word === 'plain') return 'For anyone at the bench';
  return word === 'fine'
    ? 'Fine tip and magnifier; not a first job'
    : 'The steadiest hand, after ten joints on a scrap board';
}
