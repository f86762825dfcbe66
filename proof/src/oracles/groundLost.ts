/** Parts that keep a supply and lose every ground when a plug of other parts is pulled; by copper alone. */
import type { Build, Catalogue } from '@junctor/core';
import { conductors } from './dcSolve';

interface GroundLost {
  plug: string;
  slot: string;
}

export function groundLost(build: Build, catalogue: Catalogue): GroundLost[] {
  const lead = Object.entries(build.slots).find(([, fitted]) => catalogue.model(fitted).kind === 'battery lead');
  if (!lead) return [];
  const nodesOf = (slot: string, is: 'ground' | 'supply') =>
    catalogue
      .model(build.slots[slot]!)
      .terminals.filter(({ roles }) => roles.some((role) => role.is === is))
      .map(({ node }) => node);
  const minus = nodesOf(lead[0], 'ground')[0]!;
  return Object.entries(build.mates).flatMap(([plug, mate]) => {
    const mates = Object.fromEntries(Object.entries(build.mates).filter(([id]) => id !== plug));
    const [whole, pulled] = [conductors(build, catalogue), conductors({ ...build, mates }, catalogue)];
    const owners = ownersOf(build, mate);
    return Object.keys(build.slots)
      .filter((slot) => !owners.has(slot))
      .filter((slot) => {
        const on = (copper: typeof whole, node: string) => copper(slot, node) === copper(lead[0], minus);
        const grounds = nodesOf(slot, 'ground');
        const supplied = nodesOf(slot, 'supply').some((node) =>
          Object.keys(build.slots).some(
            (other) =>
              other !== slot &&
              !owners.has(other) &&
              nodesOf(other, 'supply').some((there) => pulled(other, there) === pulled(slot, node)),
          ),
        );
        return supplied && grounds.some((node) => on(whole, node)) && !grounds.some((node) => on(pulled, node));
      })
      .map((slot) => ({ plug, slot }));
  });
}

/** Parts whose socket it is, or whose wires end in its housings. */
function ownersOf({ wires }: Build, { a, b }: Build['mates'][string]): Set<string> {
  const owners = new Set<string>();
  for (const side of [a, b]) {
    if ('slot' in side) owners.add(side.slot);
    else
      for (const { ends } of Object.values(wires))
        if (ends.some(({ at }) => at.on === 'cavity' && at.housing === side.housing))
          for (const { at } of ends) if (at.on === 'terminal') owners.add(at.ref.split('.')[0]!);
  }
  return owners;
}

/** Grounds with room on the boards that a part's supply wires come from, when its own ground is on none of them. */
export function freeGrounds(slot: string, { slots, wires, mates }: Build, catalogue: Catalogue): string[] {
  // Through a housing an end is on the pin of the socket that the housing sits on.
  const pinBehind = (housing: string, position: number): string[] =>
    Object.values(mates).flatMap(({ a, b }) => {
      const sides = [a, b];
      const socket = sides.find((side) => 'slot' in side);
      if (!socket || !('slot' in socket) || !sides.some((side) => 'housing' in side && side.housing === housing))
        return [];
      const pins = catalogue.model(slots[socket.slot]!).connectors.find(({ id }) => id === socket.connector)?.pins;
      return pins?.[position - 1] ? [`${socket.slot}.${pins[position - 1]}`] : [];
    });
  const landed = Object.values(wires).map(({ ends }) =>
    ends.flatMap(({ at }) => {
      if (at.on === 'cavity') return pinBehind(at.housing, at.position);
      return at.on === 'terminal' ? [at.ref as string] : [];
    }),
  );
  const roleOf = (ref: string) => terminals(ref.split('.')[0]!).find(({ id }) => ref.endsWith(`.${id}`))?.roles[0]?.is;
  const terminals = (one: string) => catalogue.model(slots[one]!).terminals;
  const boards = (is: string) =>
    new Set(
      landed
        .filter((refs) => refs.some((ref) => ref.startsWith(`${slot}.`) && roleOf(ref) === is))
        .flatMap((refs) => refs.filter((ref) => !ref.startsWith(`${slot}.`)).map((ref) => ref.split('.')[0]!)),
    );
  const [fed, grounded] = [boards('supply'), boards('ground')];
  if ([...fed].some((board) => grounded.has(board))) return [];
  return [...fed].flatMap((board) =>
    terminals(board)
      .filter(
        ({ id, form, holds, roles }) =>
          roles.some(({ is }) => is === 'ground') &&
          form === 'pad' &&
          landed.filter((refs) => refs.includes(`${board}.${id}`)).length < holds,
      )
      .map(({ id }) => `${board}.${id}`),
  );
}
