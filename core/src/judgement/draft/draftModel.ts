/**
 * From a board as entered to a part model: nodes, roles, ports and typical insides follow from what the labels mean.
 * What nobody knows stays empty: such a pad's readings are for the record only.
 */
import type { PartModel, Role, Terminal } from '../../facts/catalogue/partModel';
import type { Meaning } from '../labels/meaning';
import { readLabels } from '../labels/readLabel';
import type { Range } from '../../facts/terms/names';
import type { BoardDraft, DraftPad } from './boardDraft';
import { draftPads } from './boardDraft';
import { idOf } from './idOf';
import { rectangle } from './rectangle';
import { insides } from './insides';
import { givers, portShape, portsOf } from './draftPorts';
import type { DraftedPad } from './draftPorts';

export interface Drafted {
  model: PartModel;
  pads: readonly DraftedPad[];
}

/** The model of a draft. Two meanings that compete are left open until they are answered. */
export function draftModel(draft: BoardDraft): Drafted {
  const places = draftPads(draft);
  const readings = readLabels(
    draft.kind,
    places.map(({ printed, connector, sizeMm, side, edge }) => ({
      printed,
      row: connector ?? `${side} ${edge ?? ''}`,
      connector: connector !== null,
      sizeMm,
    })),
  );
  const names = new Map<string, number>();
  const pads = places.map((pad, index): DraftedPad => {
    const reading = readings[index]!;
    const said = draft.answers[index];
    const meaning = said === undefined ? reading.sure : said;
    return {
      ...pad,
      reading,
      meaning,
      open: said === undefined && reading.sure === null,
      terminal: freeName(pad, meaning, names),
    };
  });
  const terminals = pads.map((pad) => terminalOf(draft, pad));
  const { widthMm, heightMm, thickMm, holesMm } = draft;
  const model: PartModel = {
    id: idOf(draft.name),
    revision: 1,
    kind: draft.kind,
    name: draft.name,
    maker: draft.maker,
    massG: draft.massG,
    body: {
      outlineMm: rectangle(widthMm, heightMm),
      aboveMm: thickMm,
      belowMm: thickMm / 2,
      openings: [],
      arrowDeg: draft.kind === 'controller' ? 90 : null,
      holes: holesMm
        ? [-1, 1].flatMap((sx) =>
            [-1, 1].map((sy) => ({
              atMm: [(sx * holesMm.patternMm) / 2, (sy * holesMm.patternMm) / 2] as const,
              drillMm: holesMm.drillMm,
            })),
          )
        : [],
    },
    terminals,
    connectors: connectorsOf(draft, pads),
    tails: [],
    elements: insides(terminals, unknownNodes(pads)),
    ports: portsOf(pads, draft.kind),
    signs: [],
    covers: connectorsOf(draft, pads).map(({ id, pins }) => ({ by: 'mate', id, hides: pins })),
    knownFrom: { '': 'assumed', '/body': 'measured', '/terminals': 'measured', '/massG': 'measured' },
  };
  return { model, pads };
}

function unknownNodes(pads: readonly DraftedPad[]): string[] {
  return pads.filter(({ meaning }) => meaning === null).map(({ terminal }) => terminal);
}

function freeName(
  { printed, connector, index }: DraftPad,
  meaning: Meaning | null,
  names: Map<string, number>,
): string {
  const plain = printed
    .replace(/\+/g, 'P')
    .replace(/[-−]/g, 'M')
    .replace(/[^A-Za-z0-9]/g, '');
  const base = (connector ? `${connector}.${plain || index + 1}` : plain) || nodeOf(meaning) || `PAD${index + 1}`;
  const count = (names.get(base) ?? 0) + 1;
  names.set(base, count);
  return count === 1 ? base : `${base}-${count}`;
}

function nodeOf(meaning: Meaning | null): string | null {
  if (!meaning) return null;
  const { is, index, volts, toV, dir } = meaning;
  if (is === 'ground') return 'GND';
  if (is === 'battery') return 'VB';
  if (is === 'supply') return `V${[volts, ...(toV === undefined ? [] : [toV])].join('TO').replaceAll('.', '')}`;
  if (is === 'lights' && dir === 'gives') return `LIGHTSOUT${index ?? ''}`;
  if (is === 'usb supply') return 'V5USB';
  return `${is.toUpperCase().replace(/ \+/, 'P').replace(/ -/, 'M').replace(/ /g, '')}${index ?? ''}`;
}

