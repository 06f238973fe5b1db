import { expect, test, type Page } from '@playwright/test';
import { addCoat, addKiln, choose, fireIn, openedPiece, signIn } from './steps';

/** Five cups alike, by one row of the sheet; gives their numbers. */
async function fiveCups(page: Page): Promise<string[]> {
  await page.goto('/pieces/sheet');
  await page.waitForLoadState('networkidle');
  const cells = page.getByRole('row', { name: 'Row 1', exact: true }).getByRole('gridcell');
  await cells.nth(1).click();
  for (const [word, tabs] of [
    ['cup', 2],
    ['tun', 1],
    ['all over', 1],
    ['limew', 1],
  ] as const) {
    await page.keyboard.type(word);
    for (let i = 0; i < tabs; i++) await page.keyboard.press('Tab');
  }
  await cells.nth(8).click();
  await page.keyboard.type('5');
  await page.keyboard.press('Control+Enter');
  const numbers = page.getByRole('region', { name: 'Saved' }).getByRole('listitem').getByRole('link');
  await expect(numbers).toHaveCount(5);
  return numbers.allTextContents();
}

test('four cups come out alike and are read as one, a fifth joins by its number, and all get one plan and one coat', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await signIn(page);
  await addKiln(page, 'Crowd Hut');
  const labels = await fiveCups(page);
  const [first, last] = [Number(labels[0]!.slice(3)), Number(labels[4]!.slice(3))];
  const fire = { cone: '6', kind: 'glaze', atmosphere: 'oxidation' };
  const address = await fireIn(page, 'Crowd Hut', fire, async () => {
    const field = page.getByLabel('Choose by number');
    await field.pressSequentially(`${first}-${last - 1}`);
    await field.press('Enter');
  });
  const label = /^SW-\d{4}/.exec((await openedPiece(page).textContent())!)![0];
  await page.getByRole('button', { name: 'gloss', exact: true }).click();
  await page
    .getByRole('group', { name: /^Fate/ })
    .getByRole('button', { name: 'second', exact: true })
    .click();
  await page.getByRole('button', { name: `The 3 others like ${label}: the same` }).click();
  await expect(page.getByText(/All 4 are recorded\./)).toBeVisible();

  // Half a number goes nowhere; a whole one that is not in the load joins it.
  await page.getByRole('button', { name: 'find by number' }).click();
  const field = page.getByLabel('Number under the foot');
  await field.pressSequentially(String(last).slice(0, -1));
  await expect(field).toHaveValue(String(last).slice(0, -1));
  await field.pressSequentially(String(last).slice(-1));
  await page.getByRole('button', { name: `${last} came out of this kiln, shelf 3` }).click();
  await expect(openedPiece(page)).toHaveText(new RegExp(`^${labels[4]}`));
  await page.getByRole('button', { name: 'gloss', exact: true }).click();
  await page.getByRole('group', { name: /^Fate/ }).getByRole('button', { name: 'keep', exact: true }).click();
  await expect(page.getByText(/All 5 are recorded\./)).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();

  // The four seconds get one plan and one more coat, each in one act.
  await page.goto(`/pieces?firing=${address.split('/').at(-1)}&sort=number&order=asc`);
  // A press that comes before the page listens ticks nothing.
  await page.waitForLoadState('networkidle');
  const row = (one: string) => page.getByRole('row').filter({ hasText: one });
  await expect(row(labels[4]!)).toContainText('keep');
  await row(labels[0]!).getByRole('checkbox').click();
  await row(labels[3]!)
    .getByRole('checkbox')
    .click({ modifiers: ['Shift'] });
  const chosen = page.getByRole('region', { name: 'Chosen pieces' });
  await expect(chosen).toContainText('4 chosen');
  await chosen.getByRole('button', { name: 'Reglaze' }).click();
  await chosen.getByRole('button', { name: 'thin', exact: true }).click();
  for (const one of labels.slice(0, 4)) await expect(row(one)).toContainText('reglaze');
  await chosen.getByRole('button', { name: 'Coat', exact: true }).click();
  await choose(page, 'Glaze', 'Lamp Clear', chosen);
  await choose(page, 'Where', 'all over', chosen);
  await chosen.getByRole('button', { name: 'Put on 4 pieces' }).click();
  for (const one of labels.slice(0, 4)) await expect(row(one)).toContainText('Lamp Clear over Limewash');
  await expect(row(labels[4]!)).not.toContainText('Lamp Clear');
  await page.getByRole('button', { name: 'Undo' }).click();
  for (const one of labels.slice(0, 4)) await expect(row(one)).not.toContainText('Lamp Clear');
  await page.goto(`/pieces/${labels[0]}`);
  await expect(page.getByText('fate reglaze').first()).toBeVisible();
});

