/** The wires of a build as rows, for the table and for wire lists: both ends in words that can be read back. */
import type { Build, Landing, Wire } from '../assembly/build';
import type { Slot, TerminalRef, WireId } from '../terms/names';
import { splitRef } from '../terms/names';
import type { Link } from './plan';
import type { PlanChange } from './planChange';
import type { Assembly } from '../assembly/assembly';
import { lookUp } from '../terms/lookUp';

export interface WireRow {
  wire: WireId;
  /** `RX.TX`, `C1E#2` for a contact, `bare` or `insulated` for a free end. */
  from: string;
  to: string;
  awg: number;
  colour: string;
  lengthMm: number | null;
  link: string;
}

export interface RowFault {
  line: number;
  message: string;
}

export function wireRows({ wires }: Pick<Build, 'wires'>, links: readonly Link[]): WireRow[] {
  return Object.values(wires).map(({ id, awg, colour, lengthMm, ends }) => ({
    wire: id,
    from: landingWord(ends[0].at),
    to: landingWord(ends[1].at),
    awg,
    colour,
    lengthMm,
    link: links.find((link) => link.wires.includes(id))?.purpose ?? '',
  }));
}

function landingWord(at: Landing): string {
  if (at.on === 'terminal') return at.ref;
  if (at.on === 'cavity') return `${at.housing}#${at.position}`;
  return at.end;
}

/** Slots that a row touches, for filters. */
export function slotsOfRow(row: WireRow): Slot[] {
  return [row.from, row.to].flatMap((end) => (end.includes('.') ? [splitRef(end as TerminalRef).slot] : []));
}

/**
 * The changes that make the wires of a build those of the rows: wires of the parts themselves are only checked, others
 * are
 * made, changed and taken out. Every fault with its line; with any fault there are no changes.
 */
export function changesFromRows(
  rows: readonly { line: number; row: WireRow }[],
  assembly: Assembly,
): { ok: true; changes: PlanChange[] } | { ok: false; faults: RowFault[] } {
  const faults: RowFault[] = [];
  const seen = new Map<WireId, number>();
  const wires: Record<WireId, Wire> = {};
  for (const { line, row } of rows) {
    const first = seen.get(row.wire);
    if (first !== undefined) faults.push({ line, message: `${row.wire} stands in line ${first} already` });
    seen.set(row.wire, line);
    const [a, b] = [row.from, row.to].map((word) => landingOf(word, assembly));
    if (!a) faults.push({ line, message: `there is no ${row.from} in this build` });
    if (!b) faults.push({ line, message: `there is no ${row.to} in this build` });
    if (a && b) wires[row.wire] = wireOf(row, a, b, lookUp(assembly.build.wires, row.wire));
  }
  const missing = Object.values(assembly.build.wires).filter(({ id, from }) => from === 'tail' && !seen.has(id));
  for (const { id } of missing)
    faults.push({ line: 0, message: `${id} is a lead of its part and must be in the list` });
  if (faults.length > 0) return { ok: false, faults };
  const ids = [...new Set([...Object.keys(assembly.build.wires), ...Object.keys(wires)])];
  const differs = (id: WireId) =>
    JSON.stringify(rowOf(lookUp(assembly.build.wires, id))) !== JSON.stringify(rowOf(lookUp(wires, id)));
  return {
    ok: true,
    changes: ids.filter(differs).map((id) => ({
      path: `wires/${id}`,
      before: lookUp(assembly.build.wires, id) ?? null,
      after: lookUp(wires, id) ?? null,
    })),
  };
}

function rowOf(wire: Wire | undefined): WireRow | null {
  return wire ? wireRows({ wires: { [wire.id]: wire } }, [])[0]! : null;
}

function landingOf(word: string, assembly: Assembly): Landing | null {
  if (word === 'bare' || word === 'insulated') return { on: 'air', end: word };
  const cavity = /^([^#]+)#(\d+)$/.exec(word);
  if (cavity) {
    const housing = lookUp(assembly.build.housings, cavity[1]!);
    const position = Number(cavity[2]);
    return housing && position >= 1 && position <= housing.ways
      ? { on: 'cavity', housing: housing.id, position }
      : null;
  }
  return /^[^.\s]+\..+$/.test(word) && assembly.terminal(word as TerminalRef)
    ? { on: 'terminal', ref: word as TerminalRef }
    : null;
}

function wireOf({ wire: id, awg, colour, lengthMm }: WireRow, a: Landing, b: Landing, old: Wire | undefined): Wire {
  const body = old ?? { id, insulation: 'silicone', from: 'stock' as const, via: [] };
  const end = (at: Landing, index: 0 | 1): Wire['ends'][number] => {
    const was = old?.ends[index];
    if (was && landingWord(was.at) === landingWord(at)) return was;
    if (at.on === 'air') return { at, by: 'none' };
    if (at.on === 'cavity') return { at, by: 'crimp' };
    return { at, by: 'solder', lay: 'flat' };
  };
  return { ...body, id, awg, colour, lengthMm, ends: [end(a, 0), end(b, 1)] };
}
