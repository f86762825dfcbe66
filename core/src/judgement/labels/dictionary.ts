/**
 * What makers print. Each entry is a pattern over the label in capitals without spaces, the meanings that compete,
 * and how often each is meant on a part of that kind. General practice of the trade; the one place where trade labels
 * stand.
 */
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Meaning, PadFunction } from './meaning';
import { meaning } from './meaning';

export interface Candidate {
  meaning: Meaning;
  weight: number;
}

export interface LabelView {
  kind: PartKind;
  /** Every label on the part, in capitals without spaces. */
  all: ReadonlySet<string>;
  /** True when some label matches. */
  has(pattern: RegExp): boolean;
}

type Reader = (match: RegExpExecArray, view: LabelView) => readonly Candidate[];

interface Entry {
  pattern: RegExp;
  read: Reader;
}

const sure =
  (is: PadFunction, weight = 1): Reader =>
  (match) => [{ meaning: meaning(is, numberIn(match)), weight }];
const volts =
  (value: number): Reader =>
  () => [{ meaning: meaning('supply', null, value), weight: 1 }];
const numberIn = (match: RegExpExecArray) => (match[1] ? Number(match[1]) : null);
const one = (
  is: PadFunction,
  weight: number,
  index: number | null = null,
  supply: number | null = null,
): Candidate => ({ meaning: meaning(is, index, supply), weight });

/** Boards whose battery and motor pads are the point of them. */
const powerBoard = ({ kind }: LabelView) =>
  kind === 'esc' ||
  kind === 'distribution' ||
  kind === 'single board' ||
  kind === 'battery lead' ||
  kind === 'pack' ||
  kind === 'capacitor';
const controllerLike = ({ kind }: LabelView) => kind === 'controller' || kind === 'single board';

const serial =
  (is: 'tx' | 'rx'): Reader =>
  (match, view) => {
    const index = numberIn(match);
    const partner = is === 'tx' ? /^(R|RX|U\d+R|UART\d+RX|R\d|RX\d|\dR)/ : /^(T|TX|U\d+T|T\d|TX\d|\dT|SBUS|IRC)/;
    if (match[0].includes('X') || match[0].startsWith('U') || view.has(partner)) return [one(is, 1, index)];
    if (is === 'rx') return [one('rx', 0.9, index), one('signal strength', 0.1)];
    return view.kind === 'esc' ? [one('esc telemetry', 1, null)] : [one('tx', 0.55, index), one('esc telemetry', 0.45)];
  };

const bareS: Reader = (_match, view) => {
  if (view.kind === 'esc') return [one('motor', 0.95), one('supply', 0.05, null, 5)];
  if (view.kind === 'receiver') return [one('inverted', 0.85), one('supply', 0.15, null, 5)];
  const fiveThere = view.has(/^\+?5V$/);
  return [
    one('inverted', 0.5),
    one('motor', view.has(/^S\d$/) ? 0.2 : 0.35),
    one('supply', fiveThere ? 0.1 : 0.3, null, 5),
  ];
};

const vcc: Reader = (_match, view) => {
  const battery = view.has(/^(VBAT|BAT\+?|B\+|VB)$/);
  const five = view.has(/^\+?5V$/);
  if (battery && five) return [one('supply', 0.6, null, 3.3), one('supply', 0.4, null, 5)];
  if (battery) return [one('supply', 0.8, null, 5), one('supply', 0.2, null, 3.3)];
  if (five) return [one('battery', 0.8), one('supply', 0.2, null, 3.3)];
  return [one('battery', 0.45), one('supply', 0.45, null, 5), one('supply', 0.1, null, 3.3)];
};

const bareT: Reader = (_match, view) => {
  if (view.kind === 'esc') return [one('esc telemetry', 1)];
  if (view.has(/^R(X)?$/)) return [one('tx', 1)];
  if (view.kind === 'video unit') return [one('control', 0.7), one('tx', 0.3)];
  return [one('tx', 0.4), one('esc telemetry', 0.4), one('telemetry', 0.2)];
};

