import { expect, test } from '@playwright/test';
import { signIn } from './steps';

test('a teacher judges a glaze beside what its tiles say; a student reads it', async ({ page, browser }) => {
  page.setDefaultTimeout(20_000);
  await signIn(page, 'teacher', 'signal-box-two');
  await page.goto('/glazes');
  await page.waitForLoadState('networkidle');
  await page
    .getByRole('link', { name: /^Limewash/ })
    .first()
    .click();
  const judged = page.getByRole('region', { name: 'Judged' });
  await expect(judged).toContainText(/Over others\d+ pieces: .*sound on \d+/);
  await expect(judged).toContainText(/1 coat: \d+ of \d+ sound/);
  await expect(judged).not.toContainText('food safe');
  await page.waitForLoadState('networkidle');
  await judged.getByRole('button', { name: /: How it dries$/ }).click();
  const words = `dries slowly over slip, ${Date.now()}`;
  const field = judged.getByRole('textbox', { name: 'How it dries' });
  await field.press('Control+A');
  await field.pressSequentially(words);
  // A closed tab keeps what was typed.
  await page.reload();
  await page.waitForLoadState('networkidle');
  await judged.getByRole('button', { name: /: How it dries$/ }).click();
  await expect(field).toHaveValue(words);
  await judged.getByRole('button', { name: 'Save' }).click();
  await expect(judged).toContainText(words);
  await expect(field).toHaveCount(0);

  // Somebody else says something meanwhile: both are shown, and none is lost.
  const other = await (await browser.newContext()).newPage();
  await signIn(other);
  await other.goto(page.url());
  await other.waitForLoadState('networkidle');
  const theirs = other.getByRole('region', { name: 'Judged' });
  for (const [one, text] of [
    [theirs, 'dries in a minute'],
    [judged, 'dries in an hour'],
  ] as const) {
    await one.getByRole('button', { name: /: How it dries$/ }).click();
    await one.getByRole('textbox', { name: 'How it dries' }).press('Control+A');
    await one.getByRole('textbox', { name: 'How it dries' }).pressSequentially(text);
    await one.getByRole('button', { name: 'Save' }).click();
    if (one === theirs) await expect(one.getByRole('textbox', { name: 'How it dries' })).toHaveCount(0);
  }
  await expect(judged).toContainText('dries in a minute');
  await judged.getByRole('button', { name: 'Save mine' }).click();
  await expect(judged.getByRole('textbox')).toHaveCount(0);
  await expect(judged.getByText('dries in an hour')).toBeVisible();
  await other.context().close();

  const student = await (await browser.newContext()).newPage();
  await signIn(student, 'student', 'signal-box-three');
  await student.goto(page.url());
  const read = student.getByRole('region', { name: 'Judged' });
  await expect(read).toContainText('dries in an hour');
  await expect(read.getByRole('button')).toHaveCount(0);
  await student.context().close();
});
