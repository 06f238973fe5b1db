import { expect, test, type Browser, type Page } from '@playwright/test';
import { TOTP } from 'otpauth';
import { choose, savedPieces, signIn } from './steps';

/** Another device, signed in as nobody. */
async function device(browser: Browser, isPhone = false): Promise<Page> {
  const context = await browser.newContext(
    isPhone ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } : {},
  );
  return context.newPage();
}

/** The link that a card just made, to be opened on another device. */
async function newLink(page: Page): Promise<string> {
  const link = page.getByRole('region', { name: 'The new link' }).getByRole('link');
  const address = await link.getAttribute('href');
  return new URL(address!).pathname;
}

async function join(page: Page, link: string, name: string, signInName: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Sign-in name').pressSequentially(signInName);
  await page.getByLabel(/^Password/).pressSequentially('a wet clay bag');
  await page.getByRole('button', { name: 'Join' }).click();
  await expect(page.getByRole('navigation', { name: 'Thumb index' }).first()).toBeAttached();
}

test('a technician makes a group and invites into it; a student joins on a phone and changes own pieces only', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await page.getByRole('button', { name: 'Maren' }).click();
  await page.getByRole('menuitem', { name: 'People' }).click();
  await page.getByRole('link', { name: 'New group' }).click();
  await page
    .getByRole('form', { name: 'New group' })
    .getByLabel('Name', { exact: true })
    .pressSequentially('Tuesday class');
  await choose(page, 'Teacher', 'Tomas Lindqvist');
  await page.getByRole('button', { name: 'Add this group' }).click();
  await expect(page.getByRole('region', { name: 'Groups' })).toContainText('Tuesday class');

  await page.getByRole('link', { name: 'Add a maker' }).click();
  await page
    .getByRole('form', { name: 'Add a maker' })
    .getByLabel('Name', { exact: true })
    .pressSequentially('Sol');
  await choose(page, 'Group', 'Tuesday class');
  await page.getByRole('button', { name: 'Add this maker' }).click();
  const list = page.getByRole('table', { name: 'People' });
  await expect(list.getByRole('row').filter({ hasText: 'Sol' })).toContainText('maker');

  await page.getByRole('link', { name: 'Invite', exact: true }).click();
  await expect(page.getByRole('form', { name: 'Invite' })).toBeVisible();
  await choose(page, 'Group', 'Tuesday class');
  await page.getByRole('button', { name: 'Make link' }).click();
  const link = await newLink(page);
  const phone = await device(browser, true);
  await phone.goto(link);
  await phone.getByLabel('Your name').fill('Wren Lowe');
  await phone.getByLabel('Sign-in name').fill('wren');
  await phone.getByLabel(/^Password/).pressSequentially('password12');
  await phone.getByRole('button', { name: 'Join' }).click();
  await expect(phone.getByText('one of the passwords that are tried first')).toBeVisible();
  // What was typed stands, but for the password.
  await expect(phone.getByLabel('Sign-in name')).toHaveValue('wren');
  await join(phone, link, 'Wren Lowe', 'wren');

  await phone.goto('/people');
  await expect(phone.getByRole('heading', { name: 'Page not found' })).toBeVisible();
  await phone.goto('/pieces/SW-0100');
  await expect(phone.getByRole('link', { name: 'Make it again' })).toBeVisible();
  await expect(phone.getByRole('link', { name: 'Correct' })).toBeHidden();

  // The teacher of the group writes down what the maker made, and reaches the group's pieces, no others.
  const teacher = await device(browser);
  await signIn(teacher, 'teacher', 'signal-box-two');
  await teacher.goto('/people');
  await expect(teacher.getByRole('table', { name: 'People' })).toContainText('Wren Lowe');
  await expect(teacher.getByRole('table', { name: 'People' })).not.toContainText('Bashir Novak');
  await teacher.goto('/pieces/new');
  await choose(teacher, 'Maker', 'Sol');
  await teacher.getByRole('button', { name: 'Save', exact: true }).click();
  await savedPieces(teacher).getByRole('link').first().click();
  await expect(teacher.getByText('made by Sol')).toBeVisible();
  const piece = new URL(teacher.url()).pathname;
  await expect(teacher.getByRole('link', { name: 'Correct' })).toBeVisible();
  await teacher.goto('/pieces/SW-0100');
  await expect(teacher.getByRole('link', { name: 'Correct' })).toBeHidden();

  // The maker gets a sign-in and has the piece.
  await page.goto('/people');
  await page.getByRole('link', { name: 'Sol', exact: true }).click();
  await page.getByRole('link', { name: 'Invite Sol' }).click();
  await page.getByRole('button', { name: 'Make link' }).click();
  const own = await device(browser);
  await join(own, await newLink(page), 'Sol Amaro', 'sol');
  await own.goto(piece);
  await expect(own.getByText('made by Sol Amaro')).toBeVisible();
  await expect(own.getByRole('link', { name: 'Correct' })).toBeVisible();
  await own.goto(link.replace(/.$/, (last) => (last === '0' ? '1' : '0')));
  await expect(own.getByRole('heading', { name: 'This invitation no longer works' })).toBeVisible();

  // Two pieces of somebody else are for the group: they stand in its list until that is taken back.
  await page.goto('/pieces?sort=number&order=asc');
  await page.waitForLoadState('networkidle');
  const boxes = page.getByRole('checkbox', { name: /^Choose SW-/ });
  for (const i of [0, 1]) await boxes.nth(i).click();
  await choose(page, 'For the group', 'Tuesday class', page.getByRole('region', { name: 'Chosen pieces' }));
  await expect(page.getByText('2 for Tuesday class')).toBeVisible();
  const [first] = await page.getByRole('link', { name: /^SW-\d{4}$/ }).allTextContents();
  await page.goto(`/pieces/${first}`);
  await expect(page.getByText('; for Tuesday class')).toBeVisible();

  // The group is ended; what it taught stands.
  await page.goto('/people');
  await page.getByRole('region', { name: 'Groups' }).getByRole('link', { name: 'Change' }).click();
  await page.getByRole('button', { name: 'End the group' }).click();
  await expect(page.getByRole('region', { name: 'Groups' })).toContainText('ended');
});

