import { expect, test, type Page } from '@playwright/test';
import QRCode from 'qrcode';
import { signIn } from './steps';

/** Holds pictures before the camera of a page: of what each code says, one after the other, each for a second. */
async function hold(page: Page, ...texts: string[]): Promise<void> {
  const codes = await Promise.all(texts.map((text) => QRCode.toDataURL(text, { width: 240, margin: 4 })));
  await page.addInitScript((pictures) => {
    const show = async () => {
      const canvas = Object.assign(document.createElement('canvas'), { width: 640, height: 480 });
      const pen = canvas.getContext('2d')!;
      const images = pictures.map((src) => Object.assign(new Image(), { src }));
      let at = 0;
      const draw = () => {
        pen.fillStyle = '#8a8a8a';
        pen.fillRect(0, 0, 640, 480);
        pen.drawImage(images[Math.min(Math.floor(at++ / 10), images.length - 1)]!, 200, 120);
      };
      await Promise.all(images.map((image) => image.decode()));
      draw();
      setInterval(draw, 100);
      return canvas.captureStream(10);
    };
    Object.defineProperty(navigator, 'mediaDevices', { value: { getUserMedia: show } });
  }, codes);
}

test('a label is read by the camera to go to its piece and to pick several up; a number typed does the same', async ({
  page,
}) => {
  page.setDefaultTimeout(20_000);
  await signIn(page);
  await page.waitForLoadState('networkidle');
  // Without a camera the number is typed.
  await page.getByRole('button', { name: 'Scan a label' }).click();
  const dialog = page.getByRole('dialog', { name: 'Scan a label' });
  await expect(dialog.getByRole('alert')).toContainText('Type the number.');
  const field = dialog.getByLabel('Or type its number');
  await field.pressSequentially('99999');
  await field.press('Enter');
  await expect(dialog.getByRole('status')).toHaveText('There is no piece 99999.');
  await field.pressSequentially('100');
  await field.press('Enter');
  await expect(page).toHaveURL(/pieces\/SW-0100$/);

  await hold(page, 'WIFI:S:studio;;', 'https://elsewhere.example/pieces/sw-0101');
  await page.goto('/wall');
  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: 'Scan a label' }).click();
  await expect(dialog.getByRole('status')).toHaveText('No label of a piece: WIFI:S:studio;;');
  await expect(page).toHaveURL(/pieces\/SW-0101$/);

  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: 'Pick up by label' }).click();
  const picking = page.getByRole('dialog', { name: 'Pick up by label' });
  await expect(picking.getByRole('status')).toContainText('SW-0101 lies on the bench.');
  await picking.getByLabel('Or type its number').pressSequentially('sw-0102');
  await page.keyboard.press('Enter');
  await expect(picking.getByRole('status')).toContainText('SW-0102 lies on the bench.');
  await picking.getByRole('button', { name: 'Close' }).click();
  const bench = page.getByRole('region', { name: 'Bench' });
  await expect(bench.getByRole('button', { name: /^Put SW-010[12] back$/ })).toHaveCount(2);
});
