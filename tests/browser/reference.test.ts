import { readdirSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { readPdf } from './readPdf';
import { countScript } from './scripts';
import { choose, signIn } from './steps';

/** Addresses of everything under a folder of routes, with something in place of what varies. */
function routesIn(folder: string, address = ''): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (/^(page|route)\.tsx?$/.test(entry.name)) return [address || '/'];
    if (!entry.isDirectory() || entry.name.startsWith('[...')) return [];
    const part = entry.name.startsWith('(')
      ? ''
      : `/${entry.name.replace(/^\[.*\]$/, '01M89MWP2QTGJA84S149V40T0Z')}`;
    return routesIn(`${folder}/${entry.name}`, address + part);
  });
}

/** Script that a page loads, kB as it comes over the wire. */
async function scriptOf(page: Page, address: string): Promise<number> {
  const session = await page.context().newCDPSession(page);
  const kilobytes = await countScript(session);
  await page.goto(address);
  await page.waitForLoadState('load');
  await page.waitForTimeout(500);
  await session.detach();
  return kilobytes();
}

test('a visitor’s link shows its wall and nothing else, and ends for open pages too', async ({
  page,
  browser,
}) => {
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/wall?cone=6&atmosphere=oxidation');
  await page.getByRole('link', { name: 'Share' }).click();
  await page.getByLabel('Title for visitors').fill('Open day');
  await page.getByRole('button', { name: 'Make link' }).click();
  const address = (await page
    .getByRole('region', { name: 'The new link' })
    .getByRole('link')
    .first()
    .getAttribute('href'))!;
  await page.goto('/wall/links');
  await expect(page.getByText(address)).toHaveCount(0);

  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const visitor = await context.newPage();
  expect(await scriptOf(visitor, address)).toBeLessThan(200);
  await expect(visitor.getByRole('heading', { name: 'Open day' })).toBeVisible();
  await visitor.getByRole('link', { name: /^Limewash over Sleeper:/ }).click();
  await expect(visitor.getByRole('heading', { name: 'Limewash over Sleeper' })).toBeVisible();
  await expect(visitor.locator('main')).not.toContainText(/Okafor|Lindqvist|Adeyemi|Whiting/);
  await visitor.goto(`${address}?size=small`);
  await visitor.getByRole('link', { name: /^Sleeper over Limewash:/ }).click();
  await expect(visitor.getByRole('heading', { name: 'Sleeper over Limewash' })).toBeVisible();
  const off = await visitor.request.get(`${new URL(address).pathname}/photos/${'x'.repeat(43)}`);
  expect(off.status()).toBe(404);
  const data = await visitor.request.get(`${new URL(address).pathname}/wall`);
  const again = await visitor.request.get(`${new URL(address).pathname}/wall`, {
    headers: { 'if-none-match': data.headers().etag! },
  });
  expect([data.status(), again.status()]).toEqual([200, 304]);

  // With the link's own context in hand, no other address gives anything.
  const open: string[] = [];
  for (const path of [...routesIn('src/app/(app)/(studio)'), ...routesIn('src/app/api/v1', '/api/v1')]) {
    const answer = await visitor.request.get(path, { maxRedirects: 0 });
    // 405: what only takes writes.
    const isShut =
      [401, 405].includes(answer.status()) || (answer.headers().location ?? '').endsWith('/sign-in');
    if (!isShut) open.push(`${path} ${answer.status()}`);
  }
  expect(open).toEqual(['/api/v1/health 200']);

  await visitor.goto(address);
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Open day' })
    .getByRole('button', { name: 'End link' })
    .click();
  await expect(visitor.getByRole('heading', { name: 'This link does not work' })).toBeVisible();
  expect((await visitor.request.get(`${new URL(address).pathname}/wall`)).status()).toBe(404);
  await context.close();
});

