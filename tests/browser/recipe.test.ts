import { expect, test } from '@playwright/test';
import { signIn } from './steps';

const CARD = [
  'Soda feldspar, typical\t42',
  'Flint\t18',
  'Whiting\t17',
  'Kaolin\t10',
  'Calcium borosilicate frit\t13',
  '+ Tin oxide\t4',
  '+ Red iron oxide\t1',
].join('\n');

test('a teacher pastes a recipe, sees why it crazes on the porcelain only, lays a ladder and prints 300 g, by keyboard', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await signIn(page, 'teacher', 'signal-box-two');
  await page.keyboard.press('g');
  await page.keyboard.press('l');
  await expect(page).toHaveURL(/glazes$/);
  await page.getByRole('link', { name: 'Add a glaze' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Name', { exact: true }).focus();
  await page.keyboard.type('Signal Lamp');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Signal Lamp', level: 1 })).toBeVisible();

  // The first line's material is the first thing to be typed into: several pasted lines open the reader.
  await page.evaluate((card) => navigator.clipboard.writeText(card), CARD);
  await page.getByRole('combobox', { name: 'Base 1, material' }).focus();
  await page.keyboard.press('Control+V');
  const understood = page.getByRole('table', { name: 'What was understood' });
  await expect(understood.getByRole('row')).toHaveCount(7);
  await expect(understood).toContainText('Silica');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Base 1, amount' })).toHaveValue('42');
  await expect(page.getByRole('textbox', { name: 'Addition 2, amount' })).toHaveValue('1');

  const fit = page.getByRole('region', { name: 'Fit' });
  // A clay by itself stands before those that it is mixed into.
  const clay = (name: string) => fit.getByRole('listitem').filter({ hasText: name }).first();
  await expect(clay('Viaduct Porcelain')).toContainText(/crazes/);
  await expect(clay('Buffer White')).toContainText(/^.*fits/);
  await clay('Viaduct Porcelain').getByText('Why', { exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(clay('Viaduct Porcelain')).toContainText(/tension of \d+ MPa/);

  const ladder = page.getByRole('table', { name: 'Crazing ladder' });
  await expect(ladder.getByRole('row')).toHaveCount(6);
  await expect(ladder.getByRole('row').nth(5)).toContainText('5.00 %');

  await page.getByRole('textbox', { name: 'Base 1, amount' }).focus();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('Saved as version 1')).toBeVisible();

  const sheet = page.getByRole('table', { name: 'Batch sheet' });
  await expect(sheet.getByRole('row', { name: /Soda feldspar/ })).toContainText('126.0');
  await expect(sheet.getByRole('row', { name: /Tin oxide/ })).toContainText('12.0');
  await expect(page.getByText('Dry total 315.0 g')).toBeVisible();
  await page.evaluate(() => (window.print = () => document.body.setAttribute('data-printed', 'yes')));
  await page.getByRole('button', { name: 'Print the batch sheet' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');

  await sheet.getByRole('checkbox', { name: /Silica/ }).check();
  await expect(page.getByText('still to weigh 261.0 g')).toBeVisible();
  await page.reload();
  await expect(sheet.getByRole('checkbox', { name: /Silica/ })).toBeChecked();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'Signal Lamp, version 1' })).toBeVisible();
  await expect(fit).toBeHidden();
});

test('a recipe typed by two letters, amount, Enter is calculated live, kept when the tab closes, and told of another’s save', async ({
  page,
  context,
}) => {
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/glazes');
  await page.getByRole('link', { name: /Points Iron/ }).click();
  await page.waitForLoadState('networkidle');
  await page.getByRole('combobox', { name: 'Base 1, material' }).focus();
  await page.keyboard.type('re');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Base 1, amount' })).toBeFocused();
  await page.keyboard.type('60');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Base 2, material' })).toBeFocused();
  await page.keyboard.type('neph');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Base 2, amount' })).toBeFocused();
  await page.keyboard.type('40');
  await expect(page.getByRole('region', { name: 'Unity formula' })).toContainText('Na2O');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Base 3, material' })).toBeFocused();
  await page.keyboard.type('Moon dust');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Base 3, amount' })).toBeFocused();
  await page.keyboard.type('1,000');
  await expect(page.getByRole('alert').filter({ hasText: 'thousands or decimals' })).toBeVisible();
  const url = page.url();
  await page.close();

  const other = await context.newPage();
  await other.goto(url);
  const amount = other.getByRole('textbox', { name: 'Base 3, amount' });
  await expect(amount).toHaveValue('1,000');
  await amount.fill('2');
  await expect(other.getByText('Not in your materials list')).toBeVisible();

  const first = await context.newPage();
  await first.goto(url);
  await first.getByRole('button', { name: 'Save recipe' }).click();
  await expect(first.getByText('Saved as version 1')).toBeVisible();
  await other.getByRole('textbox', { name: 'Base 1, amount' }).fill('55');
  await other.getByRole('button', { name: 'Save recipe' }).click();
  await expect(other.getByText('Somebody else saved this while you were writing.')).toBeVisible();
  await other.getByRole('button', { name: 'Save mine over theirs' }).click();
  await expect(other.getByText('Saved as version 2')).toBeVisible();
  const versions = other.getByRole('table', { name: 'Versions side by side' });
  await expect(versions.getByRole('columnheader')).toHaveCount(2);
});

test('a bucket is brought to its target and the measurement kept; a material of our own changes what is calculated', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/glazes');
  await page.getByRole('link', { name: /Slate Bank/ }).click();
  await page.getByLabel('Measured SG').fill('1,50');
  await expect(page.getByText(/Too thick: stir in 1\.11 l water/)).toBeVisible();
  await page.getByRole('button', { name: /^Save measurement for/ }).click();
  await expect(page.getByRole('table', { name: /^Measurements of/ })).toContainText('1.11 l water in');
  const before = await page.getByRole('region', { name: 'Expansion' }).locator('b').first().textContent();

  await page.goto('/glazes/materials?change=Whiting');
  await page.waitForLoadState('networkidle');
  const card = page.getByRole('form', { name: 'Whiting' });
  await card.getByLabel('Analysis, weight % as weighed').fill('CaO 30\nNa2O 30\nXyz 2');
  await card.getByRole('button', { name: 'Use my analysis instead' }).click();
  await expect(card).toContainText('Xyz is not a known oxide');
  await card.getByLabel('Analysis, weight % as weighed').fill('CaO 30\nNa2O 30');
  await card.getByRole('button', { name: 'Use my analysis instead' }).click();
  await expect(page.getByText(/^your own/)).toBeVisible();
  await page.goto('/glazes');
  await page.getByRole('link', { name: /Slate Bank/ }).click();
  const after = await page.getByRole('region', { name: 'Expansion' }).locator('b').first().textContent();
  expect(Number(after)).toBeGreaterThan(Number(before) + 0.5);
  await page.goto('/glazes/materials?change=Whiting');
  await page.waitForLoadState('networkidle');
  await card.getByLabel('Analysis, weight % as weighed').fill('CaO 56.03');
  await card.getByRole('button', { name: 'Save' }).click();
  await expect(page).toHaveURL(/materials$/);
});

test('a triaxial of 1891 cells is calculated in a worker while the page goes on, and is walked by keys', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/glazes/blend?steps=61');
  await expect(page.getByText('1891 cells.')).toBeVisible();
  const triangle = page.getByRole('application', { name: /Triaxial/ });
  await triangle.focus();
  await expect(page.getByRole('heading', { name: /^100 % / })).toBeVisible();
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('heading', { name: /^90 % .*, 10 % / })).toBeVisible();
});
