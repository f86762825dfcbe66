/** A frame of which little is known: what no margin says is looked at, and a picture stands for it. */
import { shippedModels } from '@junctor/catalogue';
import { answer, jobNamed, lead, logOf, press, quadId, sentence, signIn, under } from '../support/bench';
import { newQuad, pick } from '../support/forms';
import { expect, test } from '../support/shop';

test('a frame without places asks for a look and a picture', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  const known = shippedModels().find(({ id }) => id === 'coppice-frame-8')!;
  const { places: _places, ways: _ways, ...frame } = known.frame!;
  const file = { format: 'junctor-catalogue', version: 1, models: [{ ...known, id: 'plain-frame', frame }] };
  const imported = await page.request.post(`${shop.url}/api/catalogue/import`, {
    headers: { 'content-type': 'application/octet-stream' },
    data: Buffer.from(JSON.stringify(file)),
  });
  expect(imported.ok()).toBe(true);
  await newQuad(page, 'Holm Weir Company', 'Plain one');
  await pick(page, /four-in-one ESC and serial/);
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Room' })).toBeVisible();
  const { id, plan } = await jobNamed(page, shop.url, 'Plain one');
  const before = plan.target.slots.FRAME!;
  const changed = await page.request.post(`${shop.url}/api/jobs/${id}/plan-changes`, {
    data: {
      version: plan.version,
      changes: [{ path: 'slots/FRAME', before, after: { ...before, model: 'plain-frame' } }],
    },
  });
  expect(changed.ok()).toBe(true);
  await page.goto(`${shop.url}/jobs/${id}/layout`);

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
