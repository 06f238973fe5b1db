import { expect, test } from '@playwright/test';
import { photo, signIn } from './steps';

test('a kiln is opened with one thumb: a defect, a photo and a fate, kept through a reload', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/kilns');
  await page
    .getByRole('row')
    .filter({ hasText: '14' })
    .getByRole('link', { name: 'Open', exact: true })
    .last()
    .click();
  const gate = page.getByRole('button', { name: /open it/ });
  const heading = page.getByRole('heading', { name: /^SW-/ });
  await expect(gate.or(heading)).toBeVisible();
  if (await gate.isVisible()) await gate.click();
  const label = (await heading.textContent())!;
  await page.getByRole('button', { name: 'gloss' }).click();
  await page.getByRole('button', { name: 'pits' }).click();
  await page.reload();
  await expect(page.getByText('Kept on this device, not sent yet.')).toBeVisible();
  await expect(page.getByRole('button', { name: /pits/ })).toHaveAttribute('aria-pressed', 'true');
  for (const name of ['gloss', 'satin', 'Photo', 'Save, next', 'second']) {
    const box = (await page.getByRole('button', { name, exact: true }).boundingBox())!;
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(48);
  }
  await page.getByLabel('Photo file').setInputFiles(await photo());
  await expect(page.getByText('Photo stored')).toBeVisible();
  await page.getByRole('group', { name: 'Fate' }).getByRole('button', { name: 'second' }).click();
  await page.getByRole('button', { name: 'Save, next' }).click();
  await expect(page.getByText(/; 1 read/)).toBeVisible();
  await page.goto(`/pieces/${label}`);
  await expect(page.getByText('pitting').first()).toBeVisible();
  await expect(page.getByText('second', { exact: true })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
