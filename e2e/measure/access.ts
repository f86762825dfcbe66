/** Every route and everybody who may come to its door, as docs/access.md says; and no route that it does not name. */
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { none } from '@junctor/proof';
import type { Measurement } from '@junctor/proof';
import type { Client, TestShop } from '@junctor/server/testing';
import { anonymous, firstLead, openJob, startTestShop } from '@junctor/server/testing';
import { v7 } from 'uuid';

const project = join(import.meta.dirname, '..', '..');
const answers: Readonly<Record<string, (status: number) => boolean>> = {
  in: (status) => status !== 401 && status !== 403 && status < 500,
  'sign in': (status) => status === 401,
  lead: (status) => status === 403,
  'own pages': (status) => status === 403,
};

interface Row {
  method: string;
  path: string;
  cells: readonly string[];
}

export async function access(): Promise<Measurement[]> {
  const rows = table();
  const [shop, other] = [await startTestShop({ signInTries: 1_000_000 }), await startTestShop()];
  try {
    const wrong: string[] = [];
    for (const row of rows) {
      const who = await everybody(shop, other);
      for (const [index, cell] of row.cells.entries()) {
        const [name, client, headers] = who[index]!;
        const status = await asked(client, row, headers);
        if (!answers[cell]!(status)) wrong.push(`${row.method} ${row.path}, ${name}: ${status}, not “${cell}”`);
      }
    }
    const named = new Set(rows.map(({ method, path }) => `${method} ${path}`));
    const unnamed = routes().filter((route) => !named.has(route));
    for (const line of [...wrong, ...unnamed]) console.log(`# ${line}`);
    const cells = rows.reduce((sum, row) => sum + row.cells.length, 0);
    return [
      none(`doors that are not as docs/access.md says, of ${cells}:`, wrong.length),
      none(`routes that docs/access.md does not name, of ${routes().length}:`, unnamed.length),
    ];
  } finally {
    await Promise.all([shop.stop(), other.stop()]);
  }
}

function table(): Row[] {
  return readFileSync(join(project, 'docs', 'access.md'), 'utf8')
    .split('\n')
    .filter((line) => /^\| (GET|POST|PUT|DELETE) /.test(line))
    .map((line) => {
      const [request, ...cells] = line
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim());
      const [method, path] = request!.split(' ');
      return { method: method!, path: path!, cells };
    });
}

/** The routes that the server's files declare. */
function routes(): string[] {
  const folder = join(project, 'server', 'src');
  return readdirSync(folder).flatMap((name) => {
    const file = join(folder, name, 'routes.ts');
    const text = existsSync(file) ? readFileSync(file, 'utf8') : '';
    const found = text.matchAll(/\.(get|post|put|delete)\(\s*'(\/[^']*)'/g);
    return [...found].map(([, method, path]) => `${method!.toUpperCase()} ${path}`);
  });
}

type Who = [name: string, client: Client, headers: Record<string, string>];

let made = 0;
let lead: Client | null = null;
let stranger: Client | null = null;

/** In the order of the table's columns; made anew for each row, since some rows end a session. */
async function everybody(shop: TestShop, other: TestShop): Promise<Who[]> {
  lead ??= await firstLead(shop.url);
  stranger ??= await firstLead(other.url);
  await openJob(lead);
  const password = 'long enough';
  const signedIn = async (role: string): Promise<Client> => {
    const name = `Person ${made++}`;
    await lead!.post('/people', { id: v7(), name, role, password });
    const client = anonymous(shop.url);
    const { body } = await client.post('/session', { name, password, device: { id: client.deviceId, label: 'x' } });
    return { ...client, personId: String(body.personId) };
  };
  const [technician, own, left, abroad] = [
    await signedIn('technician'),
    await signedIn('lead'),
    await signedIn('lead'),
    await signedIn('lead'),
  ];
  await lead.post(`/people/${left.personId}/retire`, {});
  // The other shop's cookie under the name that this shop looks for.
  const cookie = stranger.cookie().replace(/^[^=]+/, technician.cookie().split('=')[0]!);
  return [
    ['nobody', anonymous(shop.url), {}],
    ['technician', technician, {}],
    ['lead', own, {}],
    ['left', left, {}],
    ['other shop', anonymous(shop.url), { cookie }],
    ['other site', abroad, { origin: 'https://elsewhere.example', 'sec-fetch-site': 'cross-site' }],
  ];
}

async function asked(client: Client, { method, path }: Row, headers: Record<string, string>): Promise<number> {
  const at = path.replace(':id', path.startsWith('/templates') ? 'quad-serial-6s' : v7());
  const picture = path.startsWith('/pictures');
  const types: Record<string, string> = {
    '/pictures/:id': 'image/png',
    '/catalogue/import': 'application/octet-stream',
  };
  const type = { 'content-type': types[path] ?? 'application/json' };
  const reads = method === 'GET' || method === 'DELETE';
  const reply = await (reads
    ? client.raw(method, at, undefined, headers)
    : client.raw(method, at, picture ? 'x' : '{}', { ...type, ...headers }));
  return reply.status;
}
