/** Compressed script that the first page needs. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Measurement } from '@junctor/proof';
import { atMost } from '@junctor/proof';

const dist = join(import.meta.dirname, '../../web/dist');

export async function firstLoad(): Promise<Measurement[]> {
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const scripts = [...page.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((match) => match[1]!);
  const bytes = scripts.reduce((sum, path) => sum + gzipSync(readFileSync(join(dist, path))).length, 0);
  return [atMost('script of the first load:', { value: bytes / 1000, unit: 'kB compressed', bar: 250 })];
}
