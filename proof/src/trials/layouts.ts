/** Layouts against what was reckoned by hand, moved within tolerances, and against every lay there is. */
import type { Assembly, Build, Margin, PartModel, Pose } from '@junctor/core';
import { assemble, bestLay, layoutOf, makeCatalogue, posesFor } from '@junctor/core';
import type { LayoutByHand } from '../cases/layouts/terms';
import { aircraft, board, box, frame, mated, place, socket, terminal } from '../cases/layouts/parts';

/** The margin that a layout by hand is about. @throws {Error} If there is no such margin. */
export function marginOf({ says, margin, of, parts: { build, models } }: LayoutByHand): Margin {
  const margins = layoutOf(assemble(build, makeCatalogue(models)))!.margins;
  const found = margins.find(({ kind, what }) => kind === margin && (!of || of.includes(what)));
  if (!found) throw new Error(`no margin ${margin} ${of?.join() ?? ''} in ${says}`);
  return found;
}

export function byHandMm({ terms }: LayoutByHand): number {
  return terms.reduce((sum, [, mm]) => sum + mm, 0);
}

/** With every length as likely anywhere within its tolerance. */
export function moved({ terms }: LayoutByHand, chance: () => number): number {
  return terms.reduce((sum, [, mm, tolMm = 0]) => sum + mm + tolMm * (2 * chance() - 1), 0);
}

/** In mm, as the search weighs: margins that do not hold, parts without a place, boards turned, all wires. */
function weightOf(assembly: Assembly, poses: ReadonlyMap<string, Pose>): number {
  const layout = layoutOf(assembly, poses)!;
  const no = layout.margins.filter(({ verdict }) => verdict === 'no').length;
  const placed = [...layout.laid.poses].filter(([, pose]) => layout.laid.places.has(pose.place));
  const open = placedSlots(assembly).length - placed.length;
  const turned = placed.filter(([slot, { yawDeg, place: at }]) => {
    const { kind, body } = assembly.model(slot)!;
    const isInStack = layout.laid.places.get(at)!.kind === 'stack';
    return isInStack && (kind === 'controller' || kind === 'esc') && (yawDeg + (body.arrowDeg ?? 90)) % 360 !== 90;
  }).length;
  return 1e6 * no + 1e7 * open + 30 * turned + layout.harnessMm;
}

/** What has a place of its own: neither the frame nor what hangs on a cable. */
function placedSlots({ build, model }: Assembly): string[] {
  return Object.keys(build.slots).filter((slot) => !['frame', 'antenna'].includes(model(slot)!.kind));
}

/** The least weight of all lays, every one of them made. */
function leastByTrying(assembly: Assembly): number {
  const { laid } = layoutOf(assembly, new Map())!;
  const slots = placedSlots(assembly);
  let least = Infinity;
  const lay = (index: number, poses: ReadonlyMap<string, Pose>): void => {
    const slot = slots[index];
    if (slot === undefined) {
      least = Math.min(least, weightOf(assembly, poses));
      return;
    }
    lay(index + 1, poses);
    const taken = new Set([...poses.values()].map(({ place: at }) => at));
    for (const pose of posesFor(laid, slot))
      if (laid.places.get(pose.place)!.kind === 'stack' || !taken.has(pose.place))
        lay(index + 1, new Map([...poses, [slot, pose]]));
  };
  lay(0, new Map());
  return least;
}

/** Lays found by search and by trying all. */
export function searchedAndTried(assembly: Assembly): readonly [number, number] {
  return [weightOf(assembly, bestLay(assembly).poses), leastByTrying(assembly)];
}

