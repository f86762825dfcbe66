/** Blind physical mutations of a build: what a tired hand does, whatever the rules think of it. */
import type { Build, Catalogue, PartModel, TerminalRef, Wire } from '@junctor/core';
import { landedOn } from '@junctor/core';

export type Operator =
  | 'exchange two ends'
  | 'neighbouring pad'
  | 'plug turned or shifted'
  | 'another model'
  | 'wire left out'
  | 'one cell more';

export interface Mutant {
  operator: Operator;
  what: string;
  build: Build;
  cells: readonly [number, number];
}

/** How far a slip of the hand goes. */
const slipMm = 5;

interface End {
  id: string;
  end: 0 | 1;
  ref: TerminalRef;
}

/** All mutations of one build; of exchanges between far pads every `every`th. */
export function mutate(build: Build, catalogue: Catalogue, cells: readonly [number, number], every = 7): Mutant[] {
  const make = (operator: Operator, what: string, mutated: Build, at: readonly [number, number] = cells): Mutant => ({
    operator,
    what,
    build: mutated,
    cells: at,
  });
  const ends = Object.values(build.wires).flatMap((wire) =>
    ([0, 1] as const).flatMap((end): End[] => {
      const ref = landedOn(wire.ends[end]);
      return ref && wire.ends[end].by === 'solder' ? [{ id: wire.id, end, ref }] : [];
    }),
  );
  const slotOf = (ref: TerminalRef) => ref.split('.')[0]!;
  const modelOf = (slot: string) => catalogue.model(build.slots[slot]!);
  const placeOf = (ref: TerminalRef) =>
    modelOf(slotOf(ref)).terminals.find(({ id }) => `${slotOf(ref)}.${id}` === ref)!;
  const near = (a: TerminalRef, b: TerminalRef) => {
    const [one, other] = [placeOf(a), placeOf(b)];
    return slotOf(a) === slotOf(b) && Math.hypot(one.atMm[0] - other.atMm[0], one.atMm[1] - other.atMm[1]) <= slipMm;
  };
  let count = 0;
  const exchanged = ends.flatMap((a, index) =>
    ends
      .slice(index + 1)
      .filter((b) => b.id !== a.id && b.ref !== a.ref && (near(a.ref, b.ref) || count++ % every === 0))
      .map((b) =>
        make('exchange two ends', `${a.id}.${a.end} with ${b.id}.${b.end}`, landed(landed(build, a, b.ref), b, a.ref)),
      ),
  );
  const slipped = ends.flatMap((a) =>
    modelOf(slotOf(a.ref))
      .terminals.filter(
        (terminal) =>
          terminal.holds > 0 &&
          terminal.form !== 'pin' &&
          `${slotOf(a.ref)}.${terminal.id}` !== a.ref &&
          near(a.ref, `${slotOf(a.ref)}.${terminal.id}`),
      )
      .map((terminal) =>
        make(
          'neighbouring pad',
          `${a.id}.${a.end} on ${slotOf(a.ref)}.${terminal.id}`,
          landed(build, a, `${slotOf(a.ref)}.${terminal.id}`),
        ),
      ),
  );
  const plugs = Object.entries(build.mates)
    .filter(([, mate]) => 'housing' in mate.b)
    .flatMap(([id, mate]) =>
      [
        { ...mate, mirrored: true },
        { ...mate, shift: 1 },
        { ...mate, shift: -1 },
      ].map((changed) =>
        make('plug turned or shifted', `${id}${changed.mirrored ? ' turned' : ` shifted ${changed.shift}`}`, {
          ...build,
          mates: { ...build.mates, [id]: changed },
        }),
      ),
    );
  const exchangedParts = Object.keys(build.slots).flatMap((slot) =>
    newest(catalogue, modelOf(slot)).map((model) =>
      make('another model', `${slot} is ${model.id}`, withModel(build, slot, model)),
    ),
  );
  const without = Object.keys(build.wires).map((id) =>
    make('wire left out', id, {
      ...build,
      wires: Object.fromEntries(Object.entries(build.wires).filter(([one]) => one !== id)),
    }),
  );
  return [
    ...exchanged,
    ...slipped,
    ...plugs,
    ...exchangedParts,
    ...without,
    make('one cell more', `${cells[1] + 1} cells`, build, [cells[0], cells[1] + 1]),
  ];
}

function landed(build: Build, { id, end }: End, ref: TerminalRef): Build {
  const wire = build.wires[id]!;
  const moved = { ...wire.ends[end], at: { on: 'terminal' as const, ref } };
  const ends: Wire['ends'] = end === 0 ? [moved, wire.ends[1]] : [wire.ends[0], moved];
  return { ...build, wires: { ...build.wires, [id]: { ...wire, ends } } };
}

function newest(catalogue: Catalogue, model: PartModel): PartModel[] {
  return catalogue.models.filter((other) => other.kind === model.kind && other.id !== model.id);
}

/** The wires stay where pads of that name are; the others hang in the air. */
function withModel(build: Build, slot: string, model: PartModel): Build {
  const has = (ref: TerminalRef | null) =>
    ref === null || !ref.startsWith(`${slot}.`) || model.terminals.some(({ id }) => `${slot}.${id}` === ref);
  const wires = Object.fromEntries(
    Object.entries(build.wires).map(([id, wire]): [string, Wire] => {
      const ends = wire.ends.map((end) =>
        has(landedOn(end)) ? end : { at: { on: 'air' as const, end: 'insulated' as const }, by: 'none' as const },
      );
      return [id, { ...wire, ends: [ends[0]!, ends[1]!] }];
    }),
  );
  const mates = Object.fromEntries(
    Object.entries(build.mates).filter(([, mate]) =>
      [mate.a, mate.b].every(
        (side) => !('slot' in side) || side.slot !== slot || model.connectors.some(({ id }) => id === side.connector),
      ),
    ),
  );
  return {
    ...build,
    slots: { ...build.slots, [slot]: { model: model.id, revision: model.revision, part: null, pose: null } },
    wires,
    mates,
  };
}
