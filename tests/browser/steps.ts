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

/** Types into a field in place of what is there. */
export async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill('');
  await field.pressSequentially(text);
}

/** Adds a small gas kiln, after a try without a name. */
export async function addKiln(page: Page, name: string): Promise<void> {
  await page.goto('/kilns');
  await page.getByRole('button', { name: 'Add a kiln' }).click();
  const kiln = page.getByRole('form', { name: 'Kiln' });
  await kiln.getByRole('button', { name: 'Add this kiln' }).click();
  await expect(kiln).toContainText('Type a name.');
  await type(page, 'Name', name);
  await choose(page, 'Heat', 'gas');
  for (const [label, text] of [
    ['Volume, l', '120'],
    ['Shelves', '3'],
    ['Shelf width, mm', '450'],
    ['Shelf depth, mm', '450'],
  ] as const)
    await type(page, label, text);
  await kiln.getByRole('button', { name: 'Add this kiln' }).click();
  await expect(page.getByRole('region', { name })).toBeVisible();
}

/**
 * Plans a firing, loads what is ticked on its page, fires and opens it: the first piece stands there to be read.
 *
 * @param tick ticks the pieces that wait
 * @param put the button that puts them in: on one shelf, or over all of them
 * @returns the address of the firing
 */
export async function fireIn(
  page: Page,
  kiln: string,
  { cone, kind, atmosphere }: { readonly cone: string; readonly kind: string; readonly atmosphere: string },
  tick: () => Promise<void>,
  put = /^Put \d+ on shelf/,
): Promise<string> {
  await page.goto('/kilns');
  await page.waitForLoadState('networkidle');
  await page.getByRole('region', { name: kiln }).getByRole('button', { name: 'Plan a firing' }).click();
  await choose(page, 'Kind', kind);
  await choose(page, 'Target cone', cone);
  await choose(page, 'Atmosphere', atmosphere);
  await page.getByRole('button', { name: 'Plan this firing' }).click();
  await page.waitForURL(/firings/);
  const address = new URL(page.url()).pathname;
  await tick();
  await page.getByRole('button', { name: put }).click();
  await expect(page.getByRole('status').filter({ hasText: 'put in.' })).toBeVisible();
  await page.getByRole('group', { name: 'How full the kiln is' }).getByRole('button', { name: '½' }).click();
  await page.getByRole('button', { name: 'Start the firing' }).click();
  await page.getByRole('button', { name: 'The firing has ended' }).click();
  await page.getByRole('link', { name: 'Open the kiln' }).click();
  await page.getByRole('button', { name: 'It is cool: open the kiln' }).click();
  await page.getByRole('button', { name: /to the pieces/ }).click();
  return address;
}

/** The heading of the piece that is read at an opening. */
export const openedPiece = (page: Page) => page.getByRole('heading', { name: /^SW-\d{4}/, level: 1 });

/** Ends the piece that is read at an opening with a fate, for a reason, and waits until that is told. */
export async function endPiece(page: Page, fate: string, why?: string): Promise<void> {
  const label = /^SW-\d{4}/.exec((await openedPiece(page).textContent())!)![0];
  await page.getByRole('button', { name: 'gloss', exact: true }).click();
  const fates = page.getByRole('group', { name: /^Fate/ });
  if (!(await fates.getByRole('button', { name: fate, exact: true }).isVisible()))
    await fates.getByRole('button', { name: 'More fates' }).click();
  await fates.getByRole('button', { name: fate, exact: true }).click();
  const question = page.getByRole('group', { name: `Why ${fate}` });
  if (why === 'own words') {
    await question.getByLabel('Another reason').pressSequentially('thumb mark at the foot');
    await page.keyboard.press('Enter');
  } else if (why) await question.getByRole('button', { name: why, exact: true }).click();
  await expect(page.getByText(`${label}: ${fate}`)).toBeVisible();
}

/** Waits until all pieces of an opening are recorded and have come to the server. */
export async function allSent(page: Page): Promise<void> {
  await expect(page.getByText(/(All \d+ are|The only piece is) recorded\./)).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
}
