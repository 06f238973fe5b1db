import { expect, test } from '@playwright/test';
import { readPdf } from './readPdf';
import { choose, signIn } from './steps';

test('a technician plans the crazing ladder with twins and a control, prints sheet and labels, and sees it on Today', async ({
  page,
}) => {
  await signIn(page);
  await page.keyboard.press('g');
  await page.keyboard.press('r');
  await expect(page).toHaveURL(/rounds$/);
  await page.getByRole('link', { name: 'Plan a round' }).click();
  await page.waitForLoadState('networkidle');
  await page.getByRole('radio', { name: 'Crazing ladder (add silica and kaolin)' }).click();
  await choose(page, 'Base glaze', 'Lamp Clear');
  await choose(page, 'Clay', 'Viaduct Porcelain');
  await page.getByLabel('Name of the round').fill('Porcelain, second ladder');
  await page.getByRole('button', { name: /^A5: / }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^A5: .*left out/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Plan 8 pieces' })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Plan 10 pieces' }).click();
  await expect(page.getByRole('heading', { name: 'Porcelain, second ladder' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^A1: Lamp Clear, control/ })).toBeVisible();
  const url = page.url();

  await page.getByRole('link', { name: 'Bench sheet' }).click();
  const cup = page.getByRole('region', { name: 'Cup A5' });
  await expect(cup.getByRole('row', { name: /all together/ })).toContainText('100.00 g');
  await expect(page.getByText('Respirable silica')).toBeVisible();
  await cup.getByRole('checkbox', { name: 'Silica is in A5' }).check();
  await page.reload();
  await expect(cup.getByRole('checkbox', { name: 'Silica is in A5' })).toBeChecked();

  const sheet = await page.request.get((await page.getByRole('link', { name: 'PDF' }).getAttribute('href'))!);
  const bench = await readPdf(await sheet.body());
  expect(bench.text).toContain('Respirator on');
  expect(bench.text).toMatch(/all together, to check/);

  await page.goto(`${url}/labels`);
  await page.waitForLoadState('networkidle');
  await page.getByLabel('Labels down').fill('2');
  const pdf = page.getByRole('link', { name: 'PDF of 10 labels' });
  const answer = await page.request.get((await pdf.getAttribute('href'))!);
  const { pages, text, codes } = await readPdf(await answer.body());
  expect(pages).toBe(2);
  expect(codes).toHaveLength(10);
  for (const code of codes) {
    const label = code.split('/').at(-1)!;
    expect(text).toContain(label);
    await page.goto(code);
    await expect(page.getByRole('heading', { level: 1 })).toContainText(label);
  }
  expect(text).toMatch(/R\d+ A5/);

  await page.goto(url);
  await page.getByRole('button', { name: 'Mark all as glazed' }).click();
  await expect(page.getByRole('button', { name: 'Mark all as glazed' })).toHaveCount(0);
  await page.goto('/');
  const rounds = page.getByRole('region', { name: 'Rounds and least certain entries' });
  await expect(rounds).toContainText('Porcelain, second ladder');
  await expect(rounds).toContainText('10 glazed');
});

test('cells the dictionary proves are shown with their photo and left out; a blend without a recipe says so', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/rounds/new');
  await page.waitForLoadState('networkidle');
  await page.getByRole('radio', { name: 'How many coats' }).click();
  await page.getByRole('combobox', { name: 'Glazes' }).fill('Lamp');
  await page.getByRole('option', { name: 'Lamp Clear' }).click();
  await page.keyboard.press('Escape');
  await choose(page, 'Clay', 'Buffer White');
  await expect(page.getByRole('button', { name: /^A1: Lamp Clear once.*agree.*left out/ })).toBeVisible();
  await page.getByRole('button', { name: /^A1: / }).click();
  await expect(page.getByRole('button', { name: /^A1: / })).toHaveAttribute('aria-pressed', 'true');

  await page.getByRole('radio', { name: 'Your own choice of tests' }).click();
  await expect(page.getByText('Add the first test.')).toBeVisible();
  await choose(page, 'Layer 1', 'Sleeper');
  await page.getByRole('button', { name: 'Add a layer above' }).click();
  await choose(page, 'Layer 2', 'Ash Tip');
  await page.getByRole('button', { name: 'Add this test' }).click();
  await expect(page.getByRole('button', { name: /^A1: Ash Tip over Sleeper/ })).toBeVisible();

  await page.getByRole('radio', { name: 'Line blend' }).click();
  await page.getByLabel('Number of tiles, including both ends').fill('2000');
  await choose(page, 'Second glaze', 'Sleeper');
  await expect(page.getByText(/2000 tests: more than 1000/)).toBeVisible();
  await page.getByLabel('Number of tiles, including both ends').fill('5');
  await expect(page.getByRole('button', { name: /^A2: 75 % Lamp Clear, 25 % Sleeper/ })).toBeVisible();
});

