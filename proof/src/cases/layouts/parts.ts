/** Frames, boards and parts of the layouts that were reckoned by hand: boxes with as few figures as each needs. */
import type { Build, FrameBody, PartModel, Place, Stack } from '@junctor/core';
import { emptyBuild } from '@junctor/core';

type Body = PartModel['body'];
type Given = Partial<Omit<PartModel, 'body'>> & { body?: Partial<Body> };

const half = (wide: number, long: number): Body['outlineMm'] => [
  [-wide / 2, -long / 2],
  [wide / 2, -long / 2],
  [wide / 2, long / 2],
  [-wide / 2, long / 2],
];

function part(id: string, kind: PartModel['kind'], [wide, long]: readonly [number, number], { body, ...over }: Given) {
  const made: PartModel = {
    id,
    revision: 1,
    kind,
    name: id,
    maker: 'Testwright',
    massG: 5,
    terminals: [],
    connectors: [],
    tails: [],
    elements: [],
    ports: [],
    signs: [],
    covers: [],
    knownFrom: { '': 'assumed' },
    ...over,
    body: {
      outlineMm: half(wide, long),
      aboveMm: 3,
      belowMm: 2,
      holes: [],
      openings: [],
      arrowDeg: null,
      ...body,
    },
  };
  return made;
}

const holesAt = (mm: number) =>
  [-1, 1].flatMap((x) => [-1, 1].map((y) => ({ atMm: [(x * mm) / 2, (y * mm) / 2] as const, drillMm: 3 })));

/** A board of 36 by 36 mm on 30.5 mm holes, 3 mm high above and 2 mm below. */
export function board(id: string, kind: 'controller' | 'esc', given: Given = {}): PartModel {
  return part(id, kind, [36, 36], { ...given, body: { holes: holesAt(30.5), arrowDeg: 90, ...given.body } });
}

/** The same for 20 mm holes: 26 by 26 mm. */
export function smallBoard(id: string, given: Given = {}): PartModel {
  return part(id, 'controller', [26, 26], { ...given, body: { holes: holesAt(20), arrowDeg: 90, ...given.body } });
}

export function box(id: string, kind: PartModel['kind'], size: readonly [number, number, number], given: Given = {}) {
  return part(id, kind, [size[0], size[1]], { ...given, body: { boxMm: size, ...given.body } });
}

/** One pad or lead of a part, to land wires on. */
export function terminal(
  id: string,
  atMm: readonly [number, number],
  over: Partial<PartModel['terminals'][number]> = {},
) {
  return {
    id,
    printed: id,
    node: id,
    form: 'pad',
    sides: ['top'],
    atMm,
    sizeMm: [1, 1],
    copper: 'trace',
    holds: 1,
    thickestAwg: 20,
    withstandV: [-60, 60],
    withstandOffV: [-60, 60],
    touch: 'easy',
    contact: 'bare',
    roles: [],
    ...over,
  } satisfies PartModel['terminals'][number];
}

/** A socket or a plug of one contact. */
export function socket(id: string, pin: string): PartModel['connectors'][number] {
  return { id, family: 'coax snap', pitchMm: 1, pins: [pin], key: 'snap', exitDeg: 0, ampsPerPin: 0.5 };
}

/** A plug of one part in a socket of another: "CAM.J" in "VTX.J". */
export function mated(plug: string, into: string): Build['mates'][string] {
  const [a, b] = [plug, into].map((ref) => {
    const [slot, connector] = ref.split('.') as [string, string];
    return { slot, connector };
  }) as [Build['mates'][string]['a'], Build['mates'][string]['b']];
  return { a, b, shift: 0, mirrored: false, glued: false };
}

export function place(id: string, kind: Place['kind'], given: Partial<Place> = {}): Place {
  return {
    id,
    kind,
    atMm: [0, 0, 6.5],
    roomMm: [60, 60, 30],
    holes: kind === 'stack' ? { patternMm: [30.5, 30.5], thread: 'M3' } : null,
    turns: [0],
    faces: ['up'],
    airflow: 'some',
    entry: 'centre',
    ...given,
  };
}

/** Plates of 2.5 and 4 mm, a lid 30 mm over them that goes down 0.2 to 0.8 mm, screws M3 x 22, a window on the left. */
export function frame(given: Partial<FrameBody> = {}): PartModel {
  const outlineMm = half(70, 160);
  const body: FrameBody = {
    corners: ([1, 2, 3, 4] as const).map((index) => ({
      index,
      atMm: [index === 1 || index === 4 ? 120 : -120, index < 3 ? 120 : -120],
      level: 'upper',
      discMm: 204,
    })),
    bays: [],
    posts: [{ atMm: [15.25, 15.25], lengthMm: 22, thread: 'M3' }],
    route: {
      points: { centre: [0, 0, 8], rear: [0, -40, 8], front: [0, 40, 8] },
      edges: [
        ['centre', 'rear'],
        ['centre', 'front'],
      ],
    },
    conducts: true,
    plates: [
      { id: 'bottom', zMm: 0, thicknessMm: 2.5, outlineMm, contact: 'bare edge' },
      { id: 'arms', zMm: 2.5, thicknessMm: 4, outlineMm, contact: 'bare edge' },
      { id: 'lid', zMm: 36.5, thicknessMm: 2, outlineMm, contact: 'bare edge' },
    ],
    places: [place('stack', 'stack')],
    ways: [{ id: 'left window', passes: 'usb', atMm: [-35, 0, 21.5], sizeMm: [36, 24], facing: [-1, 0, 0] }],
    lid: { plate: 'lid', settlesMm: [0.2, 0.8] },
    ...given,
  };
  return part('frame', 'frame', [70, 160], { frame: body });
}

/** Every part by its name, wired as given. */
export function aircraft(
  parts: Readonly<Record<string, PartModel>>,
  given: Partial<Pick<Build, 'wires' | 'mates' | 'housings'>> & { stack?: Stack } = {},
): { build: Build; models: PartModel[] } {
  const { stack, ...wiring } = given;
  const slots = Object.fromEntries(
    Object.entries(parts).map(([slot, { id }]) => [slot, { model: id, revision: 1, part: null, pose: null }]),
  );
  const build = { ...emptyBuild, slots, ...wiring, ...(stack ? { stacks: { stack } } : {}) };
  return { build, models: [...new Set(Object.values(parts))] };
}
