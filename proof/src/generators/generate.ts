/**
 * Seeded builds for judging the planner: all families, a third with no port to spare, some impossible. The parts come
 * from the shipped catalogue and have places of their own.
 */
import type { Build, Catalogue, Wish } from '@junctor/core';
import { assemble, emptyBuild, wishesFor } from '@junctor/core';

export interface Generated {
  name: string;
  slots: Build['slots'];
  cells: readonly [number, number];
  wishes: readonly Wish[];
  kind: 'roomy' | 'full' | 'impossible';
}

/** Numbers in [0, 1) that a seed gives again (mulberry32). */
export function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

interface Family {
  name: string;
  parts: Readonly<Record<string, string>>;
  cells: readonly [number, number];
  motors: number;
  motor: string;
  esc?: string;
}

const stack = (
  name: string,
  { fc, esc, cells, motor }: { fc: string; esc: string; cells: readonly [number, number]; motor: string },
): Family => ({
  name,
  parts: { BAT: 'burr-lead-12', CAP: 'gorse-cap-680', ESC: esc, FC: fc },
  cells,
  motors: 4,
  motor,
});
const arms = (
  name: string,
  {
    fc,
    pdb,
    esc,
    motors,
    cells,
    motor,
  }: { fc: string; pdb: string; esc: string; motors: number; cells: readonly [number, number]; motor: string },
): Family => ({
  name,
  parts: { BAT: 'burr-lead-10', CAP: 'gorse-cap-1000-35', PDB: pdb, FC: fc },
  cells,
  motors,
  motor,
  esc,
});

const families: readonly Family[] = [
  stack('stack of pads', { fc: 'plover-fc-36', esc: 'lapwing-esc-45', cells: [6, 6], motor: 'marl-motor-2207' }),
  stack('stack with shared pins', {
    fc: 'curlew-fc-30',
    esc: 'lapwing-esc-45',
    cells: [5, 6],
    motor: 'marl-motor-2207',
  }),
  stack('stack of plugs', { fc: 'godwit-fc-40', esc: 'dotterel-esc-60', cells: [6, 6], motor: 'marl-motor-3115' }),
  stack('small stack', { fc: 'sanderling-fc-20', esc: 'phalarope-esc-25', cells: [4, 4], motor: 'marl-motor-1404' }),
  arms('four ESCs', {
    fc: 'turnstone-fc-36',
    pdb: 'sluice-pdb-4',
    esc: 'whimbrel-esc-30',
    motors: 4,
    cells: [4, 4],
    motor: 'marl-motor-2207',
  }),
  arms('flat six', {
    fc: 'ruff-fc-40',
    pdb: 'weir-pdb-8',
    esc: 'avocet-esc-50',
    motors: 6,
    cells: [6, 6],
    motor: 'marl-motor-3115',
  }),
  arms('coaxial eight', {
    fc: 'ruff-fc-40',
    pdb: 'weir-pdb-8',
    esc: 'avocet-esc-50',
    motors: 8,
    cells: [6, 6],
    motor: 'marl-motor-4114',
  }),
  {
    name: 'single board',
    parts: { BAT: 'burr-lead-16', CAP: 'gorse-cap-470-50', FC: 'knot-board-33' },
    cells: [4, 4],
    motors: 4,
    motor: 'marl-motor-1404',
  },
  {
    name: 'brushed',
    parts: { BAT: 'burr-lead-16', FC: 'stint-board-26' },
    cells: [1, 1],
    motors: 4,
    motor: 'marl-motor-8520',
  },
];

const receivers = ['dunlin-rx-2', 'pochard-rx-d', 'scoter-rx-i', 'goldeneye-rx-33'];
const positioning = ['petrel-gps-25', 'fulmar-gps-18'];
/** Parts that may come besides, with how many of them at most. */
const extras: readonly (readonly [slot: string, models: readonly string[], most: number])[] = [
  ['LED', ['teasel-light-4', 'teasel-light-8'], 2],
  ['BOX', ['bittern-lightbox'], 1],
  ['BZ', ['corncrake-bz-5', 'nightjar-bz-cell'], 1],
  ['REG', ['bulrush-reg-5', 'bulrush-reg-10'], 1],
  ['GPS', positioning, 2],
];

