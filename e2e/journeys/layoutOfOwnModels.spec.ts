/** Part models of the shop's own: a frame of which little is known is looked at, a cable that is short is said. */
import type { Page } from '@playwright/test';
import { shippedModels } from '@junctor/catalogue';
import type { PartModel } from '@junctor/core';
import { answer, jobNamed, lead, logOf, press, quadId, sentence, signIn, under } from '../support/bench';
import { newQuad, pick } from '../support/forms';
import { expect, test } from '../support/shop';

test('a frame without places asks for a look and a picture', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  const known = shippedModels().find(({ id }) => id === 'coppice-frame-8')!;
  const { places: _places, ways: _ways, ...frame } = known.frame!;
  await enter(page, shop.url, { ...known, id: 'plain-frame', frame });
  await openJob(page, 'Plain one', /four-in-one ESC and serial/);
  await exchange(page, shop.url, { quad: 'Plain one', slot: 'FRAME', model: 'plain-frame' });

  await test.step('what is not known cannot be signed unseen', async () => {
    await expect(sentence(page)).toContainText('look, and take a picture of it (P)');
    await expect(page.getByRole('list', { name: 'Margins' })).toContainText('not known');
    const sign = page.getByRole('button', { name: /Sign: it fits/ });
    await expect(sign).toBeDisabled();
    await press(page, 'p');
    await expect(sentence(page)).toHaveText('Take a picture of it as it lies');
    await expect(under(page)).toContainText('openings are not known: look');
  });

  await test.step('a picture stands for it', async () => {
    const field = page.getByLabel('Picture of the layout');
    await field.setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('nothing') });
    await expect(page.getByRole('alert')).toContainText('Not kept');
    const buffer = await page.screenshot({ clip: { x: 0, y: 0, width: 300, height: 200 } });
    await field.setInputFiles({ name: 'dry.png', mimeType: 'image/png', buffer });
    await expect(sentence(page)).toContainText('looked at, a picture shows it');
    await answer(page, 'Enter');
    await expect(page.getByRole('navigation', { name: 'The job as a cord' })).toContainText('Layout passed');
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Plain one'));
    const picture = log.find(({ body }) => body.saw === 'picture')!;
    expect(log.at(-1)!.body).toMatchObject({ saw: 'layout', pictured: picture.id });
  });
});

test('a cable that is short is said before anything is soldered', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  const known = shippedModels().find(({ id }) => id === 'wigeon-cam-d')!;
  await enter(page, shop.url, { ...known, id: 'short-camera', cable: { ...known.cable!, lengthMm: 16 } });
  await openJob(page, 'Short one', /4-inch quad/);
  await exchange(page, shop.url, { quad: 'Short one', slot: 'CAM', model: 'short-camera' });
  await expect(sentence(page)).toHaveText(/^▲ Cable from CAM to VTX: 4\d\.\d mm too little/);
  await expect(under(page)).toContainText('is 16 mm long, its way');
});

async function enter(page: Page, url: string, model: PartModel): Promise<void> {
  const reply = await page.request.post(`${url}/api/catalogue/import`, {
    headers: { 'content-type': 'application/octet-stream' },
    data: Buffer.from(JSON.stringify({ format: 'junctor-catalogue', version: 1, models: [model] })),
  });
  expect(reply.ok()).toBe(true);
}

async function openJob(page: Page, quad: string, template: RegExp): Promise<void> {
  await newQuad(page, 'Holm Weir Company', quad);
  await pick(page, template);
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Room' })).toBeVisible();
}

/** Another model in a slot of the plan; then at the layout. */
async function exchange(
  page: Page,
  url: string,
  { quad, slot, model }: { quad: string; slot: string; model: string },
): Promise<void> {
  const { id, plan } = await jobNamed(page, url, quad);
  const before = plan.target.slots[slot]!;
  const changed = await page.request.post(`${url}/api/jobs/${id}/plan-changes`, {
    data: { version: plan.version, changes: [{ path: `slots/${slot}`, before, after: { ...before, model } }] },
  });
  expect(changed.ok()).toBe(true);
  await page.goto(`${url}/jobs/${id}/layout`);
}
