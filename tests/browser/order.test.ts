import { expect, test } from '@playwright/test';
import { addKiln, allSent, choose, endPiece, fireIn, openedPiece, signIn, type } from './steps';

test('eight cups for an order: written down, loaded by their numbers, three fired again for reasons, and six are good', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await signIn(page);
  await addKiln(page, 'Order Hut');
  const name = `Waiting room ${Date.now()}`;
  await page.goto('/orders');
  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: 'Add an order' }).click();
  const form = page.getByRole('form', { name: 'New order' });
  await form.getByRole('button', { name: 'Add order' }).click();
  await expect(form).toContainText('Type a name.');
  await type(page, 'Name of the order, or who ordered', name);
  await type(page, 'How many', '8');
  await type(page, 'Until when', '');
  await page.getByLabel('Until when').fill('2027-02-01');
  await form.getByRole('button', { name: 'Add order' }).click();
  await page.getByRole('link', { name, exact: true }).click();
  await page.waitForURL(/orders\/./);
  await expect(page.getByText('0 of 8 good, 8 to make').filter({ visible: true })).toBeVisible();
  const order = new URL(page.url()).pathname;

  // All eight are one row of a sheet.
  await page.getByRole('link', { name: 'Write down the 8 to make' }).click();
  await expect(page.getByRole('combobox', { name: 'For the order' })).toHaveText(name);
  await expect(page.getByRole('combobox', { name: /row 1$/ })).toBeFocused();
  await page.waitForLoadState('networkidle');
  const cells = page.getByRole('row', { name: 'Row 1', exact: true }).getByRole('gridcell');
  await cells.nth(1).click();
  await page.keyboard.type('cup');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.type('tun');
  await page.keyboard.press('Tab');
  await page.keyboard.type('all over');
  await page.keyboard.press('Tab');
  await page.keyboard.type('limew');
  await page.keyboard.press('Tab');
  await cells.nth(8).click();
  await page.keyboard.type('8');
  await page.keyboard.press('Control+Enter');
  const numbers = page.getByRole('region', { name: 'Saved' }).getByRole('listitem').getByRole('link');
  await expect(numbers).toHaveCount(8);
  const labels = await numbers.allTextContents();
  const figures = labels.map((label) => Number(label.slice(3)));

  // One tap says what is expected of the first.
  await page.goto(`/pieces/${labels[0]}`);
  await expect(page.getByText('0 of 8 good, 8 coming')).toBeVisible();
  await page.getByRole('region', { name: 'Expected' }).getByRole('button', { name: 'runs' }).click();
  await expect(page.getByRole('button', { name: 'runs', pressed: true })).toBeVisible();

  const load = async (range: string) => {
    const field = page.getByLabel('Choose by number');
    await field.pressSequentially(range);
    await field.press('Enter');
  };
  const fire = { cone: '6', kind: 'glaze', atmosphere: 'oxidation' };
  await fireIn(page, 'Order Hut', fire, () => load(`${figures[0]}-${figures[7]}`));
  const back: string[] = [];
  for (let i = 0; i < 8; i++) {
    const label = /^SW-\d{4}/.exec((await openedPiece(page).textContent())!)![0];
    await expect(page.getByText(`For ${name}`)).toContainText('8 to decide');
    if (label === labels[0]) await expect(page.getByText('Expected: runs')).toBeVisible();
    const why = { 0: 'thin', 7: 'own words' }[i];
    if (i === 1) {
      await page.getByRole('button', { name: 'more', exact: true }).click();
      await page.getByRole('button', { name: 'warped', exact: true }).click();
    }
    const isAgain = i < 2 || i === 7;
    if (isAgain) back.push(label);
    await endPiece(page, isAgain ? 'refire' : 'first', why);
  }
  await allSent(page);
  // The last piece stays; what was asked about it is answered.
  await expect(page.getByRole('group', { name: /^Fate/ })).toBeVisible();
  await page.goto(order);
  await expect(page.getByText('5 of 8 good, 3 coming')).toBeVisible();

  // The next opening asks what became of each reason; a defect is written where it had been.
  const again = await fireIn(page, 'Order Hut', { ...fire, kind: 'refire' }, async () =>
    load(back.map((label) => Number(label.slice(3))).join(', ')),
  );
  for (let i = 0; i < 3; i++) {
    const label = /^SW-\d{4}/.exec((await openedPiece(page).textContent())!)![0];
    const [reason, outcome, fate] = [
      ['thin', 'gone', 'first'],
      ['warping', 'worse', 'second'],
      ['thumb mark at the foot', 'same', 'discard'],
    ][back.indexOf(label)]!;
    const became = page.getByRole('group', { name: `What became of ${reason}` });
    await became.getByRole('button', { name: outcome! }).click();
    await expect(became.getByRole('button', { name: outcome!, pressed: true })).toBeVisible();
    if (reason === 'warping')
      await expect(page.getByRole('button', { name: /warped/ }).first()).toContainText('spoils it');
    await endPiece(page, fate!);
  }
  await allSent(page);
  await page.goto(`${again}/summary`);
  const became = page.getByRole('listitem');
  await expect(became.filter({ hasText: 'thin: gone 1 of 1' })).toBeVisible();
  await expect(became.filter({ hasText: 'warping: worse 1 of 1' })).toBeVisible();
  await page.goto(order);
  await expect(page.getByText('6 of 8 good, 2 lost, 2 to make')).toBeVisible();
  await page.goto('/kilns/queue');
  await expect(
    page.getByRole('region', { name: 'Orders' }).getByRole('listitem').filter({ hasText: name }),
  ).toContainText('2 to make');

  // The two are made, and were fired last week: one form, and their zones stand there to be read.
  await page.goto(order);
  await page.getByRole('link', { name: 'Write down the 2 to make' }).click();
  await page.waitForURL(/sheet/);
  await page.waitForLoadState('networkidle');
  await cells.nth(8).click();
  await page.keyboard.type('2');
  await page.keyboard.press('Control+Enter');
  await expect(numbers).toHaveCount(10);
  const two = (await numbers.allTextContents()).slice(8).map((label) => Number(label.slice(3)));
  await page.goto('/kilns');
  await page.getByRole('region', { name: 'Order Hut' }).getByRole('link', { name: 'Order Hut' }).click();
  await page.getByRole('button', { name: 'A past firing' }).click();
  const past = page.getByRole('form', { name: 'Past firing' });
  await past.getByRole('button', { name: 'Write it down' }).click();
  await expect(past).toContainText('Choose a day.');
  await expect(past).toContainText('Choose a cone.');
  await past.getByLabel('Day').fill('2026-11-02');
  await choose(page, 'Kind', 'glaze');
  await choose(page, 'Cone', '6');
  await choose(page, 'Atmosphere', 'oxidation');
  await past.getByLabel('Numbers of the pieces in it').pressSequentially(`${two[0]}-${two[1]}, 99999`);
  await past.getByRole('button', { name: 'Write it down' }).click();
  await expect(past).toContainText('Not waiting for a kiln: 99999.');
  await past.getByLabel('Numbers of the pieces in it').press('Control+A');
  await page.keyboard.type(`${two[0]}-${two[1]}`);
  await past.getByRole('button', { name: 'Write it down' }).click();
  await page.waitForURL(/opening/);
  await page.getByRole('button', { name: /to the pieces/ }).click();
  for (let i = 0; i < 2; i++) await endPiece(page, 'first');
  await allSent(page);
  await page.goto(order);
  await expect(page.getByText('8 of 8 good, 2 lost')).toBeVisible();
});

