/** The wishes that parts bring with them, unless the technician says otherwise. */
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import type { Purpose, Wish } from '../../facts/plan/wish';
import { optionsFor } from './options';
import type { Assembly } from '../../facts/assembly/assembly';
import { waysOf } from './ways';

/** What is lost without it, from 1 hardly missed to 10 the point of the aircraft. */
const losses: Readonly<Record<Purpose, number>> = {
  receiver: 10,
  telemetry: 2,
  video: 8,
  camera: 8,
  'on-screen data': 5,
  'video control': 3,
  positioning: 6,
  compass: 2,
  lights: 2,
  buzzer: 3,
  'ESC telemetry': 1,
  'current sense': 1,
  'second ground': 2,
};
/** Without these there is nothing to fly. */
const musts: readonly Purpose[] = ['receiver', 'video'];
/** Ways that must be asked for: they lose something. */
const onRequest: readonly string[] = ['over the receiver', 'straight to the transmitter', 'control only'];

/** One wish for each thing a part can do, in order of slots. */
export function wishesFor(assembly: Assembly): Wish[] {
  return Object.keys(assembly.build.slots).flatMap((slot) =>
    purposesOf(assembly.model(slot)!).map((purpose) => wishOf(purpose, slot)),
  );
}

/** What a part can do besides, and nobody asks for unless told. */
const besides: Readonly<Partial<Record<PartModel['kind'], readonly Purpose[]>>> = {
  esc: ['second ground', 'ESC telemetry'],
  receiver: ['telemetry'],
};

/** Everything that could be wished of these parts and can be served in some way. */
export function possibleWishes(assembly: Assembly): Wish[] {
  return Object.keys(assembly.build.slots).flatMap((slot) => {
    const model = assembly.model(slot)!;
    return [...purposesOf(model), ...(besides[model.kind] ?? [])]
      .map((purpose) => wishOf(purpose, slot))
      .filter((wish) => optionsFor(wish, assembly).length > 0);
  });
}

function wishOf(purpose: Purpose, slot: Slot): Wish {
  return {
    id: `${purpose} ${slot}`,
    purpose,
    of: slot,
    must: musts.includes(purpose),
    lossIfDropped: losses[purpose],
    ways: waysOf[purpose].filter((way) => !onRequest.includes(way)),
  };
}

function purposesOf(model: PartModel): Purpose[] {
  const speaks = (word: string) =>
    model.ports.some(({ kind, speaks: words }) => kind === 'serial' && words.includes(word));
  const has = (kind: string, way: string) => model.ports.some((port) => port.kind === kind && port.way !== way);
  switch (model.kind) {
    case 'receiver':
      return ['receiver'];
    case 'video unit':
      return [
        'video',
        ...(speaks('video') ? ['on-screen data' as const] : []),
        ...(speaks('control') ? ['video control' as const] : []),
      ];
    case 'positioning':
      return ['positioning', ...(has('i2c', 'none') ? ['compass' as const] : [])];
    case 'lights':
    case 'light controller':
      return ['lights'];
    case 'buzzer':
      return ['buzzer'];
    default:
      return [];
  }
}
