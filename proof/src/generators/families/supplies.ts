/** Supplies, grounds and what hangs on them, wired or chosen wrong. In the words of the trade. */
import { modelWith } from '../modelWith';
import { gives, isGround, pin, takes } from '../spoiled';
import type { Family } from './family';
import { isBoard, onBattery, leadEnds, fiveVolt, groundsOf, free, first, regulatorsFeeding, changed } from './family';

export const supplies: readonly Family[] = [
  {
    says: 'battery lead reversed',
    is: 'kill',
    make: (good) => (leadEnds(good) ? [good.exchanged(...leadEnds(good)!)] : []),
  },
  {
    says: 'capacitor reversed',
    is: 'kill',
    make: (good) => {
      const legs = good.runs((_here, there) => there?.model.kind === 'capacitor');
      return legs.length === 2 ? [good.exchanged(legs[0]!, legs[1]!)] : [];
    },
  },
  {
    says: 'a 5 V part on the battery',
    is: 'kill',
    make: (good) => {
      const [to] = good.places((place) => onBattery(place) && place.terminal.form !== 'pin');
      return to ? first(fiveVolt(good)).map((run) => good.moved(run, to.ref)) : [];
    },
  },
  {
    says: 'a 5 V part on a 9 or 10 V pad',
    is: 'kill',
    make: (good) => {
      const [to] = good.places((place) => gives(place, 8, 11) && place.terminal.form !== 'pin');
      return to ? first(fiveVolt(good)).map((run) => good.moved(run, to.ref)) : [];
    },
  },
  {
    says: 'battery on a signal pad',
    is: 'kill',
    make: (good) => {
      const [plus] = good.places((place) => onBattery(place) && place.terminal.form !== 'pin');
      return plus
        ? first(free(good, (place) => isBoard(place) && pin(place, 'serial'))).map(({ ref }) =>
            good.added(plus.ref, ref),
          )
        : [];
    },
  },
  {
    says: 'a part that wants the battery on 5 V',
    is: 'stop',
    make: (good) => {
      const [to] = good.places((place) => gives(place, 4, 5.6) && place.terminal.form !== 'pin');
      const runs = good.runs(
        (_here, there) => there !== null && takes(there, 6.5) && there.model.kind === 'video unit',
      );
      return to ? first(runs).map((run) => good.moved(run, to.ref)) : [];
    },
  },
  {
    says: 'a receiver without ground',
    is: 'stop',
    make: (good) => first(groundsOf(good), 1).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'a part on the battery without ground',
    is: 'kill',
    make: (good) =>
      first(
        good
          .runs(
            (here) =>
              isGround(here) &&
              here.model.kind === 'video unit' &&
              here.model.terminals.some((terminal) => takes({ terminal }, 6.5)),
          )
          .filter(({ here }) => good.runs((other) => other.slot === here.slot && isGround(other)).length === 1),
      ).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'an ESC whose power ground is open while its signal ground is joined',
    is: 'kill',
    make: (good) =>
      first(
        good
          .runs(
            (here, there) =>
              here.model.kind === 'esc' &&
              isGround(here) &&
              here.terminal.thickestAwg < 20 &&
              there?.model.kind !== 'capacitor',
          )
          .filter(({ here }) => good.runs((other) => other.slot === here.slot && isGround(other)).length > 1),
      ).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'a separate ESC whose signal comes without its ground',
    is: 'warn',
    make: (good) =>
      first(
        good.runs(
          (here, there) =>
            here.model.kind === 'esc' && isGround(here) && here.terminal.thickestAwg >= 24 && there !== null,
        ),
      ).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'two regulators of one voltage joined',
    is: 'stop',
    make: (good) => {
      const rails = good.places(
        (place) =>
          gives(place, 4.5, 5.6) &&
          place.terminal.form !== 'pin' &&
          place.model.elements.some((one) => one.is === 'regulator' && one.output === place.terminal.node),
      );
      const other = rails.find(({ slot }) => slot !== rails[0]!.slot);
      return other ? [good.added(rails[0]!.ref, other.ref)] : [];
    },
  },
  {
    says: 'two regulators of different volts joined',
    is: 'kill',
    make: (good) => {
      const low = good.places((place) => gives(place, 4.5, 5.6) && place.terminal.form !== 'pin')[0];
      const high = good.places((place) => gives(place, 8, 11) && place.terminal.form !== 'pin')[0];
      return low && high ? [good.added(low.ref, high.ref)] : [];
    },
  },
  {
    says: 'a supply wire left out',
    is: 'stop',
    make: (good) => first(fiveVolt(good)).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'the capacitor behind a regulator',
    is: 'warn',
    make: (good) => {
      const [to] = good.places(
        (place) => gives(place, 4.5, 11) && place.terminal.form !== 'pin' && !good.isWired(place.ref),
      );
      const leg = good.runs((_here, there) => there?.model.kind === 'capacitor' && !isGround(there))[0];
      return to && leg ? [good.moved(leg, to.ref)] : [];
    },
  },
  {
    says: 'one leg of the capacitor open',
    is: 'warn',
    make: (good) =>
      good.runs((_here, there) => there?.model.kind === 'capacitor').map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'one cell more than the parts bear',
    is: 'kill',
    make: (good, [low]) => [{ build: good.build, catalogue: good.catalogue, cells: [low, 14] }],
  },
  {
    says: 'fewer cells than a part needs',
    is: 'stop',
    make: (good, [, high]) => (high > 2 ? [{ build: good.build, catalogue: good.catalogue, cells: [1, high] }] : []),
  },
  {
    says: 'a load that no regulator here gives',
    is: 'stop',
    make: (good) =>
      first(
        good.slots('receiver').filter((slot) => good.runs((here) => here.slot === slot && takes(here)).length > 0),
        1,
      ).map((slot) =>
        changed(good, slot, (model) => ({
          ...model,
          elements: model.elements.map((one) =>
            one.is === 'load' ? { ...one, typicalA: one.typicalA + 6, peakA: one.peakA + 6 } : one,
          ),
        })),
      ),
  },
  {
    says: 'a rail that waits for an enable pad nobody wired',
    is: 'stop',
    make: (good) =>
      regulatorsFeeding(good).map(({ slot, element }) =>
        changed(good, slot, (model) => modelWith(model, element, 'EN-PAD')),
      ),
  },
  {
    says: 'a receiver on a rail that only software switches on',
    is: 'stop',
    make: (good) =>
      regulatorsFeeding(good).map(({ slot, element }) =>
        changed(good, slot, (model) => modelWith(model, element, 'software')),
      ),
  },
  {
    says: 'a capacitor rated below the pack',
    is: 'warn',
    make: (good) =>
      good.slots('capacitor').map((slot) =>
        changed(good, slot, (model) => ({
          ...model,
          elements: model.elements.map((one) => (one.is === 'capacitor' ? { ...one, ratedV: 10 } : one)),
        })),
      ),
  },
];
