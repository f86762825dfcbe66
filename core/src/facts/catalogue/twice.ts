/** Names that stand in a list of a model more than once. */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';

export function twice(list: readonly { id: string }[], path: string): ModelMistake[] {
  const seen = new Set<string>();
  return list.flatMap(({ id }, index) => {
    if (seen.has(id)) return [mistake(`${path}.${index}.id`, 'twice', `${id} is there twice`)];
    seen.add(id);
    return [];
  });
}
