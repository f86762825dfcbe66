/** What bent plans are made with. */
import type { Build, ConnectorRef, Mate, PlanDraft, TerminalRef, Wire, WireEnd } from '@junctor/core';

export type Bend = (draft: PlanDraft, pick: <T>(from: readonly T[]) => T) => PlanDraft;

export interface Bent {
  what: string;
  bend: Bend;
  /** True when the parts or the pack are what is odd. */
  parts?: true;
}

export const inBuild =
  (change: (build: Build, pick: <T>(from: readonly T[]) => T, draft: PlanDraft) => Partial<Build>): Bend =>
  (draft, pick) => ({ ...draft, target: { ...draft.target, ...change(draft.target, pick, draft) } });

export const everyWire = (build: Build, change: (wire: Wire) => Partial<Wire>): Partial<Build> => ({
  wires: Object.fromEntries(Object.entries(build.wires).map(([id, wire]) => [id, { ...wire, ...change(wire) }])),
});
export const oneWire = (change: (wire: Wire, build: Build) => Partial<Wire>): Bend =>
  inBuild((build, pick) => {
    const wire = pick(Object.values(build.wires));
    return { wires: { ...build.wires, [wire.id]: { ...wire, ...change(wire, build) } } };
  });
export const withMates = (
  make: (build: Build, pick: <T>(from: readonly T[]) => T) => Record<string, Partial<Mate>>,
): Bend =>
  inBuild((build, pick) => {
    const made = Object.entries(make(build, pick)).map(([id, mate]): [string, Mate] => [
      id,
      { a: { housing: 'H1' }, b: { housing: 'H1' }, shift: 0, mirrored: false, glued: false, ...mate },
    ]);
    const ring = ['RING1', 'RING2', 'RING3'].map((id) => ({
      id,
      family: 'wire plug 1.25',
      pitchMm: 1.25,
      ways: 4,
      key: 'latch',
    }));
    return {
      housings: { ...build.housings, ...Object.fromEntries(ring.map((one) => [one.id, one])) },
      mates: { ...build.mates, ...Object.fromEntries(made) },
    };
  });
export const at = (ref: TerminalRef): WireEnd => ({ at: { on: 'terminal', ref }, by: 'solder' });
export const padsOf = ({ wires }: Build) =>
  Object.values(wires).flatMap(({ ends }) => ends.flatMap((end) => (end.at.on === 'terminal' ? [end.at.ref] : [])));
export const aSocket = (build: Build, pick: <T>(from: readonly T[]) => T): ConnectorRef =>
  pick(Object.values(build.mates).flatMap(({ a, b }) => [a, b]));
export const withoutSlots = ({ slots, wires, mates, ...rest }: Build, goes: (slot: string) => boolean): Build => ({
  ...rest,
  slots: Object.fromEntries(Object.entries(slots).filter(([slot]) => !goes(slot))),
  wires: Object.fromEntries(
    Object.entries(wires).filter(
      ([, { ends }]) => !ends.some((end) => end.at.on === 'terminal' && goes(end.at.ref.split('.')[0]!)),
    ),
  ),
  mates: Object.fromEntries(
    Object.entries(mates).filter(([, { a, b }]) => ![a, b].some((side) => 'slot' in side && goes(side.slot))),
  ),
});
export const contact = (a: TerminalRef, b: TerminalRef) => ({ a, b, ohms: 0, why: 'measured' as const });
