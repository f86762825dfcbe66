/**
 * The practice lists of printed labels, board by board, plain ones and ones that only their company explains, and how
 * print goes wrong. Shares nothing with the label reader.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PartKind } from '@junctor/core';
import Papa from 'papaparse';

interface PracticeLabel {
  printed: string;
  means: string;
  row?: string;
}

export interface PracticeBoard {
  board: string;
  kind: PartKind;
  /** `means` as "tx 1", "supply 3.3", "ground"; empty: nobody can know, or nothing that wires are put to. */
  labels: readonly PracticeLabel[];
}

/** @param file `practice.csv`, or `practiceCompany.csv` for the difficult ones. */
export function practiceBoards(file: string): PracticeBoard[] {
  const text = readFileSync(join(import.meta.dirname, file), 'utf8');
  const { data } = Papa.parse<PracticeLabel & Pick<PracticeBoard, 'board' | 'kind'>>(text, {
    header: true,
    skipEmptyLines: true,
  });
  const boards = new Map<string, PracticeBoard & { labels: PracticeLabel[] }>();
  for (const { board, kind, ...label } of data) {
    if (!boards.has(board)) boards.set(board, { board, kind, labels: [] });
    boards.get(board)!.labels.push(label);
  }
  return [...boards.values()];
}

/** A label as it may really look: case, spaces, a letter that reads as another. `random` gives 0 to 1. */
export function worn(printed: string, random: () => number): string {
  const swaps: Readonly<Record<string, string>> = { 0: 'O', O: '0', 5: 'S', S: '5', 1: 'l', l: '1' };
  const letters = [...printed];
  const can = letters.flatMap((letter, index) => (swaps[letter] ? [index] : []));
  if (can.length > 0 && random() < 0.3) {
    const at = can[Math.floor(random() * can.length)]!;
    letters[at] = swaps[letters[at]!]!;
  }
  const text = letters.join('');
  const cased = random() < 0.3 ? text.toLowerCase() : text;
  if (random() > 0.3) return cased;
  const cut = Math.floor(random() * (cased.length + 1));
  return `${cased.slice(0, cut)} ${cased.slice(cut)}`;
}
