/**
 * What each touch would show on a good build and with each fault in it. A fault is an edit of the circuit; where the
 * good circuit says already that it cannot move the reading it is not solved for.
 */
import { lookUp } from '../../../facts/terms/lookUp';
import type { Meter } from '../../../facts/terms/meter';
import { once } from '../../../facts/terms/once';
import type { Circuit } from '../../../physics/circuit/compile';
import type { Melted } from '../../../physics/circuit/melt';
import { meltable } from '../../../physics/circuit/melt';
import { SideBySide } from '../../../physics/circuit/sideBySide';
import type { Between } from '../../../physics/circuit/whole';
import { WholeCircuit } from '../../../physics/circuit/whole';
import type { Defect } from '../defects/defect';
import type { Candidate } from './candidates';
import type { FaultyCopper } from './faultyCopper';
import { faultyCopperOf } from './faultyCopper';
import type { GoodCircuit, Probed, Reading, Standing } from './goodReading';
import { goodCircuit, goodReading, standingOf, voltsOf } from './goodReading';
import { mostMoved } from './mostMoved';
import type { GoodIs, Room } from './meterScale';
import { MeterScale, worthV } from './meterScale';

interface Simulated {
  /** What a good build shows at each touch, by its place. */
  good: (place: number) => GoodIs;
  /** For each defect the touches that show it. */
  shownBy: readonly (readonly number[])[];
}

/** Tries every defect with these touches; told the share that is done. */
type Simulate = (candidates: readonly Candidate[], onProgress?: (share: number) => void) => Simulated;

/** A touch on a good circuit: what is sure by nominal parts alone, and the whole, which costs more. */
interface Asked {
  probed: Probed;
  standing: Standing;
  reading: () => Reading;
}

export function simulator(
  circuit: Circuit,
  { defects, meter }: { defects: readonly Defect[]; meter: Meter },
): Simulate {
  const scale = new MeterScale(meter);
  const whole = meltable(circuit, { switchesClosed: false });
  const askedOn = goodAsked(circuit, scale);
  const sound = whole.melted([]);
  const ofFault = faultyCopperOf(circuit, sound);
  const like = new SideBySide();
  const faulty = defects.map(({ edits }) => {
    const melted = once(() => whole.melted(edits));
    const copper = once(() => ofFault(edits, melted()));
    const shows = once(() => shownIn(melted(), { sound, like, scale }));
    return { melted, copper, shows };
  });
  return (candidates, onProgress = () => undefined) => {
    const probed = candidates.map(({ touch }): Probed => {
      const [blackNode, redNode] = [lookUp(circuit.at, touch.black)!, lookUp(circuit.at, touch.red)!];
      return { mode: touch.mode, blackNode, redNode, black: sound.pieceOf(blackNode), red: sound.pieceOf(redNode) };
    });
    const asked = probed.map(askedOn);
    const groups = onSameCopper(sound, probed, [...probed.keys()]).map((places) => ({ ...asked[places[0]!]!, places }));
    const touchable = [...new Set(probed.flatMap(({ blackNode, redNode }) => [blackNode, redNode]))];
    const known = new Map<string, readonly number[]>();
    const shownBy = defects.map(({ edits }, index) => {
      onProgress(index / defects.length);
      if (edits.length === 0 || candidates.length === 0) return [];
      const { melted, copper, shows } = faulty[index]!;
      // Many a fault makes the same of the circuit as another.
      const kind = kindOfCopper(melted(), touchable);
      const before = known.get(kind);
      if (before) return before;
      const fault = copper();
      const isShown = (one: Asked, probe = one.probed) =>
        mayShow(fault, one, probe, scale) && shows()(probe, one.reading());
      const isCut = new Set(fault.cutPieces.map(({ piece }) => piece));
      const shown: number[] = [];
      for (const group of groups) {
        const { places, probed: probe } = group;
        if (isCut.size > 0 && (isCut.has(probe.black) || isCut.has(probe.red))) {
          for (const same of onSameCopper(melted(), probed, places))
            if (isShown(group, probed[same[0]!])) shown.push(...same);
        } else if (isShown(group)) shown.push(...places);
      }
      shown.sort((a, b) => a - b);
      known.set(kind, shown);
      return shown;
    });
    return { good: (place) => asked[place]!.reading().is, shownBy };
  };
}

/** False: by the good circuit alone it cannot move the reading far enough. */
function mayShow(fault: FaultyCopper, { standing, reading }: Asked, probe: Probed, scale: MeterScale): boolean {
  const leastV = nearestV(fault, standing.least);
  if (leastV === Infinity) return false;
  const movedV = mostMoved(fault, probe, standing, scale.ohmsAt[probe.mode]);
  if (movedV <= leastV - worthV) return false;
  const { is, room } = reading();
  if (is === 'unsure') return false;
  const roomV = nearestV(fault, room);
  return roomV < Infinity && movedV > roomV - worthV;
}

