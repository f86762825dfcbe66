/**
 * What a kind of part can do. Asked for here, so that a new kind, or a board that is several in one, follows
 * everywhere.
 */
import type { PartKind, PartModel, Port, Terminal } from './partModel';

/** Runs the flight software. */
export function isController(kind: PartKind): boolean {
  return kind === 'controller' || kind === 'single board';
}

/** Drives motors and is nothing else. */
export function isEsc(kind: PartKind): boolean {
  return kind === 'esc';
}

export function isMotor(kind: PartKind): boolean {
  return kind === 'motor';
}

/** Brings the pack's plug. */
export function isBatteryLead(kind: PartKind): boolean {
  return kind === 'battery lead';
}

/** Brings the orders of whoever flies. */
export function isReceiver(kind: PartKind): boolean {
  return kind === 'receiver';
}

/** Sends the picture. */
export function isVideoUnit(kind: PartKind): boolean {
  return kind === 'video unit';
}

/** What a transmitter radiates with. */
export function isAerial(kind: PartKind): boolean {
  return kind === 'antenna';
}

/** Nothing but a cable with its plugs. */
export function isCable(kind: PartKind): boolean {
  return kind === 'cable';
}

/** Lights that hang on data, and the box that makes the data for several of them. */
export function isStrip(kind: PartKind): boolean {
  return kind === 'lights';
}

export function isLightBox(kind: PartKind): boolean {
  return kind === 'light controller';
}

/** Radiates, and must never be powered without an aerial; a receiver with telemetry is one. */
export function isTransmitter(kind: PartKind): boolean {
  return isReceiver(kind) || isVideoUnit(kind);
}

/** When its supply sags the aircraft falls. */
export function fliesOnIt(kind: PartKind): boolean {
  return isController(kind) || isReceiver(kind);
}

/** Stays unplugged at the first limited power. */
export function isHighValue(kind: PartKind): boolean {
  return isVideoUnit(kind) || kind === 'camera';
}

/** Lies in the stack by the arrow printed on it. */
export function liesByArrow(kind: PartKind): boolean {
  return isController(kind) || isEsc(kind);
}

/** A capacitor of its own, to stand beside a board. */
export function isCapacitor({ elements }: Pick<PartModel, 'elements'>): boolean {
  return elements.length > 0 && elements.every(({ is }) => is === 'capacitor');
}

/** Passes on what a USB socket gives; a board that has one makes its own volts of the pack. */
export function isUsbSource({ elements, ports }: Pick<PartModel, 'elements' | 'ports'>): boolean {
  return ports.some(({ kind }) => kind === 'usb') && !elements.some(({ is }) => is === 'regulator');
}

/** Brings volts from outside: those of a pack or of a USB socket. */
export function bringsVolts(model: Pick<PartModel, 'kind' | 'elements' | 'ports'>): boolean {
  return isBatteryLead(model.kind) || model.kind === 'pack' || isUsbSource(model);
}

/** The ports that a motor can hang on, one a channel. */
export function channelPorts({ ports }: Pick<PartModel, 'ports'>): Port[] {
  return ports.filter(({ kind, way }) => kind === 'motorPhase' && way === 'gives');
}

/** Has motors on its own terminals. */
export function drivesMotors(model: Pick<PartModel, 'ports'>): boolean {
  return channelPorts(model).length > 0;
}

/** Makes a picture and takes none. */
export function isCamera({ ports }: Pick<PartModel, 'ports'>): boolean {
  const video = ports.filter(({ kind }) => kind === 'video');
  return video.length > 0 && video.every(({ way }) => way === 'gives');
}

/** Has nothing in it that lives on a supply, like a capacitor. */
export function isPassive({ elements }: Pick<PartModel, 'elements'>): boolean {
  return elements.length > 0 && elements.every(({ is }) => is === 'capacitor' || is === 'resistor' || is === 'winding');
}

/** Somewhere a wire can be put: no lead of the part itself, and no bare metal. */
function canLand({ form }: Pick<Terminal, 'form'>): boolean {
  return form !== 'tail' && form !== 'metal';
}

/** True for what wires are put on. */
export function isBoard(model: PartModel): boolean {
  return model.terminals.some(canLand);
}
