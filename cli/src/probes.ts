/** The touches that prove a build before first power, and what they prove: as text, as data, as a CSV to tick off. */
import type { Assembly, Catalogue, ListedFault, ListedTouch, Meter, ProbeSchool } from '@junctor/core';
import { assemble, probeList, ruledOutBy, siteWords, terminalWords } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import Papa from 'papaparse';
import type { Said } from './commands';
import type { BuildFile } from './readFile';

interface ProbesAsked {
  meter: Meter;
  school: ProbeSchool;
  as: 'text' | 'csv';
}

export async function probesOf(
  { plan }: BuildFile,
  catalogue: Catalogue,
  { meter, school, as }: ProbesAsked,
): Promise<Said> {
  const assembly = assemble(plan.target, catalogue);
  const made = probeList(assembly, { meter, school, solve: await loadSolver() });
  if (made.is === 'gave up') return { text: `gave up: ${made.why}`, data: made, found: true };
  const { list } = made;
  const left = list.faults.filter(({ shownBy }) => shownBy !== 'list');
  const rows = list.touches.map((probe, index) => ({
    no: index + 1,
    mode: probe.touch.mode === 'tone' ? 'tone' : 'diode volts',
    black: terminalWords(probe.touch.black, assembly),
    red: terminalWords(probe.touch.red, assembly),
    good: goodWords(probe),
    'would show': ruledOutBy(list, probe).join('; '),
  }));
  if (as === 'csv') return { text: Papa.unparse(rows, { escapeFormulae: true }), data: rows, found: false };
  return {
    text: [
      ...rows.map(({ no, mode, black, red, good }) => `${no}  ${mode}: black on ${black}, red on ${red}: ${good}`),
      `${rows.length} touches, ${Math.ceil(list.seconds / 60)} min at assumed hand times`,
      ...provedLines(list.faults),
      ...neverLines(left, assembly),
    ].join('\n'),
    data: list,
    found: left.some(({ harm }) => harm !== 'warn'),
  };
}

function goodWords({ good, anchored }: ListedTouch): string {
  if (good === 'sounds') return 'sounds';
  if (good === 'reads') return 'a junction';
  return anchored ? 'nothing' : 'nothing, contact not proven';
}

const harms = ['kill', 'stop', 'warn'] as const;

function provedLines(faults: readonly ListedFault[]): string[] {
  return harms.map((harm) => {
    const own = faults.filter((fault) => fault.harm === harm);
    const seen = own.filter(({ shownBy }) => shownBy === 'list').length;
    return `faults that ${harm}: ${seen} of ${own.length} would be seen`;
  });
}

/** What no touch of the list shows, and must be looked at or is found by its function. */
function neverLines(left: readonly ListedFault[], assembly: Assembly): string[] {
  return left
    .filter(({ harm }) => harm !== 'warn')
    .map(({ harm, kind, site }) => `not seen, ${harm}: ${kind}, ${siteWords(site, assembly)}`);
}
