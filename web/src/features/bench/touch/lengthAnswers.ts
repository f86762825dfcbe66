/** The five classes of a tone as answers: a key means the same wherever it is asked for. */
import type { Length } from '@junctor/core';
import { toneWords } from '@junctor/core';

interface LengthAnswer {
  key: string;
  value: Length;
  label: string;
}

/** `0` is silent and `4` does not stop, at a touch, at a signature and when the meter is proved. */
export const lengthAnswers: readonly LengthAnswer[] = (
  ['none', 'chirp', 'about a second', 'many seconds', 'does not stop'] as const
).map((value, at) => ({ key: String(at), value, label: toneWords(value) }));
