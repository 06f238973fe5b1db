import { expect, test, type Browser, type Page } from '@playwright/test';
import { TOTP } from 'otpauth';
import { addCoat, choose, savedPieces } from './steps';

/** A server with an empty studio of its own. */
const EMPTY = process.env.JITEN_EMPTY;
const PASSWORD = 'a wet clay bag';
test.use({ baseURL: EMPTY ?? 'http://127.0.0.1:1' });

/** Another device, signed in as nobody. */
async function device(browser: Browser, isPhone = false): Promise<Page> {
  const context = await browser.newContext({
    baseURL: EMPTY!,
    ...(isPhone && { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }),
  });
  return context.newPage();
}

/** Opens a page and waits until it listens. */
async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForLoadState('networkidle');
}

async function signInAs(page: Page, who: string): Promise<void> {
  await open(page, '/sign-in?by=password');
  await page.getByLabel('Sign-in name').pressSequentially(who);
  await page.getByLabel('Password').pressSequentially(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('navigation', { name: 'Thumb index' }).first()).toBeAttached();
}

/** Makes an invitation, and takes it on another device. */
async function invite(page: Page, on: Page, name: string, role: string, group?: string): Promise<void> {
  await open(page, '/people?card=invite');
  await choose(page, 'Role', role);
  if (group) await choose(page, 'Group', group);
  await page.getByRole('button', { name: 'Make link' }).click();
  const link = page.getByRole('region', { name: 'The new link' }).getByRole('link');
  await open(on, new URL((await link.getAttribute('href'))!).pathname);
  await on.getByLabel('Your name').pressSequentially(name);
  await on.getByLabel('Sign-in name').pressSequentially(name.split(' ')[0]!.toLowerCase());
  await on.getByLabel(/^Password/).pressSequentially(PASSWORD);
  await on.getByRole('button', { name: 'Join' }).click();
  await expect(on.getByRole('navigation', { name: 'Thumb index' }).first()).toBeAttached();
}

/** Logs a piece with one coat, and gives its page's address. */
async function logPiece(page: Page, glaze: string): Promise<string> {
  await open(page, '/pieces/new');
  await addCoat(page, glaze);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await savedPieces(page).getByRole('link').first().click();
  await page.waitForURL(/\/pieces\/KW-/);
  await expect(page.getByText(glaze).first()).toBeVisible();
  return new URL(page.url()).pathname;
}

