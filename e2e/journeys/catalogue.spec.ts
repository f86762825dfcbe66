/** Catalogue files in and out, revisions, and a number measured anew. */
import { readFileSync, writeFileSync } from 'node:fs';
import { lead, press, signIn } from '../support/bench';
import { choose, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

interface CatalogueFile {
  models: {
    id: string;
    revision: number;
    massG: number;
    terminals: { id: string; printed: string; atMm: number[] }[];
  }[];
}

test('import, export, revision', async ({ page, shop }, info) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, 's');
  await expect(page.getByLabel('Name, maker or kind')).toBeFocused();
  await page.keyboard.type('sander fenw');
  await expect(page.getByRole('status').filter({ hasText: 'found' })).toHaveText('1 found');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sanderling 20 flight controller');
  await expect(page.getByRole('list', { name: 'Signature' })).toContainText('5V against ground');

  const downloading = page.waitForEvent('download');
  await press(page, 'e');
  const file = JSON.parse(readFileSync(await (await downloading).path(), 'utf8')) as CatalogueFile;
  expect(file.models.map(({ id, revision }) => `${id}@${revision}`)).toEqual(['sanderling-fc-20@1']);

  await test.step('a file with faults is refused whole, each with its place', async () => {
    await page.goto(`${shop.url}/stores/files`);
    const [model] = file.models;
    const bad = {
      ...file,
      models: [
        {
          ...model!,
          revision: 2,
          terminals: model!.terminals.map((terminal, index) =>
            index === 1 ? { ...terminal, atMm: [40, 0] } : terminal,
          ),
        },
        { ...model!, id: 'ghost', colour: 'red' },
      ],
    };
    const path = info.outputPath('bad.json');
    writeFileSync(path, JSON.stringify(bad));
    await page.getByLabel('Catalogue file').setInputFiles(path);
    await expect(page.getByRole('alert')).toContainText('Nothing was stored: 2 faults');
    await expect(page.getByRole('list', { name: 'Faults' })).toContainText('models.0.terminals.1.atMm');
    await expect(page.getByRole('list', { name: 'Faults' })).toContainText('models.1.colour');
    writeFileSync(path, '{ "format": "junctor-catalogue", ');
    await page.getByLabel('Catalogue file').setInputFiles(path);
    await expect(page.getByRole('alert')).toContainText('Not JSON at line 1');
  });

  await test.step('a good one comes in as the next revision, and says what it changes', async () => {
    const [model] = file.models;
    const path = info.outputPath('good.json');
    writeFileSync(
      path,
      JSON.stringify({
        ...file,
        models: [
          {
            ...model!,
            revision: 2,
            massG: 5.6,
            terminals: model!.terminals.map((terminal) =>
              terminal.id === 'SBUS' ? { ...terminal, printed: 'S' } : terminal,
            ),
          },
        ],
      }),
    );
    await page.getByLabel('Catalogue file').setInputFiles(path);
    await expect(page.getByText('1 part models added')).toBeVisible();
    await page.goto(`${shop.url}/stores/models/sanderling-fc-20`);
    await expect(page.getByRole('list', { name: 'Changes' })).toContainText('terminal SBUS, printed: SBUS → S');
    await expect(page.getByRole('list', { name: 'Changes' })).toContainText('mass, g: 5.1 → 5.6');
  });

  await test.step('a number measured here makes a revision of its own', async () => {
    await page.getByRole('button', { name: 'Correct REG5' }).focus();
    await page.keyboard.press('Enter');
    await choose(page, 'What of REG5', '1.5');
    await typeInto(page, 'REG5, A at most', '1.1');
    await page.keyboard.press('Enter');
    await expect(page.getByText('revision 3 of 3')).toBeVisible();
    await expect(page.getByRole('list', { name: 'Changes' })).toContainText('element REG5, limitA: 1.5 → 1.1');
    await expect(page.getByRole('list', { name: 'Changes' })).toContainText('→ measured');
  });

  await test.step('retired it is no longer offered', async () => {
    await press(page, 't');
    await expect(page.getByRole('heading', { level: 1 })).toContainText(', retired');
    await press(page, 'l');
    await expect(page.getByLabel('Name, maker or kind')).toBeFocused();
    await page.keyboard.type('sanderling');
    await expect(page.getByRole('status').filter({ hasText: 'called' })).toHaveText('Nothing is called like that');
  });
});