const plus: Reader = (_match, view) =>
  powerBoard(view) || view.kind === 'light controller'
    ? [one('battery', 1)]
    : [one('battery', 0.4), one('supply', 0.4, null, 5), one('buzzer +', 0.2)];

const batteryPlus: Reader = (_match, view) => {
  if (powerBoard(view)) return [one('battery', 1)];
  return view.has(/^BZ|^BUZ|^BEEP/) ? [one('battery', 1)] : [one('battery', 0.55), one('buzzer +', 0.45)];
};

const batteryMinus: Reader = (_match, view) => {
  if (powerBoard(view)) return [one('ground', 1)];
  return view.has(/^BZ|^BUZ|^BEEP/) ? [one('ground', 1)] : [one('ground', 0.5), one('buzzer -', 0.5)];
};

const videoIn: Reader = (_match, view) => {
  if (view.kind === 'regulator') return [one('battery', 1)];
  if (view.kind === 'video unit') return [one('camera in', 0.5), one('battery', 0.5)];
  return view.has(/^(VO|VOUT|VTX|O)$/) ? [one('camera in', 1)] : [one('camera in', 0.6), one('battery', 0.4)];
};

const videoOut: Reader = (_match, view) => {
  if (view.kind === 'regulator') return [one('supply', 0.5, null, 5), one('supply', 0.5, null, 10)];
  return view.kind === 'camera' || view.has(/^(VI|VIN|CAM\d?|I)$/)
    ? [one('video out', 1)]
    : [one('video out', 0.7), one('supply', 0.3, null, 5)];
};

const phase =
  (is: 'phase a' | 'phase b' | 'phase c'): Reader =>
  (match, view) => {
    const index = numberIn(match);
    if (view.kind === 'esc' || view.kind === 'single board') return [one(is, 1, index)];
    return is === 'phase c'
      ? [one('camera in', 0.6), one('current', 0.4)]
      : [one(is, 0.5, index), one('switch', 0.5, index)];
  };

const motorOut: Reader = (match, view) => [
  one('motor', 1, numberIn(match)),
  ...(view.kind === 'receiver' ? [one('switch', 0.6, numberIn(match))] : []),
];
const both =
  (first: PadFunction, second: PadFunction, partner: RegExp): Reader =>
  (_match, view) =>
    view.has(partner) ? [one(first, 1)] : [one(first, 0.55), one(second, 0.45)];

