import { expect, test, type Locator, type Page } from '@playwright/test';
import { readPdf } from './readPdf';
import { addCoat, choose, photo, savedPieces, signIn } from './steps';

/** A person's hand: it counts what it clicks. */
class Hand {
  clicks = 0;
  constructor(readonly page: Page) {}

  async click(what: Locator): Promise<void> {
    this.clicks++;
    await what.click();
  }

  button = (name: string | RegExp) => this.click(this.page.getByRole('button', { name }));

  /** Adds a coat by typing the start of its glaze's name. */
  async coat(glaze: string): Promise<void> {
    const field = this.page.getByRole('combobox', { name: /Add (the first coat|a coat over it)/ });
    await this.click(field);
    await field.pressSequentially(glaze.slice(0, 6));
    await field.press('Enter');
  }

  async area(name: string): Promise<Locator> {
    const field = this.page.getByRole('combobox', { name: 'Add an area' });
    await this.click(field);
    await field.pressSequentially(name);
    await field.press('Enter');
    const card = this.page.getByRole('group', { name: `Area ${name}` });
    await expect(card).toBeVisible();
    return card;
  }

  async choose(label: string, option: string, within: Page | Locator = this.page): Promise<void> {
    this.clicks += 2;
    await choose(this.page, label, option, within);
  }

  /** Draws around a spot of the piece. */
  async draw(x: number, y: number, radius: number): Promise<void> {
    const box = (await this.page.getByRole('application').boundingBox())!;
    const at = (turn: number) =>
      [
        box.x + box.width * (x + radius * Math.cos(turn)),
        box.y + box.height * (y + radius * Math.sin(turn)),
      ] as const;
    await this.page.mouse.move(...at(0));
    await this.page.mouse.down();
    for (let i = 1; i <= 20; i++) await this.page.mouse.move(...at((i / 20) * 2 * Math.PI));
    await this.page.mouse.up();
    this.clicks++;
  }
}

/** Logs one piece. @returns its number */
async function log(
  page: Page,
  { form, clicks, path = '/pieces/new' }: { form: string; clicks: number; path?: string },
  work: (hand: Hand) => Promise<void>,
): Promise<string> {
  await page.goto(path);
  await page.waitForLoadState('networkidle');
  const hand = new Hand(page);
  const card = page.getByRole('radiogroup', { name: 'Form' }).getByText(form, { exact: true });
  if (!(await card.isVisible())) await hand.button(/^All \d+ forms/);
  await hand.click(card);
  await work(hand);
  await hand.click(page.getByRole('button', { name: 'Save', exact: true }));
  const label = (await savedPieces(page).getByRole('link').first().textContent())!;
  expect(label).toMatch(/^SW-\d{4}$/);
  expect.soft(hand.clicks, form).toBeLessThanOrEqual(clicks);
  return label;
}

/** What a page says of one place of a piece: its newest firing. */
const said = (page: Page, place: RegExp) => page.getByRole('listitem').filter({ hasText: place }).first();

