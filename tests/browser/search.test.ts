import { expect, test } from '@playwright/test';
import { signIn } from './steps';

test('the search field finds as you type, says which answer is active, and goes by keys; it keeps nothing afterwards', async ({
  page,
}) => {
  await signIn(page);
  await page.keyboard.press('/');
  const field = page.getByRole('combobox', { name: /^Search/ });
  await expect(field).toBeFocused();
  await field.pressSequentially('limewash');
  const options = page.getByRole('listbox', { name: 'Results' }).getByRole('option');
  await expect(options.first()).toContainText('Limewash');
  const active = () => field.getAttribute('aria-activedescendant');
  await expect.poll(active).toBe(await options.first().getAttribute('id'));
  await page.keyboard.press('ArrowDown');
  await expect.poll(active).toBe(await options.nth(1).getAttribute('id'));
  const href = await options.nth(1).getByRole('link').getAttribute('href');
  await page.keyboard.press('Enter');
  await page.waitForURL(`**${href}`);
  await expect(field).toHaveValue('');

  // Notes are looked through too.
  await field.pressSequentially('signal box table');
  await expect(options.first()).toContainText('platter by');
  await page.keyboard.press('Escape');
  await field.pressSequentially('no such thing');
  await expect(page.getByText('Nothing called “no such thing”.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(field).toHaveValue('');
  await field.pressSequentially('sleeper');
  await options.first().click();
  await expect(page.getByRole('listbox', { name: 'Results' })).toHaveCount(0);
});

test('a table is ordered by its headings and walked with the arrow keys', async ({ page }) => {
  await signIn(page);
  await page.goto('/pieces');
  const rows = page.getByRole('table', { name: 'Pieces' }).getByRole('row');
  const first = () => rows.nth(1).getByRole('link').textContent();
  const newest = await first();
  await page.getByRole('button', { name: 'Number' }).click();
  await expect.poll(first).toBe('SW-0001');
  await expect(page.getByRole('columnheader', { name: 'Number' })).toHaveAttribute('aria-sort', 'ascending');
  await page.getByRole('button', { name: 'Number' }).click();
  await expect.poll(first).toBe(newest);
  await rows.nth(1).getByRole('link').focus();
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(2).getByRole('link')).toBeFocused();
  const label = await rows.nth(2).getByRole('link').textContent();
  await page.keyboard.press('Enter');
  await page.waitForURL(`**/pieces/${label}`);

  await page.goto('/rounds/new');
  await page.getByRole('radio', { name: 'Line blend' }).click();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('radio', { name: 'Triaxial blend' })).toBeChecked();
});
