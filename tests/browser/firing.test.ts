import { expect, test, type Page } from '@playwright/test';
import { addKiln, allSent, choose, endPiece, signIn, told } from './steps';

const CONTROLLER = `${process.env.JITEN_KILNS}/two`;

/** Plans a firing of a kiln and stays on its page. */
async function planFiring(page: Page, kiln: string, cone: string, programme: string | null): Promise<void> {
  await page.goto('/kilns');
  await page.waitForLoadState('networkidle');
  await page.getByRole('region', { name: kiln }).getByRole('button', { name: 'Plan a firing' }).click();
  const form = page.getByRole('form', { name: 'Firing' });
  await choose(page, 'Target cone', cone);
  if (programme) await choose(page, 'Programme', programme);
  await form.getByRole('button', { name: 'Plan this firing' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(kiln);
  await page.waitForLoadState('networkidle');
}

/** Turns a witness cone with the keys from flat back to a bend. */
async function turn(page: Page, cone: string, bend: number): Promise<void> {
  const slider = page.getByRole('slider', { name: `Cone ${cone}, bend`, exact: true });
  await slider.focus();
  await page.keyboard.press('End');
  for (let at = 90; at > bend; at -= 5) await page.keyboard.press('ArrowLeft');
  await expect(slider).toHaveAttribute('aria-valuenow', String(bend));
}

async function openKiln(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Open the kiln' }).click();
  await page.getByRole('button', { name: 'It is cool: open the kiln' }).click();
  const pieces = page.getByRole('button', { name: /to the pieces/ });
  const heading = page.getByRole('heading', { name: /^SW-/ });
  await expect(pieces.or(heading)).toBeVisible();
  if (await pieces.isVisible()) await pieces.click();
  await expect(heading).toBeVisible();
}

test('a round is loaded, fired by the controller, lost and found again on the way, and judged by its cones', async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  await signIn(page, 'teacher', 'signal-box-two');
  await planFiring(page, 'Number Two', '6', 'Cone 6, slow end');
  const planned = page.url();
  const round = page
    .getByRole('region', { name: 'Waiting' })
    .locator('div', { hasText: /^Round 2/ })
    .first();
  await round.getByRole('button', { name: /^All / }).click();
  await page.getByRole('button', { name: /^Spread \d+ over the shelves/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'put in.' })).toBeVisible();
  const stood = page.getByRole('region', { name: 'Shelves' }).getByRole('button', { name: /^SW-\d+, tile/ });
  await expect(stood.nth(1)).toBeVisible();
  await stood.first().focus();
  const before = await stood.first().getAttribute('style');
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => stood.first().getAttribute('style')).not.toBe(before);

  // What cools in it comes out first.
  await page.getByRole('button', { name: 'Start by controller' }).click();
  await expect(told(page)).toContainText(/Number Two \d+ is still cooling/);
  await page.goto('/kilns');
  await page
    .getByRole('region', { name: 'Number Two' })
    .getByRole('row')
    .filter({ hasText: 'cooling' })
    .getByRole('link')
    .first()
    .click();
  // Pieces that nobody placed on the map are in the kiln all the same.
  const heading = page.getByRole('heading', { name: /pieces in this kiln/ });
  const unplaced = page.getByRole('list', { name: 'Not placed on the map' }).getByRole('listitem');
  await expect(unplaced).toHaveCount(parseInt((await heading.textContent())!, 10));
  await openKiln(page);
  await page.goto(planned);
  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: 'Start by controller' }).click();
  await expect(page.getByText('firing', { exact: true }).first()).toBeVisible();
  const figure = page.getByText(/h from the start/).first();
  await expect(figure).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'lid closed' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'lid closed' })).toBeVisible();

  await request.post(`${CONTROLLER}/faults`, { data: { lostNetwork: true } });
  await expect(page.getByText('The controller does not answer.')).toBeVisible({ timeout: 30_000 });
  await request.post(`${CONTROLLER}/faults`, { data: { lostNetwork: false } });
  await expect(page.getByText('The controller does not answer.')).toHaveCount(0, { timeout: 30_000 });

  await expect(page.getByRole('heading', { name: 'Cooling' })).toBeVisible({ timeout: 120_000 });
  const log = await page.request.get(`/api/v1${new URL(page.url()).pathname}/log`);
  const { log: kept } = await log.json();
  expect(kept.gaps).toEqual([]);
  expect(kept.coneIndex).toBeGreaterThan(5.5);

  await page.waitForLoadState('networkidle');
  await turn(page, '5', 90);
  await turn(page, '6', 50);
  await turn(page, '7', 0);
  await page.getByRole('button', { name: 'Save cones' }).click();
  await expect(page.getByTestId('result')).toContainText(/The log comes to cone .* the cones show 5\.\d/);
  await page.reload();
  await expect(page.getByTestId('result')).toContainText(/the cones show 5\.\d/);
  await expect(page.getByRole('slider', { name: 'Cone 6, bend' })).toHaveAttribute('aria-valuenow', '50');
  await openKiln(page);
});

