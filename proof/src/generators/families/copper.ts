/** Copper that is too thin, forced, left off, or touching. In the words of the trade. */
import { gives, isGround, pin } from '../spoiled';
import type { Family } from './family';
import {
  isBoard,
  isLogic,
  onBattery,
  leadEnds,
  fiveVolt,
  data,
  first,
  touchingPair,
  eachPlug,
  changed,
} from './family';

export const copper: readonly Family[] = [
  {
    says: 'a ball of solder between plus and minus',
    is: 'kill',
    make: (good) => {
      const board = good.places((place) => onBattery(place))[0];
      const minus = board && good.places((place) => place.slot === board.slot && isGround(place))[0];
      return board && minus ? [good.touching(board.ref, minus.ref)] : [];
    },
  },
  {
    says: 'a 5 V pad touching ground',
    is: 'kill',
    make: (good) => touchingPair(good, (place) => gives(place, 4.5, 5.6), isGround),
  },
  {
    says: 'battery touching a signal pad',
    is: 'kill',
    make: (good) => touchingPair(good, onBattery, (place) => isBoard(place) && isLogic(place) && pin(place, 'serial')),
  },
  {
    says: 'two signal pads touching',
    is: 'stop',
    make: (good) =>
      touchingPair(
        good,
        (place) => isBoard(place) && pin(place, 'serial', 'tx'),
        (place) => isBoard(place) && pin(place, 'serial', 'rx'),
      ),
  },
  {
    says: 'a partial short of 40 ohm between supply and ground',
    is: 'stop',
    make: (good) => touchingPair(good, (place) => gives(place, 4.5, 5.6), isGround, 40),
  },
  {
    says: 'a phase touching battery minus',
    is: 'stop',
    make: (good) => touchingPair(good, (place) => place.model.kind !== 'motor' && pin(place, 'motorPhase'), isGround),
  },
  {
    says: 'a transmitter without its aerial',
    is: 'stop',
    make: (good) =>
      Object.entries(good.build.mates)
        .filter(([, { a, b }]) => [a, b].some((side) => 'slot' in side && good.model(side.slot).kind === 'antenna'))
        .map(([id]) => ({
          ...good.build,
          mates: Object.fromEntries(Object.entries(good.build.mates).filter(([other]) => other !== id)),
        })),
  },
  {
    says: 'a plug turned over',
    is: 'stop',
    make: (good) => eachPlug(good, (mate) => ({ ...mate, mirrored: !mate.mirrored })),
  },
  {
    says: 'a plug one position off',
    is: 'stop',
    make: (good) => eachPlug(good, (mate) => ({ ...mate, shift: 1 })),
  },
  {
    says: 'a housing of another pitch forced on',
    is: 'stop',
    make: (good) => {
      const [id, housing] =
        Object.entries(good.build.housings).find(([key]) =>
          Object.values(good.build.mates).some(({ a, b }) =>
            [a, b].some((side) => 'housing' in side && side.housing === key),
          ),
        ) ?? [];
      return id && housing
        ? [
            {
              ...good.build,
              housings: { ...good.build.housings, [id]: { ...housing, pitchMm: housing.pitchMm === 1 ? 1.25 : 1 } },
            },
          ]
        : [];
    },
  },
  {
    says: 'a bare live end',
    is: 'warn',
    orStop: true,
    make: (good) => {
      const run = fiveVolt(good)[0];
      const ends = run && ([...run.wire.ends] as [(typeof run.wire.ends)[0], (typeof run.wire.ends)[1]]);
      if (!run || !ends) return [];
      ends[run.end === 0 ? 1 : 0] = { at: { on: 'air', end: 'bare' }, by: 'none' };
      return [good.with({ ...run.wire, ends })];
    },
  },
  {
    says: 'the battery lead of hair wire',
    is: 'stop',
    make: (good) => (leadEnds(good) ? [good.with({ ...leadEnds(good)![0].wire, awg: 30 })] : []),
  },
  {
    says: 'motor leads of hair wire',
    is: 'stop',
    make: (good) =>
      first(
        good.runs((here) => here.model.kind === 'motor'),
        1,
      ).map(({ wire }) => good.with({ ...wire, awg: 34 })),
  },
  {
    says: 'a wire thicker than its pad',
    is: 'warn',
    make: (good) =>
      first(data(good, 'rx'), 1).map(({ wire, here }) => good.with({ ...wire, awg: here.terminal.thickestAwg - 6 })),
  },
  {
    says: 'more wires than a pad holds',
    is: 'warn',
    orStop: true,
    make: (good) => {
      const run = data(good, 'rx')[0];
      const other = run && good.places((place) => place.slot === run.there!.slot && isGround(place))[0];
      return run && other ? [good.added(run.here.ref, run.here.ref, 31)] : [];
    },
  },
  {
    says: 'a motor that draws more than its channel bears',
    is: 'stop',
    make: (good) =>
      first(good.slots('motor'), 1).map((slot) =>
        changed(good, slot, (model) => ({ ...model, motorCurrent: { typicalA: 30, peakA: 150 } })),
      ),
  },
];
