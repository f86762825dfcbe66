/** Parts that must be there and are not, or are there and do not suit. In the words of the trade. */
import type { PartModel } from '@junctor/core';
import { modelWith } from '../modelWith';
import type { Spoiled } from '../spoiled';
import { gives, isGround, pin } from '../spoiled';
import type { Family } from './family';
import { changed, first, isBoard } from './family';

type Radio = NonNullable<PartModel['ports'][number]['radio']>;

const withRadio = (model: PartModel, radio: (known: Radio) => Radio): PartModel => ({
  ...model,
  ports: model.ports.map((port) => (port.radio ? { ...port, radio: radio(port.radio) } : port)),
});
const scaled = (model: PartModel, farads: number): PartModel => ({
  ...model,
  elements: model.elements.map((one) => (one.is === 'capacitor' ? { ...one, farads } : one)),
});
const withAerialPlug = (good: Spoiled, plug: Partial<PartModel['connectors'][number]>) =>
  first(good.slots('antenna')).map((slot) =>
    changed(good, slot, (model) => ({ ...model, connectors: model.connectors.map((one) => ({ ...one, ...plug })) })),
  );
/** Builds with a part whose sheet wants a capacitor, and with one. */
const capacitors = (good: Spoiled) =>
  good.slots().some((slot) => good.model(slot).wantsCapacitor) ? good.slots('capacitor') : [];
const wiresOf = (good: Spoiled, slot: string) =>
  good.runs((_here, there) => there?.slot === slot).map(({ wire }) => wire.id);

export const fitting: readonly Family[] = [
  {
    says: 'an aerial for another band',
    is: 'stop',
    make: (good) =>
      first(good.slots('antenna')).map((slot) =>
        changed(good, slot, (model) => withRadio(model, (radio) => ({ ...radio, bandMHz: [860, 930] }))),
      ),
  },
  {
    says: 'an aerial of another polarisation',
    is: 'stop',
    make: (good) =>
      good.slots().some((slot) => good.model(slot).kind === 'video unit' && wants(good.model(slot)) !== undefined)
        ? first(good.slots('antenna'), 1).map((slot) =>
            changed(good, slot, (model) => withRadio(model, (radio) => ({ ...radio, polarisation: 'left' }))),
          )
        : [],
  },
  {
    says: 'an aerial with a screw plug on a snap socket',
    is: 'stop',
    make: (good) => withAerialPlug(good, { family: 'coax screw' }),
  },
  {
    says: 'an aerial whose plug is a socket',
    is: 'stop',
    make: (good) => withAerialPlug(good, { key: 'socket' }),
  },
  {
    says: 'no capacitor where a sheet wants one',
    is: 'stop',
    make: (good) => first(capacitors(good), 1).map((slot) => good.without(...wiresOf(good, slot))),
  },
  {
    says: 'a smaller capacitor than a sheet wants',
    is: 'warn',
    make: (good) => first(capacitors(good), 1).map((slot) => changed(good, slot, (model) => scaled(model, 47e-6))),
  },
  {
    says: 'a linear regulator that burns more than its package bears',
    is: 'stop',
    make: (good) =>
      first(
        good
          .slots()
          .filter((slot) => good.model(slot).elements.some((one) => one.is === 'load' && one.typicalA > 0.02)),
      ).flatMap((slot) => {
        const { elements } = good.model(slot);
        const burning = elements.find(
          (one) =>
            one.is === 'regulator' &&
            one.kindOf === 'linear' &&
            elements.some((load) => load.is === 'load' && load.plus === one.output && load.typicalA > 0.02),
        );
        return burning
          ? [
              changed(good, slot, (model) => ({
                ...model,
                elements: model.elements.map((one) =>
                  one === burning && one.is === 'regulator' ? { ...one, packageW: 0.005 } : one,
                ),
              })),
            ]
          : [];
      }),
  },
  {
    says: 'a video unit on a rail that software switches, its data wire driven meanwhile',
    is: 'warn',
    make: (good) =>
      first(
        good
          .runs(
            (here, there) => gives(here, 4.5, 11) && there?.model.kind === 'video unit' && isTalkedTo(good, there.slot),
          )
          .flatMap(({ here }) =>
            here.model.elements.flatMap((element) =>
              element.is === 'regulator' && element.output === here.terminal.node && !feedsFlight(good, here)
                ? [changed(good, here.slot, (model) => modelWith(model, element.id, 'software'))]
                : [],
            ),
          ),
        1,
      ),
  },
  {
    says: 'signal strength given to the pad for current',
    is: 'stop',
    make: (good) => {
      const current = good.places((place) => isBoard(place) && pin(place, 'sense') && !good.isWired(place.ref))[0];
      const runs = good.runs(
        (here, there) => isBoard(here) && pin(here, 'serial', 'rx') && there?.model.kind === 'receiver',
      );
      return current
        ? first(runs, 1).map((run) => {
            const other = changed(good, run.there!.slot, (model) => ({
              ...model,
              ports: model.ports.map((port) =>
                run.there!.terminal.roles.some((role) => role.is === 'port' && role.port === port.id)
                  ? { ...port, kind: 'strength' as const, way: 'gives' as const }
                  : port,
              ),
            }));
            return { ...other, build: { ...other.build, wires: good.moved(run, current.ref).wires } };
          })
        : [];
    },
  },
];

function wants({ ports }: PartModel): string | undefined {
  return ports.find(({ kind, way }) => kind === 'aerial' && way === 'gives')?.radio?.polarisation;
}

const isTalkedTo = (good: Spoiled, slot: string) =>
  good.runs((here, there) => here.slot === slot && pin(here, 'serial', 'rx') && there !== null && isBoard(there))
    .length > 0;

/** A controller or receiver hangs on the same pads. */
function feedsFlight(good: Spoiled, rail: { slot: string; terminal: { node: string } }): boolean {
  return good
    .runs((here, there) => here.slot === rail.slot && here.terminal.node === rail.terminal.node && there !== null)
    .some(({ here, there }) => !isGround(here) && there!.model.kind === 'receiver');
}