test('any ware: a mug, a platter, a marbled dish, a fish, a lamp with saucer and a sculpture are logged, fired and found', async ({
  page,
}) => {
  test.setTimeout(300_000);
  page.setDefaultTimeout(20_000);
  await signIn(page);

  const mug = await log(page, { form: 'mug', clicks: 12 }, async (hand) => {
    await hand.coat('Limewash');
    await hand.button('inside and outside');
    const logo = await hand.area('logo');
    await hand.click(logo.getByRole('button', { name: 'Draw it on the piece' }));
    await hand.draw(0.5, 0.5, 0.2);
    await hand.click(logo.getByRole('checkbox', { name: /Left free/ }));
    await hand.area('handle');
    await hand.coat('Sleeper');
    await hand.choose('Side', 'handle');
  });
  const platter = await log(page, { form: 'platter', clicks: 13 }, async (hand) => {
    await hand.coat('Guard Green');
    await hand.button('all over');
    await hand.coat('Sleeper');
    await hand.button('rim 3 cm');
    const motif = await hand.area('motif');
    await hand.click(motif.getByRole('button', { name: 'Draw it on the piece' }));
    await hand.draw(0.5, 0.5, 0.12);
    await hand.coat('Kettle Blue');
    await hand.choose('Side', 'motif');
  });
  const dish = await log(page, { form: 'bowl', clicks: 12 }, async (hand) => {
    await hand.button('Mixed or stained clay');
    const mix = page.getByRole('group', { name: 'Mixed or stained clay' });
    await hand.choose('Clay', 'Buffer White', mix);
    await hand.choose('And', 'Cutting Red', mix);
    await hand.button('Use this clay');
    await expect(page.getByRole('combobox', { name: 'Clay', exact: true }).first()).toHaveText(/marbled/);
    await hand.area('left half');
    await hand.coat('Lamp Clear');
    await hand.choose('Side', 'left half');
  });
  const fish = await log(page, { form: 'sculpture', clicks: 12 }, async (hand) => {
    await hand.coat('Slate Bank');
    await hand.button('all over');
    const fins = await hand.area('fins');
    await hand.click(fins.getByText('Size, clay, texture'));
    const texture = fins.getByRole('combobox', { name: 'Texture' });
    await hand.click(texture);
    await hand.click(page.getByRole('option', { name: 'combed' }));
    await texture.press('Escape');
    await hand.coat('Rust Yard');
    await hand.choose('Side', 'fins');
  });
  const lamp = await log(page, { form: 'lamp', clicks: 7 }, async (hand) => {
    await hand.coat('Limewash');
    await hand.button('outside only');
    await hand.coat('Sleeper');
    await hand.button('rim 1 cm');
  });
  await page.getByRole('link', { name: 'Another piece of the set' }).click();
  await page.waitForURL(/with=/);
  const saucer = await log(
    page,
    { form: 'saucer', clicks: 5, path: `/pieces/new?with=${lamp}` },
    async (hand) => {
      await hand.coat('Limewash');
      await hand.button('all over');
    },
  );
  const sculpture = await log(page, { form: 'sculpture', clicks: 5 }, async (hand) => {
    await hand.coat('Lamp Clear');
    await hand.button('liner');
  });

  // What the pages say of them before any firing.
  await page.goto(`/pieces/${lamp}`);
  await expect(page.getByRole('region', { name: 'Set' })).toContainText(`Set with ${saucer} (saucer)`);
  await page.goto(`/pieces/${dish}`);
  await expect(page.getByText('Buffer White and Cutting Red, marbled')).toBeVisible();
  await page.goto(`/pieces/${mug}`);
  await expect(said(page, /^logo/)).toContainText('bare');

  // One firing for all of them; a phone opens it.
  await page.goto('/kilns');
  await page.waitForLoadState('networkidle');
  const kiln = page.getByRole('region', { name: 'The Stoker' });
  await kiln.getByRole('button', { name: 'Plan a firing' }).click();
  await choose(page, 'Kind', 'glaze');
  await choose(page, 'Target cone', '6');
  await choose(page, 'Atmosphere', 'oxidation');
  await page.getByRole('button', { name: 'Plan this firing' }).click();
  await page.waitForURL(/firings/);
  const labels = [mug, platter, dish, fish, lamp, saucer, sculpture];
  for (const label of labels) await page.getByRole('checkbox', { name: label }).check();
  await page.getByRole('button', { name: /^Put \d+ on shelf/ }).click();
  await page.getByRole('button', { name: 'Start the firing' }).click();
  await page.getByRole('button', { name: 'The firing has ended' }).click();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('link', { name: 'Open the kiln' }).click();
  await page.getByRole('button', { name: 'It is cool: open the kiln' }).click();
  await page.getByRole('button', { name: /to the pieces/ }).click();
  for (let left = labels.length; left > 0; left--) {
    const heading = page.getByRole('heading', { name: /^SW-\d{4}/, level: 1 });
    const label = /^SW-\d{4}/.exec((await heading.textContent())!)![0];
    await page.getByRole('button', { name: 'gloss', exact: true }).click();
    if (label === mug) {
      // The handle by thumb, on the drawing.
      const article = page.getByRole('article', { name: label });
      const drawing = article.getByRole('img', { name: /drawn with its bands/ }).first();
      const { width, height } = (await drawing.boundingBox())!;
      await drawing.click({ position: { x: width * 0.95, y: height * 0.5 } });
      await page.getByRole('button', { name: 'satin', exact: true }).click();
    }
    if (label === fish) {
      await page.getByRole('group', { name: 'Zones' }).getByRole('button', { name: 'fins' }).click();
      await page.getByRole('button', { name: 'breaks', exact: true }).click();
    }
    await page
      .getByRole('group', { name: /^Fate/ })
      .getByRole('button', { name: 'keep', exact: true })
      .click();
    if (left > 1) await expect(heading).not.toContainText(label);
  }
  await expect(page.getByText(/(All \d+ are|The only piece is) recorded\./)).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  // The last one is only just on its way.
  await page.waitForLoadState('networkidle');
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.goto(`/pieces/${mug}`);
  await expect(said(page, /Sleeper handle/)).toContainText('satin');
  await expect(said(page, /Limewash outside|Limewash all over/)).toContainText('gloss');
  await page.goto(`/pieces/${sculpture}`);
  await expect(said(page, /inside, all over/)).toContainText('Lamp Clear');

  // Found by its texture, counted in pieces.
  await page.goto('/find');
  await page.getByRole('link', { name: 'combed', exact: true }).click();
  const found = page.getByRole('list', { name: 'Entries found' }).getByRole('listitem');
  const combed = /combed: (\d+) pieces?, breaks over the edges on \1 of \1/;
  await expect(found.filter({ hasText: 'Rust Yard' }).filter({ hasText: combed })).toHaveCount(1);

  // The lamp again, larger, its rim band as wide as it was.
  await page.goto(`/make?piece=${lamp}`);
  await page.waitForLoadState('networkidle');
  const height = page.getByLabel('Height, cm');
  await height.fill('');
  await height.pressSequentially('30');
  await page.getByRole('checkbox', { name: 'keep in cm' }).check();
  await expect(page.getByRole('table', { name: 'Coats to apply' })).toContainText('29 cm to 30 cm');
  await page.getByRole('button', { name: 'Log this piece' }).click();
  const again = (await page.getByRole('status').getByRole('link').textContent())!.trim();
  await page.goto(`/pieces/${again}`);
  await expect(said(page, /^rim/)).toContainText('Sleeper');
});

