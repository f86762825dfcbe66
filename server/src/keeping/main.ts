/** ./junctor backup FILE, restore FILE, rebuild: what is done to a shop from the terminal, open or not. */
import { createInterface } from 'node:readline/promises';
import { pino } from 'pino';
import { configFrom } from '../config';
import { openDatabase } from '../database/Database';
import { migrate } from '../database/migrate';
import type { PrivateServer } from '../database/privateServer';
import { startPrivateServer } from '../database/privateServer';
import { StartError } from '../database/StartError';
import { openShop } from '../opening/openShop';
import { writeBackup } from './backupFile';
import { restore } from './restore';

const usage = 'Usage: ./junctor backup FILE | ./junctor restore FILE [--yes] | ./junctor rebuild';

async function main([command, ...given]: readonly string[]): Promise<void> {
  const config = configFrom(process.env, []);
  const [file] = given.filter((argument) => argument !== '--yes');
  if (!['backup', 'restore', 'rebuild'].includes(command ?? '') || (command !== 'rebuild' && !file))
    throw new StartError(usage);
  const own: PrivateServer | null = config.dbUrl
    ? null
    : await startPrivateServer(config.dataFolder, { durable: config.durable });
  const shop = { ownerUrl: config.dbUrl ?? own!.ownerUrl, name: config.dbName };
  const now = new Date();
  try {
    if (command === 'backup') {
      const { bytes, sha256 } = await writeBackup(shop, file!, now);
      say(`${file}: ${bytes} bytes, sha256 ${sha256}`);
    } else if (command === 'restore') {
      const mayReplace = given.includes('--yes') ? async () => true : ask;
      const { madeAt } = await restore({ ...shop, file: file!, now, mayReplace });
      await openDatabase(await migrate(shop.ownerUrl, shop.name)).close();
      say(`The shop is as it was at ${madeAt}. Tablets send again what they sent since, for seven days.`);
    } else {
      const log = pino({ level: config.logLevel });
      const options = { databaseName: shop.name, wanted: null, rebuild: true, pages: null, signInTries: 1 };
      const opened = await openShop({ ...options, ownerUrl: shop.ownerUrl, log, now: () => now });
      await opened.database.close();
      say('Every derived view was made again.');
    }
  } finally {
    // One that ran already is somebody's who goes on working.
    if (own?.takenOver) own.leave();
    else await own?.stop();
  }
}

function say(line: string): void {
  process.stdout.write(`${line}\n`);
}

async function ask(records: number): Promise<boolean> {
  if (!process.stdin.isTTY)
    throw new StartError(`This shop holds ${records} records. Say --yes to put them aside. Nothing was changed.`);
  const lines = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await lines.question(`This shop holds ${records} records. Put them aside and restore? yes/no `);
  lines.close();
  return answer.trim().toLowerCase() === 'yes';
}

main(process.argv.slice(2)).then(
  () => process.exit(0),
  (error: unknown) => {
    const line = error instanceof StartError ? error.message : ((error as Error).stack ?? String(error));
    process.stderr.write(`${line}\n`);
    process.exit(1);
  },
);
