/** The wishes that parts bring with them, unless the technician says otherwise. */
import { isController, isEsc, isReceiver, isVideoUnit } from '../../facts/catalogue/kinds';
import type { PartModel, Port } from '../../facts/catalogue/partModel';
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
function besides({ kind }: PartModel): readonly Purpose[] {
  return [
    ...(isEsc(kind) ? ['second ground' as const, 'ESC telemetry' as const] : []),
    ...(isReceiver(kind) ? ['telemetry' as const] : []),
  ];
}

/** Everything that could be wished of these parts and can be served in some way. */
export function possibleWishes(assembly: Assembly): Wish[] {
  return Object.keys(assembly.build.slots).flatMap((slot) => {
    const model = assembly.model(slot)!;
    return [...purposesOf(model), ...besides(model)]
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

function purposesOf({ kind, ports }: PartModel): Purpose[] {
  if (isController(kind)) return [];
  const speaks = (word: Port['speaks'][number]) =>
    ports.some((port) => port.kind === 'serial' && port.speaks.includes(word));
  const has = (wanted: Port['kind'], way?: Port['way']) =>
    ports.some((port) => port.kind === wanted && (!way || port.way === way));
  const served: readonly (readonly [Purpose, boolean])[] = [
    ['receiver', isReceiver(kind)],
    ['video', isVideoUnit(kind)],
    ['on-screen data', isVideoUnit(kind) && speaks('video')],
    ['video control', isVideoUnit(kind) && speaks('control')],
    ['positioning', speaks('positioning')],
    ['compass', has('i2c')],
    ['lights', has('lights', 'takes')],
    ['buzzer', has('buzzer')],
  ];
  return served.flatMap(([purpose, is]) => (is ? [purpose] : []));
}
