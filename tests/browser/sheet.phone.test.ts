import { expect, test } from '@playwright/test';
import { signIn } from './steps';

/** Glazes of twelve cups, two on each. */
const GLAZES = ['Limewash', 'Sleeper', 'Kettle Blue', 'Fogman'];

test('twelve cups are logged by thumb without a network, and numbered once it is back', async ({
  page,
  context,
}) => {
  await signIn(page);
  await page.goto('/pieces/sheet');
  const cards = page.getByRole('list', { name: 'Sheet' });
  const field = (name: string) => cards.getByRole('group', { name, exact: true });
  await expect(field('Form')).toBeVisible();
  await expect(page.getByRole('img', { name: /it opens without a network/ })).toBeVisible();
  await context.setOffline(true);
  let taps = 0;
  const tap = async (of: string, name: string) => {
    const button = field(of).getByRole('button', { name, exact: true });
    const box = (await button.boundingBox())!;
    expect([name, Math.min(box.width, box.height) >= 48]).toEqual([name, true]);
    await button.tap();
    taps++;
    await expect(button).toHaveAttribute('aria-pressed', 'true');
  };
  await tap('Form', 'cup');
  await field('Pattern').getByRole('textbox').pressSequentially('liner');
  await tap('Pattern', 'liner and outside');
  for (const [i, liner] of GLAZES.entries())
    for (const [k, outside] of GLAZES.filter((one) => one !== liner).entries()) {
      for (const [of, name] of [
        ['Glaze 1', liner],
        ['Glaze 2', outside],
      ] as const) {
        const button = field(of).getByRole('button', { name, exact: true });
        if ((await button.isVisible()) && (await button.getAttribute('aria-pressed')) === 'true') continue;
        if (!(await button.isVisible()))
          await field(of).getByRole('textbox').pressSequentially(name.slice(0, 4));
        await tap(of, name);
      }
      if (i * 3 + k < 11) {
        await cards.getByRole('button', { name: 'Next piece' }).tap();
        taps++;
      }
    }
  await expect(page.getByText('12 rows, 12 pieces')).toBeVisible();
  expect(taps).toBeLessThanOrEqual(3 * 12 + 2);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Save 12 pieces' }).tap();
  await expect(page.getByText(/^12 pieces are kept on this device/)).toBeVisible();
  // The page opens again without a network, and what waits is still there.
  await page.reload();
  await expect(page.getByText(/^12 pieces are/)).toBeVisible();
  await context.setOffline(false);
  const numbers = page.getByRole('region', { name: 'Saved' }).getByRole('listitem').getByRole('link');
  await expect(numbers).toHaveCount(12, { timeout: 30_000 });
  await page.getByRole('button', { name: 'They are written' }).tap();
  await expect(numbers).toHaveCount(0);
});
