/** The touches that prove a build before first power, and what they prove: as text, as data, as a CSV to tick off. */
import type { Assembly, Catalogue, ListedFault, Meter, ProbeSchool } from '@junctor/core';
import { assemble, faultWords, probeList, provedWords, touchRows, whatListProves } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import Papa from 'papaparse';
import type { Said } from './commands';
import type { BuildFile } from './readFile';

interface ProbesAsked {
  meter: Meter;
  school: ProbeSchool;
  /** Undefined: what is usual. */
  minutes: number | undefined;
  as: 'text' | 'csv';
}

export async function probesOf(
  { plan }: BuildFile,
  catalogue: Catalogue,
  { meter, school, minutes, as }: ProbesAsked,
): Promise<Said> {
  const assembly = assemble(plan.target, catalogue);
  const made = probeList(assembly, { meter, school, minutes, solve: await loadSolver() });
  if (made.is === 'gave up') return { text: `gave up: ${made.why}`, data: made, found: true };
  const { list } = made;
  const left = list.faults.filter(({ shownBy }) => shownBy !== 'list');
  const rows = touchRows(list, assembly);
  if (as === 'csv') return { text: Papa.unparse(rows, { escapeFormulae: true }), data: rows, found: false };
  return {
    text: [
      ...rows.map(({ no, mode, black, red, good }) => `${no}  ${mode}: black on ${black}, red on ${red}: ${good}`),
      `${rows.length} touches, ${Math.ceil(list.seconds / 60)} min at assumed hand times`,
      ...whatListProves(list).map(provedWords),
      ...neverLines(left, assembly),
    ].join('\n'),
    data: list,
    found: left.some(({ harm }) => harm !== 'warn'),
  };
}

/** What no touch of the list shows, and must be looked at or is found by its function. */
function neverLines(left: readonly ListedFault[], assembly: Assembly): string[] {
  return left
    .filter(({ harm }) => harm !== 'warn')
    .map((fault) => `not seen, ${fault.harm}: ${faultWords(fault, assembly)}`);
}
