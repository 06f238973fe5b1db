/**
 * The wall of 60 × 60 glazes in a browser with its processor slowed four times: until it stands, zooming and
 * panning frame by frame; and the visitors' wall: script over the wire, layout shift. Against a running server.
 */
import { randomBytes } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import { connect, newId } from '@/records/platform';
import { addShare, wallChoices, wallEntries } from '@/records/dictionary';
import { countScript } from '../browser/scripts';

const SLOWER = 4;
const TOKEN = randomBytes(32).toString('base64url');

async function slowed(page: Page) {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return session;
}

/** What the compiler puts round functions that have a name; pages do not know it. */
const NAMES = 'globalThis.__name = (named) => named';

/** The longest and the middle frame while something is done, ms. */
async function frames(page: Page, work: () => Promise<unknown>): Promise<string> {
  await page.evaluate(() => {
    const times: number[] = [];
    let last = performance.now();
    Object.assign(window, { ended: false, times });
    requestAnimationFrame(function look() {
      const now = performance.now();
      times.push(now - last);
      last = now;
      if (!(window as { ended?: boolean }).ended) requestAnimationFrame(look);
    });
  });
  await work();
  return page.evaluate(() => {
    Object.assign(window, { ended: true });
    const times = [...(window as unknown as { times: number[] }).times].sort((a, b) => a - b);
    return `${times.length} frames, middle ${times[times.length >> 1]!.toFixed(0)} ms, longest ${times.at(-1)!.toFixed(0)} ms`;
  });
}

/** The wall's data over the wire against the records alone, turn by turn; the same when nothing was written since. */
async function wholeRequests(page: Page): Promise<void> {
  const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
  let etag = '';
  const ask = async (more: Record<string, string> = {}) => {
    const answer = await fetch(`${baseURL}/api/v1/wall`, { headers: { cookie, ...more } });
    await answer.arrayBuffer();
    etag = answer.headers.get('etag')!;
  };
  const { groundId, cone, atmosphere } = (await wallChoices(base))[0]!;
  const turns = {
    records: () => wallEntries(base, { grounds: [groundId], cone, atmosphere }),
    'whole request after a write': async () => {
      await base('change').insert({ id: newId(), at: new Date(), what: 'bench', row_id: newId() });
      await ask();
    },
    'whole request': () => ask(),
    'whole request, as before': () => ask({ 'if-none-match': etag }),
  };
  for (let i = 0; i < 10; i++) await ask();
  const times = new Map<string, number[]>();
  for (let i = 0; i < 40; i++)
    for (const [name, turn] of Object.entries(turns)) {
      const start = performance.now();
      await turn();
      times.set(name, [...(times.get(name) ?? []), performance.now() - start]);
    }
  for (const [name, own] of times)
    console.log(`the wall, ${name}: median ${own.sort((a, b) => a - b)[20]!.toFixed(1)} ms`);
}

async function members(page: Page): Promise<void> {
  await page.addInitScript(NAMES);
  await page.goto('/sign-in');
  await page.getByLabel('Sign-in name').fill('ines');
  await page.getByLabel('Password').fill('a long password');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('/');
  await wholeRequests(page);
  await slowed(page);
  const start = performance.now();
  await page.goto('/wall');
  await page.getByRole('gridcell').first().waitFor();
  const cells = await page.getByRole('gridcell').count();
  console.log(
    `the wall of 60 × 60 until its cells stand, slowed: ${(performance.now() - start).toFixed(0)} ms, ${cells} cells in the page`,
  );
  await page.waitForTimeout(1500);
  console.log(`at rest: ${await frames(page, () => page.waitForTimeout(1000))}`);
  const larger = page.getByRole('button', { name: 'Larger (+)' });
  console.log(
    `zooming from the whole matrix in: ${await frames(page, async () => {
      for (let i = 0; i < 6; i++) await larger.click();
    })}`,
  );
  const box = (await page.getByRole('grid').boundingBox())!;
  await page.mouse.move(Math.max(300, box.x + 300), 500);
  console.log(
    `panning: ${await frames(page, async () => {
      for (let i = 0; i < 30; i++) {
        await page.mouse.wheel(40, 60);
        await page.waitForTimeout(30);
      }
    })}`,
  );
  await page.getByRole('button', { name: 'Whole' }).click();
  await page.waitForTimeout(500);
  const walk = await page.evaluate(async () => {
    const longest = { ms: 0 };
    (document.querySelector('[role=gridcell][tabindex="0"]') as HTMLElement).focus();
    for (let i = 0; i < 12; i++) {
      const start = performance.now();
      document.activeElement!.dispatchEvent(
        new KeyboardEvent('keydown', { key: i % 2 ? 'ArrowDown' : 'ArrowRight', bubbles: true }),
      );
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
      longest.ms = Math.max(longest.ms, performance.now() - start);
    }
    return longest.ms;
  });
  console.log(`a key to the next frame on the whole matrix, longest of 12: ${walk.toFixed(0)} ms`);
}

async function visitors(page: Page): Promise<void> {
  await page.addInitScript(NAMES);
  const session = await slowed(page);
  const kilobytes = await countScript(session);
  await page.addInitScript(() => {
    Object.assign(window, { shift: 0 });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries())
        (window as unknown as { shift: number }).shift += (entry as unknown as { value: number }).value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  const start = performance.now();
  await page.goto(`/share/${TOKEN}`);
  await page.getByRole('cell').first().waitFor();
  console.log(
    `the visitors' wall of 60 × 60 until it stands, slowed: ${(performance.now() - start).toFixed(0)} ms`,
  );
  await page.waitForTimeout(2500);
  const shift = await page.evaluate(() => (window as unknown as { shift: number }).shift);
  console.log(`its script over the wire: ${kilobytes().toFixed(0)} kB; layout shift ${shift.toFixed(3)}`);
}

const baseURL = process.env.JITEN_URL!;
const base = connect(process.env.DATABASE_URL!);
const { id } = (await base('member').first('id'))!;
const share = { id: newId(), name: 'Bench', search: '', recipes: false, names: false };
await addShare(base, id, share, TOKEN, 1);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
await members(
  await (await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } })).newPage(),
);
await visitors(
  await (await browser.newContext({ baseURL, viewport: { width: 390, height: 844 } })).newPage(),
);
await browser.close();
await base.destroy();
