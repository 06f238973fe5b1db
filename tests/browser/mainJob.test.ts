import { randomBytes } from 'node:crypto';
import { expect, test } from '@playwright/test';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { addCoat, choose, photo, savedPieces, signIn, told } from './steps';

test('a tile goes from bucket to wall: bands, kiln, opening with a pinholing in the overlap, wall and entry', async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole('link', { name: 'New piece' }).click();
  await page.getByRole('radio', { name: 'tile' }).check();
  await choose(page, 'Clay', 'Buffer White');
  await addCoat(page, 'Sleeper');
  await addCoat(page, 'Limewash');
  const edge = page.getByRole('slider', { name: 'Lower edge of coat 2, Limewash' });
  await edge.focus();
  await page.keyboard.press('ArrowDown');
  await expect(edge).toHaveAttribute('aria-valuetext', '3.3 cm');
  const from = page.getByLabel('From, cm');
  await from.fill('');
  await expect(from).toHaveValue('');
  await from.pressSequentially('3,3');
  await expect(edge).toHaveAttribute('aria-valuetext', '3.3 cm');
  await expect(page.getByText('Sleeper once, then Limewash once')).toBeVisible();
  await page.keyboard.press('Control+Enter');
  const label = (await savedPieces(page).getByRole('link').first().textContent())!;
  expect(label).toMatch(/^SW-\d{4}$/);

  await page.getByRole('link', { name: 'Kilns' }).first().click();
  await page
    .getByRole('region', { name: 'Number Two' })
    .getByRole('button', { name: 'Plan a firing' })
    .click();
  await page.getByRole('button', { name: 'Plan this firing' }).click();
  await page.waitForURL(/firings/);
  await page.getByRole('checkbox', { name: label }).check();
  await page.getByRole('button', { name: /Put 1 on shelf/ }).click();
  await page.getByRole('button', { name: 'Started by hand' }).click();
  await page.getByRole('button', { name: 'The firing has ended' }).click();
  await page.getByRole('link', { name: 'Open the kiln' }).click();
  await page.getByRole('button', { name: /open the kiln/ }).click();

  await page.getByRole('button', { name: /to the pieces/ }).click();
  await page.getByRole('button', { name: /Limewash over Sleeper/ }).click();
  await page.getByRole('button', { name: 'satin', exact: true }).click();
  await page.getByRole('button', { name: 'pinholes' }).click();
  await page
    .getByRole('group', { name: 'Place of pinholes' })
    .getByRole('button', { name: 'overlap' })
    .click();
  await page.getByLabel('Photo file', { exact: true }).setInputFiles(await photo());
  await expect(page.getByRole('button', { name: 'Set up photo 1' })).toBeVisible();
  await page.getByRole('group', { name: /^Fate/ }).getByRole('button', { name: 'keep' }).click();
  await expect(page.getByText('The only piece is recorded.')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();

  await page.goto('/wall?cone=6&atmosphere=oxidation');
  await page.getByText('Grounds, order, names').click();
  await choose(page, 'Left half on', 'Buffer White');
  const cell = page.getByRole('gridcell', { name: /^Limewash over Sleeper/ });
  await cell.click();
  await expect(page.getByRole('region', { name: 'Chosen cell' })).toContainText('pinholing');
  await expect(page.getByRole('gridcell', { name: /^Sleeper over Limewash/ })).toHaveAttribute(
    'data-mirror',
    'true',
  );
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Limewash over Sleeper');
  const sense = page.getByRole('listitem').filter({ hasText: 'On Buffer White' }).filter({ hasText: label });
  await expect(sense).toContainText('Satin');
  await expect(sense).toContainText('pinholing');
  await expect(sense.getByRole('img', { name: new RegExp(`${label}, a proof`) })).toBeVisible();

  await page.goto(`/pieces/${label}`);
  await page.getByLabel('Photo file', { exact: true }).setInputFiles(await photo([['Sleeper', 0, 1]]));
  const second = page.getByRole('listitem').filter({ has: page.getByAltText(`Another photo of ${label}`) });
  await second.getByRole('button', { name: 'Write on it' }).click();
  await page.getByRole('button', { name: /^Point at something/ }).click({ position: { x: 120, y: 150 } });
  // Letters that are keys of the page are words here.
  await page.getByLabel('What is there').pressSequentially('bn: before it was fired');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(second).toContainText('bn: before it was fired');
  await second.getByRole('combobox', { name: /^Taken/ }).click();
  await page.getByRole('option', { name: 'before any firing' }).click();
  await expect(second.getByRole('combobox', { name: 'Taken', exact: true })).toHaveText('before any firing');
  await second.getByRole('button', { name: 'Show first' }).click();
  await expect(second.getByRole('button', { name: 'Show first' })).toBeVisible();
  await expect(second).not.toContainText('bn: before');
});

test('a photo as large as a camera makes them is taken', async ({ page }) => {
  await signIn(page);
  await page.goto('/pieces/SW-0100');
  const link = await page.getByRole('link', { name: 'Record again' }).getAttribute('href');
  const pieceId = new URLSearchParams(link!.split('?')[1]).get('piece');
  const [width, height] = [2200, 2000];
  const buffer = await sharp(randomBytes(width * height * 3), { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer();
  expect(buffer.length).toBeGreaterThan(12 * 2 ** 20);
  const answer = await page.request.post('/api/v1/photos', {
    multipart: { id: ulid(), pieceId: pieceId!, file: { name: 'big.png', mimeType: 'image/png', buffer } },
  });
  expect(await answer.json()).toMatchObject({ ok: true, value: { width } });
});

test('what was drawn survives a dead network and a closed tab', async ({ page, context }) => {
  await signIn(page);
  await page.goto('/pieces/new');
  await addCoat(page, 'Rust Yard');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(told(page)).toContainText('kept on this device');
  await context.setOffline(false);
  await page.close();
  const again = await context.newPage();
  await again.goto('/pieces/new');
  await expect(again.getByText('Rust Yard once')).toBeVisible();
  await again.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(savedPieces(again)).toBeVisible();
});
