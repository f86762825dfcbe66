/** Keys of a page that have no button. */
import type { Answer } from './Answers';
import { useKeys } from './useKeys';

export function AnswerKeys({ answers }: { answers: readonly Pick<Answer, 'key' | 'also' | 'act' | 'blocked'>[] }) {
  useKeys(answers);
  return null;
}
