/** What each touch that could be asked is worth as evidence: what it shows, and what must be asked for it to count. */
import type { Assembly } from '../../../facts/assembly/assembly';
import { sound } from '../../../facts/wiring/sound';
import { contactProofs } from '../contactProofs';
import type { Defect } from '../defects/defect';
import { provesContact } from '../touchList';
import type { Candidate, Candidates } from './candidates';
import type { Anchors } from './hands';
import type { GoodIs } from './meterScale';

export interface Evidence {
  defects: readonly Defect[];
  candidates: Candidates;
  good: readonly GoodIs[];
  /** For each fault the touches that show it and count. */
  seenBy: readonly (readonly number[])[];
  anchors: Anchors;
  /** False: a silence there proves nothing, since nothing can sound on that metal. */
  isAnchored: (touch: number) => boolean;
}

interface Tried {
  defects: readonly Defect[];
  candidates: Candidates;
  good: readonly GoodIs[];
  shownBy: readonly (readonly number[])[];
}

export function evidenceOf(
  assembly: Assembly,
  { defects, candidates: { all, downS }, good, shownBy }: Tried,
): Evidence {
  const sides = anchorsOf(assembly, all, good);
  const isAnchored = (touch: number) => (sides.get(touch) ?? []).every((others) => others.length > 0);
  return {
    defects,
    candidates: { all: all.map((one, place) => (good[place] === 'reads' ? withReading(one) : one)), downS },
    good,
    // A tone where none is due is evidence wherever it comes; silence there proves nothing where no anchor can be.
    seenBy: shownBy.map((touches) => (touches.some(isAnchored) ? touches.filter(isAnchored) : touches)),
    anchors: new Map([...sides].map(([touch, own]) => [touch, own.filter((others) => others.length > 0)])),
    isAnchored,
  };
}

/** For a silence: for each of its probes the touches that prove that copper is met there. */
function anchorsOf(assembly: Assembly, candidates: readonly Candidate[], good: readonly GoodIs[]): Anchors {
  const proofsFor = contactProofs(sound(assembly), candidates, (place) => provesContact({ good: good[place]! }));
  return new Map(
    candidates.flatMap(({ touch }, place) =>
      good[place] === 'silent' || good[place] === 'either' ? [[place, proofsFor(touch)] as const] : [],
    ),
  );
}

/** Assumed: a number is read and typed. */
const readS = 2;

function withReading(candidate: Candidate): Candidate {
  return { ...candidate, answerS: candidate.answerS + readS };
}