test('a technician prints the poster on sheets, with its code, and the dictionary with its indexes', async ({
  page,
}) => {
  test.slow();
  await signIn(page);
  await page.goto('/wall?cone=6&atmosphere=oxidation');
  await page.getByRole('link', { name: 'Print' }).click();
  await choose(page, 'Size of the poster', 'A3');
  const href = await page.getByRole('link', { name: 'Make the poster' }).getAttribute('href');
  const poster = await readPdf(await (await page.request.get(href!)).body());
  // A3 across on A4 with white edges and overlap: two by two.
  expect(poster.pages).toBe(4);
  expect(poster.text).toContain('Limewash');
  expect(poster.text).toContain('row 2 of 2, column 2 of 2');
  expect(poster.codes.some((code) => code.endsWith('/wall'))).toBe(true);

  await page.getByRole('button', { name: 'Make the dictionary' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(
    page.getByText('Stopped; nothing was kept.').or(page.getByText('Open the dictionary')),
  ).toBeVisible();
  await page.getByRole('button', { name: /Make (the dictionary|it again)/ }).click();
  const book = page.getByRole('link', { name: 'Open the dictionary' });
  await expect(book).toBeVisible({ timeout: 90_000 });
  const { text, pages, links } = await readPdf(
    await (await page.request.get((await book.getAttribute('href'))!)).body(),
  );
  expect(pages).toBeGreaterThan(20);
  for (const words of ['Limewash over Sleeper', 'Index by colour', 'Index by defect', 'crazing'])
    expect(text.includes(words), words).toBe(true);
  expect(links).toContain('Limewash over Sleeper');
  expect(text.includes('Okafor')).toBe(false);
});

test('the wall is turned, switched and walked; what has no tile goes to a round, or is requested', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/wall?cone=6&atmosphere=oxidation');
  const grid = page.getByRole('grid', { name: 'Glazes over glazes' });
  await grid.getByRole('gridcell', { name: /^Limewash over Sleeper/ }).click();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('region', { name: 'Chosen cell' })).toContainText('over Sleeper');
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Larger (+)' }).click();
  await expect(grid.getByRole('gridcell', { selected: true })).toBeInViewport({ ratio: 0.5 });
  await page.getByRole('button', { name: 'Whole' }).click();
  await expect(page.getByRole('button', { name: 'Switch to' })).toHaveAttribute('aria-pressed', 'false');
  await page.keyboard.press('f');
  await expect(page.getByRole('button', { name: 'Switch to' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('f');
  await page.getByText('Grounds, order, names').click();
  await choose(page, 'In order of', 'name');
  await expect(grid.getByRole('rowheader').first()).toHaveText('Ash Tip');
  await page.getByLabel('Name this wall').fill('By name');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: 'By name' })).toBeVisible();

  // Small enough, a row is one picture; a cell of it is chosen all the same, and stands in the address.
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Smaller (−)' }).click();
  const names = await grid.getByRole('rowheader').allTextContents();
  const drawn = grid.locator('canvas').nth(2);
  const wide = (await drawn.boundingBox())!.width / names.length;
  const before = page.url();
  await drawn.click({ position: { x: 4.5 * wide, y: 5 } });
  const chosen = page.getByRole('region', { name: 'Chosen cell' }).getByRole('heading').first();
  await expect(chosen).toHaveText(`${names[4]} over ${names[2]}`);
  await expect(page).not.toHaveURL(before);
  const there = page.url();
  await page.keyboard.press('ArrowRight');
  await expect(chosen).toHaveText(`${names[5]} over ${names[2]}`);
  await expect(page).not.toHaveURL(there);
  await page.reload();
  await expect(chosen).toHaveText(`${names[5]} over ${names[2]}`);
  const wall = async (more: Record<string, string> = {}) =>
    page.request.get('/api/v1/wall', { headers: more });
  const asked = { 'if-none-match': (await wall()).headers().etag! };
  expect((await wall(asked)).status()).toBe(304);

  const gaps = grid.getByRole('gridcell', { name: /^Fogman over .*not tried/ });
  await gaps.nth(0).click();
  await page.getByRole('button', { name: 'Add to next round' }).click();
  await gaps.nth(1).click();
  await page.getByRole('button', { name: 'Add to next round' }).click();
  const words = await page.getByRole('region', { name: 'Chosen cell' }).getByRole('heading').textContent();
  await page.getByRole('button', { name: 'Request this test' }).click();
  const request = page.getByRole('form', { name: 'Request this test' });
  await expect(request.getByRole('combobox', { name: 'Cone' })).toHaveText(/\d/);
  await request.getByRole('button', { name: 'Request', exact: true }).click();
  await expect(
    page.getByText('Requested. Today will tell you when it is done, and what came.'),
  ).toBeVisible();
  expect((await wall(asked)).status()).toBe(200);
  await page.getByRole('link', { name: 'Plan the 2 of the next round' }).click();
  await expect(page.getByRole('button', { name: 'Remove test 2' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Requested tests' })).toContainText(words!.trim());
});

test('two senses are picked up and set side by side at one scale, with what differs', async ({ page }) => {
  await signIn(page, 'student', 'signal-box-three');
  await page.goto('/wall?cone=6&atmosphere=oxidation');
  await page.waitForLoadState('networkidle');
  await page.getByRole('gridcell', { name: /^Limewash over Sleeper/ }).click();
  // At once: the address of the chosen cell is not written over the way there.
  await page.getByRole('link', { name: 'Open entry' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Limewash over Sleeper');
  const senses = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /Pick up|Put back/ }) });
  const grounds = await senses
    .locator('b')
    .filter({ hasText: /^On .*, cone/ })
    .allTextContents();
  expect(new Set(grounds).size).toBeGreaterThan(1);
  const other = grounds.findIndex((ground) => ground !== grounds[0]);
  await senses.nth(other).getByRole('button', { name: 'Pick up' }).click();
  await senses.nth(0).getByRole('button', { name: 'Pick up' }).click();
  await expect(senses.nth(0).getByRole('button', { name: 'Put back' })).toBeVisible();
  const kept = page.getByRole('region', { name: 'Bench' });
  await expect(kept.getByRole('button', { name: /^Put SW-\d+ back$/ })).toHaveCount(2);
  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Compare');
  const ground = page.getByRole('row', { name: /^Ground/ }).getByRole('cell');
  const wordsOf = (text: string) => text.replace(/^On (.*), cone.*$/, '$1');
  await expect(ground).toHaveText([wordsOf(grounds[other]!), wordsOf(grounds[0]!)]);

  // Another zone of the first: said in the address, and in what came of it.
  const zones = page.getByRole('combobox', { name: /^Zone of SW-/ });
  const before = [await zones.nth(0).inputValue(), await zones.nth(1).inputValue()];
  const bare = await zones
    .nth(0)
    .locator('option')
    .filter({ hasText: /^Sleeper,/ })
    .first()
    .getAttribute('value');
  await zones.nth(0).selectOption(bare);
  await expect(page).toHaveURL(new RegExp(`zones=${bare}.*${before[1]}`));
  await expect(
    page
      .getByRole('row', { name: /^Glazes/ })
      .getByRole('cell')
      .first(),
  ).toContainText('Sleeper');
  await page.getByRole('link', { name: 'Today' }).first().click();
  await expect(kept.getByRole('button', { name: /^Put SW-\d+ back$/ })).toHaveCount(2);
});

test('an entry is made again as bowls, and the new pieces know their model', async ({ page }) => {
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/wall?cone=6&atmosphere=oxidation');
  await page.getByRole('gridcell', { name: /^Limewash over Sleeper/ }).dblclick();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Limewash over Sleeper');
  await page
    .getByRole('button', { name: /(Write a|Edit) note/ })
    .first()
    .click();
  await page.getByLabel('Teacher’s note').fill('Wait until the sheen is gone.');
  await page.getByRole('button', { name: 'Save note' }).click();
  await expect(page.getByText('Wait until the sheen is gone.').first()).toBeVisible();
  await page.getByRole('link', { name: 'Make it again' }).first().click();
  await choose(page, 'Form', 'bowl');
  await page.getByLabel('Pieces').fill('2');
  await expect(page.getByRole('table')).toContainText('Limewash, on 2 pieces');
  await page.getByRole('button', { name: 'Log these 2 pieces' }).click();
  const made = page.getByRole('status').getByRole('link').first();
  await made.click();
  await expect(page.getByRole('heading', { name: /^Made like SW-/ })).toBeVisible();
});
