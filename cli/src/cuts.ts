/** The cut list of a plan: which wire is cut from which offcut of a stock list, and what comes off the reels. */
import type { Catalogue, CutPiece, Offcut } from '@junctor/core';
import { cutLengths, cutList } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import Papa from 'papaparse';
import type { Said } from './commands';
import { laidPlan } from './layout';
import type { BuildFile } from './readFile';
import { BadInput, readText } from './readFile';

/** @throws {BadInput} If the plan has no frame, or a line of the stock is no offcut that can be. */
export async function cutsOf(build: BuildFile, catalogue: Catalogue, stock: string | undefined): Promise<Said> {
  const wires = cutLengths(laidPlan(build, catalogue).laid, build.plan.schools);
  const offcuts = stock === undefined ? [] : offcutsIn(stock);
  const { pieces, newMm, leastNewMm } = cutList(wires, offcuts, await loadSolver());
  const gapMm = newMm - leastNewMm;
  const lines = [
    ...pieces.map(pieceWords),
    `off the reels ${newMm} mm, ${gapMm > 0 ? `at least ${leastNewMm} mm whatever is cut from what` : 'which is the least'}`,
  ];
  return { text: lines.join('\n'), data: { pieces, newMm, leastNewMm, wires }, found: false };
}

function pieceWords({ offcut, awg, colour, wires, leftMm }: CutPiece): string {
  const cuts = wires.map(({ wire, mm }) => `${wire} ${mm} mm`).join(', ');
  const from = offcut === null ? `reel, ${awg} AWG ${colour}` : `offcut ${offcut}, ${awg} AWG ${colour}`;
  return `${from}: ${cuts}${leftMm === null ? '' : `; ${leftMm} mm left`}`;
}

/** Lines of a stock CSV that are offcuts of wire; others are passed over. */
function offcutsIn(file: string): Offcut[] {
  const { data } = Papa.parse<Record<string, string>>(readText(file).replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (head) => head.trim().toLowerCase().replaceAll('_', ' '),
  });
  return data.flatMap((row, index): Offcut[] => {
    if (row.offcut !== 'yes' || !row['gauge awg']) return [];
    const [awg, lengthMm] = [row['gauge awg'], row['length mm'] ?? ''].map((text) => Number(text.replace(',', '.')));
    const line = index + 2;
    if (!Number.isFinite(awg) || !(lengthMm! > 0) || !row.colour)
      throw new BadInput([{ file, line, path: '', reason: 'an offcut of wire has a gauge, a colour and a length' }]);
    return [{ id: row.name || `line ${line}`, awg: awg!, colour: row.colour, lengthMm: lengthMm! }];
  });
}
