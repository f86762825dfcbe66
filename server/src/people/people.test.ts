/** Who may do what with passwords and sessions, on a real MariaDB. */
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { anonymous, firstLead, startTestShop } from '../testing';

let shop: TestShop;
let lead: Client;
const first = 'also long enough';

async function signIn(name: string, password: string): Promise<Client & { status: number }> {
  const client = anonymous(shop.url);
  const { status, body } = await client.post('/session', {
    name,
    password,
    device: { id: client.deviceId, label: 'test' },
  });
  return { ...client, personId: String(body.personId), status };
}

beforeAll(async () => {
  shop = await startTestShop({ signInTries: 5 });
  lead = await firstLead(shop.url);
  expect((await lead.post('/people', { id: v7(), name: 'Hand', role: 'technician', password: first })).status).toBe(
    201,
  );
});
afterAll(() => shop.stop());

describe('a password', () => {
  it('is changed by whoever knows the old one, and signs out the other tablets', async () => {
    const [one, other] = [await signIn('Hand', first), await signIn('Hand', first)];
    const wrong = await one.post('/session/password', { old: 'not that one', password: 'the second one' });
    expect([wrong.status, wrong.body.path]).toEqual([422, 'old']);
    expect((await one.post('/session/password', { old: first, password: 'the second one' })).status).toBe(204);
    expect([(await one.get('/floor')).status, (await other.get('/floor')).status]).toEqual([200, 401]);
    expect((await signIn('Hand', first)).status).toBe(401);
  });

  it('is set anew by a lead, and by nobody else', async () => {
    const hand = await signIn('Hand', 'the second one');
    const path = `/people/${hand.personId}/password`;
    expect((await hand.post(path, { password: 'the third one' })).status).toBe(403);
    expect((await lead.post(path, { password: 'short' })).status).toBe(422);
    expect((await lead.post(path, { password: 'the third one' })).status).toBe(204);
    expect((await hand.get('/floor')).status).toBe(401);
    expect((await signIn('Hand', 'the third one')).status).toBe(200);
    expect((await lead.post(`/people/${v7()}/password`, { password: 'the third one' })).status).toBe(404);
  });
});

it('ends sessions by hand: one’s own, a lead everybody’s', async () => {
  const hand = await signIn('Hand', 'the third one');
  expect((await hand.post(`/people/${lead.personId}/sign-out`, {})).status).toBe(403);
  expect((await hand.post(`/people/${hand.personId}/sign-out`, {})).status).toBe(204);
  expect((await hand.get('/floor')).status).toBe(401);
});

it('locks out whoever mistypes too often, and nobody else at the same place', async () => {
  await lead.post('/people', { id: v7(), name: 'Slip', role: 'technician', password: first });
  for (let attempt = 0; attempt < 5; attempt++) expect((await signIn('Slip', 'guess')).status).toBe(401);
  expect((await signIn('Slip', first)).status).toBe(429);
  expect((await signIn('Lead', 'long enough')).status).toBe(200);
});

it('takes somebody on again who had left: the same person, with a new password', async () => {
  const { body } = await lead.post('/people', { id: v7(), name: 'Ada', role: 'technician', password: first });
  const ada = String(body.id);
  expect((await lead.post(`/people/${ada}/retire`, {})).status).toBe(204);
  expect((await signIn('Ada', first)).status).toBe(401);
  const again = await lead.post('/people', { id: v7(), name: 'Ada', role: 'lead', password: 'back once more' });
  expect([again.status, again.body.id]).toEqual([201, ada]);
  expect(await signIn('Ada', 'back once more')).toMatchObject({ status: 200, personId: ada });
  const twice = await lead.post('/people', { id: v7(), name: 'Ada', role: 'lead', password: 'back once more' });
  expect(twice.body.code).toBe('person.exists');
});