/** A way less and the volts rise; a way more and they fall. */
function nearestV({ isCut, joins }: FaultyCopper, { up, down }: Room): number {
  const upV = isCut ? up : Infinity;
  return joins.length > 0 && down < upV ? down : upV;
}

interface ShownIn {
  sound: Melted;
  like: SideBySide;
  scale: MeterScale;
}

/** Whether a faulty circuit, which is made ready for the first probe that is asked, shows something else at a probe. */
function shownIn(melted: Melted, { sound, like, scale }: ShownIn): (probe: Probed, good: Reading) => boolean {
  const whole = once(() => new WholeCircuit(melted, like));
  const known = new Map<string, boolean>();
  const showsBetween = ({ port, pieces }: Between, good: Reading, mode: Probed['mode']) => {
    // Twins show the same where the same was shown at both of them.
    const key = `${port.black} ${port.red} ${mode} ${good.is} ${good.low} ${good.high} ${good.outside.join(' ')}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    // Solved from where the good circuit stands, as far as it takes to tell.
    const under = pieces.map((piece) => sound.pieceUnder(piece));
    const isShown = scale.portDiffers(good, port, mode, voltsOf(under, good));
    known.set(key, isShown);
    return isShown;
  };
  return ({ blackNode, redNode, mode }, good) => {
    const [black, red] = [melted.pieceOf(blackNode), melted.pieceOf(redNode)];
    if (black === red) return scale.differs(good, 0, mode);
    const between = whole().between(black, red);
    return between ? showsBetween(between, good, mode) : scale.differs(good, scale.openV(mode), mode);
  };
}

/** A name for a circuit: the same for edits that make the same of it, as far as it can be touched at these nodes. */
function kindOfCopper({ pieceOf, inners }: Melted, nodes: readonly string[]): string {
  const numbers = new Map<number, number>();
  const numberOf = (piece: number) => {
    if (!numbers.has(piece)) numbers.set(piece, numbers.size);
    return numbers.get(piece)!;
  };
  const touched = nodes.map((node) => numberOf(pieceOf(node)));
  const between = inners.map(({ id, a, b, element }) => {
    const ends = [a, b].map(numberOf);
    return id.startsWith('bridge ') ? `${ends.sort().join(' ')} ${JSON.stringify(element)}` : `${id} ${ends.join(' ')}`;
  });
  return `${touched.join(' ')}: ${between.join(', ')}`;
}

/** What is asked of the good circuit; unsure where it hangs on switches that nobody knows to be open or closed. */
function goodAsked(circuit: Circuit, scale: MeterScale): (probe: Probed) => Asked {
  const open = onGood(goodCircuit(circuit, { switchesClosed: false }), scale);
  if (!circuit.branches.some(({ element }) => element.is === 'unknown switch')) return open;
  const closed = onGood(goodCircuit(circuit, { switchesClosed: true }), scale);
  return (probe) => {
    const one = open(probe);
    const reading = once((): Reading => {
      const read = one.reading();
      return isLike(read, closed(probe).reading()) ? read : { ...read, is: 'unsure' };
    });
    return { ...one, reading };
  };
}

/** What is asked on the same pieces of copper in the same mode is worked out once. */
function onGood(good: GoodCircuit, scale: MeterScale): (probe: Probed) => Asked {
  const known = new Map<string, Asked>();
  return (probe) => {
    const key = copperOf(good.sound, probe);
    const before = known.get(key);
    if (before) return before;
    const [black, red] = [good.sound.pieceOf(probe.blackNode), good.sound.pieceOf(probe.redNode)];
    const probed = { ...probe, black, red };
    const standing = standingOf(good, probed, scale);
    const asked = { probed, standing, reading: once(() => goodReading(good, { probed, standing }, scale)) };
    known.set(key, asked);
    return asked;
  };
}

function isLike(one: Reading, other: Reading): boolean {
  return Math.abs(one.low - other.low) < worthV && Math.abs(one.high - other.high) < worthV;
}

/** Some places in the list in groups that are on the same two pieces of copper, in the same mode. */
function onSameCopper(melted: Melted, probed: readonly Probed[], places: readonly number[]): number[][] {
  const groups = new Map<string, number[]>();
  for (const place of places) {
    const key = copperOf(melted, probed[place]!);
    groups.set(key, [...(groups.get(key) ?? []), place]);
  }
  return [...groups.values()];
}

function copperOf({ pieceOf }: Melted, { blackNode, redNode, mode }: Probed): string {
  return `${pieceOf(blackNode)} ${pieceOf(redNode)} ${mode}`;
}
