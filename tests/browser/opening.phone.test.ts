import { expect, test, type Page } from '@playwright/test';
import type { Opening } from '@/records/openings';
import { lookThroughClosed, photo, signIn } from './steps';

/** Finishes the piece in view with these taps; every one is a button a thumb can hit. */
async function tapThrough(page: Page, ...taps: readonly string[]): Promise<string> {
  const heading = page.getByRole('heading', { name: /^SW-/ });
  const label = (await heading.textContent())!.slice(0, 7);
  for (const name of taps) {
    const button = page.getByRole('article').getByRole('button', { name, exact: true }).first();
    // The piece before may just be leaving: its button has no box any more.
    const narrow = async () => {
      const box = await button.boundingBox();
      return box ? Math.min(box.width, box.height) : 0;
    };
    await expect.poll(narrow, { message: name }).toBeGreaterThanOrEqual(48);
    await button.tap();
  }
  return label;
}

const words = (page: Page) => page.getByRole('status').filter({ hasText: /sent|kept here|no network/ });

test('a kiln of 24 is opened with one thumb, most of it without a network, beside a second phone', async ({
  page: first,
  context,
  browser,
}) => {
  let page = first;
  await signIn(page);
  await page.goto('/kilns');
  const link = page
    .getByRole('region', { name: 'Number Two' })
    .getByRole('row')
    .filter({ has: page.getByRole('link', { name: '32', exact: true }) })
    .getByRole('link', { name: 'Open', exact: true });
  const path = (await link.getAttribute('href'))!;
  const firingId = path.split('/')[2]!;
  const onServer = async (): Promise<Opening> =>
    (await other.request.get(`/api/v1/firings/${firingId}/opening`)).json();
  await link.click();
  const gate = page.getByRole('button', { name: /open the kiln/ });
  const cones = page.getByText('how far are the witness cones bent');
  await expect(gate.or(cones)).toBeVisible();
  if (await gate.isVisible()) await gate.click();
  await expect(cones).toBeVisible();
  await page.getByRole('button', { name: /to the pieces/ }).click();
  await expect(page.getByText('1 of 24')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  // What the shell needs is kept while there is a network.
  await expect(page.getByRole('img', { name: /it opens without a network/ })).toBeVisible();

  const photographed: string[] = [];
  const takePhoto = async () => {
    await page.getByLabel('Photo file', { exact: true }).setInputFiles(await photo());
    await expect(page.getByRole('button', { name: 'Set up photo 1' })).toBeVisible();
  };
  const read = async (...taps: string[]) => {
    const label = await tapThrough(page, ...taps);
    await expect(page.getByRole('heading', { name: new RegExp(`^${label}`) })).toBeHidden();
    return label;
  };

  // Nothing wrong: three taps. Two defects: five. With one known outcome: two.
  await read('gloss', 'stable', 'first');
  const pitted = await read('satin', 'moves', 'pits', 'crazed', 'second');
  await takePhoto();
  photographed.push(await read('gloss', 'stable', 'first'));
  await page
    .getByLabel('Photo files')
    .setInputFiles({ name: 'from-a-phone.heic', mimeType: 'image/heic', buffer: Buffer.from('ftypheic') });
  await expect(page.getByRole('alert').filter({ hasText: 'HEIC' })).toContainText('The reading is kept');
  await read('gloss', 'moves', 'keep');
  const undone = await read('matte', 'stable', 'More fates', 'discard');
  await page.getByRole('status').filter({ hasText: undone }).getByRole('button', { name: 'Undo' }).tap();
  await expect(page.getByRole('heading', { name: new RegExp(`^${undone}`) })).toBeVisible();
  await expect(page.getByRole('button', { name: 'matte', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await read('gloss', 'keep');
  await expect(words(page)).toHaveText('all sent');

  await context.setOffline(true);
  const other = await browser.newContext({ baseURL: new URL(page.url()).origin, ...phone });
  const second = await other.newPage();
  await signIn(second, 'teacher', 'signal-box-two');
  await second.goto(path);
  await second.getByRole('button', { name: /^shelf \d/ }).click();
  await second.getByRole('button', { name: /^shelf 1/ }).tap();
  const shelfOne = second.getByRole('button', { name: /^SW-\d+, loaded/ });
  const theirs: string[] = [];
  for (let n = 0; n < 2; n++) {
    await shelfOne.first().tap();
    theirs.push(await tapThrough(second, 'matte', 'runs', 'give'));
    await expect(words(second)).toHaveText('all sent');
  }

  const unread = page.getByRole('button', { name: /^SW-\d+, loaded/ });
  for (let left = 19; left > 0; left--) {
    if (left === 12) {
      await takePhoto();
      photographed.push((await page.getByRole('heading', { name: /^SW-/ }).textContent())!.slice(0, 7));
    }
    await tapThrough(page, 'gloss', 'stable', 'keep');
    await expect(words(page)).toContainText('no network');
  }
  await expect(page.getByText('All 24 are recorded.')).toBeVisible();
  await expect(unread).toHaveCount(0);
  await page.close();

  page = await context.newPage();
  await page.goto(path);
  await expect(words(page)).toHaveText('20 kept here, no network');
  await expect(page.getByText('All 24 are recorded.')).toBeVisible();
  await context.setOffline(false);
  const stuck = page.getByRole('alert').filter({ hasText: 'read on another device too' });
  await expect(stuck).toHaveCount(2);
  await expect(stuck.first().getByRole('columnheader')).toHaveText(['', 'here', 'there']);
  await expect(
    stuck
      .first()
      .getByRole('row', { name: /surface/ })
      .first(),
  ).toContainText('matte');
  await stuck.first().getByRole('button', { name: 'Take theirs' }).tap();
  await expect(stuck).toHaveCount(1);
  await stuck.first().getByRole('button', { name: 'Take mine' }).tap();
  await expect(stuck).toHaveCount(0);
  await expect(words(page)).toHaveText('all sent');

  const { pieces } = await onServer();
  expect(pieces).toHaveLength(24);
  expect(pieces.filter((piece) => piece.state === 'read')).toHaveLength(24);
  for (const { label, zones, photos } of pieces) {
    const glazed = zones.filter((zone) => zone.stack.length > 0);
    expect(
      glazed.map((zone) => zone.readings.length),
      label,
    ).toEqual(glazed.map(() => 1));
    expect(photos.length, label).toBe(photographed.includes(label) ? 1 : 0);
  }
  const fateOf = (label: string) => pieces.find((piece) => piece.label === label)!.fate;
  expect([fateOf(theirs[0]!), fateOf(theirs[1]!)].sort()).toEqual(['give', 'keep']);
  const defects = pieces.find((piece) => piece.label === pitted)!.zones.at(-1)!.readings[0]!.defects;
  expect(defects.map((one) => one.defect).sort()).toEqual(['crazing', 'pitting']);
  await other.close();
});

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

test('a defect is put where it is pressed, worse the longer; a swipe steps to the next piece', async ({
  page,
  context,
}) => {
  await signIn(page);
  await lookThroughClosed(page);
  await page.getByRole('button', { name: /^speck/ }).tap();
  await expect(page.getByText('speck: press where it shows')).toBeVisible();
  const toTop = () => page.evaluate(() => window.scrollTo(0, 0));
  await toTop();
  const drawing = page.getByRole('article').locator('div[data-armed] svg');
  const box = (await drawing.boundingBox())!;
  await page.mouse.move(box.x + box.width / 4, box.y + box.height / 2);
  await page.mouse.down();
  await page.waitForTimeout(1200);
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^speck/ })).toContainText('spoils it');
  await expect(
    page.getByRole('group', { name: 'Place of speck' }).getByRole('button', { name: 'overlap' }),
  ).toHaveAttribute('aria-pressed', 'true');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  await toTop();
  const label = (await page.getByRole('heading', { name: /^SW-/ }).boundingBox())!;
  const devtools = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number) =>
    devtools.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x, y: label.y + label.height / 2 }],
    });
  await touch('touchStart', 330);
  for (const x of [260, 180, 90]) await touch('touchMove', x);
  await touch('touchEnd', 90);
  await expect(page.getByText(/^2 of \d+$/)).toBeVisible();
});