test('a kiln without a controller is read by the hour, and says as much', async ({ page }) => {
  await signIn(page);
  await planFiring(page, 'The Stoker', '10', null);
  await page.getByRole('button', { name: /^All / }).first().click();
  await page.getByRole('button', { name: /^Put \d+ on shelf 5/ }).click();
  await expect(page.getByRole('status').filter({ hasText: /put in\.|No room/ })).toBeVisible();
  await page.getByRole('button', { name: 'Start the firing' }).click();
  const field = page.getByLabel('Temperature, °C');
  await expect(field).toBeVisible();
  await page.waitForLoadState('networkidle');
  await field.fill('1500');
  await page.getByRole('button', { name: 'Log' }).click();
  await expect(page.getByText('A temperature from −20 °C to 1450 °C.')).toBeVisible();
  const events = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
  // The page of the book: a reading an hour, written down afterwards.
  const book = [20, 160, 320, 470, 620, 770, 920, 1060, 1180, 1232, 1282];
  await field.fill('');
  for (const [hour, celsius] of book.entries()) {
    // Typed behind whatever stands there: a logged reading must leave the field empty.
    await field.pressSequentially(String(celsius));
    await page.getByLabel('At, hours from the start').fill(`${hour}:00`);
    await page.getByRole('button', { name: 'Log' }).click();
    await expect(events).toHaveCount(hour + 1);
  }
  await expect(events.first()).toContainText('1282 °C');
  await page.getByRole('button', { name: 'Show °F' }).click();
  await expect(events.first()).toContainText('2340 °F');
  const inFahrenheit = page.getByLabel('Temperature, °F');
  await inFahrenheit.pressSequentially('2335');
  await expect(inFahrenheit).toHaveValue('2335');
  await inFahrenheit.fill('');
  await page.getByRole('button', { name: 'Show °C' }).click();
  await page.getByRole('button', { name: 'damper' }).click();
  await page.getByLabel('damper, % open').fill('40');
  await page.getByRole('button', { name: 'Log' }).click();
  await expect(events.filter({ hasText: 'damper 40 %' })).toBeVisible();
  await page.getByRole('button', { name: 'reduction starts' }).click();
  await page.getByRole('button', { name: 'medium', exact: true }).click();
  await expect(events).toHaveCount(13);
  await events.filter({ hasText: 'reduction starts' }).getByRole('button', { name: 'delete' }).click();
  await expect(events).toHaveCount(12);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(events).toHaveCount(13);

  await page.getByRole('button', { name: 'The firing has ended' }).click();
  await expect(page.getByRole('heading', { name: 'Cooling' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  await expect(page.getByText(/The log comes to cone (9|10)/)).toBeVisible();
  await turn(page, '10', 45);
  await page.getByRole('button', { name: 'Save cones' }).click();
  await expect(page.getByTestId('result')).toContainText(/The log comes to cone .* the cones show 9\.\d/);
  await openKiln(page);
});

test('a log file is brought in with its columns guessed; lines that cannot be read are named', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/kilns');
  const cooling = page.getByRole('row').filter({ hasText: 'closed' }).first();
  await cooling.getByRole('link').first().click();
  await page.waitForLoadState('networkidle');
  const rows = Array.from({ length: 12 }, (_, i) => `${i}:00,${20 + i * 108}`);
  await page.locator('input[aria-label="Log file"]').setInputFiles({
    name: 'book.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['elapsed,temperature C', ...rows, '12:00,hot', ''].join('\n')),
  });
  await expect(page.getByText('line 14: “hot” is no temperature')).toBeVisible();
  await choose(page, 'Degrees are', '°F');
  await page.getByRole('button', { name: 'Import these 12 readings' }).click();
  await expect(page.getByRole('button', { name: 'Another file' })).toHaveCount(0);
});

test('what waits is set against what is planned; a firing is moved, and the calendar taken out', async ({
  page,
}) => {
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/kilns/queue');
  await page.waitForLoadState('networkidle');
  const bar = page.getByRole('link', { name: /^Number Two \d+, cone 6, loading/ }).first();
  const before = await bar.getAttribute('aria-label');
  await bar.focus();
  await page.keyboard.press('PageDown');
  await expect.poll(() => bar.getAttribute('aria-label')).not.toBe(before);
  // Dragged by mouse it moves and is not followed; clicked it is.
  const later = await bar.getAttribute('aria-label');
  const { x, y, height } = (await bar.boundingBox())!;
  await page.mouse.move(x + 12, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + 60, y + height / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(() => bar.getAttribute('aria-label')).not.toBe(later);
  await expect(page).toHaveURL(/queue$/);
  await bar.click();
  await expect(page).toHaveURL(/\/firings\//);
  const file = await (await page.request.get('/api/v1/calendar.ics')).text();
  expect(file).toMatch(/^BEGIN:VCALENDAR/);
  expect(file).toMatch(/SUMMARY:Number Two \d+ fires: glaze/);
  expect((await page.request.get('/api/v1/calendar.ics?token=guessed')).status()).toBe(401);
});

test('pieces that wait are chosen by their numbers, and with Shift all between two', async ({ page }) => {
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/kilns');
  const loading = page.getByRole('row').filter({ hasText: 'loading' }).first();
  await page.goto((await loading.getByRole('link', { name: /^\d+$/ }).getAttribute('href'))!);
  await page.waitForLoadState('networkidle');
  const boxes = page.getByRole('region', { name: 'Waiting' }).getByRole('checkbox');
  await expect(boxes.nth(3)).toBeAttached();
  const number = Number((await boxes.first().getAttribute('aria-label'))!.split('-')[1]);
  const byNumber = page.getByLabel('Choose by number');
  await byNumber.pressSequentially(`${number}, 99999, x`);
  await byNumber.press('Enter');
  await expect(page.getByText('1 chosen; not waiting: 99999; no number: x')).toBeVisible();
  await expect(boxes.first()).toBeChecked();
  await boxes.nth(1).click();
  await boxes.nth(3).click({ modifiers: ['Shift'] });
  for (const i of [0, 1, 2, 3]) await expect(boxes.nth(i)).toBeChecked();
  await expect(page.getByRole('button', { name: 'Spread 4 over the shelves' })).toBeVisible();
});

test('a raku firing has no cone: it goes by degrees or by eye, and its pieces are filed as raku', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await signIn(page);
  await page.goto('/pieces/sheet');
  await page.waitForLoadState('networkidle');
  await page.getByRole('row', { name: 'Row 1', exact: true }).getByRole('gridcell').nth(1).click();
  for (const word of ['cup', '', 'buff', 'all over', 'limew']) {
    if (word) await page.keyboard.type(word);
    await page.keyboard.press('Tab');
  }
  await page.keyboard.press('Control+Enter');
  const saved = page.getByRole('region', { name: 'Saved' }).getByRole('listitem').getByRole('link');
  await expect(saved).toHaveCount(1);
  const label = (await saved.textContent())!;

  await addKiln(page, 'Yard Drum');
  await page.getByRole('region', { name: 'Yard Drum' }).getByRole('link', { name: 'Yard Drum' }).click();
  await page.getByRole('button', { name: 'A past firing' }).click();
  const past = page.getByRole('form', { name: 'Past firing' });
  const degrees = past.getByLabel('Up to (blank: by eye), °C');
  await past.getByLabel('Day').fill('2026-11-03');
  await choose(page, 'Kind', 'glaze');
  await choose(page, 'Cone', '6');
  await expect(degrees).toHaveCount(0);
  await choose(page, 'Cone', 'raku');
  await degrees.pressSequentially('10');
  await choose(page, 'Atmosphere', 'reduction');
  await past.getByLabel('Numbers of the pieces in it').pressSequentially(label.slice(3));
  await past.getByRole('button', { name: 'Write it down' }).click();
  await expect(past).toContainText('A temperature from 100 °C to 1450 °C.');
  await degrees.press('Control+A');
  await page.keyboard.type('1000');
  await past.getByRole('button', { name: 'Write it down' }).click();
  // There are no cones to be read before the pieces.
  await page.waitForURL(/opening/);
  await endPiece(page, 'keep');
  await allSent(page);
  await page.goto(`/pieces/${label}`);
  await expect(page.getByText(/glaze, raku,/)).toBeVisible();
  await page.getByRole('link', { name: /^Yard Drum \d/ }).click();
  await expect(page.getByText('glaze, raku, to 1000 °C')).toBeVisible();
  await expect(page.getByText('No temperature was read.')).toBeVisible();
  await expect(page.getByText(/witness cones/i)).toHaveCount(0);
});
