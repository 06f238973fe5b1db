import { expect, test } from '@playwright/test';
import { readPdf } from './readPdf';
import { lookThroughClosed, signIn } from './steps';

test('at a desk an opening goes by keys, and what came out can be read out, sent and printed', async ({
  page,
}) => {
  await signIn(page, 'teacher', 'signal-box-two');
  await lookThroughClosed(page);
  const pressed = (name: string) =>
    expect(page.getByRole('button', { name, exact: true }).first()).toHaveAttribute('aria-pressed', 'true');
  for (const [key, name] of [
    ['d', 'matte'],
    ['j', 'runs'],
    ['s', 'satin'],
  ] as const) {
    await page.keyboard.press(key);
    await pressed(name);
  }
  await page.keyboard.press('u');
  await pressed('matte');
  await page.keyboard.press('.');
  await page.keyboard.type('bloat');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /bloated/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('heading', { name: /^SW-/ }).click();
  await page.keyboard.press('3');
  await expect(page.getByRole('button', { name: /bloated/ })).toContainText('spoils it');
  const label = (await page.getByRole('heading', { name: /^SW-/ }).textContent())!.slice(0, 7);
  await page.keyboard.press('Shift+7');
  await expect(page.getByText(`${label}: grind`)).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  await page.getByRole('link', { name: 'What came out' }).click();
  await expect(page.getByRole('heading', { name: 'Surprises' })).toBeVisible();
  const said = page.getByRole('region', { name: 'Summary to read out' });
  await expect(said).toContainText('bloating on 1');
  const address = await page.getByRole('link', { name: 'Download PDF' }).getAttribute('href');
  const { text } = await readPdf(await (await page.request.get(address!)).body());
  expect(text).toContain('what came out');
  expect(text).toContain('bloating on 1');
  await page.goto(`/pieces/${label}`);
  await page.getByText('Report a later fault').click();
  await page.getByLabel('After how many days').fill('150');
  await page.getByRole('button', { name: 'Save later fault' }).click();
  await expect(page.getByText('after 5 months').first()).toBeVisible();
});
