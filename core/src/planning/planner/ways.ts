/** Ways in which a wish can be served: what they are called, what they cost, which pins they join. */
import type { PartModel, Port, PortPin } from '../../facts/catalogue/partModel';
import type { PortId, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import type { Wish } from '../../facts/plan/wish';
import type { Assembly } from '../../facts/assembly/assembly';
import { isController } from '../../facts/catalogue/kinds';

/** One signal to be joined: a terminal of the part and the pads that would do. */
export interface Signal {
  own: TerminalRef;
  pads: readonly TerminalRef[];
  /** A ground that is wished for itself; a signal otherwise. */
  carries?: 'ground';
  /** Which of the option's links it belongs to, when not to the wish's own. */
  link?: string;
}

export interface Option {
  id: string;
  wish: string;
  way: string;
  /** Ports that nobody else may use then, as `SLOT/PORT`. */
  takes: readonly string[];
  signals: readonly Signal[];
  ends: readonly { slot: Slot; port: PortId }[];
  /** What else it joins: a camera to the controller beside the controller to the transmitter. */
  besides?: readonly { id: string; purpose: string; ends: Option['ends'] }[];
  /** What this way loses against the best. */
  loss: number;
  set: Readonly<Record<string, string | number | boolean>>;
  /** Parts that must be wired for it. */
  parts: readonly Slot[];
}

/** What a way loses, of the same scale as a wish: 10 is the point of the aircraft. */
export const wayLoss: Readonly<Record<string, number>> = {
  'two-way': 0,
  'control only': 2,
  'own port': 0,
  'over the receiver': 1,
  'through the controller': 0,
  'straight to the transmitter': 3,
  'with its own camera': 0,
  'shared pad': 0,
  'behind the box': 0,
  chained: 0,
  'own wire': 0,
};

/** Ways of each purpose, the best first. */
export const waysOf: Readonly<Record<Wish['purpose'], readonly string[]>> = {
  receiver: ['two-way', 'control only'],
  telemetry: ['own port'],
  video: ['through the controller', 'with its own camera', 'straight to the transmitter'],
  camera: ['through the controller'],
  'on-screen data': ['two-way'],
  'video control': ['own port', 'over the receiver'],
  positioning: ['two-way'],
  compass: ['shared pad'],
  lights: ['shared pad', 'behind the box', 'chained'],
  buzzer: ['shared pad'],
  'ESC telemetry': ['own port'],
  'current sense': ['shared pad'],
  'second ground': ['own wire'],
};

export function controllers(parts: Assembly): Slot[] {
  return Object.keys(parts.build.slots).filter((slot) => isController(parts.model(slot)!.kind));
}

/** Terminals of a part that are a pin of a port, pads before pins. */
export function pinsOf(slot: Slot, model: PartModel, port: PortId, pin: PortPin): TerminalRef[] {
  const found = model.terminals.filter(
    ({ roles, holds }) =>
      holds > 0 && roles.some((role) => role.is === 'port' && role.port === port && role.pin === pin),
  );
  return [...found]
    .sort((a, b) => Number(a.form === 'pin') - Number(b.form === 'pin'))
    .map(({ id }) => terminalRef(slot, id));
}

export function hearsEachOther(sender: Port, hears: Port): boolean {
  return sender.inversion === 'either' || hears.inversion === 'either' || sender.inversion === hears.inversion;
}
