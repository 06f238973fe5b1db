import { expect, type Locator, type Page } from '@playwright/test';
import sharp from 'sharp';
import { BODY_LOOKS, GLAZE_LOOKS, paint } from '../../demo/paint';

/** Signs one of the demo's people in. */
export async function signIn(page: Page, who = 'technician', password = 'signal-box-one'): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('Sign-in name').fill(who);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('navigation', { name: 'Thumb index' }).first()).toBeAttached();
}

/** Opens the newest closed firing to be looked through again. */
export async function lookThroughClosed(page: Page): Promise<void> {
  await page.goto('/kilns');
  const row = page.getByRole('row').filter({ hasText: 'closed' }).first();
  await row.getByRole('link', { name: /^\d+$/ }).click();
  await page.getByRole('link', { name: 'Look through the opening again' }).click();
  await expect(page.getByText(/^1 of \d+$/)).toBeVisible();
  await page.waitForLoadState('networkidle');
}

/** Chooses a word in one of the interface's drop-downs. */
export async function choose(
  page: Page,
  label: string,
  option: string,
  within: Page | Locator = page,
): Promise<void> {
  // A press that comes before the page listens opens nothing.
  await expect(async () => {
    await within.getByRole('combobox', { name: label, exact: true }).click({ timeout: 5000 });
    await page.getByRole('option', { name: option, exact: true }).click({ timeout: 5000 });
  }).toPass();
}

/** Adds a coat of a glaze on top, by typing the start of its name. */
export async function addCoat(page: Page, glaze: string): Promise<void> {
  const field = page.getByRole('combobox', { name: /Add (the first coat|a coat over it)/ });
  await field.fill(glaze.slice(0, 5));
  await page.getByRole('option', { name: glaze }).click();
}

/** What the page tells about a save; Next's own route announcer left out. */
export function told(page: Page): Locator {
  return page.locator('[role=alert]:not(#__next-route-announcer__)');
}

/** What is said of new pieces once they are saved: their numbers, as links. */
export function savedPieces(page: Page): Locator {
  return page.getByRole('status', { name: 'Saved' });
}

/** A photo of a fired tile as a camera would hand it over. */
export async function photo(
  coats: readonly (readonly [glaze: string, from: number, to: number])[] = [
    ['Sleeper', 0, 0.66],
    ['Limewash', 0.34, 1],
  ],
): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const picture = paint({
    seed: 'browser test',
    form: 'tile',
    heightMm: 100,
    widthMm: 60,
    body: BODY_LOOKS['Buffer White']!,
    reduction: false,
    coats: coats.map(([glaze, from, to]) => ({
      look: GLAZE_LOOKS[glaze]!,
      side: 'outside',
      from,
      to,
      dips: 1,
      slip: false,
    })),
    zones: [],
  });
  const raw = { width: picture.width, height: picture.height, channels: 3 as const };
  return {
    name: 'tile.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp(picture.data, { raw }).jpeg().toBuffer(),
  };
}