export const dictionary: readonly Entry[] = [
  { pattern: /^(G|GN|GD|GND|GRD|AGND|DGND|PGND|GROUND|GND\d|G\d|0V|-)$/, read: () => [one('ground', 1)] },
  {
    pattern: /^(VBAT|VBATT|BAT|BATT|BAT\+|BATT\+|VB|VBAT\+|V\+|FVBAT|VBATF|VBAT1|VBAT2|BAT1|BATIN|LIPO|LIPO\+)$/,
    read: () => [one('battery', 1)],
  },
  { pattern: /^(BAT-|BATT-|VBAT-|LIPO-)$/, read: () => [one('ground', 1)] },
  { pattern: /^B\+$/, read: batteryPlus },
  { pattern: /^B-$/, read: batteryMinus },
  { pattern: /^\+$/, read: plus },
  {
    pattern: /^(IN\+|VIN\+)$/,
    read: (_match, view) =>
      view.kind === 'video unit' ? [one('battery', 0.7), one('camera in', 0.3)] : [one('battery', 1)],
  },
  { pattern: /^(IN-|OUT-|VIN-|VOUT-)$/, read: () => [one('ground', 1)] },
  { pattern: /^OUT\+$/, read: () => [one('supply', 0.6, null, 5), one('supply', 0.4, null, 10)] },
  {
    pattern: /^(\+?5V\d?|5\.0V|5V0|VCC5|5VOUT|5VO|\+5)$/,
    read: (_match, view) =>
      view.kind === 'adapter' ? [one('usb supply', 0.7), one('supply', 0.3, null, 5)] : [one('supply', 1, null, 5)],
  },
  { pattern: /^(\+?3V3|3\.3V?|33V|\+3V3|3V|VCC3|V33)$/, read: volts(3.3) },
  { pattern: /^(\+?9V|9V\d|9\.0V)$/, read: volts(9) },
  { pattern: /^(\+?10V|10V\d)$/, read: volts(10) },
  { pattern: /^(\+?12V|12V\d)$/, read: volts(12) },
  { pattern: /^(\+?8V)$/, read: volts(8) },
  { pattern: /^(4V5|4\.5V|VUSB|USB5V|5VUSB|5VU|VBUS|4V5\d)$/, read: () => [one('usb supply', 1)] },
  {
    pattern: /^BEC$/,
    read: () => [one('supply', 0.5, null, 5), one('supply', 0.3, null, 9), one('supply', 0.2, null, 10)],
  },
  { pattern: /^VCC$/, read: vcc },
  {
    pattern: /^5$/,
    read: (_match, view) =>
      view.has(/^\+?5V$/) || view.has(/^S\d$/)
        ? [one('supply', 0.5, null, 5), one('inverted', 0.5)]
        : [one('supply', 0.6, null, 5), one('inverted', 0.25), one('motor', 0.15)],
  },
  { pattern: /^(?:TX|T|TXD)(\d{1,2})$/, read: serial('tx') },
  { pattern: /^(?:RX|R|RXD)(\d{1,2})$/, read: serial('rx') },
  { pattern: /^U(?:ART)?(\d)-?T(?:X)?$/, read: serial('tx') },
  { pattern: /^U(?:ART)?(\d)-?R(?:X)?$/, read: serial('rx') },
  { pattern: /^(\d)TX?$/, read: serial('tx') },
  { pattern: /^(\d)RX?$/, read: serial('rx') },
  { pattern: /^TXD?$/, read: () => [one('tx', 1)] },
  { pattern: /^RXD?$/, read: () => [one('rx', 1)] },
  { pattern: /^T$/, read: bareT },
  {
    pattern: /^R$/,
    read: (_match, view) => (view.has(/^T(X)?$/) ? [one('rx', 1)] : [one('rx', 0.7), one('signal strength', 0.3)]),
  },
  { pattern: /^(SBUS|SB|S-BUS|SBUS\d|SBS)$/, read: () => [one('inverted', 1)] },
  { pattern: /^S$/, read: bareS },
  { pattern: /^(?:M|MOTOR|MOT|ESC|OUT)([1-8])$/, read: motorOut },
  { pattern: /^S([1-9]|1[0-2])$/, read: motorOut },
  { pattern: /^(?:SIG|SIGNAL|PWM)([1-8])?$/, read: motorOut },
  { pattern: /^M([1-8])\+$/, read: sure('motor +') },
  { pattern: /^M([1-8])-$/, read: sure('motor -') },
  { pattern: /^A([1-8])?$/, read: phase('phase a') },
  { pattern: /^B([1-8])?$/, read: phase('phase b') },
  { pattern: /^C([1-8])?$/, read: phase('phase c') },
  {
    pattern: /^(CAM|CAM\d|CAMERA|CAMIN|VI)$/,
    read: (_match, view) =>
      view.kind === 'camera' ? [one('video out', 0.6), one('camera in', 0.4)] : [one('camera in', 1)],
  },
  { pattern: /^VIN$/, read: videoIn },
  { pattern: /^I$/, read: both('camera in', 'current', /^O$/) },
  { pattern: /^(VTX|VO|VTXOUT|VIDEOOUT)$/, read: () => [one('video out', 1)] },
  { pattern: /^VOUT$/, read: videoOut },
  { pattern: /^O$/, read: both('video out', 'motor', /^I$/) },
  {
    pattern: /^(VID|VIDEO|V)$/,
    read: (match, view) => {
      if (match[0] !== 'V')
        return [
          one(
            view.kind === 'video unit' ? 'camera in' : 'video out',
            view.kind === 'camera' || view.kind === 'video unit' ? 1 : 0.6,
          ),
          ...(controllerLike(view) ? [one('camera in', 0.4)] : []),
        ];
      return [one('battery', 0.5), one('video out', 0.3), one('supply', 0.2, null, 5)];
    },
  },
  { pattern: /^(BZ\+|BUZ\+|BUZZ\+|BUZZER\+|BEEP\+|BEEPER\+|BB\+)$/, read: () => [one('buzzer +', 1)] },
  { pattern: /^(BZ-|BUZ-|BUZZ-|BUZZER-|BEEP-|BEEPER-|BB-)$/, read: () => [one('buzzer -', 1)] },
  {
    pattern: /^(BZ|BUZ|BUZZ|BUZZER|BEEP|BEEPER)$/,
    read: both('buzzer -', 'buzzer +', /^(BZ|BUZ|BUZZ|BUZZER|BEEP)\+$/),
  },
  {
    pattern: /^(LED|LEDS|LED\d|LEDSTRIP|STRIP|RGB|LEDDATA|DI|DIN|DO|DOUT|DAT|DATA)$/,
    read: (match, view) =>
      match[0].startsWith('LED') ||
      view.kind === 'lights' ||
      view.kind === 'light controller' ||
      /^(STRIP|RGB)$/.test(match[0])
        ? [one('lights', 1)]
        : [one('lights', 0.5), one('debug', 0.5)],
  },
  { pattern: /^(CUR|CURR|CRT|CURRENT|CRNT|AMP|AMPS|CS)$/, read: () => [one('current', 1)] },
  {
    pattern: /^(TLM|TELEM|TEL|TELE|TELEMETRY|ESCTLM|TLM\d)$/,
    read: (_match, view) => [one(view.kind === 'receiver' ? 'telemetry' : 'esc telemetry', 1)],
  },
  { pattern: /^(SPORT|S\.PORT|FPORT|SP)$/, read: () => [one('telemetry', 1)] },
  { pattern: /^(IRC|CTL|CTRL|CONTROL|SA|SMART)$/, read: () => [one('control', 1)] },
  { pattern: /^(RSSI|RSS|RSI)$/, read: () => [one('signal strength', 1)] },
  { pattern: /^(SDA|SDA\d)$/, read: () => [one('sda', 1)] },
  { pattern: /^(SCL|SCL\d)$/, read: () => [one('scl', 1)] },
  { pattern: /^(DA)$/, read: both('sda', 'debug', /^CL$/) },
  { pattern: /^(CL)$/, read: both('scl', 'debug', /^DA$/) },
  { pattern: /^(D\+|DP|USBDP|USB\+)$/, read: () => [one('usb +', 1)] },
  { pattern: /^(D-|DM|USBDM|USB-)$/, read: () => [one('usb -', 1)] },
  { pattern: /^(BOOT|BOOT0|BT|DFU|BOOT1)$/, read: () => [one('boot', 1)] },
  { pattern: /^(SWD|SWC|SWDIO|SWCLK|SWO|DIO|CLK|RST|NRST|RESET|DBG|DEBUG)$/, read: () => [one('debug', 1)] },
  { pattern: /^PPM$/, read: () => [one('pulse', 1)] },
  { pattern: /^(?:PIN|PINIO|USR|USER|SW|PIT|U)([1-9])?$/, read: sure('switch') },
  { pattern: /^(ANT|ANT\d|RF|AERIAL)$/, read: () => [one('aerial', 1)] },
];
