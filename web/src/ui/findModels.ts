/** Find as you type in the list of part models: every word must be in name, maker, kind or id. */
import type { ModelIndexLine } from '@junctor/core';
import { matching } from './matching';

interface Findable {
  line: ModelIndexLine;
  text: string;
}

export function findable(lines: readonly ModelIndexLine[]): Findable[] {
  return lines.map((line) => ({ line, text: `${line.name} ${line.maker} ${line.kind} ${line.id}` }));
}

export function findModels(all: readonly Findable[], typed: string, withRetired: boolean): ModelIndexLine[] {
  const isMeant = matching(typed);
  return all.filter(({ line, text }) => (withRetired || !line.retired) && isMeant(text)).map(({ line }) => line);
}
