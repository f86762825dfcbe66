/** Labels of motors, their signals, current sense and switched outputs. */
import type { Company } from '../company';
import type { PadFunction } from '../meaning';
import type { SenseTable, Senses } from './sense';
import { always, isControllerLike, isPowerBoard, one } from './sense';

const signals = ['S', 'M', 'MOTOR', 'MOT', 'ESC', 'PWM', 'OUT', 'SIG'] as const;

/** Other numbers among its motor signals. */
const others = (at: Company, index: number | null) => signals.reduce((sum, stem) => sum + at.siblings(stem, index), 0);

const signalNumber: Senses = (at, { index, stem }) => {
  if (index === null || index < 1 || index > 12) return [];
  if (at.kind === 'esc') return [one('motor')];
  if (at.kind === 'receiver') return [one('motor', 0.5), one('switch', 0.3), one(null, 0.2)];
  if (isControllerLike(at)) {
    if (others(at, index) >= 2) return [one('motor')];
    if (others(at, index) === 1) return [one('motor', 0.93), one('inverted', 0.07)];
    return stem === 'S'
      ? [one('motor', 0.6), one('inverted', 0.2), one('switch', 0.2)]
      : [one('motor', 0.75), one(null, 0.25)];
  }
  return [one('motor', 0.6), one(null, 0.4)];
};

/** M1 is a motor's signal, or the motor itself. */
const motorNumber: Senses = (at, parsed) => {
  if (parsed.index === null || parsed.index < 1 || parsed.index > 12) return [];
  if (at.kind === 'esc' && at.thick) return [one('motor', 0.5), one(null, 0.5)];
  if (at.kind === 'single board' && at.has('A', 'U') && parsed.index > 4) return [one('motor')];
  if (at.kind === 'single board' && !at.has('A', 'U')) return [one('motor', 0.6), one('motor +', 0.4)];
  return signalNumber(at, parsed);
};

const escNumber: Senses = (at, parsed) =>
  at.kind === 'distribution' ? [one('battery', 0.5), one('motor', 0.5)] : signalNumber(at, parsed);

const signal: Senses = (at, parsed) => {
  if (parsed.index !== null) return signalNumber(at, parsed);
  if (at.kind === 'esc') return [one('motor')];
  if (at.kind === 'lights' || at.kind === 'light controller') return [one('lights')];
  if (at.kind === 'camera') return [one('video out', 0.8), one(null, 0.2)];
  if (at.kind === 'receiver') return [one('inverted', 0.5), one('motor', 0.3), one('tx', 0.2)];
  return [one('motor', 0.6), one('lights', 0.2), one(null, 0.2)];
};

const onEscPlug = (at: Company) => at.siblings('S', null) > 0 || at.has('T', 'TLM', 'TELEM');

/** Three letters of one number make a motor's phases; one of them alone is as often something else. */
function phase(is: PadFunction, letters: readonly [string, string, string], alone: Senses): Senses {
  return (at, parsed) => {
    const mine = parsed.stem;
    const whole = letters.every((letter) => letter === mine || at.hasNumber(parsed.index, letter));
    const numbered = parsed.index === null && letters.every((letter) => letter === mine || !at.hasNumber(null, letter));
    if (isPowerBoard(at) && at.kind !== 'distribution' && !(numbered && onEscPlug(at))) {
      if (whole) return [one(is)];
      const rest = alone(at, parsed);
      return rest.length > 0 ? [one(is, 0.5), ...rest.map((sense) => ({ ...sense, weight: sense.weight * 0.5 }))] : [];
    }
    return alone(at, parsed);
  };
}

const letterC: Senses = (at, { index }) => {
  if (index !== null) return [one(null)];
  if (onEscPlug(at)) return [one('current', at.kind === 'esc' ? 0.95 : 0.8), one('camera in', 0.1)];
  return [one('camera in', 0.6), one('current', 0.4)];
};

const currentSense: Senses = (at, { stem }) => {
  if (stem === 'CS')
    return at.has('SCK', 'MOSI', 'MISO', 'SDO') ? [one(null)] : [one('current', 0.75), one(null, 0.25)];
  if (stem.startsWith('AMP')) return [one('current', 0.8), one(null, 0.2)];
  return [one('current')];
};

/** Volts or video. */
const letterV: Senses = ({ kind }) => {
  const video = kind === 'video unit' ? 'camera in' : 'video out';
  if (kind === 'adapter') return [one('usb supply', 0.8), one('supply', 0.2, { volts: 5 })];
  return [one('battery', 0.35), one('supply', 0.3, { volts: 5 }), one(video, 0.35)];
};

export const motors: SenseTable = {
  'S PWM OUT': (at, parsed) =>
    parsed.stem === 'OUT' && !isControllerLike(at) && at.kind !== 'esc' ? [] : signalNumber(at, parsed),
  'M MOTOR MOT': motorNumber,
  ESC: escNumber,
  'SIG SIGNAL': signal,
  PWM: (at, parsed) => (parsed.index === null && at.kind === 'esc' ? signal(at, parsed) : []),
  'M+ MOTOR+ MOT+': (at) =>
    at.kind === 'distribution' ? [one('battery', 0.8), one('motor +', 0.2)] : [one('motor +')],
  'M- MOTOR- MOT-': (at) => (at.kind === 'distribution' ? [one('ground', 0.8), one('motor -', 0.2)] : [one('motor -')]),
  A: phase('phase a', ['A', 'B', 'C'], always(one(null))),
  B: phase('phase b', ['A', 'B', 'C'], always(one(null))),
  C: phase('phase c', ['A', 'B', 'C'], letterC),
  U: phase('phase a', ['U', 'V', 'W'], always(one(null))),
  V: phase('phase b', ['U', 'V', 'W'], letterV),
  W: phase('phase c', ['U', 'V', 'W'], always(one(null))),
  'CUR CURR CRT CURRENT CRNT AMP AMPS CS': currentSense,
  'PIN PINIO USR USER SW SWITCH': (_at, { stem, index }) =>
    stem === 'SW' && index === null ? [one('switch', 0.5), one('debug', 0.5)] : [one('switch', 0.95), one(null, 0.05)],
  PIT: always(one('switch', 0.6), one(null, 0.4)),
};
