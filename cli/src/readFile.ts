/** A build file from disk: whole and checked, or every mistake with line, path and reason. */
import { readFileSync, statSync } from 'node:fs';
import type { Catalogue, Heap, PlanDraft, StoredDraft } from '@junctor/core';
import { repeatedNames, wholeDraft, wrongNames } from '@junctor/core';
import { buildFile, check, heapFile } from '@junctor/core/schemas';
import type { ParseError } from 'jsonc-parser';
import { findNodeAtLocation, parseTree, printParseErrorCode } from 'jsonc-parser';

/** What cannot be taken; the program ends with 2. */
export class BadInput extends Error {
  constructor(readonly mistakes: readonly { file: string; line: number; path: string; reason: string }[]) {
    super(
      mistakes.map(({ file, line, path, reason }) => `${file}:${line}: ${path ? `${path}: ` : ''}${reason}`).join('\n'),
    );
  }
}

const largest = 5_000_000;

export interface BuildFile {
  name: string;
  plan: PlanDraft;
}

/** @throws {BadInput} If the file is missing, too large, no JSON, no build file, or names what does not exist. */
export function readBuildFile(file: string, catalogue: Catalogue): BuildFile {
  const { value, lineOf } = readChecked<{ name: string; plan: StoredDraft }>(file, buildFile);
  const { name, plan } = value;
  const mistakes = wrongNames(wholeDraft(plan), catalogue).map(({ path, reason }) => ({
    file,
    line: lineOf(`plan.${path}`),
    path: `plan.${path}`,
    reason,
  }));
  if (mistakes.length > 0) throw new BadInput(mistakes);
  return { name, plan: wholeDraft(plan) };
}

/** @throws {BadInput} If the file is missing, too large, no JSON, no heap file, or names a model that is not known. */
export function readHeapFile(file: string, { models }: Catalogue): Heap {
  const { value, lineOf } = readChecked<Omit<Heap, 'cells'> & Partial<Heap>>(file, heapFile);
  const known = new Set(models.map(({ id }) => id));
  const unknown = value.parts.flatMap(({ model }, index) => {
    const path = `parts.${index}.model`;
    return known.has(model) ? [] : [{ file, line: lineOf(path), path, reason: `no part model ${model}` }];
  });
  if (unknown.length > 0) throw new BadInput(unknown);
  const { name, parts, cells = null } = value;
  return { name, parts, cells };
}

/** What a file holds, checked by a schema, and on which line something of it stands. */
function readChecked<T>(
  file: string,
  schema: Parameters<typeof check>[0],
): { value: T; lineOf: (path: string) => number } {
  const text = readText(file);
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors, { disallowComments: true });
  const lineAt = (offset: number) => text.slice(0, offset).split('\n').length;
  if (errors.length > 0 || !tree)
    throw new BadInput(
      errors.map(({ error, offset }) => ({
        file,
        line: lineAt(offset),
        path: '',
        reason: `is no JSON: ${printParseErrorCode(error)}`,
      })),
    );
  const twice = repeatedNames(tree);
  if (twice.length > 0)
    throw new BadInput(
      twice.map(({ path, offset }) => ({ file, line: lineAt(offset), path, reason: 'stands there already' })),
    );
  const lineOf = (path: string) => {
    for (
      let parts = path.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part));
      parts.length > 0;
      parts = parts.slice(0, -1)
    ) {
      const node = findNodeAtLocation(tree, parts);
      if (node) return lineAt(node.offset);
    }
    return 1;
  };
  const checked = check<T>(schema, JSON.parse(text));
  if (!checked.ok)
    throw new BadInput(
      checked.mistakes.map(({ path, message }) => ({ file, line: lineOf(path), path, reason: message })),
    );
  return { value: checked.value, lineOf };
}

/** @throws {BadInput} If the file is missing or too large. */
export function readText(file: string): string {
  try {
    if (statSync(file).size > largest)
      throw new BadInput([{ file, line: 1, path: '', reason: `is larger than ${largest / 1e6} MB` }]);
    return readFileSync(file, 'utf8');
  } catch (error) {
    if (error instanceof BadInput) throw error;
    throw new BadInput([{ file, line: 1, path: '', reason: 'cannot be read' }]);
  }
}
