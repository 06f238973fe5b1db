import { expect, test, type Page } from '@playwright/test';
import sharp from 'sharp';
import { photo, signIn } from './steps';

/** Photographs a tile with Guard Green alone on white clay; the demo's own pictures take minutes to paint. */
async function photographGreen(page: Page): Promise<void> {
  await signIn(page);
  const answers: { text: string; kind: string; href: string }[] = await (
    await page.request.get('/api/v1/look-up?for=guard+green')
  ).json();
  await page.goto(answers.find(({ text, kind }) => text === 'Guard Green' && kind === 'entry')!.href);
  const sense = page.getByRole('listitem').filter({ hasText: 'On Buffer White, cone 6' }).first();
  // Senses after the first are folded on a phone.
  const unfold = sense.getByRole('button', { name: 'Show all' });
  if (await unfold.isVisible()) await unfold.click();
  await sense.getByRole('link', { name: /^SW-/ }).first().click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^SW-/);
  await page
    .locator('input[type=file]')
    .last()
    .setInputFiles(await photo([['Guard Green', 0, 1]]));
  await expect(page.getByAltText(/^Photo of SW-/).first()).toBeVisible({ timeout: 30_000 });
}

test('a student finds a green close to a photo, cone 6, on white clay, that does not run, and opens its entry', async ({
  page,
  browser,
}) => {
  const bench = await browser.newContext();
  await photographGreen(await bench.newPage());
  await bench.close();
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
  await page.getByRole('link', { name: 'Buffer White', exact: true }).tap();
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
  await expect(page.getByRole('link', { name: 'Buffer White', exact: true })).toHaveAttribute(
    'aria-current',
    'true',
  );
});