test('a note for the next time comes up where the glaze is chosen, and is ticked off', async ({ page }) => {
  page.setDefaultTimeout(20_000);
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/glazes');
  await page.waitForLoadState('networkidle');
  await page
    .getByRole('link', { name: /^Guard Green/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Note for the next time' }).click();
  const words = `thin it first, ${Date.now()}`;
  await page.getByLabel('Note for the next time').pressSequentially(words);
  // A closed tab keeps what was typed.
  await page.reload();
  await expect(page.getByLabel('Note for the next time')).toHaveValue(words);
  await page.getByRole('button', { name: 'Keep note' }).click();
  const next = page.getByRole('region', { name: 'Next time' }).first();
  await expect(next).toContainText(words);
  // One about the bucket that stands there now.
  const lumps = `lumps, ${Date.now()}`;
  await page.getByRole('button', { name: 'Note on this bucket' }).click();
  await page.getByLabel('Note on this bucket').pressSequentially(lumps);
  await page.keyboard.press('Enter');
  await expect(page.getByText(lumps)).toBeVisible();
  await page.goto('/pieces/new');
  await page.waitForLoadState('networkidle');
  await expect(page.getByText(words)).toBeHidden();
  const field = page.getByRole('combobox', { name: /Add the first coat/ });
  await field.pressSequentially('Guard');
  await page.getByRole('option', { name: 'Guard Green' }).click();
  await expect(next).toContainText(`Guard Green: ${words}`);
  await expect(next).toContainText(new RegExp(`Guard Green \\S+: ${lumps}`));
  await next.getByRole('checkbox', { name: new RegExp(words) }).click();
  await expect(next.getByRole('listitem').filter({ hasText: words })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(next).toContainText(words);
});
