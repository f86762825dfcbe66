/** Labels of supplies and grounds. */
import type { Company } from '../company';
import type { SenseTable, Senses } from './sense';
import { always, batteries, isControllerLike, isPowerBoard, one } from './sense';

const buzzers = [
  'BZ',
  'BUZ',
  'BUZZ',
  'BUZZER',
  'BEEP',
  'BEEPER',
  'BZ+',
  'BZ-',
  'BUZ+',
  'BUZ-',
  'BEEP+',
  'BEEP-',
] as const;
const buzzersSigned = [...buzzers, 'BUZZER+', 'BUZZER-', 'BUZZ+', 'BUZZ-', 'BEEPER+', 'BEEPER-', 'BB+', 'BB-'] as const;

/** A unit that gives on what it takes: its lower rail may be either. */
const passesOn = ['video unit', 'light controller', 'camera'];

const volts: Senses = (at, { volts: range, dir, unit }) => {
  const [value, to] = range!;
  if (to > value) return [one('supply', 1, { volts: value, dir: 'takes' })];
  if (value === 5 && at.kind === 'adapter') return [one('usb supply', 0.7), one('supply', 0.3, { volts: 5 })];
  if (value === 4.5 && at.kind !== 'regulator') return [one('usb supply')];
  if (dir || unit || !passesOn.includes(at.kind)) return [one('supply', 1, { volts: value, ...(dir ? { dir } : {}) })];
  const feeds = at.has(...batteries, 'VCC', 'VIN') || at.has('volts');
  // Told apart by nothing but the print: a lower rail of a unit that has a higher one comes in or goes out.
  return feeds && value <= 5.5
    ? [one('supply', 0.6, { volts: value, dir: 'gives' }), one('supply', 0.4, { volts: value, dir: 'takes' })]
    : [one('supply', 1, { volts: value })];
};

const battery: Senses = (at) => {
  if (at.kind === 'positioning') return [one('battery', 0.4), one('supply', 0.4, { volts: 3.3 }), one(null, 0.2)];
  if (at.kind === 'receiver') return [one('battery', 0.6), one(null, 0.4)];
  if (at.kind === 'buzzer') return [one('battery', 0.6), one('buzzer +', 0.4)];
  return [one('battery')];
};

const vcc: Senses = (at) => {
  const [five, three] = [one('supply', 1, { volts: 5 }), one('supply', 1, { volts: 3.3 })];
  const weigh = (battery: number, fives: number, threes: number) =>
    [one('battery', battery), { ...five, weight: fives }, { ...three, weight: threes }].filter(
      ({ weight }) => weight > 0,
    );
  const hasBattery = at.has(...batteries);
  if (at.kind === 'esc') return weigh(0.8, 0.2, 0);
  if (at.kind === 'receiver' || at.kind === 'positioning') return weigh(0, 0.65, 0.35);
  if (hasBattery && at.has('volts')) return weigh(0, 0.4, 0.6);
  if (hasBattery) return weigh(0, 0.8, 0.2);
  if (at.has('volts')) return weigh(0.7, 0.12, 0.18);
  return weigh(0.45, 0.45, 0.1);
};

const plus: Senses = (at) => {
  if (at.kind === 'buzzer') return [one('buzzer +')];
  if (isPowerBoard(at) && !(at.kind === 'single board' && at.near(...buzzersSigned))) return [one('battery')];
  if (at.kind === 'light controller') return [one('battery', 0.8), one('supply', 0.2, { volts: 5 })];
  if (at.near(...buzzersSigned)) return [one('buzzer +', 0.7), one('supply', 0.3, { volts: 5 })];
  return [one('battery', 0.4), one('supply', 0.4, { volts: 5 }), one('buzzer +', 0.2)];
};

const minus: Senses = (at) => {
  if (at.kind === 'buzzer') return [one('buzzer -')];
  if (isControllerLike(at) && at.near(...buzzersSigned)) return [one('buzzer -', 0.5), one('ground', 0.5)];
  return [one('ground')];
};