test('a kiln that was lit two hours ago gets its readings by the keyboard and from a firing book', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await signIn(page);
  await addKiln(page, 'Book Hut');
  await page.getByRole('region', { name: 'Book Hut' }).getByRole('button', { name: 'Plan a firing' }).click();
  await choose(page, 'Kind', 'bisque');
  await choose(page, 'Target cone', '04');
  await choose(page, 'Atmosphere', 'oxidation');
  await page.getByRole('button', { name: 'Plan this firing' }).click();
  await page.waitForURL(/firings/);
  // What this kiln has not is not warned about.
  await expect(page.getByText('carbon monoxide detector on')).toBeVisible();
  await expect(page.getByText('elements')).toHaveCount(0);
  await page.getByRole('button', { name: 'It was lit earlier' }).click();
  const lit = new Date(Date.now() - 2 * 3_600_000);
  const clock = (at: Date) => at.toTimeString().slice(0, 5);
  await page.getByLabel('Lit at').fill(clock(lit));
  await page.getByRole('button', { name: 'It was lit then' }).click();
  await expect(page.getByText(/^2:0\d$/).first()).toBeVisible();

  // Reading after reading by the keyboard alone; what is only typed is not lost to the next event.
  const field = page.getByLabel('Temperature, °C');
  await field.pressSequentially('150');
  await page.keyboard.press('Enter');
  await expect(field).toHaveValue('');
  await page.keyboard.type('16');
  await page.getByRole('button', { name: 'lid propped', exact: true }).click();
  await expect(page.getByText('Typed and not logged:')).toContainText('hand reading');
  await page.getByRole('button', { name: 'a finger' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'lid propped, a finger' })).toBeVisible();
  await expect(field).toHaveValue('16');
  await page.reload();
  await expect(field).toHaveValue('16');
  await field.fill('');

  await page.getByRole('button', { name: 'Lines from a firing book' }).click();
  const book = page.getByRole('region', { name: 'Firing book' });
  const lines = [
    `${clock(lit)} 20`,
    `68 ${clock(new Date(lit.getTime() + 3_600_000))} lid closed`,
    'it rained',
  ];
  await book.getByLabel(/a line each/).pressSequentially(lines.join('\n'));
  await expect(book.getByRole('button', { name: 'Write down' })).toBeDisabled();
  await book.getByRole('button', { name: 'Times of the clock' }).click();
  await expect(book).toContainText('line 3: “it rained” has no time');
  await book.getByRole('button', { name: 'Write down 2 readings' }).click();
  await expect(
    page.getByRole('listitem').filter({ hasText: '1:00hand reading, lid closed 68' }),
  ).toBeVisible();
  await expect(book.getByLabel(/a line each/)).toHaveValue('it rained');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'hand reading' })).toHaveCount(1);
  await expect(book.getByLabel(/a line each/)).toHaveValue(lines.join('\n'));
});

test('a coat is dragged before another, and put back by its arrow', async ({ page }) => {
  page.setDefaultTimeout(20_000);
  await signIn(page);
  await page.goto('/pieces/new');
  await page.waitForLoadState('networkidle');
  for (const glaze of ['Limewash', 'Sleeper', 'Guard Green']) await addCoat(page, glaze);
  const names = () => page.locator('[aria-expanded] b').allTextContents();
  expect(await names()).toEqual(['Limewash', 'Sleeper', 'Guard Green']);
  const [from, to] = [
    await page.getByTestId('drag coat 3').boundingBox(),
    await page.getByTestId('drag coat 1').boundingBox(),
  ];
  await page.mouse.move(from!.x + 16, from!.y + 20);
  await page.mouse.down();
  await page.mouse.move(from!.x + 16, from!.y, { steps: 4 });
  await page.mouse.move(to!.x + 16, to!.y + 10, { steps: 12 });
  await page.mouse.up();
  await expect.poll(names).toEqual(['Guard Green', 'Limewash', 'Sleeper']);
  await page.getByRole('button', { name: 'Apply later' }).click();
  await expect.poll(names).toEqual(['Limewash', 'Guard Green', 'Sleeper']);
});
