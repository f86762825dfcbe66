/** Labels of serial ports, receivers, telemetry and control. */
import type { Company } from '../company';
import type { SenseTable, Senses } from './sense';
import { always, batteries, grounds, isControllerLike, one } from './sense';

const motorStems = ['S', 'M', 'ESC', 'MOTOR', 'MOT'] as const;

/** Motor outputs or current sense stand on it: the plug of an ESC, or a board for one. */
const besideMotors = (at: Company) => at.has(...motorStems, 'CUR', 'CURR', 'CRT', 'CURRENT', 'CRNT', 'C');

const transmit: Senses = (at, { unit, index }) => {
  // Whose view a unit's name takes, the print does not say.
  if (unit && isControllerLike(at)) return [one('tx', 0.5), one('rx', 0.5)];
  if (at.kind === 'esc') return [one('esc telemetry', 0.5), one('tx', 0.5)];
  if (at.hasNumber(index, 'RX', 'R', 'RXD')) return [one('tx')];
  if (at.kind === 'video unit' && index === null) return [one('tx', 0.6), one('control', 0.4)];
  return [one('tx', 0.95), one(null, 0.05)];
};

const receive: Senses = (at, { unit, index }) => {
  if (unit && isControllerLike(at)) return [one('tx', 0.5), one('rx', 0.5)];
  if (at.kind === 'esc') return [one('motor', 0.5), one('rx', 0.5)];
  if (at.hasNumber(index, 'TX', 'T', 'TXD')) return [one('rx')];
  if (at.kind === 'video unit') return [one('rx', 0.6), one('control', 0.4)];
  return [one('rx', 0.95), one(null, 0.05)];
};

const letterT: Senses = (at, { index }) => {
  if (at.kind === 'esc') return [one('esc telemetry')];
  if (at.hasNumber(index, 'R', 'RX')) return [one('tx')];
  if (index !== null) {
    if (at.siblings('T', index) > 0 || at.has('R', 'RX', 'SBUS')) return [one('tx', 0.92), one('esc telemetry', 0.08)];
    return [one('tx', 0.5), one('esc telemetry', 0.42), one(null, 0.08)];
  }
  if (at.kind === 'video unit') return [one('control', 0.7), one('tx', 0.3)];
  if (isControllerLike(at) && at.near('S') && at.near('C', 'CUR', 'CRT', 'CURR', ...batteries))
    return [one('esc telemetry')];
  if (at.kind === 'receiver') return [one('tx', 0.6), one('telemetry', 0.4)];
  return [one('tx', 0.4), one('esc telemetry', 0.4), one('telemetry', 0.2)];
};

const letterR: Senses = (at, { index }) => {
  if (at.hasNumber(index, 'T', 'TX', 'SBUS')) return [one('rx')];
  // Makers print R12 beside a resistor.
  if (index !== null)
    return at.siblings('R', index) > 0 && at.has('T', 'TX')
      ? [one('rx', 0.95), one(null, 0.05)]
      : [one('rx', 0.7), one('signal strength', 0.1), one(null, 0.2)];
  return [one('rx', 0.6), one('signal strength', 0.3), one(null, 0.1)];
};

const inverted: Senses = (at) =>
  isControllerLike(at) || at.kind === 'receiver' || at.kind === 'video unit' || at.kind === 'distribution'
    ? [one('inverted')]
    : [one('inverted', 0.6), one(null, 0.4)];

const bareS: Senses = (at) => {
  if (at.kind === 'esc') return [one('motor')];
  if (at.kind === 'receiver') return [one('inverted', 0.85), one('supply', 0.15, { volts: 5 })];
  if (at.kind === 'lights' || at.kind === 'light controller')
    return [one('lights', 0.6), one('supply', 0.4, { volts: 5 })];
  return [
    one('inverted', 0.5),
    one('motor', at.siblings('S', null) > 0 ? 0.2 : 0.35),
    one('supply', at.has('volts') ? 0.1 : 0.3, { volts: 5 }),
  ];
};

const telemetry: Senses = (at, { index }) => {
  if (at.kind === 'receiver') return [one('telemetry')];
  if (at.kind === 'esc') return [one('esc telemetry')];
  if (at.kind === 'video unit' || at.kind === 'positioning')
    return [one('telemetry', 0.5), one('control', 0.3), one(null, 0.2)];
  // "TELEM2" names a whole port on big boards.
  if (index !== null && !at.near(...motorStems)) return [one('esc telemetry', 0.4), one('tx', 0.3), one('rx', 0.3)];
  return besideMotors(at) ? [one('esc telemetry')] : [one('esc telemetry', 0.7), one('telemetry', 0.3)];
};

const control: Senses = (at) => {
  if (at.kind === 'video unit') return [one('control')];
  if (at.kind === 'camera' || at.kind === 'light controller' || at.kind === 'lights')
    return [one('control', 0.4), one(null, 0.6)];
  return [one('control', 0.92), one(null, 0.08)];
};

export const serial: SenseTable = {
  'TX TXD': transmit,
  'RX RXD': receive,
  T: letterT,
  R: letterR,
  'SBUS S-BUS SBS RXI RXINV INV': inverted,
  SB: (at) => [one('inverted', at.near('volts', ...grounds) ? 0.8 : 0.6), one(null, 0.3)],
  S: (at, parsed) => (parsed.index === null ? bareS(at, parsed) : []),
  'CRSF GHST SRXL IBUS': always(one('rx', 0.5), one('tx', 0.5)),
  PPM: always(one('pulse')),
  'TLM TELEM TEL TELE TELEMETRY ESCTLM': telemetry,
  'SPORT FPORT': always(one('telemetry')),
  SP: always(one('telemetry', 0.6), one(null, 0.4)),
  'IRC CTL CTRL CONTROL': control,
  'SA SMART': (at) => (at.kind === 'video unit' ? [one('control')] : [one('control', 0.6), one(null, 0.4)]),
  'RSSI RSS RSI': always(one('signal strength')),
  'SDA SDAT': always(one('sda')),
  'SCL SCLK': (at, { stem }) => (stem === 'SCL' || at.has('SDA') ? [one('scl')] : [one('debug', 0.6), one('scl', 0.4)]),
  DA: (at, { index }) => (at.hasNumber(index, 'CL') ? [one('sda')] : [one('sda', 0.55), one('debug', 0.45)]),
  CL: (at, { index }) => (at.hasNumber(index, 'DA') ? [one('scl')] : [one('scl', 0.55), one('debug', 0.45)]),
  'D+ USBDP USB+': always(one('usb +')),
  'D- USBDM USB-': always(one('usb -')),
  DP: (at) => (at.has('DM', 'DN') ? [one('usb +')] : [one('usb +', 0.6), one(null, 0.4)]),
  'DM DN': (at) => (at.has('DP') ? [one('usb -')] : [one('usb -', 0.6), one(null, 0.4)]),
  'BOOT BOOT0 DFU': always(one('boot')),
  BT: always(one('boot', 0.7), one(null, 0.3)),
  'SWDIO SWCLK SWO SWD SWC NRST DBG DEBUG': always(one('debug')),
  'RST RESET': always(one('debug', 0.95), one(null, 0.05)),
  DIO: always(one('debug', 0.95), one(null, 0.05)),
  CLK: (at) => (at.has('DIO', 'SWD', 'SWDIO') ? [one('debug')] : [one('debug', 0.5), one('scl', 0.2), one(null, 0.3)]),
};
