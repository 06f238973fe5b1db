import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { signIn, told } from './steps';

test('a wrong password is refused in words; signing out ends the session on the server', async ({
  page,
  context,
}) => {
  await page.goto('/pieces');
  await expect(page).toHaveURL(/sign-in/);
  await page.getByLabel('Sign-in name').fill('teacher');
  await page.getByLabel('Password').fill('not this one');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('do not go together')).toBeVisible();
  await signIn(page, 'teacher', 'signal-box-two');
  const kept = await context.cookies();
  expect(kept.find((cookie) => cookie.name === 'jiten')).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
  // What a browser keeps for use without a network goes with the session.
  await page.goto('/pieces/SW-0100');
  const names = () => page.evaluate(() => caches.keys());
  await page.evaluate(() => caches.open('jiten-pages-1').then((one) => one.put('/x', new Response('x'))));
  await expect.poll(names).toEqual(expect.arrayContaining(['jiten-pages-1']));
  await page.getByRole('button', { name: 'Tomas' }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  await expect.poll(async () => (await names()).filter((name) => !/shell/.test(name))).toEqual([]);
  // The service worker, through which the page comes, hides the header.
  expect((await page.request.get('/sign-in')).headers()['clear-site-data']).toBe('"cache"');
  await context.addCookies(kept);
  await page.goto('/');
  await expect(page).toHaveURL(/sign-in/);
});

test('guessing a password is stopped after ten tries', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByLabel('Sign-in name').fill('bashir');
  for (let i = 0; i < 11; i++) {
    await page.getByLabel('Password').fill(`guess ${i}`);
    await page.getByRole('button', { name: 'Sign in' }).click();
    // A refused try keeps the name and empties the password.
    await expect(page.getByLabel('Password')).toHaveValue('');
    await expect(page.getByLabel('Sign-in name')).toHaveValue('bashir');
  }
  await expect(page.getByText('Too many tries')).toBeVisible();
});

test('a student reads all, and may not plan a firing or change another’s piece', async ({ page }) => {
  await signIn(page, 'student', 'signal-box-three');
  await page.goto('/kilns');
  await expect(page.getByRole('heading', { name: 'Number Two' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Plan a firing' })).toHaveCount(0);
  await page.goto('/pieces/SW-0001/edit');
  await page.getByRole('textbox', { name: 'Note' }).fill('not mine');
  await page.getByRole('button', { name: 'Save correction' }).click();
  await expect(told(page)).toContainText('own pieces only');
});

test('scripts and styles need a nonce', async ({ page }) => {
  const policy = (await page.goto('/sign-in'))!.headers()['content-security-policy']!;
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'; style-src 'self' 'nonce-/);
});

const MAIN_PAGES = [
  '/',
  '/wall',
  '/pieces',
  '/pieces/new',
  '/orders',
  '/pieces/photo',
  '/pieces/sheet',
  '/kilns',
  '/clinic',
  '/glazes?add=1',
  '/glazes/materials',
  '/rounds/new',
  '/rounds/suggest',
  '/clays',
  '/find?colour=%2393b09c',
  '/wall/print',
  '/wall/links',
  '/make?piece=SW-0001',
  '/people?card=invite',
  '/account',
];

for (const scheme of ['light', 'dark'] as const)
  test(`the main pages have no accessibility errors, ${scheme}`, async ({ page }) => {
    test.slow();
    await signIn(page);
    await page.emulateMedia({ colorScheme: scheme });
    for (const path of MAIN_PAGES) {
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
        .analyze();
      expect(
        violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]?.html.slice(0, 160)}`),
        path,
      ).toEqual([]);
    }
  });