function rolesOf(meaning: Meaning | null, draft: BoardDraft): Role[] {
  if (!meaning) return [];
  const dir = meaning.dir ?? (givers.has(draft.kind) && meaning.toV === undefined ? 'gives' : 'takes');
  const around = (volts: number): Range =>
    dir === 'gives' ? [volts * 0.95, volts * 1.05] : [volts * 0.9, volts * 1.1];
  if (meaning.is === 'ground') return [{ is: 'ground' }];
  if (meaning.is === 'battery') return [{ is: 'supply', dir: 'takes', volts: [...draft.batteryV] }];
  if (meaning.is === 'supply' && meaning.toV !== undefined)
    return [{ is: 'supply', dir, volts: [meaning.volts ?? 5, meaning.toV] }];
  if (meaning.is === 'supply') return [{ is: 'supply', dir, volts: around(meaning.volts ?? 5) }];
  if (meaning.is === 'usb supply') return [{ is: 'supply', dir: 'gives', volts: [4.4, 5.25] }];
  const shape = portShape(meaning, draft.kind);
  return shape ? [{ is: 'port', port: shape.id, pin: shape.pin }] : [];
}

function withstand(meaning: Meaning | null, draft: BoardDraft): Range {
  if (meaning?.is === 'ground') return [-0.3, 0.3];
  if (meaning?.is === 'battery' || meaning?.is.startsWith('phase')) return [-1, draft.batteryV[1] + 4];
  if (meaning?.is === 'supply') return [-0.3, Math.max(3.6, (meaning.toV ?? meaning.volts ?? 5) * 1.15)];
  return [-0.3, meaning && /buzzer|usb supply|motor/.test(meaning.is) ? 5.5 : 3.6];
}

function terminalOf(
  draft: BoardDraft,
  { terminal, meaning, printed, atMm, sizeMm, side, connector }: DraftedPad,
): Terminal {
  const wide = Math.max(...sizeMm);
  const supply = meaning !== null && ['ground', 'battery', 'supply', 'usb supply'].includes(meaning.is);
  const range = withstand(meaning, draft);
  const signal = meaning !== null && !supply;
  return {
    id: terminal,
    printed,
    node: nodeOf(meaning) ?? terminal,
    form: connector ? 'pin' : 'pad',
    sides: [side],
    atMm,
    sizeMm,
    copper: supply ? 'pour' : 'trace',
    holds: supply && !connector ? 2 : 1,
    thickestAwg: thickestAwgOf(connector, wide),
    withstandV: range,
    withstandOffV: signal && !meaning.is.startsWith('phase') ? [-0.3, 0.5] : range,
    touch: touchOf(connector, wide),
    contact: 'bare',
    roles: rolesOf(meaning, draft),
    ...(meaning?.is === 'tx' || meaning?.is === 'motor' ? { drivesV: 3.3 } : {}),
    ...(meaning?.is === 'rx' ? { needsHighV: 2 } : {}),
  };
}

function touchOf(connector: string | null, wide: number) {
  if (connector) return 'fine';
  if (wide > 3) return 'easy';
  return 'fine';
}

function thickestAwgOf(connector: string | null, wide: number) {
  if (connector) return 28;
  if (wide > 5) return 10;
  if (wide > 3) return 16;
  if (wide > 2.2) return 22;
  return 26;
}

function connectorsOf({ rows }: BoardDraft, pads: readonly DraftedPad[]): PartModel['connectors'] {
  return rows.flatMap(({ connector, pitchMm, edge }) => {
    if (!connector) return [];
    const exitDeg = { right: 0, top: 90, left: 180, bottom: 270 }[edge];
    return [
      {
        id: connector,
        family: `wire plug ${pitchMm}`,
        pitchMm,
        key: 'latch',
        exitDeg,
        ampsPerPin: 1,
        pins: pads.filter((pad) => pad.connector === connector).map(({ terminal }) => terminal),
      },
    ];
  });
}
