/** A client for tests: signs in, keeps the cookie, sends JSON. */
import { v7 } from 'uuid';

export interface Reply {
  status: number;
  body: Record<string, unknown> & { code?: string };
}

interface RawReply {
  status: number;
  text: string;
}

const json = { 'content-type': 'application/json' };

export interface Client {
  get(path: string): Promise<Reply>;
  post(path: string, body: unknown): Promise<Reply>;
  /** Sends bytes as they are; the last line of an answer in lines counts. */
  bytes(method: 'POST' | 'PUT', path: string, type: string, body: Uint8Array<ArrayBuffer> | string): Promise<Reply>;
  /** Whatever is wanted, as text, and its answer as it came. */
  raw(method: string, path: string, body?: string, headers?: Record<string, string>): Promise<RawReply>;
  /** The session as a browser sends it. */
  cookie(): string;
  personId: string;
  deviceId: string;
}

/** A client without a session. */
export function anonymous(url: string): Client {
  let cookie = '';
  const send = async (method: string, path: string, body?: unknown): Promise<Reply> => {
    const response = await fetch(`${url}/api${path}`, {
      method,
      headers: { cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    cookie = response.headers.get('set-cookie')?.split(';')[0] ?? cookie;
    const text = await response.text();
    return { status: response.status, body: (text ? JSON.parse(text) : {}) as Reply['body'] };
  };
  const bytes: Client['bytes'] = async (method, path, type, body) => {
    const response = await fetch(`${url}/api${path}`, { method, headers: { cookie, 'content-type': type }, body });
    const lines = (await response.text()).trim().split('\n');
    return { status: response.status, body: JSON.parse(lines.at(-1) || '{}') as Reply['body'] };
  };
  return {
    get: (path) => send('GET', path),
    post: (path, body) => send('POST', path, body),
    bytes,
    cookie: () => cookie,
    raw: async (method, path, body, headers = {}) => {
      const response = await fetch(`${url}/api${path}`, {
        method,
        headers: { cookie, ...(body === undefined ? {} : json), ...headers },
        ...(body === undefined ? {} : { body }),
      });
      return { status: response.status, text: await response.text() };
    },
    personId: '',
    deviceId: v7(),
  };
}

/** The first lead of an empty shop, signed in. */
export async function firstLead(url: string): Promise<Client> {
  const client = anonymous(url);
  const id = v7();
  await client.post('/shop/first-lead', {
    shop: 'Test shop',
    id,
    name: 'Lead',
    password: 'long enough',
    device: { id: client.deviceId, label: 'test' },
  });
  return { ...client, personId: id };
}

/** A technician whom the lead has taken on, signed in. */
export async function technicianOf(lead: Client, url: string): Promise<Client> {
  const client = anonymous(url);
  const [id, name, password] = [v7(), 'Hand', 'also long enough'];
  await lead.post('/people', { id, name, role: 'technician', password });
  const { status } = await client.post('/session', { name, password, device: { id: client.deviceId, label: 'test' } });
  if (status !== 200) throw new Error(`the technician was not signed in: ${status}`);
  return { ...client, personId: id };
}

/** A customer with a quad and an open job from the shipped template. */
export async function openJob(client: Client): Promise<{ quadId: string; jobId: string }> {
  const [customerId, quadId, jobId] = [v7(), v7(), v7()];
  await client.post('/customers', { id: customerId, name: 'A trust', contact: '' });
  await client.post('/quads', { id: quadId, customerId, name: `Quad ${quadId.slice(-4)}` });
  const reply = await client.post('/jobs', {
    id: jobId,
    quadId,
    kind: 'new',
    title: 'new build',
    dueOn: null,
    bench: 1,
    intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
    plan: { template: 'quad-serial-6s' },
  });
  if (reply.status !== 201) throw new Error(JSON.stringify(reply.body));
  return { quadId, jobId };
}

/** A record as a tablet sends it. */
export function sent(client: Client, jobId: string, body: object, over: object = {}) {
  return {
    id: v7(),
    jobId,
    step: null,
    personId: client.personId,
    deviceId: client.deviceId,
    shownAt: null,
    doneAt: new Date().toISOString(),
    basisSeq: 0,
    planVersion: 1,
    how: 'did',
    body,
    ...over,
  };
}

/** A part as it is entered into the stores. */
export function newPart(model: string, serial: string, over: object = {}) {
  return {
    id: v7(),
    model,
    revision: 1,
    serial,
    batch: null,
    owner: null,
    origin: 'new',
    condition: 'untested',
    firmware: null,
    weightG: null,
    ...over,
  };
}

export const fitEsc = {
  do: 'fit',
  slot: 'ESC',
  fitted: { model: 'lapwing-esc-45', revision: 1, part: null, pose: null },
};
