/** What a family of wrong wiring is, and what its makers find in a good build. Shares nothing with the rules. */
import type { Build, Catalogue } from '@junctor/core';
import type { Place, Run, Spoiled } from '../spoiled';
import { gives, isGround, pin, takes } from '../spoiled';

export interface Wrong {
  build: Build;
  catalogue: Catalogue;
  cells?: readonly [number, number];
}

export interface Family {
  says: string;
  is: 'kill' | 'stop' | 'warn';
  /** The trade calls it a warning or a stop, by how bad it is. */
  orStop?: true;
  make: (good: Spoiled, cells: readonly [number, number]) => readonly (Build | Wrong)[];
}

const isLead = ({ model }: Place) => model.kind === 'battery lead';
export const isBoard = ({ model }: Place) => model.kind === 'controller' || model.kind === 'single board';
export const isLogic = ({ terminal }: Place) =>
  terminal.withstandV[1] < 6 && terminal.holds > 0 && terminal.form !== 'tail';
export const onBattery = (place: Place) => takes(place, 6) && place.terminal.holds > 0;

/** The two ends at boards of the battery lead's two wires. */
export function leadEnds(good: Spoiled): [Run, Run] | null {
  const far = good.runs((_here, there) => there !== null && isLead(there) && there.terminal.form !== 'metal');
  const plus = far.find(({ there }) => !isGround(there!));
  const minus = far.find(({ there }) => isGround(there!));
  return plus && minus ? [plus, minus] : null;
}

/** Supply wires of parts that take 5 V, at the board. */
export const fiveVolt = (good: Spoiled) =>
  good.runs((here, there) => gives(here, 4, 5.6) && there !== null && takes(there, 0, 6) && !isBoard(there));
export const groundsOf = (good: Spoiled) =>
  good.runs((here, there) => isGround(here) && there !== null && isGround(there) && there.model.kind === 'receiver');
export const data = (good: Spoiled, name: 'tx' | 'rx') =>
  good.runs((here, there) => isBoard(here) && pin(here, 'serial', name) && there !== null && pin(there, 'serial'));
export const free = (good: Spoiled, fits: (place: Place) => boolean) =>
  good.places(
    (place) => fits(place) && place.terminal.holds > 0 && place.terminal.form !== 'pin' && !good.isWired(place.ref),
  );
export const first = <T>(list: readonly T[], count = 2): readonly T[] => list.slice(0, count);

export function touchingPair(
  good: Spoiled,
  one: (place: Place) => boolean,
  other: (place: Place) => boolean,
  ohms?: number,
): Build[] {
  const a = good.places((place) => one(place) && place.terminal.form !== 'tail')[0];
  const b =
    a &&
    good.places(
      (place) =>
        place.slot === a.slot &&
        place.terminal.node !== a.terminal.node &&
        other(place) &&
        place.terminal.form !== 'tail' &&
        !sharesRole(a, place),
    )[0];
  return a && b ? [good.touching(a.ref, b.ref, ohms)] : [];
}

function sharesRole(a: Place, b: Place): boolean {
  return a.terminal.roles.some(
    (role) => role.is === 'port' && b.terminal.roles.some((other) => other.is === 'port' && other.port === role.port),
  );
}

/** Plugs that carry a supply: turned or shifted they cannot be right. */
export function eachPlug(good: Spoiled, turn: (mate: Build['mates'][string]) => Build['mates'][string]): Build[] {
  return Object.entries(good.build.mates)
    .filter(([, { a, b }]) => [a, b].some((side) => 'housing' in side))
    .slice(0, 2)
    .map(([id, mate]) => ({ ...good.build, mates: { ...good.build.mates, [id]: turn(mate) } }));
}

/** Regulators whose rail feeds a receiver by a wire. */
export function regulatorsFeeding(good: Spoiled): readonly { slot: string; element: string }[] {
  return first(
    good
      .runs((here, there) => gives(here, 4.5, 5.6) && there?.model.kind === 'receiver')
      .flatMap(({ here }) =>
        here.model.elements.flatMap((element) =>
          element.is === 'regulator' && element.output === here.terminal.node
            ? [{ slot: here.slot, element: element.id }]
            : [],
        ),
      ),
    1,
  );
}

/** The same build with another model of one part. */
export function changed(
  good: Spoiled,
  slot: string,
  change: (model: ReturnType<Spoiled['model']>) => ReturnType<Spoiled['model']>,
): Wrong {
  const model = { ...change(good.model(slot)), id: 'spoiled' };
  const catalogue: Catalogue = {
    ...good.catalogue,
    model: (fitted) => (fitted.model === model.id ? model : good.catalogue.model(fitted)),
  };
  return {
    build: { ...good.build, slots: { ...good.build.slots, [slot]: { ...good.build.slots[slot]!, model: model.id } } },
    catalogue,
  };
}
