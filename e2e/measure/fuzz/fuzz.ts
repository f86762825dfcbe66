/**
 * Bent requests over every route: no answer of 5xx, none that never comes, nothing half stored, no word of the
 * database, a path or a stack in an answer; and the whole shop is readable afterwards.
 */
import { none, random } from '@junctor/proof';
import type { Measurement } from '@junctor/proof';
import { firstLead, openJob, startTestShop } from '@junctor/server/testing';
import type { Client, TestShop } from '@junctor/server/testing';
import { bend, bendPath, written } from './bend';
import type { Sample } from './corpus';
import { corpus } from './corpus';

const atOnce = 6;
const patienceMs = 20_000;
/** The database's words, our files and a stack. */
const telling =
  /\b(SELECT|INSERT INTO|UPDATE .* SET|ER_[A-Z_]+|mysql|mariadb|errno|sqlState)\b|node_modules|\.ts:\d|\n\s+at /i;

interface Found {
  sent: number;
  taken: number;
  broken: string[];
  hung: string[];
  told: string[];
}

export async function fuzz(long: boolean): Promise<Measurement[]> {
  const requests = long ? 100_000 : 5000;
  const shop = await startTestShop({ signInTries: 1_000_000 });
  try {
    const client = await firstLead(shop.url);
    const samples = await corpus({ shop, client, ...(await openJob(client)) });
    const found: Found = { sent: 0, taken: 0, broken: [], hung: [], told: [] };
    const chance = random(20261128);
    const send = async () => {
      while (found.sent < requests) {
        found.sent += 1;
        await one(client, samples[Math.floor(chance() * samples.length)]!, chance, found);
      }
    };
    await Promise.all(Array.from({ length: atOnce }, send));
    return report(found, await unreadable(shop, client), await halfStored(shop));
  } finally {
    await shop.stop();
  }
}

async function one(client: Client, sample: Sample, chance: () => number, found: Found): Promise<void> {
  // Some go through as they are: what is bent afterwards meets a shop that is in use.
  const body = chance() < 0.1 ? sample.body : bend(sample.body, chance);
  const text = sample.body === undefined ? undefined : written(body, chance);
  const type = sample.type ?? (chance() < 0.97 ? 'application/json' : 'text/plain');
  const path = bendPath(sample.path, chance);
  const what = `${sample.method} ${path} ${(text ?? '').slice(0, 300)}`;
  const ask = () => client.raw(sample.method, path, text, { 'content-type': type });
  const reply = await Promise.race([
    // A connection that was just being closed is tried once more, as a browser does.
    ask()
      .catch(ask)
      .catch((error: unknown) => ({ status: 599, text: String(error) })),
    new Promise<null>((resolve) => setTimeout(() => resolve(null), patienceMs)),
  ]);
  if (!reply) found.hung.push(what);
  else if (reply.status >= 500) found.broken.push(`${reply.status} ${what}`);
  else if (reply.status < 300) found.taken += 1;
  if (reply && !path.startsWith('/catalogue') && reply.status >= 400 && telling.test(reply.text))
    found.told.push(`${what} -> ${reply.text.slice(0, 200)}`);
}

/** Everything that can be read is read again. */
async function unreadable(_shop: TestShop, client: Client): Promise<string[]> {
  const [quads, floor] = await Promise.all([client.get('/quads?q='), client.get('/floor')]);
  const all = (quads.body as unknown as { id: string }[]).map(({ id }) => id);
  const paths = ['/people', '/customers?q=', '/parts?q=', '/stock', '/catalogue/index', '/tools', '/templates']
    .concat(all.flatMap((id) => [`/quads/${id}`, `/quads/${id}/records`]))
    .concat((floor.body as unknown as { jobId: string }[]).map(({ jobId }) => `/jobs/${jobId}`));
  const bad: string[] = floor.status === 200 ? [] : ['/floor'];
  for (const path of paths) if ((await client.get(path)).status !== 200) bad.push(path);
  return bad;
}

/** A batch that was refused has left nothing: each log is without gaps, and its quad knows its end. */
async function halfStored({ shop: { database } }: TestShop): Promise<string[]> {
  const bad: string[] = [];
  for (const { id } of await database.rows<{ id: string }>('quads/listQuads', { prefix: '' })) {
    const quad = await database.row<{ logSeq: number }>('quads/lockQuad', { id });
    const log = await database.rows<{ seq: number }>('records/listRecords', { streamId: id, after: 0 });
    if (log.length !== quad!.logSeq || log.some(({ seq }, index) => seq !== index + 1)) bad.push(id);
  }
  return bad;
}

function report(
  { sent, taken, broken, hung, told }: Found,
  bad: readonly string[],
  half: readonly string[],
): Measurement[] {
  for (const line of [...broken, ...hung, ...told, ...bad, ...half].slice(0, 30)) console.log(`# ${line}`);
  return [
    none(`answers of 5xx to ${sent} bent requests, of which ${taken} were taken:`, broken.length),
    none('answers that did not come within 20 s, of the same:', hung.length),
    none('answers with the database’s words, a path or a stack, of the same:', told.length),
    none('places of the shop that cannot be read afterwards:', bad.length),
    none('logs with a gap or a record too many afterwards:', half.length),
  ];
}
