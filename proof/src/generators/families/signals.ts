/** Signals that do not meet what they are for. In the words of the trade. */
import { isGround, pin } from '../spoiled';
import type { Family } from './family';
import { isBoard, data, free, first } from './family';

export const signals: readonly Family[] = [
  {
    says: 'transmit on transmit',
    is: 'stop',
    make: (good) =>
      first(data(good, 'rx')).flatMap((run) => {
        const other = data(good, 'tx').find(({ there }) => there!.slot === run.there!.slot);
        return other ? [good.exchanged(run, other)] : [];
      }),
  },
  {
    says: 'the receive wire on another port’s pad',
    is: 'stop',
    make: (good) =>
      first(
        data(good, 'rx').filter(({ there }) => data(good, 'tx').some((other) => other.there!.slot === there!.slot)),
      ).flatMap((run) => {
        const [to] = free(good, (place) => isBoard(place) && pin(place, 'serial', 'rx'));
        return to ? [good.moved(run, to.ref)] : [];
      }),
  },
  {
    says: 'a data wire left out',
    is: 'stop',
    make: (good) => first(data(good, 'rx')).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'a second sender on an input',
    is: 'stop',
    make: (good) =>
      first(data(good, 'rx'), 1).flatMap((run) => {
        const other = good.places(
          (place) => place.slot !== run.there!.slot && !isBoard(place) && pin(place, 'serial', 'tx'),
        )[0];
        return other ? [good.added(other.ref, run.here.ref)] : [];
      }),
  },
  {
    says: 'camera in and video out exchanged',
    is: 'stop',
    make: (good) => {
      const on = (name: string) => good.runs((here) => isBoard(here) && pin(here, 'video', name))[0];
      const [into, out] = [on('in'), on('out')];
      return into && out ? [good.exchanged(into, out)] : [];
    },
  },
  {
    says: 'video control on a receive pad',
    is: 'stop',
    make: (good) =>
      good
        .runs(
          (here, there) =>
            isBoard(here) &&
            pin(here, 'serial', 'tx') &&
            there?.model.kind === 'video unit' &&
            !data(good, 'rx').some((run) => run.there!.slot === there.slot),
        )
        .flatMap((run) =>
          first(
            free(good, (place) => isBoard(place) && pin(place, 'serial', 'rx')),
            1,
          ).map(({ ref }) => good.moved(run, ref)),
        ),
  },
  {
    says: 'one wire of a compass left out',
    is: 'stop',
    make: (good) =>
      first(
        good.runs((here) => isBoard(here) && pin(here, 'i2c')),
        1,
      ).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'the two wires of a compass exchanged',
    is: 'stop',
    make: (good) => {
      const runs = good.runs((here) => isBoard(here) && pin(here, 'i2c'));
      return runs.length === 2 ? [good.exchanged(runs[0]!, runs[1]!)] : [];
    },
  },
  {
    says: 'two motor signals exchanged',
    is: 'stop',
    make: (good) => {
      const runs = good.runs((here) => isBoard(here) && pin(here, 'motorSignal'));
      return runs.length > 1 ? [good.exchanged(runs[0]!, runs[1]!)] : [];
    },
  },
  {
    says: 'a motor signal left out',
    is: 'stop',
    make: (good) =>
      first(
        good.runs((here) => isBoard(here) && pin(here, 'motorSignal')),
        1,
      ).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'a lead of a motor left out',
    is: 'stop',
    make: (good) =>
      first(
        good.runs((here) => here.model.kind === 'motor'),
        1,
      ).map(({ wire }) => good.without(wire.id)),
  },
  {
    says: 'leads of two motors mixed',
    is: 'stop',
    make: (good) => {
      const runs = good.runs(
        (here, there) =>
          here.model.kind !== 'motor' && there?.model.kind === 'motor' && !pin(here, 'motorPhase', 'plus'),
      );
      const other = runs.find(({ there }) => there!.slot !== runs[0]?.there!.slot);
      return runs[0] && other ? [good.exchanged(runs[0], other)] : [];
    },
  },
  {
    says: 'a plain receiver on an inverted input',
    is: 'stop',
    make: (good) =>
      first(data(good, 'rx'), 1).flatMap((run) => {
        const [to] = free(
          good,
          (place) =>
            isBoard(place) &&
            place.terminal.roles.some(
              (role) =>
                role.is === 'port' && place.model.ports.find(({ id }) => id === role.port)?.inversion === 'inverted',
            ),
        );
        return to ? [good.moved(run, to.ref)] : [];
      }),
  },
  {
    says: 'video without a common ground',
    is: 'stop',
    make: (good) =>
      first(
        good.runs((here) => isGround(here) && here.model.kind === 'camera'),
        1,
      ).map(({ wire }) => good.without(wire.id)),
  },
];
