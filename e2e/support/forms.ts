/** Forms by keyboard: fields in order, choices by their first letters, the pages outside the bench. */
import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';

/** Types into fields one after the other from the one that has the focus, then sends the form. */
export async function fill(page: Page, ...fields: readonly string[]): Promise<void> {
  for (const [index, text] of fields.entries()) {
    if (index > 0) await page.keyboard.press('Tab');
    await page.keyboard.type(text);
  }
  await page.keyboard.press('Enter');
}

/** Puts the focus on a field, as Tab would, and types over what is there. */
export async function typeInto(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type(text);
}

/** Opens a list of many choices and takes one by its first letters. */
export async function choose(page: Page, label: string | RegExp, letters: string): Promise<void> {
  const button = page.getByRole('button', { name: label });
  await button.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listbox')).toBeVisible();
  await page.keyboard.type(letters);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listbox')).toBeHidden();
}

/** Takes one of a few choices that stand side by side. */
export async function pick(page: Page, label: string | RegExp): Promise<void> {
  await page.getByRole('radio', { name: label }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('radio', { name: label })).toBeChecked();
}

/** A customer and a quad for a new job, from the Floor; ends at the form of the job, with a door for its plan taken. */
export async function newQuad(page: Page, customer: string, quad: string, door = 'a template'): Promise<void> {
  await page.keyboard.press('n');
  await expect(page.getByLabel('Customer', { exact: true })).toBeFocused();
  await page.keyboard.type(customer);
  // Esc leaves the field; a new customer has a key of its own.
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(customer);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`Which quad of ${customer}?`);
  await page.keyboard.press('n');
  await expect(page.getByLabel('What it is called')).toBeFocused();
  await fill(page, quad);
  await expect(page.getByLabel('In a few words')).toBeFocused();
  await pick(page, door);
  await page.getByLabel('In a few words').focus();
}

/** What is found as one types: the first match is marked, Enter takes it. */
export async function takeMarked(page: Page, list: string, name: string | RegExp): Promise<void> {
  const marked = page.getByRole('listbox', { name: list }).getByRole('option', { name }).first();
  await expect(marked).toHaveAttribute('data-focused', 'true');
  await page.keyboard.press('Enter');
}

/** Labels along one edge of a new board: so many edges on from the first. */
export async function labelRow(page: Page, labels: string, edge: number): Promise<void> {
  await expect(page.getByLabel(/Labels in order/)).toBeFocused();
  const rows = await page.getByRole('list', { name: 'Rows' }).getByRole('listitem').count();
  await page.keyboard.type(labels);
  await page.keyboard.press('Tab');
  for (let step = 0; step < edge; step++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Rows' }).getByRole('listitem')).toHaveCount(rows + 1);
}