/** A small aircraft with a controller, a receiver and a buzzer, and places for them, by chance. */
export function smallAircraft(chance: () => number): Assembly {
  const between = (low: number, high: number) => Math.round((low + chance() * (high - low)) * 10) / 10;
  const pick = <T>(list: readonly T[]) => list[Math.floor(chance() * list.length)]!;
  const usb = pick([0, 90, 180, 270]);
  const fc = board('fc', 'controller', {
    terminals: ['A', 'B', 'C'].map((id) => terminal(id, [between(-16, 16), between(-16, 16)])),
    body: {
      arrowDeg: pick([0, 90, 180, 270]),
      openings: [{ what: 'usb', nodes: [], atMm: [between(-14, 14), between(-14, 14)], faceDeg: usb }],
    },
  });
  const rx = box('rx', 'receiver', [between(12, 26), between(10, 18), 4], {
    terminals: ['A', 'B', 'C'].map((id, index) => terminal(id, [between(-5, 5), 4 - 4 * index])),
    connectors: [socket('J', 'C'), socket('AJ', 'B')],
  });
  const ant = box('ant', 'antenna', [between(10, 60), 6, 4], {
    terminals: [terminal('CORE', [0, 0])],
    connectors: [socket('P', 'CORE')],
    cable: { lengthMm: between(20, 120), acrossMm: 1, leastBendMm: 5, connectors: ['P'] },
  });
  const bz = box('bz', 'buzzer', [12, 10, between(4, 9)], {
    terminals: [terminal('A', [0, 5], { form: 'tail' }), terminal('C', [0, -4])],
    connectors: [socket('J', 'C')],
    tails: [
      { terminal: 'A', awg: 28, colour: 'red', insulation: 'silicone', lengthMm: 60, exitDeg: pick([0, 90, 180, 270]) },
    ],
    cable: { lengthMm: between(20, 160), acrossMm: 1, leastBendMm: 5, connectors: ['J'] },
  });
  const spot = (id: string, entry: string, y: number) =>
    place(id, pick(['surface', 'bay']), {
      atMm: [between(-20, 20), y, 6.5],
      roomMm: [between(12, 30), between(12, 30), between(4, 12)],
      turns: pick([[0], [0, 90], [90, 270]]),
      entry,
    });
  const parts = {
    FRAME: frame({
      ways: [
        { id: 'left window', passes: 'usb', atMm: [-35, 0, 21.5], sizeMm: [36, 24], facing: [-1, 0, 0] },
        { id: 'hole', passes: 'aerial', atMm: [0, between(-80, 80), 20], sizeMm: [8, 8], facing: pick(sides) },
      ],
      places: [
        place('stack', 'stack', { turns: [0, 90, 180, 270] }),
        spot('rear', 'rear', -45),
        spot('front', 'front', 45),
        spot('far rear', 'rear', -70),
      ],
    }),
    FC: fc,
    RX: rx,
    BZ: bz,
    ANT: ant,
  };
  const cable: Build['mates'] = chance() < 0.5 ? {} : { J: mated('BZ.J', 'RX.J') };
  const made = aircraft(parts, { mates: { ...cable, A: mated('RX.AJ', 'ANT.P') } });
  return assembled({ ...made, build: { ...made.build, wires: wiresOf(between) } });
}

const sides = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, -1, 0],
] as const;

function assembled({ build, models }: { build: Build; models: readonly PartModel[] }): Assembly {
  return assemble(build, makeCatalogue(models));
}

function wiresOf(between: (low: number, high: number) => number): Build['wires'] {
  const ends = { W1: ['FC.A', 'RX.A'], W2: ['FC.B', 'RX.B'], W3: ['FC.C', 'BZ.A'] } as const;
  return Object.fromEntries(
    Object.entries(ends).map(([id, [a, b]]) => [
      id,
      {
        id,
        awg: 28,
        colour: 'white',
        insulation: 'silicone',
        from: id === 'W3' ? ('tail' as const) : ('stock' as const),
        lengthMm: between(30, 90),
        via: [],
        ends: [
          { at: { on: 'terminal', ref: a }, by: 'solder' },
          { at: { on: 'terminal', ref: b }, by: 'solder' },
        ] as const,
      },
    ]),
  );
}