const batteryPlus: Senses = (at) =>
  isPowerBoard(at) || at.thick || at.has(...buzzersSigned)
    ? [one('battery')]
    : [one('battery', 0.55), one('buzzer +', 0.45)];

const batteryMinus: Senses = (at) =>
  isPowerBoard(at) || at.thick || at.has(...buzzersSigned)
    ? [one('ground')]
    : [one('ground', 0.5), one('buzzer -', 0.5)];

/** Plus of a unit that is named before it: which rail that is, its own print does not say. */
const unitPlus: Senses = (at, { unit }) => {
  if (/^(BZ|BUZ|BUZZER)$/.test(unit ?? '')) return [one('buzzer +')];
  if (unit === 'ESC') return [one('battery')];
  if (unit === 'MOTOR') return [one('motor +', 0.7), one('battery', 0.3)];
  if (unit === 'USB') return [one('usb +', 0.6), one('usb supply', 0.4)];
  return [one('supply', 0.5, { volts: 5 }), one('battery', at.kind === 'distribution' ? 0.5 : 0.35)];
};

const unitMinus: Senses = (_at, { unit }) => {
  if (/^(BZ|BUZ|BUZZER)$/.test(unit ?? '')) return [one('buzzer -')];
  if (unit === 'MOTOR') return [one('motor -', 0.7), one('ground', 0.3)];
  if (unit === 'USB') return [one('usb -', 0.7), one('ground', 0.3)];
  if (unit === 'LED') return [one('ground', 0.8), one('lights', 0.2)];
  return [one('ground')];
};

const input: Senses = (at) => {
  if (at.kind === 'regulator' || at.kind === 'distribution') return [one('battery')];
  return [one('battery', 0.4), one('camera in', 0.3), one(null, 0.3)];
};

const output = (at: Company) =>
  at.kind === 'regulator' || at.kind === 'distribution'
    ? [one('supply', 0.5, { volts: 5 }), one('supply', 0.3, { volts: 10 }), one('supply', 0.2, { volts: 9 })]
    : [one('video out', 0.4), one('supply', 0.3, { volts: 5 }), one(null, 0.3)];

export const power: SenseTable = {
  volts,
  'G GN GD GND GRD GROUND AGND DGND PGND SGND 0V VSS': always(one('ground')),
  'BAT- BATT- VBAT- LIPO- IN- OUT- VIN- VOUT- V- P- PWR-': always(one('ground')),
  '-': minus,
  '+': plus,
  'unit+': unitPlus,
  'unit-': unitMinus,
  'VBAT VBATT BAT BATT BAT+ BATT+ VB VBAT+ FVBAT VBATF BATIN LIPO LIPO+': battery,
  'B+': batteryPlus,
  'B-': batteryMinus,
  'V+ P+ PWR+': (at) => (isPowerBoard(at) ? [one('battery')] : [one('battery', 0.6), one('supply', 0.4, { volts: 5 })]),
  'PWR POWER': always(one('battery', 0.5), one('supply', 0.5, { volts: 5 })),
  'IN+ VIN+': (at) => (at.kind === 'video unit' ? [one('battery', 0.7), one('camera in', 0.3)] : [one('battery')]),
  'OUT+ VOUT+': output,
  IN: input,
  OUT: output,
  VCC: vcc,
  'VDD VDDA': always(one('supply', 0.65, { volts: 3.3 }), one('supply', 0.35, { volts: 5 })),
  'VUSB USBV USB5V 5VUSB V5USB 5VU U5V VBUS': always(one('usb supply')),
  BEC: always(one('supply', 0.5, { volts: 5 }), one('supply', 0.3, { volts: 9 }), one('supply', 0.2, { volts: 10 })),
  '5': (at) =>
    at.has('volts') || at.siblings('S', 5) > 0
      ? [one('supply', 0.5, { volts: 5 }), one('inverted', 0.5)]
      : [one('supply', 0.6, { volts: 5 }), one('inverted', 0.25), one('motor', 0.15)],
  'EN ENA ENABLE': always(one('enable')),
};