test('a studio moves in', async ({ page, browser }) => {
  test.skip(!EMPTY, 'needs a server with an empty studio');
  test.setTimeout(600_000);
  page.setDefaultTimeout(30_000);
  const steps = page.getByRole('region', { name: 'First steps' });

  await test.step('the first technician, and the studio in Fahrenheit and inches', async () => {
    await open(page, '/');
    await page.getByLabel('Your name').pressSequentially('Ines Marlow');
    await page.getByLabel('Sign-in name').pressSequentially('ines');
    await page.getByLabel(/^Password/).pressSequentially(PASSWORD);
    await page.getByLabel(/Letters before/).pressSequentially('kw');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(steps).toContainText('0 of 6 done');
    await steps.getByRole('link', { name: 'Set up the studio' }).click();
    await page.getByLabel('Name of the studio').pressSequentially('Kiln Wharf');
    // The zone of the browser that moved in is there; another is found by typing.
    const zone = page.getByRole('combobox', { name: 'Time zone' });
    await expect(zone).not.toHaveValue('');
    await zone.fill('denver');
    await page.getByRole('option', { name: 'America/Denver' }).click();
    await choose(page, 'Dates and times', 'Nov 24, 2026, 6:05 PM');
    await choose(page, 'Temperature', '°F');
    await choose(page, 'Length', 'inches');
    await choose(page, 'Volume', 'US gallons');
    await page.getByRole('button', { name: 'Save', exact: true }).first().click();
    await expect(page.getByRole('form', { name: 'Studio' }).getByRole('status')).toHaveText('Saved.');
    await open(page, '/');
    await expect(steps).toContainText('1 of 6 done');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^\w+, \w+ \d+$/);
  });

  await test.step('a screen says what it is for, the first time', async () => {
    const hint = page.getByRole('complementary', { name: 'Hint' });
    await open(page, '/wall');
    await expect(hint).toContainText('Base glazes down');
    await hint.getByRole('button', { name: 'Close' }).click();
    await expect(hint).toBeHidden();
    await open(page, '/wall');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(hint).toBeHidden();
    await open(page, '/clays');
    await hint.getByRole('button', { name: 'No more hints' }).click();
    await expect(hint).toBeHidden();
    await open(page, '/kilns');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Kilns');
    await expect(hint).toBeHidden();
  });

  await test.step('tests of rounds are numbered for themselves', async () => {
    await open(page, '/studio');
    await page.getByRole('button', { name: 'Add a series' }).click();
    const series = page.getByRole('form', { name: 'New series' });
    await series.getByLabel('Letters').pressSequentially('KW');
    await series.getByRole('button', { name: 'Add this series' }).click();
    await expect(series).toContainText('There is a series KW already.');
    await series.getByLabel('Letters').fill('');
    await series.getByLabel('Letters').pressSequentially('tt');
    await choose(page, 'For', 'tests of rounds', series);
    await series.getByRole('button', { name: 'Add this series' }).click();
    await expect(page.getByRole('form', { name: 'Series TT' })).toBeVisible();
  });

  await test.step('two kilns, four clays and twelve glazes', async () => {
    for (const [name, size, heat] of [
      ['Number One', 'top loader, 6.7 cu ft', 'electric'],
      ['The Barge', 'large front loader, 17.7 cu ft', 'gas'],
    ] as const) {
      await open(page, '/kilns?at=new');
      const kiln = page.getByRole('form', { name: 'Kiln' });
      await kiln.getByLabel('Name', { exact: true }).pressSequentially(name);
      await choose(page, 'Heat', heat);
      await choose(page, 'Size', size);
      await kiln.getByRole('button', { name: 'Add this kiln' }).click();
      await expect(page.getByRole('region', { name })).toBeVisible();
    }
    await open(page, '/');
    await steps.getByRole('link', { name: 'Add clays' }).click();
    await page.getByLabel('One clay a line').pressSequentially('Buffer White\nCutting Red\nbuffer white\n');
    await page.getByLabel('One clay a line').pressSequentially('- Tunnel Black\n4. Viaduct Porcelain');
    await page.getByRole('button', { name: 'Add 4 clays' }).click();
    await expect(page.getByText('4 clays added.')).toBeVisible();
    await open(page, '/glazes?add=several');
    const names = ['Lamp Clear', 'Limewash', 'Guard Green', 'Sleeper', 'Ballast', 'Ash Tip'];
    const more = ['Chalk Cut', 'Slate Bank', 'Rust Yard', 'Kettle Blue', 'Lantern', 'Fogman'];
    await page.getByLabel('One glaze a line').fill([...names, ...more].join('\n'));
    await page.getByRole('button', { name: 'Add 12 glazes' }).click();
    await expect(page.getByText('12 glazes added.')).toBeVisible();
    // Typed again, they are there already.
    await page.getByLabel('One glaze a line').fill('sleeper');
    await expect(page.getByText('Already here: sleeper')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Add', exact: true })).toBeDisabled();
    await page.getByLabel('One glaze a line').fill('');
    await open(page, '/');
    await expect(steps).toContainText('4 of 6 done');
  });

  const [teacher, student, other] = [
    await device(browser),
    await device(browser, true),
    await device(browser),
  ];
  await test.step('three people by invitation, a group with a day', async () => {
    await invite(page, teacher, 'Tomas Reed', 'teacher');
    await open(page, '/people?card=group');
    await page.getByLabel('Name', { exact: true }).pressSequentially('Tuesday class');
    await choose(page, 'Teacher', 'Tomas Reed');
    await page.getByLabel('Pieces are to be fired by').fill('2020-01-31');
    await page.getByRole('button', { name: 'Add this group' }).click();
    await expect(page.getByRole('region', { name: 'Groups' })).toContainText('fired by Jan 31, 2020');
    await invite(page, student, 'Wren Lowe', 'student', 'Tuesday class');
    await invite(page, other, 'Kit Maro', 'student');
  });

  let wrens = '';
  await test.step('a student changes own pieces only; the teacher those of the group', async () => {
    await open(student, '/pieces/new');
    // Nobody chose a clay yet: none is taken for granted.
    await student.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(student.getByText('Choose a clay.')).toBeVisible();
    // Said where it can be seen, though Save stands at the foot of a long page.
    await expect(student.getByText('Not saved: one thing is missing or wrong.')).toBeInViewport();
    await choose(student, 'Clay', 'Cutting Red');
    await expect(student.getByRole('textbox', { name: 'Height, in' })).toHaveValue('3.94');
    await addCoat(student, 'Sleeper');
    await student.getByRole('button', { name: 'Save', exact: true }).click();
    const number = savedPieces(student).getByRole('link').first();
    await expect(number).toBeInViewport();
    await number.click();
    await expect(student.getByRole('link', { name: 'Correct' })).toBeVisible();
    wrens = new URL(student.url()).pathname;
    expect(wrens).toBe('/pieces/KW-0001');
    await open(other, wrens);
    await expect(other.getByRole('link', { name: 'Make it again' })).toBeVisible();
    await expect(other.getByRole('link', { name: 'Correct' })).toBeHidden();
    await open(teacher, wrens);
    await expect(teacher.getByRole('link', { name: 'Correct' })).toBeVisible();
    await open(other, '/pieces/new');
    await choose(other, 'Clay', 'Tunnel Black');
    const kits = await logPiece(other, 'Limewash');
    // The next piece starts on the clay of the last.
    await open(other, '/pieces/new');
    await expect(other.getByRole('combobox', { name: 'Clay' })).toHaveText('Tunnel Black');
    await open(teacher, kits);
    await expect(teacher.getByRole('link', { name: 'Correct' })).toBeHidden();
    await open(student, '/people');
    await expect(student.getByRole('heading', { name: 'Page not found' })).toBeVisible();
  });

  await test.step('the group sees what waits, and that its day has passed', async () => {
    await open(teacher, '/people');
    await teacher.getByRole('link', { name: 'Tuesday class' }).first().click();
    const kiln = teacher.getByRole('region', { name: 'For the kiln' });
    await expect(kiln).toContainText('1 piece');
    await expect(kiln).toContainText('too late for Jan 31, 2020');
    await expect(teacher.getByRole('region', { name: 'Pieces' })).toContainText('Wren Lowe');
    await expect(teacher.getByRole('region', { name: 'Pieces' })).not.toContainText('Kit Maro');
  });

  await test.step('a shared tablet with PINs', async () => {
    const tablet = await device(browser);
    await signInAs(tablet, 'ines');
    await open(tablet, '/studio');
    await tablet.getByLabel(/^Name, such as/).pressSequentially('Tablet by the sink');
    await tablet.getByRole('button', { name: 'Share this device' }).click();
    await expect(tablet.getByText('Tablet by the sink')).toBeVisible();
    await open(student, '/account');
    const pin = student.getByRole('region', { name: 'PIN' });
    await pin.getByRole('textbox', { name: 'PIN' }).pressSequentially('1234');
    await pin.getByLabel('Your password').pressSequentially(PASSWORD);
    await pin.getByRole('button', { name: 'Save PIN' }).click();
    await expect(pin.getByText('This PIN is tried first.')).toBeVisible();
    await pin.getByRole('textbox', { name: 'PIN' }).fill('');
    await pin.getByRole('textbox', { name: 'PIN' }).pressSequentially('4719');
    await pin.getByRole('button', { name: 'Save PIN' }).click();
    await expect(pin.getByRole('status')).toHaveText(/Saved/);
    await tablet.getByRole('button', { name: 'Ines' }).click();
    await tablet.getByRole('menuitem', { name: 'Sign out' }).click();
    await expect(tablet.getByRole('heading', { name: 'Kiln Wharf' })).toBeVisible();
    const tapPin = async (figures: string) => {
      for (const figure of figures) await tablet.getByRole('button', { name: figure, exact: true }).click();
      await tablet.getByRole('button', { name: 'Sign in', exact: true }).click();
    };
    await tablet.getByRole('button', { name: 'Wren Lowe' }).click();
    await tapPin('4710');
    await expect(tablet.getByText('4 tries are left')).toBeVisible();
    await tapPin('4719');
    await expect(tablet.getByRole('button', { name: 'Wren' })).toBeVisible();
    const piece = await logPiece(tablet, 'Guard Green');
    await expect(tablet.getByText('made by Wren Lowe')).toBeVisible();
    for (const closed of ['/account', '/studio', '/people']) {
      await open(tablet, closed);
      await expect(tablet.getByRole('heading', { name: 'Page not found' })).toBeVisible();
    }
    // What was typed is there when its writer comes back.
    await open(tablet, '/pieces/new');
    await tablet.getByLabel('Note').pressSequentially('handle cracked a little');
    await tablet.waitForTimeout(600);
    await tablet.getByRole('button', { name: 'Wren' }).click();
    await tablet.getByRole('menuitem', { name: 'Back to the names' }).click();
    await tablet.getByRole('button', { name: 'Wren Lowe' }).click();
    await tablet.keyboard.type('4719');
    await tablet.keyboard.press('Enter');
    await expect(tablet.getByRole('button', { name: 'Wren' })).toBeVisible();
    await open(tablet, '/pieces/new');
    await expect(tablet.getByLabel('Note')).toHaveValue('handle cracked a little');
    expect(piece).toMatch(/KW-0003$/);
  });

  await test.step('who changed what, and back again', async () => {
    await open(page, '/glazes');
    await page.getByRole('link', { name: 'Sleeper' }).click();
    await page.getByText('Edit details').click();
    await page.getByLabel('Advice at the bucket').pressSequentially('Stir well.');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Stir well.').first()).toBeVisible();
    await page.getByRole('link', { name: 'Who changed what' }).click();
    const change = page.getByRole('listitem').filter({ hasText: 'advice' });
    await expect(change).toContainText('Ines Marlow changed glaze Sleeper');
    await change.getByRole('button', { name: 'Put back' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'advice' })).toHaveCount(2);
    await open(page, '/glazes');
    await expect(page.getByText('Stir well.')).toBeHidden();
  });

  await test.step('a second factor that the studio asks of technicians', async () => {
    await open(page, '/studio');
    await page.getByLabel('Technicians need a second factor').click();
    await page.getByRole('button', { name: 'Save', exact: true }).first().click();
    // The technician has none yet, and is led to where it is set up.
    await page.waitForURL('/account');
    await open(page, '/wall');
    await expect(page.getByText('asks its technicians for a second factor')).toBeVisible();
    const factor = page.getByRole('region', { name: 'Second factor' });
    await factor.getByLabel('Your password').pressSequentially(PASSWORD);
    await factor.getByRole('button', { name: 'Set it up' }).click();
    const secret = (await factor.locator('b.figures').textContent())!.replace(/\s/g, '');
    await factor.getByRole('textbox', { name: 'Code' }).pressSequentially(new TOTP({ secret }).generate());
    await factor.getByRole('button', { name: 'Use it' }).click();
    await factor.getByRole('button', { name: 'I have saved them' }).click();
    await open(page, '/wall');
    await expect(page).toHaveURL(/\/wall/);
    await open(teacher, '/wall');
    await expect(teacher).toHaveURL(/\/wall/);
  });
});