test('an area of a fired piece is drawn on its photo', async ({ page }) => {
  await signIn(page);
  await page.goto('/pieces/SW-0100');
  await page.waitForLoadState('networkidle');
  await page.getByLabel('Photo file', { exact: true }).setInputFiles(await photo());
  await expect(page.getByLabel('It shows (guessed)')).toBeVisible();
  await page.goto('/pieces/SW-0100/edit');
  await page.waitForLoadState('networkidle');
  const field = page.getByRole('combobox', { name: 'Add an area' });
  await field.click();
  await field.pressSequentially('logo');
  await field.press('Enter');
  await page.getByRole('button', { name: 'Draw it on the piece' }).click();
  await expect(page.getByRole('checkbox', { name: 'On the photo' })).toBeChecked();
  const pad = page.getByRole('application', { name: 'Draw logo' });
  const below = pad.locator('img');
  await expect.poll(() => below.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(300);
  // The tile stands in its photo as in its drawing: the picture reaches beyond the sheet on all sides.
  const [sheet, picture] = [(await pad.boundingBox())!, (await below.boundingBox())!];
  expect(picture.width).toBeGreaterThan(sheet.width);
  expect(picture.y).toBeLessThan(sheet.y);
  await page.getByRole('checkbox', { name: 'On the photo' }).uncheck();
  await expect(below).toHaveCount(0);
});

test('a coat is changed in its place; what is saved is not saved twice, and its label is printed', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/pieces/new');
  await page.waitForLoadState('networkidle');
  await page.getByRole('radiogroup', { name: 'Form' }).getByText('cup', { exact: true }).click();
  await addCoat(page, 'Limewash');
  const glaze = page.getByRole('combobox', { name: 'Glaze', exact: true });
  await glaze.click();
  await glaze.pressSequentially('Slate');
  await glaze.press('Enter');
  await page.getByRole('button', { name: /^The same on the other side/ }).click();
  // A press selects what stands in a number's field.
  const height = page.getByLabel('Height, cm');
  await height.click();
  await page.keyboard.type('8');
  await expect(height).toHaveValue('8');
  await height.fill('');
  await expect(page.locator('svg[height="NaN"]')).toHaveCount(0);
  await height.fill('8');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const saved = savedPieces(page);
  const number = (await saved.getByRole('link').first().textContent())!;
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeDisabled();
  await expect(saved.getByRole('link', { name: /^SW-/ })).toHaveText([number]);
  const label = await saved.getByRole('link', { name: 'Print label' }).getAttribute('href');
  const pdf = await readPdf(await (await page.request.get(label!)).body());
  expect(pdf.text).toContain(number);
  expect(pdf.text).toContain('Slate Bank');
  await saved.getByRole('button', { name: 'Next piece' }).click();
  await expect(saved).toHaveCount(0);
  await expect(page.getByRole('combobox', { name: 'Add the first coat' })).toBeVisible();
  await expect(height).toHaveValue('8');
});