test('so many free places are filled with the tests most worth it, changed, accepted, and not offered again', async ({
  page,
}) => {
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/rounds/suggest?places=4');
  await page.waitForLoadState('networkidle');
  const rows = page.getByRole('main').getByRole('listitem');
  await expect(rows).toHaveCount(4);
  const first = (await rows.first().locator('b').textContent())!;
  const whole = (await rows.first().textContent())!;
  await expect(rows.first()).toContainText('no tile on this clay yet');
  await rows.nth(3).getByRole('checkbox').uncheck();
  await page.getByRole('button', { name: 'Plan these 3' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('3 gaps, cone 6');
  await expect(page.getByRole('button', { name: new RegExp(`^A1: ${first}`) })).toBeVisible();
  await page.goto('/rounds/suggest?places=4');
  await expect(rows.first()).not.toHaveText(whole);
});

test('one glaze on mugs of three clays in two firings, over a slip, stands in two parts with a sheet of what to do', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/rounds/new');
  await page.waitForLoadState('networkidle');
  await page.getByRole('radio', { name: 'The same glaze on several clays' }).click();
  await page.getByRole('combobox', { name: 'Glazes' }).pressSequentially('Slate');
  await page.getByRole('option', { name: 'Slate Bank' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('combobox', { name: 'Clays' }).click();
  for (const clay of ['Buffer White', 'Embankment Buff', 'Tunnel Black'])
    await page.getByRole('option', { name: clay, exact: true }).click();
  await page.keyboard.press('Escape');
  await choose(page, 'Form', 'mug');
  await page.getByText('Glazing: dipped, all but the foot').click();
  await page.getByRole('button', { name: 'Add a layer below' }).click();
  await choose(page, 'Layer 1', 'Whitestrip');
  await choose(page, 'Where', 'upper two thirds', page.getByRole('group', { name: 'Below, on every piece' }));
  await page.getByText('Repeat all of it').click();
  await page.getByRole('button', { name: 'Add another firing' }).click();
  await choose(page, 'Also at cone', '10');
  await choose(page, 'Also in', 'reduction');
  await expect(page.getByRole('region', { name: 'Part 2' })).toContainText('cone 10 reduction');
  await page.getByLabel('Name of the round').pressSequentially('Mugs on three clays');
  await page.getByRole('button', { name: 'Plan 12 pieces' }).click();
  await expect(page.getByRole('heading', { name: 'Mugs on three clays' })).toBeVisible();
  const parts = page.getByRole('region', { name: /^cone/ });
  await expect(parts).toHaveCount(2);
  await expect(page.getByRole('region', { name: 'What matters' })).toContainText(
    'the verdict on the clay and the firing',
  );
  await parts
    .nth(1)
    .getByRole('button', { name: /^2-A3: Slate Bank on Tunnel Black/ })
    .click();
  await expect(page.getByRole('region', { name: 'Chosen test' })).toContainText(
    'Whitestrip brushed once, upper two thirds, then Slate Bank once',
  );
  await page.getByRole('button', { name: 'Mark all as glazed' }).click();
  await page.getByRole('region', { name: 'Chosen test' }).getByRole('link').first().click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^SW-\d+$/);
  await expect(page.getByRole('main')).toContainText('Whitestrip');
  await expect(page.getByRole('main')).toContainText('mug');
  await page.goBack();
  await page.getByRole('link', { name: 'Bench sheet' }).click();
  await expect(page.getByRole('row', { name: /2-A1/ })).toContainText('for cone 10 reduction');
});
