/** Numbers of a form, with the first that is none. */
import { typedNumber } from '../../ui/form';

interface Asked {
  name: string;
  /** As it stands over its field. */
  label: string;
  /** The least that it can be. */
  least: number;
  most: number;
}

export function numbersIn<N extends string>(
  data: FormData,
  asked: readonly (Asked & { name: N })[],
): { numbers: Readonly<Record<N, number>>; problem: string | null } {
  const numbers = Object.fromEntries(asked.map(({ name }) => [name, typedNumber(data.get(name))])) as Record<N, number>;
  const wrong = asked.find(({ name, least, most }) => !(numbers[name] >= least && numbers[name] <= most));
  const problem = wrong ? `${wrong.label}: a number from ${wrong.least} to ${wrong.most} is wanted` : null;
  return { numbers, problem };
}
