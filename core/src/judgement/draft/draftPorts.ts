/** Ports of a new board, from what its labels mean. */
import type { PartKind, Port, PortKind, PortPin } from '../../facts/catalogue/partModel';
import type { Meaning } from '../labels/meaning';
import type { LabelReading } from '../labels/readLabel';
import type { DraftPad } from './boardDraft';

export interface DraftedPad extends DraftPad {
  terminal: string;
  reading: LabelReading;
  /** What is taken: a person's answer, else what is sure; null: nobody knows. */
  meaning: Meaning | null;
  /** A person has to say, and has not. */
  open: boolean;
}

/** Kinds that pass supplies on; others take them. */
export const givers: ReadonlySet<PartKind> = new Set([
  'controller',
  'single board',
  'esc',
  'distribution',
  'regulator',
  'light controller',
  'adapter',
]);

interface PortShape {
  id: string;
  kind: PortKind;
  way: Port['way'];
  pin: PortPin;
  levelV: number;
  inversion?: Port['inversion'];
}

/** The port and pin a meaning stands for, or null for supplies and the like. */
export function portShape({ is, index, dir }: Meaning, kind: PartKind): PortShape | null {
  const number = index ?? '';
  const master = kind === 'controller' || kind === 'single board' || kind === 'light controller';
  switch (is) {
    case 'tx':
      return { id: `UART${number}`, kind: 'serial', way: 'both', pin: 'tx', levelV: 3.3 };
    case 'rx':
      return { id: `UART${number}`, kind: 'serial', way: 'both', pin: 'rx', levelV: 3.3 };
    case 'inverted':
      return {
        id: `INVERTED${number}`,
        kind: 'serial',
        way: master ? 'takes' : 'gives',
        pin: master ? 'rx' : 'tx',
        levelV: 3.3,
        inversion: 'inverted',
      };
    case 'pulse':
      return { id: 'PULSE', kind: 'serial', way: master ? 'takes' : 'gives', pin: master ? 'rx' : 'tx', levelV: 3.3 };
    case 'telemetry':
      return { id: `TELEMETRY${number}`, kind: 'serial', way: 'gives', pin: 'tx', levelV: 3.3, inversion: 'inverted' };
    case 'control':
      return { id: `CONTROL${number}`, kind: 'serial', way: 'takes', pin: 'rx', levelV: 3.3 };
    case 'motor':
      return kind === 'esc'
        ? { id: `SIG${number || 1}`, kind: 'motorSignal', way: 'takes', pin: 'in', levelV: 3.3 }
        : { id: `OUT${number || 1}`, kind: 'motorSignal', way: 'gives', pin: 'out', levelV: 3.3 };
    case 'phase a':
    case 'phase b':
    case 'phase c':
      return {
        id: `MOT${number || 1}`,
        kind: 'motorPhase',
        way: 'gives',
        pin: is.at(-1) as 'a' | 'b' | 'c',
        levelV: 25,
      };
    case 'motor +':
    case 'motor -':
      return {
        id: `MOT${number || 1}`,
        kind: 'motorPhase',
        way: 'gives',
        pin: is === 'motor +' ? 'plus' : 'minus',
        levelV: 5,
      };
    case 'camera in':
      return { id: `CAMERA${number}`, kind: 'video', way: 'takes', pin: 'in', levelV: 1 };
    case 'video out':
      return { id: `VIDEO${number}`, kind: 'video', way: 'gives', pin: 'out', levelV: 1 };
    case 'buzzer +':
    case 'buzzer -':
      return {
        id: 'BUZZER',
        kind: 'buzzer',
        way: kind === 'buzzer' ? 'takes' : 'gives',
        pin: is === 'buzzer +' ? 'plus' : 'minus',
        levelV: 5,
      };
    case 'lights':
      return {
        id: `LIGHTS${dir === 'gives' ? 'OUT' : ''}${number}`,
        kind: 'lights',
        way: kind === 'lights' && dir !== 'gives' ? 'takes' : 'gives',
        pin: kind === 'lights' && dir !== 'gives' ? 'in' : 'out',
        levelV: 3.3,
      };
    case 'current':
    case 'signal strength':
      return {
        id: `${is === 'current' ? 'CURRENT' : 'STRENGTH'}${number}`,
        kind: is === 'current' ? 'sense' : 'strength',
        way: master ? 'takes' : 'gives',
        pin: master ? 'in' : 'out',
        levelV: 3.3,
      };
    case 'esc telemetry':
      return {
        id: `ESCDATA${number}`,
        kind: 'escData',
        way: master ? 'takes' : 'gives',
        pin: master ? 'rx' : 'tx',
        levelV: 3.3,
      };
    case 'sda':
    case 'scl':
      return { id: `I2C${number}`, kind: 'i2c', way: 'both', pin: is, levelV: 3.3 };
    case 'usb +':
    case 'usb -':
      return { id: 'USB', kind: 'usb', way: 'both', pin: is === 'usb +' ? 'plus' : 'minus', levelV: 3.3 };
    case 'aerial':
      return { id: `AERIAL${number}`, kind: 'aerial', way: 'gives', pin: 'out', levelV: 0 };
    default:
      return null;
  }
}

export function portsOf(pads: readonly DraftedPad[], kind: PartKind): Port[] {
  const ports = new Map<string, Port>();
  for (const { meaning } of pads) {
    const shape = meaning && portShape(meaning, kind);
    if (!shape || ports.has(shape.id)) continue;
    const { id, kind: portKind, way, levelV, inversion = 'plain' } = shape;
    ports.set(id, {
      id,
      kind: portKind,
      way,
      ...(meaning.index === null ? {} : { index: meaning.index }),
      levelV,
      inversion,
      halfDuplex: false,
      excludes: [],
      needs: [],
      speaks: portKind === 'serial' ? spokenBy(kind) : [],
    });
  }
  return [...ports.values()];
}

/** What a serial port of a part of this kind speaks when nothing else is known. */
function spokenBy(kind: PartKind): string[] {
  if (kind === 'controller' || kind === 'single board') return ['serialReceiver', 'control', 'positioning'];
  if (kind === 'positioning') return ['positioning'];
  return [kind === 'receiver' ? 'serialReceiver' : 'control'];
}
