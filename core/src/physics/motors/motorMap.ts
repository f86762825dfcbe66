/**
 * Motor map: which output of the controller drives which corner, as the wires, the plug and the ESC's channels lead it,
 * and which way each motor must turn by the airframe's table. Corners are seen from above, front up.
 */
import { frameOf } from '../../facts/assembly/frameOf';
import type { FrameBody } from '../../facts/catalogue/frame';
import type { Port } from '../../facts/catalogue/partModel';
import type { PortId, Slot, XY } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { Netlist } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import type { Assembly } from '../../facts/assembly/assembly';

export type Sense = 'clockwise' | 'anticlockwise';

export interface MotorPlace {
  slot: Slot;
  /** Number of its corner in the airframe's table; the motor's own number. */
  corner: number;
  /** null without a frame. */
  atMm: XY | null;
  level: 'upper' | 'lower';
  /** Where it is, in words: "front right". */
  where: string;
  /** null: no lead of it reaches a channel. */
  channel: { slot: Slot; port: PortId; index: number } | null;
  /** Output of the controller that drives the channel; for a single board the channel's own number. null: none does. */
  output: number | null;
  /** Which way it must turn, seen from above. */
  sense: Sense;
}

/** `reversed` turns every sense round: one setting that must agree in motors, propellers and software. */
export function motorMap(assembly: Assembly, convention: 'normal' | 'reversed' = 'normal'): MotorPlace[] {
  const nets = netlist(assembly);
  const slots = Object.keys(assembly.build.slots);
  const frame = frameOf(assembly);
  const motors = slots.filter((slot) => assembly.model(slot)!.kind === 'motor');
  const senses = frame ? turningSenses(frame.corners) : new Map<number, Sense>();
  return motors
    .map((slot): MotorPlace => {
      const number = Number(/\d+$/.exec(slot)?.[0] ?? 1);
      const corner = frame?.corners.find(({ index }) => index === number);
      const channel = channelOf(assembly, nets, slot);
      const sense = senses.get(number) ?? (number % 2 === 1 ? 'anticlockwise' : 'clockwise');
      return {
        slot,
        corner: number,
        atMm: corner?.atMm ?? null,
        level: corner?.level ?? 'upper',
        where: corner ? whereWords(corner) : `corner ${number}`,
        channel,
        output: channel ? outputOf(assembly, nets, channel) : null,
        sense: convention === 'normal' ? sense : other(sense),
      };
    })
    .sort((a, b) => a.corner - b.corner);
}

function other(sense: Sense): Sense {
  return sense === 'clockwise' ? 'anticlockwise' : 'clockwise';
}

/**
 * The airframe's table. Flat: neighbours round the middle turn against each other, the first corner anticlockwise.
 * Coaxial: upper ones alternate round the middle where their number is even, else all alike; the lower one against its
 * upper.
 */
export function turningSenses(corners: FrameBody['corners']): Map<number, Sense> {
  const upper = corners.filter(({ level }) => level === 'upper').sort((a, b) => angle(a.atMm) - angle(b.atMm));
  const first = upper.findIndex(({ index }) => index === Math.min(...upper.map((motor) => motor.index)));
  const alternate = upper.length % 2 === 0;
  const senses = new Map<number, Sense>();
  upper.forEach(({ index }, place) =>
    senses.set(index, alternate && (place - first) % 2 !== 0 ? 'clockwise' : 'anticlockwise'),
  );
  for (const { index, atMm } of corners.filter(({ level }) => level === 'lower')) {
    const above = upper.find((motor) => Math.hypot(motor.atMm[0] - atMm[0], motor.atMm[1] - atMm[1]) < 5);
    senses.set(index, above ? other(senses.get(above.index)!) : 'clockwise');
  }
  return senses;
}

function angle([x, y]: XY): number {
  return Math.atan2(y, x);
}

function whereWords({ atMm: [x, y], level }: FrameBody['corners'][number]): string {
  const far = Math.hypot(x, y);
  const along = alongOf(y, far);
  const side = sideOf(x, far);
  return [along, side, level === 'lower' ? 'below' : ''].filter(Boolean).join(' ') || 'middle';
}

function sideOf(x: number, far: number) {
  if (x > far * 0.3) return 'right';
  if (x < -far * 0.3) return 'left';
  return '';
}

function alongOf(y: number, far: number) {
  if (y > far * 0.3) return 'front';
  if (y < -far * 0.3) return 'rear';
  return '';
}

/** The channel that most leads of a motor reach. */
function channelOf(assembly: Assembly, nets: Netlist, motor: Slot): MotorPlace['channel'] {
  const reached = new Map<string, { count: number; channel: NonNullable<MotorPlace['channel']> }>();
  for (const { id } of assembly.model(motor)!.terminals) {
    for (const { slot, port } of portsOf(assembly, nets.netOf(terminalRef(motor, id))?.terminals ?? [], 'motorPhase')) {
      if (slot === motor || port.way !== 'gives') continue;
      const key = `${slot}/${port.id}`;
      reached.set(key, {
        count: (reached.get(key)?.count ?? 0) + 1,
        channel: { slot, port: port.id, index: port.index ?? 1 },
      });
    }
  }
  return [...reached.values()].sort((a, b) => b.count - a.count)[0]?.channel ?? null;
}

function outputOf(assembly: Assembly, nets: Netlist, channel: NonNullable<MotorPlace['channel']>): number | null {
  const model = assembly.model(channel.slot)!;
  if (model.kind === 'single board') return channel.index;
  const input = model.ports.find(
    ({ kind, way, index }) => kind === 'motorSignal' && way === 'takes' && (index ?? 1) === channel.index,
  );
  const pin = model.terminals.find(({ roles }) => roles.some((role) => role.is === 'port' && role.port === input?.id));
  const driver = portsOf(
    assembly,
    (pin && nets.netOf(terminalRef(channel.slot, pin.id))?.terminals) ?? [],
    'motorSignal',
  ).find(({ port }) => port.way === 'gives');
  return driver?.port.index ?? null;
}

function portsOf(
  assembly: Assembly,
  refs: readonly `${string}.${string}`[],
  kind: Port['kind'],
): { slot: Slot; port: Port }[] {
  return refs.flatMap((ref) => {
    const { slot, terminal } = splitRef(ref);
    const model = assembly.model(slot)!;
    return model.terminals
      .find(({ id }) => id === terminal)!
      .roles.flatMap((role) => {
        const port = role.is === 'port' ? model.ports.find(({ id }) => id === role.port) : undefined;
        return port?.kind === kind ? [{ slot, port }] : [];
      });
  });
}
