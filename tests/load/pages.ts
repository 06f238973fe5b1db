/**
 * The pages of the demo on a running server: how long each takes to make against the leanest in the same frame, a list of five clays,
 * how large it is, how many come a second for twenty callers, and how much script is loaded before it works.
 * Against a running server; the times are of whole requests by a signed-in technician.
 */
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { timed } from './timing';

const baseURL = process.env.JITEN_URL!;
const RUNS = 40;
const CALLERS = 20;
const SECONDS = 8;

async function signedIn(): Promise<string> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
  try {
    const page = await browser.newPage({ baseURL });
    await page.goto('/sign-in');
    await page.getByLabel('Sign-in name').fill('technician');
    await page.getByLabel('Password').fill('signal-box-one');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL('/');
    return (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
  } finally {
    await browser.close();
  }
}

const cookie = await signedIn();
const get = async (path: string) => (await fetch(baseURL + path, { headers: { cookie } })).text();

/** The first address in a page that begins with a path. */
async function firstIn(page: string, path: string): Promise<string> {
  const found = new RegExp(`href="(${path}/[0-9A-Z-]{7,26})"`).exec(await get(page));
  if (!found) throw new Error(`${page} leads to no ${path}`);
  return found[1]!;
}

const known = new Map<string, Promise<number>>();
/** Bytes of a script as it goes over the wire. */
function scriptBytes(path: string): Promise<number> {
  const before = known.get(path);
  if (before) return before;
  const bytes = get(path).then((text) => gzipSync(text).length);
  known.set(path, bytes);
  return bytes;
}

/** Bytes of the scripts that a page loads before it works. */
async function firstLoad(html: string): Promise<number> {
  const paths = new Set([...html.matchAll(/src="(\/_next\/static\/[^"]+\.js)"/g)].map(([, path]) => path!));
  const all = await Promise.all([...paths].map(scriptBytes));
  return all.reduce((sum, bytes) => sum + bytes, 0);
}

/** Answers a second that so many callers get, each asking again as soon as it is answered. */
async function throughput(path: string): Promise<{ aSecond: number; p95: number }> {
  const times: number[] = [];
  const end = performance.now() + SECONDS * 1000;
  const call = async () => {
    while (performance.now() < end) {
      const start = performance.now();
      await get(path);
      times.push(performance.now() - start);
    }
  };
  await Promise.all(Array.from({ length: CALLERS }, call));
  times.sort((a, b) => a - b);
  return { aSecond: times.length / SECONDS, p95: times[Math.floor(times.length * 0.95)]! };
}

const firing = await firstIn('/kilns', '/firings');
const pages = {
  clays: '/clays',
  Today: '/',
  wall: '/wall',
  pieces: '/pieces',
  'new piece': '/pieces/new',
  sheet: '/pieces/sheet',
  piece: '/pieces/SW-0100',
  entry: await firstIn('/glazes', '/glazes').then((glaze) => firstIn(glaze, '/entry')),
  glaze: await firstIn('/glazes', '/glazes'),
  rounds: '/rounds',
  clinic: '/clinic',
  kilns: '/kilns',
  queue: '/kilns/queue',
  firing,
  opening: `${firing}/opening`,
  find: '/find',
};
const rows = Object.entries(pages);
for (const [, path] of rows) for (let i = 0; i < 8; i++) await get(path);
let leanest = 0;
console.log('page                     median ms   x leanest   HTML kB   script kB');
for (const [name, path] of rows) {
  const { median } = await timed(RUNS, () => get(path));
  leanest ||= median;
  const html = await get(path);
  const kB = (bytes: number) => (bytes / 1000).toFixed(0).padStart(12);
  console.log(
    `${name.padEnd(24)}${median.toFixed(1).padStart(10)}${(median / leanest).toFixed(2).padStart(10)}${kB(Buffer.byteLength(html))}${kB(await firstLoad(html))}`,
  );
}
for (const path of ['/', '/wall', '/clays']) {
  const { aSecond, p95 } = await throughput(path);
  console.log(
    `${path}: ${aSecond.toFixed(1)} a second for ${CALLERS} callers, 95 % within ${p95.toFixed(0)} ms`,
  );
}
