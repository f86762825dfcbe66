/** The touches that prove a build before first power, and what they prove: as text, as data, as a CSV to tick off. */
import type { Assembly, Catalogue, Defect, ListedProbe, Meter, ProbeSchool } from '@junctor/core';
import { assemble, probeList, siteWords, terminalWords } from '@junctor/core';
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
  const list = probeList(assembly, { meter, school, solve: await loadSolver() });
  if (list.is === 'gave up') return { text: `gave up: ${list.why}`, data: list, found: true };
  const rows = list.touches.map((probe, index) => ({
    no: index + 1,
    mode: probe.touch.mode === 'tone' ? 'tone' : 'diode volts',
    black: terminalWords(probe.touch.black, assembly),
    red: terminalWords(probe.touch.red, assembly),
    good: goodWords(probe),
    'would show': joined(probe.shows.map(({ kind }) => kind)),
  }));
  if (as === 'csv') return { text: Papa.unparse(rows, { escapeFormulae: true }), data: rows, found: false };
  return {
    text: [
      ...rows.map(({ no, mode, black, red, good }) => `${no}  ${mode}: black on ${black}, red on ${red}: ${good}`),
      `${rows.length} touches, ${Math.ceil(list.seconds / 60)} min at assumed hand times`,
      ...provedLines(list.shown, list.notShown),
      ...neverLines(list.notShown, assembly),
    ].join('\n'),
    data: list,
    found: list.notShown.some(({ harm }) => harm !== 'warn'),
  };
}

function goodWords({ good, anchored }: ListedProbe): string {
  if (good === 'sounds') return 'sounds';
  if (good === 'reads') return 'a junction';
  return anchored ? 'nothing' : 'nothing, contact not proven';
}

const harms = ['kill', 'stop', 'warn'] as const;

function provedLines(shown: readonly Defect[], notShown: readonly Defect[]): string[] {
  return harms.map((harm) => {
    const [seen, left] = [shown, notShown].map((list) => list.filter((one) => one.harm === harm).length);
    return `faults that ${harm}: ${seen!} of ${seen! + left!} would be seen`;
  });
}

/** What no touch of the list shows, and must be looked at or is found by its function. */
function neverLines(notShown: readonly Defect[], assembly: Assembly): string[] {
  return notShown
    .filter(({ harm }) => harm !== 'warn')
    .map(({ harm, kind, site }) => `not seen, ${harm}: ${kind}, ${siteWords(site, assembly)}`);
}

function joined(words: readonly string[]): string {
  return [...new Set(words)].join('; ');
}
