/**
 * The opening on a phone-like browser, its processor slowed four times: a photo of 12 megapixels while the
 * page is tapped, and an opening of 300 pieces. Run by npm run bench against a server with the demo.
 */
import { chromium, type Page } from '@playwright/test';
import sharp from 'sharp';
import { connect, newId } from '@/records/platform';
import { advanceFiring, listFirings, loadPieces, saveFiring } from '@/records/firings';
import { listPieces, piecePage, savePieces } from '@/records/pieces';
import { photo, signIn } from '../browser/steps';

const SLOWER = 4;

/** A firing of that many pieces, opened. */
async function largeOpening(count: number): Promise<string> {
  const base = connect(process.env.DATABASE_URL!);
  const [first] = (await listPieces(base, { limit: 1, sort: 'number', order: 'asc' })).rows;
  const { coats, memberId, ...like } = await piecePage(base, first!.id);
  const draft = { ...like, note: '', coats: coats.map((coat) => ({ ...coat, firingId: null })) };
  const saved = await savePieces(
    base,
    memberId,
    draft,
    Array.from({ length: count }, () => newId()),
  );
  const [known] = await listFirings(base);
  const id = newId();
  await saveFiring(
    base,
    memberId,
    {
      id,
      kilnId: known!.kilnId,
      kind: 'glaze',
      cone: '6',
      atmosphere: 'oxidation',
      plannedOn: '2026-01-05',
      startsAt: '07:00',
      programmeId: null,
      segments: null,
      programme: '',
      remarks: '',
    },
    null,
  );
  const places = saved.map((piece, i) => ({ pieceId: piece.id, shelf: 1 + (i % 4) }));
  await loadPieces(base, memberId, id, places);
  await advanceFiring(base, memberId, id, 'open');
  await base.destroy();
  return id;
}

/** From a tap on a button of the piece in view until the next frame is painted, ms. */
function tapToFrame(page: Page, name: string): Promise<number> {
  return page.evaluate(async (text) => {
    const buttons = [...document.querySelectorAll<HTMLButtonElement>('article button')];
    const start = performance.now();
    buttons.find((button) => button.textContent === text)!.click();
    await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    return performance.now() - start;
  }, name);
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  const firingId = await largeOpening(300);
  const context = await browser.newContext({
    baseURL: process.env.JITEN_URL!,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  const page = await context.newPage();
  await signIn(page);
  await page.goto(`/firings/${firingId}/opening`);
  await page.getByRole('button', { name: /to the pieces/ }).tap();
  await page.waitForLoadState('networkidle');
  const devtools = await context.newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const said: number[] = [];
  const finished: number[] = [];
  for (let i = 0; i < 12; i++) {
    said.push(await tapToFrame(page, 'gloss'));
    finished.push(await tapToFrame(page, 'keep'));
    await page.waitForTimeout(400);
  }
  const most = (list: number[]) => Math.max(...list).toFixed(0);
  console.log(
    `300 pieces, processor ${SLOWER}× slower, tap to next frame, longest of 12: a word ${most(said)} ms, a fate and on ${most(finished)} ms`,
  );

  const { buffer } = await photo();
  const large = await sharp(buffer).resize(3000, 4000, { fit: 'fill' }).jpeg({ quality: 92 }).toBuffer();
  const during: number[] = [];
  const took = await timed(async () => {
    await page
      .getByLabel('Photo file', { exact: true })
      .setInputFiles({ name: 'photo.jpg', mimeType: 'image/jpeg', buffer: large });
    for (const name of ['satin', 'gloss', 'moves', 'stable']) during.push(await tapToFrame(page, name));
    await page.getByRole('button', { name: 'Set up photo 1' }).waitFor();
  });
  console.log(
    `a photo of 12 megapixels (${(large.length / 1e6).toFixed(1)} MB), processor ${SLOWER}× slower: ready after ${took.toFixed(0)} ms; taps meanwhile, longest of four to the next frame: ${most(during)} ms`,
  );
} finally {
  await browser.close();
}
