/** Aircraft as they truly are: the good one, and ones with something wrong that nobody has told anybody. */
import type { Assembly, Build, Catalogue, Heard, ListedTouch, Meter, Touch } from '@junctor/core';
import { TrueMeter, asPrinted, random } from '@junctor/proof';
import type { Bridge, Spread } from '@junctor/proof';

export type Said = Pick<Heard, 'length' | 'value' | 'open' | 'unit'>;

export interface Truth {
  name: string;
  /** What the meter says at a touch; an exchanged one after the first has been held. */
  hear: (touch: Pick<Touch, 'black' | 'red' | 'mode'>, exchanged: boolean) => Said;
}

interface Given {
  catalogue: Catalogue;
  meter: Meter;
  /** What a good build is. */
  good: Assembly;
}

/** The truth of a build with bridges, each touch simulated once. */
function truthOf(
  name: string,
  { catalogue, meter }: Given,
  is: { build: Build; bridges?: readonly Bridge[]; spread?: Spread },
): Truth {
  const known = new Map<string, Said>();
  const simulated = new TrueMeter({ catalogue, meter, ...is });
  return {
    name,
    hear: ({ black, red, mode }, exchanged) => {
      const key = `${black}~${red}~${mode}~${exchanged}`;
      const before = known.get(key);
      if (before) return before;
      const said =
        exchanged && mode === 'tone' ? afterFirst(simulated, { black, red }) : simulated.answer({ black, red, mode });
      known.set(key, said);
      return said;
    },
  };
}

/** The good aircraft, its capacitors as printed, smaller and larger. */
export function goodTruths(given: Given): [Truth, Truth, Truth] {
  const of = (share: number) => {
    const factor: Spread['factor'] = (_id, what) => (what === 'farads' ? share : 1);
    return truthOf('as planned', given, { build: given.good.build, spread: { ...asPrinted, factor } });
  };
  return [of(1), of(0.8), of(1.2)];
}

/** So many truths with one thing wrong each, from a seed: two pads bridged, or a joint that holds nothing. */
export function badTruths(given: Given, listed: readonly ListedTouch[], count: number): Truth[] {
  const chance = random(4711);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
  const refs = [...new Set(listed.flatMap(({ touch }) => [touch.black, touch.red]))];
  const { build } = given.good;
  const soldered = Object.values(build.wires).filter(({ ends }) => ends[1].by === 'solder');
  const [minus, plus] = ['BAT.MINUS', 'BAT.PLUS'] as const;
  return Array.from({ length: count }, (_, index) => {
    if (index === 0) return truthOf('plus on minus', given, { build, bridges: [{ a: plus, b: minus, ohms: 0.3 }] });
    if (index % 3 === 2) {
      const { id, ends } = pick(soldered);
      const open = { ...build.wires[id]!, ends: [ends[0], { at: { on: 'air', end: 'bare' }, by: 'none' }] as const };
      return truthOf(`${id} holds nothing`, given, { build: { ...build, wires: { ...build.wires, [id]: open } } });
    }
    const [a, b] = [pick(index % 3 === 0 ? [minus, plus] : refs), pick(refs)];
    return truthOf(`${a} on ${b}`, given, { build, bridges: [{ a, b, ohms: 0.1 + chance() * 4 }] });
  });
}

/** The tone of the second of two touches, the probes exchanged. */
function afterFirst(simulated: TrueMeter, { black, red }: Pick<Touch, 'black' | 'red'>): Said {
  simulated.bleed();
  simulated.hear(red, black, 2.5);
  return { length: simulated.hear(black, red) };
}

/** Touches at which a truth shows what no good one does: what has to be proved absent. */
export function shownBy(truth: Truth, good: readonly Truth[], listed: readonly ListedTouch[]): ListedTouch[] {
  return listed.filter(({ touch, across }) => {
    const exchanged = across === 'main leads exchanged';
    const usual = good.map((one) => one.hear(touch, exchanged));
    // A chirp is easily missed: its absence says nothing.
    if (usual.some(({ length }) => length === 'chirp')) usual.push({ length: 'none' });
    const said = truth.hear(touch, exchanged);
    return !usual.some((one) => isLike(one, said));
  });
}

/** Numbers that are further apart are told apart by any list. */
const surelyV = 0.25;

function isLike(one: Said, other: Said): boolean {
  if (one.value !== undefined && other.value !== undefined) return Math.abs(one.value - other.value) < surelyV;
  return one.length === other.length && one.open === other.open;
}
