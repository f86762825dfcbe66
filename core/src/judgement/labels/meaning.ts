/** What a printed label can mean, as one of few functions with a number or a voltage where it has one. */
export type PadFunction =
  | 'ground'
  | 'battery'
  | 'supply'
  | 'usb supply'
  | 'tx'
  | 'rx'
  | 'inverted'
  | 'motor'
  | 'phase a'
  | 'phase b'
  | 'phase c'
  | 'motor +'
  | 'motor -'
  | 'camera in'
  | 'video out'
  | 'buzzer +'
  | 'buzzer -'
  | 'lights'
  | 'current'
  | 'esc telemetry'
  | 'telemetry'
  | 'control'
  | 'signal strength'
  | 'sda'
  | 'scl'
  | 'usb +'
  | 'usb -'
  | 'boot'
  | 'debug'
  | 'pulse'
  | 'switch'
  | 'enable'
  | 'aerial';

export interface Meaning {
  is: PadFunction;
  /** Port, motor or switch number; null where there is only one. */
  index: number | null;
  /** Of a regulated rail, or the least that it takes. */
  volts: number | null;
  /** The most that it takes, where a range is printed. */
  toV?: number;
  /** Where the print says it, or a person: what comes in or goes out there. */
  dir?: 'takes' | 'gives';
}

export function meaning(is: PadFunction, index: number | null = null, volts: number | null = null): Meaning {
  return { is, index, volts };
}

const words: Readonly<Record<PadFunction, string>> = {
  ground: 'ground',
  battery: 'battery',
  supply: 'supply',
  'usb supply': '5 V also on USB',
  tx: 'transmit',
  rx: 'receive',
  inverted: 'inverted serial input',
  motor: 'motor signal',
  'phase a': 'phase A',
  'phase b': 'phase B',
  'phase c': 'phase C',
  'motor +': 'motor +',
  'motor -': 'motor −',
  'camera in': 'camera in',
  'video out': 'video out',
  'buzzer +': 'buzzer +',
  'buzzer -': 'buzzer −',
  lights: 'lights data',
  current: 'current sense',
  'esc telemetry': 'ESC telemetry',
  telemetry: 'telemetry out',
  control: 'video control',
  'signal strength': 'signal strength',
  sda: 'compass data',
  scl: 'compass clock',
  'usb +': 'USB data +',
  'usb -': 'USB data −',
  boot: 'boot',
  debug: 'debug',
  pulse: 'pulse-train input',
  switch: 'switched output',
  enable: 'enable',
  aerial: 'antenna',
};

/** In a technician's words: "transmit, port 3", "5 V", "takes 7 to 26 V". */
export function meaningWords({ is, index, volts, toV, dir }: Meaning): string {
  const way = dir ? `, which it ${dir}` : '';
  if (is === 'supply') return toV === undefined ? `${volts} V${way}` : `takes ${volts} to ${toV} V`;
  if (index === null) return `${words[is]}${way}`;
  if (is === 'tx' || is === 'rx' || is === 'inverted') return `${words[is]}, port ${index}`;
  return `${words[is]} ${index}${way}`;
}

/** Two meanings that are one for the wiring. */
export function sameMeaning(a: Meaning, b: Meaning): boolean {
  return a.is === b.is && a.index === b.index && a.volts === b.volts && a.toV === b.toV && a.dir === b.dir;
}
