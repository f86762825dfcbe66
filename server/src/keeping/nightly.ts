/** A copy of the shop every night, the last so many kept. */
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import type { ShopDatabase } from './backupFile';
import { writeBackup } from './backupFile';

interface Nightly extends ShopDatabase {
  folder: string;
  /** Copies that are kept; 0: none are made. */
  kept: number;
  log: Logger;
  now: () => Date;
}

const lookEveryMs = 20 * 60_000;
/** Local hour from which on the night's copy is made. */
const fromHour = 2;
const ending = '.junctor-backup';

/** Looks again and again whether tonight's copy is there. Returns what ends it. */
export function keepNightly(nightly: Nightly): () => void {
  if (nightly.kept === 0) return () => undefined;
  const look = () =>
    void copyOnce(nightly).catch((error: unknown) => nightly.log.error({ err: error }, 'no nightly copy'));
  const timer = setInterval(look, lookEveryMs);
  timer.unref();
  return () => clearInterval(timer);
}

/** Tonight's copy, if it is time and there is none; what is older than the kept ones goes. Returns its name. */
export async function copyOnce({ folder, kept, now, ...shop }: Omit<Nightly, 'log'>): Promise<string | null> {
  const at = now();
  if (at.getHours() < fromHour) return null;
  const pad = (part: number) => String(part).padStart(2, '0');
  const name = `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}${ending}`;
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const copies = () =>
    readdirSync(folder)
      .filter((file) => file.endsWith(ending))
      .sort();
  if (copies().includes(name)) return null;
  await writeBackup(shop, join(folder, name), at);
  for (const old of copies().slice(0, -kept)) rmSync(join(folder, old));
  return name;
}
