/**
 * The practice list of printed labels, board by board, and how print goes wrong. Shares nothing with the label reader.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PartKind } from '@junctor/core';
import Papa from 'papaparse';

export interface PracticeBoard {
  board: string;
  kind: PartKind;
  /** `means` as "tx 1", "supply 3.3", "ground"; empty: nobody can know. */
  labels: readonly { printed: string; means: string }[];
}

export function practiceBoards(): PracticeBoard[] {
  const text = readFileSync(join(import.meta.dirname, 'practice.csv'), 'utf8');
  const { data } = Papa.parse<{ board: string; kind: PartKind; printed: string; means: string }>(text, {
    header: true,
    skipEmptyLines: true,
  });
  const boards = new Map<string, PracticeBoard & { labels: { printed: string; means: string }[] }>();
  for (const { board, kind, printed, means } of data) {
    if (!boards.has(board)) boards.set(board, { board, kind, labels: [] });
    boards.get(board)!.labels.push({ printed, means });
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
