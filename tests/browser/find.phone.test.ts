import { expect, test } from '@playwright/test';
import sharp from 'sharp';
import { signIn } from './steps';

test('a student finds a green close to a photo, cone 6, on white clay, that does not run, and opens its entry', async ({
  page,
}) => {
  await signIn(page, 'student', 'signal-box-three');
  await page.getByRole('link', { name: 'Find by colour' }).tap();
  const plate = { create: { width: 600, height: 500, channels: 3 as const, background: '#93b09c' } };
  await page.getByLabel('Photo file', { exact: true }).setInputFiles({
    name: 'plate.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp(plate).jpeg().toBuffer(),
  });
  await expect(page).toHaveURL(/colour=%23/);
  await page.getByRole('link', { name: '6', exact: true }).tap();
  await page.getByRole('link', { name: 'Buffer White' }).tap();
  await page.getByRole('link', { name: 'does not run' }).tap();
  await expect(page).toHaveURL(/stays=1/);
  const first = page.getByRole('list', { name: 'Entries found' }).getByRole('link').first();
  await expect(first).toContainText('Guard Green');
  await expect(first).toContainText('Buffer White, cone 6, oxidation');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await first.tap();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Guard Green');
  // The own cone and clay are there again the next time.
  await page.goto('/find');
  await expect(page.getByRole('link', { name: 'Buffer White' })).toHaveAttribute('aria-current', 'true');
});
