/**
 * What a quad should weigh, with its band: part masses spread 5 % unless they were weighed here, wire by copper and
 * insulation, solder by joint. Forecast with any pack.
 */
import type { PartModel } from '../../facts/catalogue/partModel';
import { certaintyAt } from '../../facts/catalogue/revisions';
import { wireDiameterMm } from '../../planning/kit/amounts';
import { kitList } from '../../planning/kit/kitList';
import { emptyBuild } from '../../facts/assembly/build';
import type { Range, Slot } from '../../facts/terms/names';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';
import { lengthMmOf } from '../../physics/layout/wireLength';
import { lookUp } from '../../facts/terms/lookUp';

interface WeightForecast {
  dryG: Range;
  /** By pack model, dry weight and pack together, propellers included when they are known. */
  withPack: readonly { pack: string; id: string; g: Range }[];
}

const spread: Readonly<Record<ReturnType<typeof certaintyAt>, number>> = {
  measured: 0.02,
  sheet: 0.04,
  typical: 0.06,
  assumed: 0.1,
};
/** Copper 8.9 and silicone about 1.3 g/cm3: by outer diameter, in g per mm. */
const wireGPerMm = (awg: number) => wireDiameterMm(awg) ** 2 * 0.785 * 3.2e-3;

/** @param weighed Grams of parts weighed here, by slot; one of several alike stands for all. */
export function forecastWeight(
  target: Assembly,
  weighed: Readonly<Record<Slot, number>>,
  packs: readonly PartModel[],
  propeller: PartModel | null,
): WeightForecast {
  const models = Object.keys(target.build.slots).map((slot) => ({ slot, model: target.model(slot)! }));
  const known = new Map(
    models.flatMap(({ slot, model }) =>
      lookUp(weighed, slot) === undefined ? [] : [[model.id, lookUp(weighed, slot)] as const],
    ),
  );
  const parts = models.map(({ model }): Range => {
    const own = known.get(model.id);
    return own === undefined ? band(model.massG, spread[certaintyAt(model, '/massG')]) : band(own, 0.01);
  });
  const wires = Object.values(target.build.wires)
    .filter(({ from }) => from !== 'tail')
    .map((wire) => band(lengthMmOf(target, wire) * wireGPerMm(wire.awg), 0.2));
  const small = kitList(assemble(emptyBuild, target.catalogue), target).map(({ kind, key, needed }) =>
    band(smallG(kind, key) * needed, 0.2),
  );
  const dryG = sum([...parts, ...wires, ...small]);
  const motors = models.filter(({ model }) => model.kind === 'motor').length;
  const props = propeller ? band(propeller.massG * motors, 0.03) : ([0, 0] as const);
  return {
    dryG,
    withPack: packs.map((pack) => ({ pack: pack.name, id: pack.id, g: sum([dryG, band(pack.massG, 0.03), props]) })),
  };
}

/** Grams of one unit of what is no part: solder, screws by length, ties, tape, sleeve. */
function smallG(kind: string, key: string): number {
  if (kind === 'solder') return 0.7;
  if (kind === 'screw') return Number(key.split(':')[2]) * (key.includes('M2') ? 0.022 : 0.05);
  if (key.startsWith('tie')) return 0.4;
  return key.startsWith('tape') || kind === 'sleeve' ? 0.006 : 0;
}

function band(grams: number, share: number): Range {
  return [grams * (1 - share), grams * (1 + share)];
}

/** Independent spreads add as squares, around the sum of the middles. */
function sum(ranges: readonly Range[]): Range {
  const middle = ranges.reduce((total, [low, high]) => total + (low + high) / 2, 0);
  const half = Math.sqrt(ranges.reduce((total, [low, high]) => total + ((high - low) / 2) ** 2, 0));
  return [middle - half, middle + half];
}
