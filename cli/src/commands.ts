/** What the commands say: lines for a person, the same as data for a program, and whether something was found. */
import type { Build, Catalogue, Planned, WayOut } from '@junctor/core';
import {
  alignmentWords,
  buildFileOf,
  circuitWith,
  compareDump,
  conversion,
  judge,
  leftUnwired,
  motorChangeWords,
  netlist,
  planWiring,
  setupSheet,
  spiceDeckOf,
  waysOut,
  wireRows,
  wiringSvg,
  wishesFor,
  assemble,
} from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import Papa from 'papaparse';
import { faultNamed } from './faults';
import type { BuildFile } from './readFile';
import { BadInput, readText } from './readFile';

export interface Said {
  text: string;
  data: unknown;
  found: boolean;
}

export function checkFile({ plan }: BuildFile, catalogue: Catalogue): Said {
  const findings = judge(assemble(plan.target, catalogue), plan.links, plan.cells);
  const lines = findings.map(({ severity, rule, message }) => `${severity}  ${rule}: ${message}`);
  return { text: lines.join('\n') || 'no rule objects', data: findings, found: findings.length > 0 };
}

export async function planFile({ name, plan }: BuildFile, catalogue: Catalogue, keep: Build | null): Promise<Said> {
  const wishes = plan.wishes.length > 0 ? plan.wishes : wishesFor(assemble(plan.target, catalogue));
  const request = {
    slots: plan.target.slots,
    catalogue,
    cells: plan.cells,
    wishes,
    pinned: plan.pinned,
    ...(keep ? { keep } : {}),
  };
  const solve = await loadSolver();
  const result = planWiring(request, solve);
  if (result.is === 'gave up') return { text: `gave up: ${result.why}`, data: result, found: true };
  if (result.is === 'conflict') {
    const ways = waysOut(request, result, solve);
    return {
      text: [`conflict: ${result.why}`, ...wayOutWords(ways)].join('\n'),
      data: { ...result, waysOut: ways },
      found: true,
    };
  }
  const wires = wireRows(result.target, result.links).map(
    ({ wire, from, to, awg, colour }) => `  ${wire}: ${from} to ${to}, ${awg} AWG ${colour}`,
  );
  const unwired = leftUnwired(assemble(result.target, catalogue)).map(
    (slot) => `${slot}: no wish asks for it, left without a wire`,
  );
  const file = buildFileOf(name, { ...plan, target: result.target, links: result.links, wishes });
  return {
    text: [
      ...servedWords(result),
      ...unwired,
      ...wires,
      ...result.findings.map(({ severity, message }) => `${severity}  ${message}`),
    ].join('\n'),
    data: file,
    found: result.findings.length > 0 || result.wishes.some(({ way }) => way === null),
  };
}

/** Each with what it costs. */
export function wayOutWords(ways: readonly WayOut[]): string[] {
  return ways.map(({ message, loss }) => `  ${message} (loses ${loss})`);
}

/** "receiver RX: two-way, FC UART2". */
export function servedWords({ wishes }: Pick<Planned, 'wishes'>): string[] {
  return wishes.map(
    ({ wish, way, port }) =>
      `${wish.id}: ${way === null ? 'dropped' : `${way}${port ? `, ${port.replace('/', ' ')}` : ''}`}`,
  );
}

export function convertFiles(from: BuildFile, to: BuildFile, catalogue: Catalogue): Said {
  const made = conversion(assemble(from.plan.target, catalogue), assemble(to.plan.target, catalogue));
  const lines = [
    `stays: ${made.stays.wires.length} wires, ${made.stays.parts.length} parts`,
    `comes off: ${list(made.partsOff.map(({ slot, model }) => `${slot} (${model})`))}`,
    `comes on: ${list(made.partsOn.map(({ slot, model }) => `${slot} (${model})`))}`,
    `joints to open: ${list(made.opens)}`,
    `pads to clean: ${list(made.cleans)}`,
    `contacts out: ${list(made.contactsOut.map(({ wire, housing, position }) => `${wire} from ${housing}#${position}`))}`,
    `ports freed: ${list(made.portsFreed)}`,
    `ports taken: ${list(made.portsTaken)}`,
    `dormant: ${list(made.dormant)}`,
    `outputs: ${list(made.motors.map(motorChangeWords))}`,
    `board: ${made.alignment ? `${alignmentWords(made.alignment.before)} before, ${alignmentWords(made.alignment.after)} after` : 'lies as before'}`,
    `new wire: ${made.work.newWireMm} mm`,
    ...made.changes.map(({ verb, subject }) => `  ${verb} ${subject}`),
  ];
  return { text: lines.join('\n'), data: made, found: made.changes.length > 0 };
}

function list(words: readonly string[]): string {
  return words.join(', ') || 'none';
}

export type NetlistAs = 'nets' | 'spice' | 'csv' | 'svg';

/** @throws {BadInput} If there is no such fault. */
export function netlistOf(
  { name, plan }: BuildFile,
  catalogue: Catalogue,
  { as, fault }: { as: NetlistAs; fault: string | undefined },
): Said {
  const { target, links } = plan;
  if (as === 'spice') {
    const assembly = assemble(target, catalogue);
    if (fault === undefined) return said(spiceDeckOf(assembly, name));
    return said(spiceDeckOf(assembly, `${name}, ${fault}`, circuitWith(assembly, faultNamed(assembly, fault))));
  }
  if (as === 'csv')
    return said(
      Papa.unparse(
        wireRows(target, links).map(({ wire, from, to, awg, colour, lengthMm, link }) => ({
          wire,
          from,
          to,
          'gauge awg': awg,
          colour,
          'length mm': lengthMm ?? '',
          purpose: link,
        })),
        { escapeFormulae: true },
      ),
    );
  if (as === 'svg') return said(wiringSvg(assemble(target, catalogue), name));
  const nets = netlist(assemble(target, catalogue))
    .nets.filter(({ terminals, wires }) => wires.length > 0 || terminals.length > 1)
    .map(({ terminals, wires }) => ({ terminals, wires }));
  return {
    text: nets
      .map(({ terminals, wires }) => `${terminals.join(' ')}${wires.length > 0 ? `  [${wires.join(' ')}]` : ''}`)
      .join('\n'),
    data: nets,
    found: false,
  };
}

function said(text: string): Said {
  return { text, data: { text }, found: false };
}

/** @throws {BadInput} If the dump cannot be read. */
export function sheetOf({ plan }: BuildFile, catalogue: Catalogue, dump: string | null): Said {
  const sheet = setupSheet(plan, catalogue);
  if (dump === null)
    return {
      text: sheet.map(({ key, value }) => `${key} = ${value ?? '# measure'}`).join('\n'),
      data: sheet,
      found: false,
    };
  const compared = compareDump(sheet, readText(dump));
  if (!compared.ok) throw new BadInput([{ file: dump, line: compared.line, path: '', reason: compared.why }]);
  const odd = compared.lines.filter(({ verdict }) => verdict !== 'same' && verdict !== 'to be measured');
  return {
    text:
      odd
        .map(
          ({ key, verdict, wanted, found }) =>
            `${verdict}  ${key}: ${found ?? 'nothing'}${wanted === null ? '' : `, wanted ${wanted}`}`,
        )
        .join('\n') || 'the dump says what the wiring wants',
    data: compared.lines,
    found: odd.length > 0,
  };
}