test('a forgotten password, a second factor, and a lost phone', async ({ page, browser }) => {
  await signIn(page);
  await page.goto('/people?card=invite');
  await page.getByRole('button', { name: 'Make link' }).click();
  const member = await device(browser);
  await join(member, await newLink(page), 'Kit Maro', 'kit');

  await page.getByRole('link', { name: 'Kit Maro' }).click();
  await page.getByRole('button', { name: 'Link to a new password' }).click();
  const link = await newLink(page);
  await member.goto('/account');
  const other = await device(browser);
  await other.goto(link);
  await other.getByLabel(/^New password/).pressSequentially('a drier clay bag');
  await other.getByRole('button', { name: 'Set it and sign in' }).click();
  await expect(other.getByRole('navigation', { name: 'Thumb index' }).first()).toBeAttached();
  await member.reload();
  await expect(member.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await member.goto(link);
  await expect(member.getByRole('heading', { name: 'This link no longer works' })).toBeVisible();

  await other.goto('/account');
  const factor = other.getByRole('region', { name: 'Second factor' });
  await factor.getByLabel('Your password').fill('a wet clay bag');
  await factor.getByRole('button', { name: 'Set it up' }).click();
  await expect(factor.getByText('This is not your password.')).toBeVisible();
  await factor.getByLabel('Your password').fill('a drier clay bag');
  await factor.getByRole('button', { name: 'Set it up' }).click();
  const secret = (await factor.locator('b.figures').textContent())!.replace(/\s/g, '');
  const authenticator = new TOTP({ secret });
  await factor.getByRole('textbox', { name: 'Code' }).fill('123');
  await factor.getByRole('button', { name: 'Use it' }).click();
  await expect(factor.getByText('This code is not right.')).toBeVisible();
  const code = authenticator.generate();
  await factor.getByRole('textbox', { name: 'Code' }).fill(code);
  await factor.getByRole('button', { name: 'Use it' }).click();
  const codes = factor.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem');
  await expect(codes).toHaveCount(8);
  const recovery = (await codes.first().textContent())!;
  await factor.getByRole('button', { name: 'I have saved them' }).click();
  await expect(factor).toContainText('8 recovery codes are left');

  await member.goto('/sign-in');
  await member.getByLabel('Sign-in name').fill('kit');
  await member.getByLabel('Password').fill('a drier clay bag');
  await member.getByRole('button', { name: 'Sign in' }).click();
  await member.getByRole('textbox', { name: 'Code' }).fill(code);
  await member.getByRole('button', { name: 'Sign in' }).click();
  // The code that set it up is used; the paper in the drawer helps.
  await expect(member.getByText('it was used already')).toBeVisible();
  await member.getByRole('textbox', { name: 'Code' }).fill(recovery.toUpperCase());
  await member.getByRole('button', { name: 'Sign in' }).click();
  await expect(member.getByRole('navigation', { name: 'Thumb index' }).first()).toBeAttached();

  await member.goto('/account');
  await member.getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(member.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await other.reload();
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

/** Saves the settings of the studio. */
async function saveStudio(page: Page): Promise<void> {
  const form = page.getByRole('form', { name: 'Studio' });
  await form.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(form.getByRole('status')).toHaveText('Saved.');
}

test('units are chosen with the member and the studio, and a field takes any other', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await page.goto('/studio');
  await page.getByLabel('Name of the studio').pressSequentially('Signal Works');
  await choose(page, 'Length', 'inches');
  await choose(page, 'Temperature', '°F');
  await saveStudio(page);
  const student = await device(browser, true);
  await student.goto('/sign-in');
  await expect(student.getByRole('heading', { name: 'Sign in: Signal Works' })).toBeVisible();
  await signIn(student, 'student', 'signal-box-three');
  await student.goto('/pieces/new');
  // It starts as the student's last piece, whatever that was.
  await student.waitForLoadState('networkidle');
  await student.getByRole('radio', { name: 'tile', exact: true }).click();
  const height = student.getByRole('textbox', { name: 'Height, in' });
  await height.fill('');
  await height.pressSequentially('11,43 cm');
  await expect(student.getByText('= 4.50 in')).toBeVisible();
  await height.fill('4 1/2');
  await student.getByRole('textbox', { name: 'Width, in' }).fill('3.5 kg');
  await expect(student.getByText('“kg” is a weight, not a length.')).toBeVisible();
  await student.getByRole('textbox', { name: 'Width, in' }).fill('3');
  await student.getByRole('button', { name: 'Save', exact: true }).click();
  await savedPieces(student).getByRole('link').first().click();
  await expect(student.getByText('tile, 4.50 in × 3 in')).toBeVisible();

  // A choice of one's own goes before the studio's, on every device.
  await student.goto('/account');
  const units = student.getByRole('region', { name: 'Units' });
  await units.getByRole('button', { name: 'cm and mm' }).click();
  await expect(units.getByRole('button', { name: 'cm and mm' })).toHaveAttribute('aria-pressed', 'true');
  await expect(async () => {
    await student.reload();
    await expect(units.getByRole('button', { name: 'cm and mm' })).toHaveAttribute('aria-pressed', 'true', {
      timeout: 2000,
    });
  }).toPass();
  await student.goBack();
  await expect(student.getByText('tile, 11.4 cm × 7.6 cm')).toBeVisible();
  await page.goto('/studio');
  await choose(page, 'Length', 'cm and mm');
  await choose(page, 'Temperature', '°C');
  await page.getByLabel('Name of the studio').fill('');
  await saveStudio(page);
});
