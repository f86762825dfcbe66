/** Parts that are not there, or not as they should be, and metal where no metal belongs. */
import { isCapacitor } from '../../../facts/catalogue/kinds';
import type { Slot } from '../../../facts/terms/names';
import { hasRole } from '../../../facts/catalogue/roles';
import type { DefectView, Family, Place } from './defect';
import { isPhase, slotOf } from './defect';
import { touching } from './bridges';

export const parts: readonly Family[] = [
  {
    kind: 'part left out',
    often: 2,
    because: 'forgotten, or its leads never joined',
    make: (view) =>
      Object.keys(view.assembly.build.slots).flatMap((slot) => {
        const edits = cutFrom(view, slot);
        return edits.length === 0 ? [] : [{ site: { slot }, edits }];
      }),
  },
  {
    kind: 'capacitor reversed',
    often: 1,
    because: 'the stripe on plus',
    // No meter tells it from one that is right: it is looked at.
    make: ({ assembly }) =>
      Object.keys(assembly.build.slots)
        .filter((slot) => isCapacitor(assembly.model(slot)!))
        .map((slot) => ({ site: { slot }, edits: [], harm: 'kill' })),
  },
  {
    kind: 'screw in a winding',
    often: 2,
    because: 'a motor screw that is too long',
    make: (view) =>
      Object.keys(view.assembly.build.slots).flatMap((slot) => {
        const own = view.placesOf(slot);
        const metal = own.find(({ terminal }) => hasRole(terminal, 'metal'));
        return metal ? own.filter((place) => isPhase(view, place)).map((phase) => touching(phase, metal)) : [];
      }),
  },
  {
    kind: 'insulation chafed through on the frame',
    often: 1,
    because: 'an edge of carbon or metal',
    make: (view) => {
      const frame = view.places.find(
        (place) => view.assembly.model(slotOf(place))!.frame && hasRole(place.terminal, 'metal'),
      );
      if (!frame) return [];
      return Object.values(view.assembly.build.wires).flatMap(({ id, ends }) =>
        ends.slice(0, 1).flatMap(({ at: on }) => {
          const place = on.on === 'terminal' ? view.placeAt(on.ref) : undefined;
          return place ? [{ ...touching(place, frame), site: { wire: id } }] : [];
        }),
      );
    },
  },
  {
    kind: 'centre of an aerial on its shield',
    often: 1,
    because: 'a crushed cable, a socket pushed on crooked',
    make: ({ assembly, placesOf }) =>
      Object.keys(assembly.build.slots).flatMap((slot) => {
        const { ports } = assembly.model(slot)!;
        const isAerial = ({ terminal }: Place) =>
          terminal.roles.some(
            (role) => role.is === 'port' && ports.some(({ id, kind }) => id === role.port && kind === 'aerial'),
          );
        const shield = placesOf(slot).find(({ terminal }) => hasRole(terminal, 'ground'));
        return shield
          ? placesOf(slot)
              .filter(isAerial)
              .map((centre) => touching(centre, shield))
          : [];
      }),
  },
];

/** Every joint and contact by which a part hangs on the others. */
function cutFrom({ circuit, placesOf }: DefectView, slot: Slot) {
  const own = new Set(placesOf(slot).map(({ node }) => node));
  return circuit.branches
    .filter(({ site, a, b }) => !('slot' in site) && !('between' in site) && (own.has(a) || own.has(b)))
    .map(({ id }) => ({ cut: id }));
}
