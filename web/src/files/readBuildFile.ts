/** A build file from the person's disk: JSON, or the line and column where it is not. */
import { repeatedNames } from '@junctor/core';
import { parseTree } from 'jsonc-parser';

type ReadResult = { ok: true; file: unknown } | { ok: false; problem: string };

export async function readBuildFile(file: File | null): Promise<ReadResult> {
  if (!file || file.size === 0) return { ok: false, problem: 'Choose a build file first' };
  const text = await file.text();
  const read = parseJson(text);
  return read.ok ? (repeated(text) ?? read) : read;
}

/** A problem when a name stands twice in one place of the file: one of the two would be lost. */
export function repeated(text: string): ReadResult | null {
  const tree = parseTree(text);
  const [first] = tree ? repeatedNames(tree) : [];
  return first
    ? {
        ok: false,
        problem: `Line ${text.slice(0, first.offset).split('\n').length}: ${first.path} stands there already`,
      }
    : null;
}

/** Parsed, or a problem with line and column. */
export function parseJson(text: string): ReadResult {
  try {
    return { ok: true, file: JSON.parse(text) as unknown };
  } catch (error) {
    const message = (error as Error).message;
    const position = Number(/position (\d+)/.exec(message)?.[1] ?? text.length);
    const before = text.slice(0, position).split('\n');
    return { ok: false, problem: `Not JSON at line ${before.length}, column ${before.at(-1)!.length + 1}: ${message}` };
  }
}
