import { lookUp } from '../../facts/terms/lookUp';
/**
 * What stands on a board, taken apart: capitals without spaces, one kind of minus; alternatives told by a stroke; a
 * stem with its number and sign; the unit it belongs to; volts and ranges of volts.
 */

/** One way to take a label apart. `stem` is what the dictionary knows. */
export interface Parsed {
  stem: string;
  index: number | null;
  volts: Volts | null;
  /** Printed with it: what comes in or goes out there. */
  dir: 'takes' | 'gives' | null;
  /** The unit named before it: CAM in "CAM GND". */
  unit: string | null;
}

export type Volts = readonly [fromV: number, toV: number];

/** Capitals, no spaces, one kind of minus, no brackets; strokes and hyphens stay. */
export function canonical(printed: string): string {
  return printed
    .normalize('NFKC')
    .toUpperCase()
    .replace(/[−–—]/g, '-')
    .replace(/^\((.*)\)$/, '$1')
    .replace(/[([](?=\S)/g, '/')
    .replace(/[\s[\]()"'`:;,]/g, '')
    .replace(/\|/g, '/')
    .replace(/^\/|\/$/g, '');
}

/** "PPM/SBUS" is two labels on one pad. */
export function alternatives(text: string): string[] {
  if (text === 'N/C') return [text];
  const parts = text.split('/').filter(Boolean);
  return parts.length > 0 ? parts : [text];
}

const none = { index: null, volts: null, dir: null, unit: null } as const;

/** Every way to take one alternative apart, the plainest first. */
export function parses(text: string): Parsed[] {
  const ranged = rangeIn(text);
  if (ranged) return [{ ...none, ...ranged }];
  const sided = /^(.+\D)[-_]([LRAB])$/.exec(text) ?? /^(ANT)([LRAB])$/.exec(text);
  const joined = text.replace(/[-_](?=[A-Z0-9])/g, '').replace(/(?<=\D)\.|\.(?=\D)/g, '');
  return [
    ...(sided ? plain(sided[1]!.replace(/[-_]/g, '')).map((one) => ({ ...one, index: sideNumber(sided[2]!) })) : []),
    ...plain(joined),
    ...ofUnit(joined),
    ...withWay(joined),
  ];
}

function sideNumber(side: string): number {
  return side === 'L' || side === 'A' ? 1 : 2;
}

function plain(text: string): Parsed[] {
  const volts = voltsIn(text);
  if (volts !== null) return [{ ...none, stem: 'volts', volts: [volts, volts] }];
  const serial = /^(?:U|UART|SER|SERIAL|COM)(\d)(TXD?|RXD?|T|R)$/.exec(text);
  if (serial) return [{ ...none, stem: serial[2]!.startsWith('T') ? 'TX' : 'RX', index: Number(serial[1]) }];
  const phase = /^(?:M|MOT|MOTOR)(\d)?([ABC])$/.exec(text);
  if (phase) return [{ ...none, stem: phase[2]!, index: phase[1] ? Number(phase[1]) : null }];
  const numbered = /^(\D+?)(\d{1,2})([+-]?)$/.exec(text) ?? /^(\D+?)([+-])(\d{1,2})$/.exec(text);
  const first = /^(\d)([A-UW-Z][A-Z]*[+-]?)$/.exec(text);
  return [
    { ...none, stem: text },
    ...(numbered ? [signed(numbered)] : []),
    ...(first ? [{ ...none, stem: first[2]!, index: Number(first[1]) }] : []),
  ];
}

function signed([, stem, second, third]: RegExpExecArray): Parsed {
  const [index, sign] = /\d/.test(second!) ? [second, third] : [third, second];
  return { ...none, stem: `${stem}${sign ?? ''}`, index: Number(index) };
}

const units = 'CAMERA|CAM|VTX|LED|GPS|MAG|RX|RC|ESC|BZ|BUZ|BUZZER|USB|AUX|MOTOR|OSD|LIDAR|FLOW|BT|AIR|DVTX|HD';
/** What stands behind a unit's name. */
const ofUnits: ReadonlySet<string> = new Set(
  'volts G GN GND VCC VBAT BAT PWR TX RX TXD RXD T R SIG DATA DIN SDA SCL SW VIDEO VID'.split(' '),
);
const unitPattern = new RegExp(`^(${units})(.+)$`);

/** "CAM GND", "LED 5V", "GPS TX": what it is of which unit. */
function ofUnit(text: string): Parsed[] {
  const match = unitPattern.exec(text);
  if (!match) return [];
  const [, unit, rest] = match;
  return [rest!, rest!.replace(/^\d/, '')].flatMap((what) => {
    if (/^[+-]$/.test(what)) return [{ ...none, stem: `unit${what}`, unit: unit! }];
    return plain(what)
      .filter(({ stem }) => ofUnits.has(stem))
      .map((one) => ({ ...one, unit: unit! }));
  });
}

/** "5V OUT", "BAT IN". */
function withWay(text: string): Parsed[] {
  const match = /^(.{1,}?)(IN|OUT|O)$/.exec(text);
  if (!match) return [];
  return plain(match[1]!)
    .filter(({ stem }) => /^(volts|VBAT|BAT|BATT|VCC|PWR|POWER|VIDEO|VID|SBUS|PPM|G|GND|LED)$/.test(stem))
    .map((one) => ({ ...one, dir: match[2] === 'IN' ? 'takes' : 'gives' }));
}

/** Decimals that rails have; "5V1" is the first of two. */
const decimals: ReadonlySet<string> = new Set(['1V8', '2V5', '2V8', '3V0', '3V3', '4V2', '4V5', '5V0', '5V5', '7V2']);

/** "5V", "3V3", "3.3V", "+10V", "V5", "VCC3.3", "BEC9V" as volts; null: it is no number of volts. */
function voltsIn(text: string): number | null {
  const of = (value: string, decimal = '') => {
    const volts = decimals.has(`${value}V${decimal}`) ? Number(`${value}.${decimal}`) : Number(value);
    return volts >= 1.2 && volts <= 63 ? volts : null;
  };
  if (/^(33V|V33|VCC33|VDD33|3\.3)$/.test(text)) return 3.3;
  const match =
    /^\+?(\d{1,2}(?:\.\d{1,2})?)V(\d?)\+?$/.exec(text) ??
    /^\+(\d{1,2}(?:\.\d)?)()$/.exec(text) ??
    /^(?:VCC|VDD|BEC|REG|VREG|PWR|V)(\d{1,2}(?:\.\d)?)(?:V(\d?))?$/.exec(text);
  return match ? of(match[1]!, match[2] ?? '') : null;
}

/** "7-26V", "VIN 5~30V": a range that is taken; "2-6S": cells of a pack. */
function rangeIn(text: string): Pick<Parsed, 'stem' | 'volts'> | null {
  const cells = /^(?:LIPO|BAT|VBAT|VIN|DC)?(\d)-(\d{1,2})S$/.exec(text);
  if (cells) return { stem: 'VBAT', volts: null };
  const match = /^(?:VIN|IN|DC|PWR|VCC|\+)?(\d{1,2}(?:\.\d)?)V?[-~](\d{1,2}(?:\.\d)?)V$/.exec(text);
  if (!match) return null;
  const [from, to] = [Number(match[1]), Number(match[2])];
  return from < to && to <= 63 ? { stem: 'volts', volts: [from, to] } : null;
}

const lookalikes: Readonly<Record<string, string>> = { 0: 'O', O: '0', 5: 'S', S: '5', 1: 'LI', L: '1', I: '1' };
const maxChanges = 2;

/** The label itself and what it may have been before a letter was misprinted or misread. */
export function wornFrom(text: string): { text: string; changes: number }[] {
  let all = [{ text: '', changes: 0 }];
  for (const letter of text.slice(0, 16)) {
    all = all.flatMap((one) => [
      { text: one.text + letter, changes: one.changes },
      ...(one.changes < maxChanges
        ? [...(lookUp(lookalikes, letter) ?? '')].map((other) => ({ text: one.text + other, changes: one.changes + 1 }))
        : []),
    ]);
  }
  return all;
}
