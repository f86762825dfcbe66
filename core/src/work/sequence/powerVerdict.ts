/** What a power-up amounts to: it follows from how it ended, what was seen, its volts and its seconds. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Note } from '../../facts/log/records';
import type { Range } from '../../facts/terms/names';
import { limitedPowerS } from '../../facts/terms/powerStage';
import { voltsObjection } from './steps/pack';
import { expectedSigns, signId, signWords } from './stoppedPower';

type Power = Extract<Note, { saw: 'power' }>;

/** Why a power-up is no pass, in words; empty when it is one. */
export function powerFailings(
  { endedBy, signs, packV, onS, limiterId }: Power,
  asBuilt: Assembly,
  cells: Range,
): string[] {
  const seen = new Set(signs.flatMap(({ id, seen: is }) => (is === false ? [] : [id])));
  const expected = expectedSigns(asBuilt);
  const unseen = expected.filter((sign) => !seen.has(signId(sign)));
  const volts = voltsObjection(packV, cells);
  return [
    ...(endedBy === 'done' ? [] : [endWords[endedBy]]),
    ...unseen.map((sign) => `not seen: ${signWords(sign, expected)}`),
    ...(volts === null ? [] : [volts]),
    ...(limiterId === null ? ['no limiter in line'] : []),
    ...(onS > limitedPowerS ? [`on for ${onS} s, where ${limitedPowerS} s are enough to see everything`] : []),
  ];
}

const endWords: Readonly<Record<Exclude<Power['endedBy'], 'done'>, string>> = {
  time: 'it was ended by time',
  sign: 'a sign did not come',
  heat: 'it was ended by heat or smell',
};
