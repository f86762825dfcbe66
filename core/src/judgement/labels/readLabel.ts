/**
 * Label reader: printed pad labels to meanings, each with a confidence. A label is read with its company: the kind
 * of board, its neighbours, what else is there and what is taken already. It asks where two meanings compete, says why,
 * leaves empty what it cannot know; it never guesses in silence.
 * Worn and badly printed letters (0/O, 5/S, 1/l) are read as what makes sense on this part, at a price.
 */
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Company, Label, Print } from './company';
import { companyOf, labelOf } from './company';
import { dictionary } from './dictionary';
import type { Meaning, PadFunction } from './meaning';
import { meaning, meaningWords, sameMeaning } from './meaning';
import type { Parsed } from './print';
import { canonical, parses, wornFrom } from './print';
import type { Sense } from './senses/sense';

export interface LabelReading {
  printed: string;
  /** Likeliest first; empty when the label is unknown. Confidences sum to at most 1. */
  meanings: readonly { meaning: Meaning; confidence: number }[];
  /** The meaning that may be taken without asking, or null: then a person says. */
  sure: Meaning | null;
  /** Why a person is asked; null: nobody is. */
  why: string | null;
}

/** Null: none of the functions that wires are put to. */
interface Candidate {
  meaning: Meaning | null;
  weight: number;
}

/** Taken without asking from here on, and only where the second best is so many times behind. */
const sureFrom = 0.9;
const aheadBy = 12;
/** Each letter that must be another than printed makes a reading this much less likely. */
const misprintPrice = 0.06;
/** What another label of the part says more surely is this much less likely here. */
const takenPrice = 0.25;

/** Reads every label of a part together: what stands beside a label says what it means. */
export function readLabels(kind: PartKind, printed: readonly (string | Print)[]): LabelReading[] {
  const labels = printed.map((one) => {
    const print = typeof one === 'string' ? { printed: one } : one;
    return labelOf(print, canonical(print.printed));
  });
  const alone = labels.map((label, at) => candidatesOf(label, companyOf(kind, labels, at)));
  const best = alone.map((candidates) => candidates[0] ?? null);
  return alone.map((candidates, at) => {
    const weighed = candidates.map((candidate) =>
      isTaken(candidate, at, { labels, best }) ? { ...candidate, weight: candidate.weight * takenPrice } : candidate,
    );
    return readingOf(labels[at]!, shares(weighed));
  });
}

/** Every meaning with its share, likeliest first: over the strokes of a label, its ways to be taken apart, its wear. */
function candidatesOf(label: Label, company: Company): Candidate[] {
  const parts = label.parts.map((part) => {
    const found: Candidate[] = [];
    for (const { text, changes } of wornFrom(part))
      for (const candidate of shares(sensesOf(text, company)))
        found.push({ ...candidate, weight: candidate.weight * misprintPrice ** changes });
    return shares(merged(found));
  });
  return shares(merged(parts.flat()));
}

/** By the plainest way to take it apart that the dictionary knows. */
function sensesOf(text: string, company: Company): Candidate[] {
  for (const parsed of parses(text)) {
    const found = (dictionary.get(parsed.stem) ?? []).flatMap((senses) =>
      senses(company, parsed).map((sense) => ({ meaning: meaningOf(sense, parsed, company), weight: sense.weight })),
    );
    if (found.length > 0) return merged(found);
  }
  return [];
}

/** Numbers say which one it is. */
const numbered: ReadonlySet<PadFunction> = new Set([
  ...(['tx', 'rx', 'inverted', 'motor', 'motor +', 'motor -', 'switch'] as const),
  ...(['phase a', 'phase b', 'phase c'] as const),
]);
/** One conductor, whatever number stands with it. */
const common: ReadonlySet<PadFunction> = new Set([
  'ground',
  'battery',
  'supply',
  'usb supply',
  'usb +',
  'usb -',
  'boot',
  'debug',
]);

function meaningOf({ is, volts, dir }: Sense, parsed: Parsed, company: Company): Meaning | null {
  if (is === null) return null;
  const way = dir ?? parsed.dir;
  const [from, to] = parsed.volts ?? [volts ?? null, volts ?? null];
  if (is === 'supply' && from !== null && to !== null && to > from) return { ...meaning(is, null, from), toV: to };
  const plain = meaning(is, numberOf(is, parsed, company), is === 'supply' ? (volts ?? from) : null);
  return way && (is === 'supply' || is === 'lights') ? { ...plain, dir: way } : plain;
}

/** A number counts where others of its family stand on the part: two cameras are two nets, one needs no number. */
function numberOf(is: PadFunction, { stem, index }: Parsed, company: Company): number | null {
  if (common.has(is) || index === null) return null;
  return numbered.has(is) || company.siblings(stem, index) > 0 ? index : null;
}

function merged(candidates: readonly Candidate[]): Candidate[] {
  const all: Candidate[] = [];
  for (const { meaning: means, weight } of candidates) {
    const same = all.find(({ meaning: other }) =>
      other === null || means === null ? other === means : sameMeaning(other, means),
    );
    if (same) same.weight += weight;
    else all.push({ meaning: means, weight });
  }
  return all.sort((a, b) => b.weight - a.weight);
}

function shares(candidates: readonly Candidate[]): Candidate[] {
  const total = candidates.reduce((sum, { weight }) => sum + weight, 0);
  return total > 0
    ? candidates.map((one) => ({ ...one, weight: one.weight / total })).sort((a, b) => b.weight - a.weight)
    : [];
}

function isTaken(
  candidate: Candidate,
  at: number,
  { labels, best }: { labels: readonly Label[]; best: readonly (Candidate | null)[] },
): boolean {
  const { meaning: means, weight } = candidate;
  if (!means || common.has(means.is)) return false;
  return best.some(
    (other, index) =>
      index !== at &&
      other?.meaning &&
      labels[index]!.plain !== labels[at]!.plain &&
      other.weight > weight + 0.05 &&
      sameMeaning(other.meaning, means),
  );
}

function readingOf({ printed, plain }: Label, weighed: readonly Candidate[]): LabelReading {
  const meanings = weighed.flatMap(({ meaning: means, weight }) =>
    means && weight >= 0.03 ? [{ meaning: means, confidence: Math.min(0.99, weight) }] : [],
  );
  const [best, second] = weighed;
  const isSure = best?.meaning && best.weight >= sureFrom && best.weight >= aheadBy * (second?.weight ?? 0);
  return {
    printed,
    meanings,
    sure: isSure ? best.meaning : null,
    why: isSure ? null : whyAsked(plain, meanings),
  };
}

function whyAsked(plain: string, meanings: LabelReading['meanings']): string {
  const [first, second] = meanings;
  if (!first) return plain === '' ? 'nothing is printed.' : 'a print that the trade uses for no one thing.';
  if (!second) return `${meaningWords(first.meaning)} is likely; nothing beside it proves it.`;
  return `makers print it for ${meaningWords(first.meaning)} and for ${meaningWords(second.meaning)}, and nothing beside it tells which.`;
}