/** One build of a seed. `most` peripherals at most. */
export function generate(seed: number, catalogue: Catalogue, kind: Generated['kind'], most = 12): Generated {
  const next = random(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const family = families[seed % families.length]!;
  const brushed = family.name === 'brushed';
  const parts: Record<string, string> = { ...family.parts };
  for (let motor = 1; motor <= family.motors; motor++) {
    parts[`M${motor}`] = family.motor;
    if (family.esc) parts[`ESC${motor}`] = family.esc;
  }
  const before = Object.keys(parts).length;
  const room = () => Object.keys(parts).length - before < most;
  const put = (slot: string, model: string) => {
    if (!room()) return;
    let name = slot;
    for (let number = 2; name in parts; number++) name = `${slot}${number}`;
    parts[name] = model;
  };
  const digital = !brushed && next() < 0.4;
  const choiceOf = () => {
    if (brushed) return ['dunlin-rx-2'];
    if (
      family.name === 'single board' ||
      family.name.includes('small') ||
      family.name.includes('plugs') ||
      family.name.includes('six') ||
      family.name.includes('eight')
    )
      return receivers.slice(0, 3);
    return receivers;
  };
  put('RX', pick(choiceOf()));
  if (!brushed && most >= 5 && next() < 0.8) {
    if (digital) {
      put('VTX', 'heron-dvu-26');
      put('CAM', 'wigeon-cam-d');
    } else {
      put('VTX', family.cells[1] === 4 ? pick(['kittiwake-vtx-26', 'tern-vtx-5']) : 'kittiwake-vtx-26');
      put('CAM', 'gadwall-cam-26');
    }
    put('ANT', digital ? 'reed-ant-dipole' : 'reed-ant-lolly');
    // The digital unit has two sockets, and sends through both.
    if (digital) parts.ANT2 = 'reed-ant-dipole';
  }
  if (!brushed)
    for (const [slot, models, count] of extras)
      for (let one = 0; one < count; one++) if (next() < 0.45) put(slot, pick(models));
  const slots = Object.fromEntries(
    Object.entries(parts).map(([slot, model]) => [
      slot,
      { model, revision: 1, part: null, pose: pose(slot, next, family.motors) },
    ]),
  );
  const wishes = wishesFor(assemble({ ...emptyBuild, slots }, catalogue));
  return {
    name: `${seed} ${family.name}, ${kind}`,
    slots,
    cells: family.cells,
    kind,
    wishes: kind === 'roomy' ? wishes : filled(slots, wishes, catalogue, { kind, next, motors: family.motors }),
  };
}

/** Receivers until the serial ports are used up, and one beyond for what shall be impossible. All of them musts. */
function filled(
  slots: Record<string, Build['slots'][string]>,
  wishes: readonly Wish[],
  catalogue: Catalogue,
  { kind, next, motors }: { kind: 'full' | 'impossible'; next: () => number; motors: number },
): Wish[] {
  const board = catalogue.model(slots.FC!);
  const hears = board.ports.filter(
    ({ kind: is, speaks, inversion, way }) =>
      is === 'serial' && speaks.includes('serialReceiver') && inversion !== 'inverted' && way === 'both',
  );
  // Ports that exclude each other count as one.
  const ports = hears.filter(
    ({ id, excludes }) => !excludes.some((other) => hears.some((hear) => hear.id === other) && other < id),
  ).length;
  const used = wishes.filter(({ purpose }) =>
    ['receiver', 'positioning', 'on-screen data', 'video control'].includes(purpose),
  ).length;
  const more = Math.max(0, ports - used) + (kind === 'impossible' ? 2 : 0);
  for (let count = 0; count < more; count++)
    slots[`RXB${count + 1}`] = { model: 'dunlin-rx-2', revision: 1, part: null, pose: pose('RX', next, motors) };
  const all = wishesFor(assemble({ ...emptyBuild, slots }, catalogue));
  const serial = ['receiver', 'positioning', 'on-screen data', 'video control'];
  return all.map((wish) =>
    serial.includes(wish.purpose) && (kind === 'impossible' || wish.of.startsWith('RX'))
      ? { ...wish, must: true }
      : wish,
  );
}

function pose(slot: string, next: () => number, motors: number): Build['slots'][string]['pose'] {
  const number = Number(/\d+$/.exec(slot)?.[0] ?? 1);
  const arm = slot.startsWith('ESC') && slot !== 'ESC';
  const angle = ((number - 0.5) / motors) * 2 * Math.PI;
  const central = ['FC', 'ESC', 'PDB'].includes(slot);
  const atMmOf = () => {
    if (central) return [0, 0, slot === 'FC' ? 12 : 4] as const;
    if (arm) return [Math.round(120 * Math.cos(angle)), Math.round(120 * Math.sin(angle)), 6] as const;
    return [Math.round((next() - 0.5) * 120), Math.round((next() - 0.5) * 160), Math.round(next() * 20)] as const;
  };
  const atMm = atMmOf();
  return { place: 'generated', atMm, yawDeg: central ? 0 : Math.floor(next() * 4) * 90, face: 'up' };
}
