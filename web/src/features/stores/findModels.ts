/** Find as you type in the list of part models: every word must be in name, maker, kind or id. */
import type { ModelIndexLine } from '@junctor/core';

interface Findable {
  line: ModelIndexLine;
  text: string;
}

export function findable(lines: readonly ModelIndexLine[]): Findable[] {
  return lines.map((line) => ({ line, text: `${line.name} ${line.maker} ${line.kind} ${line.id}`.toLowerCase() }));
}

export function findModels(all: readonly Findable[], typed: string, withRetired: boolean): ModelIndexLine[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return all
    .filter(({ line, text }) => (withRetired || !line.retired) && words.every((word) => text.includes(word)))
    .map(({ line }) => line);
}
