import { expect, test } from '@playwright/test';
import { photo, signIn } from './steps';

test('a student photographs a cup first, loses the network, and says later what it is', async ({
  page,
  context,
}) => {
  await signIn(page, 'student', 'signal-box-three');
  await page.getByRole('link', { name: 'Photo first' }).tap();
  await expect(page.getByRole('heading', { name: 'Photo first' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  await page.getByLabel('Own number, if it has one').pressSequentially('K9');
  await context.setOffline(true);
  const camera = page.getByLabel('Photo file', { exact: true });
  await camera.setInputFiles(await photo());
  const taken = page.getByRole('list', { name: 'Photographed' }).getByRole('listitem');
  await expect(taken.getByRole('alert')).toContainText('did not answer');
  await context.setOffline(false);
  await taken.getByRole('button', { name: 'Try again' }).tap();
  await expect(taken.getByRole('link', { name: 'Say what it is' })).toBeVisible({ timeout: 30_000 });
  const label = (await taken.getByRole('link', { name: /^SW-/ }).textContent())!;
  await expect(page.getByLabel('Own number, if it has one')).toHaveValue('');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  await page.goto('/');
  const list = page.getByRole('region', { name: 'To be written up' });
  await list.getByRole('link', { name: new RegExp(label) }).tap();
  await expect(page.getByText('Not described yet, so it proves nothing. Photographed by')).toBeVisible();
  await page.goto(`/pieces/${label}/edit`);
  await expect(page.getByLabel('Own number')).toHaveValue('K9');
  await page.getByRole('button', { name: 'Save correction' }).tap();
  await expect(page.getByRole('heading', { name: label, level: 1 })).toBeVisible();
  await expect(page.getByText('Not described yet')).toHaveCount(0);
});
