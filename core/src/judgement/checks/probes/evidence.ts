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
  /** What a good build shows at each touch, by its place. */
  good: (place: number) => GoodIs;
  /** For each fault the touches that show it and count. */
  seenBy: readonly (readonly number[])[];
  /** Of touches that show something. */
  anchors: Anchors;
  /** False: a silence there proves nothing, since nothing can sound on that metal. */
  isAnchored: (touch: number) => boolean;
}

interface Tried {
  defects: readonly Defect[];
  candidates: Candidates;
  good: (place: number) => GoodIs;
  shownBy: readonly (readonly number[])[];
}

export function evidenceOf(
  assembly: Assembly,
  { defects, candidates: { all, downS }, good, shownBy }: Tried,
): Evidence {
  const shown = new Set(shownBy.flat());
  const sides = anchorsOf(assembly, { all, shown, good });
  const isUsed = new Set([...shown, ...[...sides.values()].flat(2)]);
  const isAnchored = (touch: number) => (sides.get(touch) ?? []).every((others) => others.length > 0);
  return {
    defects,
    candidates: {
      all: all.map((one, place) => (isUsed.has(place) && good(place) === 'reads' ? withReading(one) : one)),
      downS,
    },
    good,
    // A tone where none is due is evidence wherever it comes; silence there proves nothing where no anchor can be.
    seenBy: shownBy.map((touches) => (touches.some(isAnchored) ? touches.filter(isAnchored) : touches)),
    anchors: new Map([...sides].map(([touch, own]) => [touch, own.filter((others) => others.length > 0)])),
    isAnchored,
  };
}

/** For a silence: for each of its probes the touches that prove that copper is met there. */
function anchorsOf(
  assembly: Assembly,
  { all, shown, good }: Pick<Candidates, 'all'> & { shown: ReadonlySet<number>; good: Tried['good'] },
): Anchors {
  const proofsFor = contactProofs(sound(assembly), all, (place) => provesContact({ good: good(place) }));
  return new Map(
    [...shown]
      .filter((place) => good(place) === 'silent' || good(place) === 'either')
      .sort((a, b) => a - b)
      .map((place) => [place, proofsFor(all[place]!.touch)]),
  );
}

/** Assumed: a number is read and typed. */
const readS = 2;

function withReading(candidate: Candidate): Candidate {
  return { ...candidate, answerS: candidate.answerS + readS };
}
