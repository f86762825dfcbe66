/**
 * Label reader: printed pad labels to meanings, each with a confidence. It asks where two meanings compete and leaves
 * empty what it cannot know; it never guesses in silence.
 * Worn and badly printed letters (0/O, 5/S, 1/l) are read as what makes sense on this part, at a price.
 */
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Candidate, LabelView } from './dictionary';
import { dictionary } from './dictionary';
import type { Meaning } from './meaning';
import { sameMeaning } from './meaning';

export interface LabelReading {
  printed: string;
  /** Likeliest first; empty when the label is unknown. Confidences sum to at most 1. */
  meanings: readonly { meaning: Meaning; confidence: number }[];
  /** The meaning that may be taken without asking, or null: then a person says. */
  sure: Meaning | null;
}

/** Taken without asking from here on. */
const sureFrom = 0.9;
/** Each letter that must be another than printed makes a reading this much less likely. */
const misprintPrice = 0.06;

/** Reads every label of a part together: what stands beside a label says what it means. */
export function readLabels(kind: PartKind, printed: readonly string[]): LabelReading[] {
  const plain = printed.map(canonical);
  const view = viewOf(kind, plain);
  return printed.map((label, index) => read(label, plain[index]!, view));
}

function viewOf(kind: PartKind, plain: readonly string[]): LabelView {
  const all = new Set(
    plain.flatMap((label) => [
      label,
      ...variants(label)
        .filter(({ changes }) => changes === 1)
        .map(({ text }) => text),
    ]),
  );
  const exact = new Set(plain);
  return {
    kind,
    all,
    has: (pattern) =>
      [...exact].some((label) => pattern.test(label)) ||
      [...all].some((label) => label.length > 1 && pattern.test(label)),
  };
}

/** Capitals, no spaces, one kind of minus, no brackets. */
function canonical(printed: string): string {
  return printed
    .normalize('NFKC')
    .toUpperCase()
    .replace(/[−–—_]/g, '-')
    .replace(/[\s[\]()"'`:;,]/g, '')
    .replace(/-(?=[A-Z0-9])/g, '');
}

function read(printed: string, plain: string, view: LabelView): LabelReading {
  const found: Candidate[] = [];
  for (const { text, changes } of variants(plain)) {
    for (const { pattern, read: reader } of dictionary) {
      const match = pattern.exec(text);
      if (!match) continue;
      const candidates = reader(match, view);
      const total = candidates.reduce((sum, { weight }) => sum + weight, 0);
      for (const { meaning, weight } of candidates)
        found.push({ meaning, weight: (weight / total) * misprintPrice ** changes });
    }
  }
  const merged = merge(found);
  const total = merged.reduce((sum, { weight }) => sum + weight, 0);
  const meanings = merged
    .map(({ meaning, weight }) => ({ meaning, confidence: Math.min(0.99, weight / total) }))
    .sort((a, b) => b.confidence - a.confidence)
    .filter(({ confidence }) => confidence >= 0.03);
  const best = meanings[0];
  return { printed, meanings, sure: best && best.confidence >= sureFrom ? best.meaning : null };
}

function merge(candidates: readonly Candidate[]): Candidate[] {
  const merged: Candidate[] = [];
  for (const { meaning, weight } of candidates) {
    const same = merged.find((candidate) => sameMeaning(candidate.meaning, meaning));
    if (same) same.weight = Math.max(same.weight, weight);
    else merged.push({ meaning, weight });
  }
  return merged;
}

const lookalikes: Readonly<Record<string, string>> = { 0: 'O', O: '0', 5: 'S', S: '5', 1: 'LI', L: '1', I: '1' };
const maxChanges = 2;

/** The label itself and what it may have been before a letter was misprinted or misread. */
function variants(plain: string): { text: string; changes: number }[] {
  let all = [{ text: '', changes: 0 }];
  for (const letter of plain.slice(0, 12)) {
    all = all.flatMap(({ text, changes }) => [
      { text: text + letter, changes },
      ...(changes < maxChanges
        ? [...(lookalikes[letter] ?? '')].map((other) => ({ text: text + other, changes: changes + 1 }))
        : []),
    ]);
  }
  return all;
}
