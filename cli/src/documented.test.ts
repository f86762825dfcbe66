/**
 * What docs/formats shows of the command line is what it says: each command there is run, and its lines are held
 * against the page.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = join(import.meta.dirname, '../..');
const pages = join(root, 'docs/formats');
const folder = mkdtempSync(join(tmpdir(), 'junctor-documented-'));

/** Commands of a page with the lines under them. */
function shown(page: string): { command: string; lines: string[] }[] {
  const found: { command: string; lines: string[] }[] = [];
  let open = false;
  for (const line of readFileSync(join(pages, page), 'utf8').split('\n')) {
    if (line.startsWith('    $ ')) found.push({ command: line.slice(6), lines: [] });
    else if (open && line.startsWith('    ')) found.at(-1)!.lines.push(line.slice(4));
    open = line.startsWith('    ') && found.length > 0 && (line.startsWith('    $ ') || open);
  }
  return found;
}

/** As typed at the root, but files that a page makes go to a folder of their own. */
function run(command: string): string {
  const typed = command
    .replaceAll('./junctor', 'node --import tsx cli/src/main.ts')
    .replaceAll(/(?<![/\w])(planned\.json|dump\.txt|three\.json|small\.json)/g, `${folder}/$1`);
  return spawnSync('bash', ['-c', typed], { cwd: root, encoding: 'utf8' }).stdout;
}

describe.each(readdirSync(pages).filter((name) => name.endsWith('.md') && shown(name).length > 0))('%s', (page) => {
  it('shows what the commands say', () => {
    for (const { command, lines } of shown(page)) {
      const out = run(command);
      if (lines.length > 0) expect([command, out.trimEnd().split('\n')]).toEqual([command, lines]);
    }
  }, 180_000);
});

it('every page of a format that the command line writes is covered', () => {
  expect(readdirSync(pages).filter((name) => name.endsWith('.md') && shown(name).length > 0)).toEqual(
    expect.arrayContaining(['build-file.md', 'command-line.md', 'csv.md', 'drawing-and-deck.md', 'heap-file.md']),
  );
});
