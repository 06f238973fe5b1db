// npm run bench [records | reference | phone | pages]: measures on throw-away databases, the records and the core first,
// then the reference over 200 000 pieces, then a phone-like browser, then how fast the demo's pages come.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startDatabase } from './lib/database.mjs';
import { haveDebian, haveModules } from './lib/packages.mjs';
import { must, run } from './lib/run.mjs';
import { haveBuild, serverEnv, startServer, untilReady } from './lib/serve.mjs';

const folder = mkdtempSync(join(tmpdir(), 'jiten-bench-'));
const only = process.argv[2];

async function withDatabase(name, work) {
  mkdirSync(join(folder, name));
  const database = await startDatabase(join(folder, name));
  try {
    await work(database.url, join(folder, name));
  } finally {
    await database.stop();
  }
}

/** Runs one file of measurements; a failure is the run's. */
async function measure(file, env) {
  const { code } = await run('npx', ['tsx', file], { env });
  if (code) process.exitCode = code;
}

/** A file of measurements against the demo on a server of its own. */
async function onDemo(file, url, data) {
  await haveBuild();
  const env = serverEnv(data, url);
  await must('The migration', 'npx', ['tsx', 'bin/migrate.ts'], { env });
  await must('The demo', 'npx', ['tsx', 'demo/main.ts', 'load'], { env });
  const port = await freePort();
  const end = startServer(env, '127.0.0.1', port);
  try {
    await untilReady(port);
    await measure(file, { ...env, JITEN_URL: `http://127.0.0.1:${port}` });
  } finally {
    end();
  }
}

/** The reference over 200 000 pieces of 60 glazes: its records first, then its pages in a slowed browser. */
async function reference(url, data) {
  await haveBuild();
  await measure('tests/load/reference.ts', { ...process.env, DATABASE_URL: url });
  const large = new URL(url);
  large.pathname = '/jiten_reference';
  const env = serverEnv(data, large.href);
  const port = await freePort();
  const end = startServer(env, '127.0.0.1', port);
  try {
    await untilReady(port);
    await measure('tests/load/wall.ts', { ...env, JITEN_URL: `http://127.0.0.1:${port}` });
  } finally {
    end();
  }
}

await haveDebian('mariadbd', 'chromium');
await haveModules();
try {
  if (!only || only === 'records')
    await withDatabase('records', (url) =>
      measure('tests/load/bench.ts', { ...process.env, DATABASE_URL: url }),
    );
  if (!only || only === 'reference') await withDatabase('reference', reference);
  if (!only || only === 'phone')
    await withDatabase('phone', (url, data) => onDemo('tests/load/phone.ts', url, data));
  if (!only || only === 'pages')
    await withDatabase('pages', (url, data) => onDemo('tests/load/pages.ts', url, data));
} finally {
  rmSync(folder, { recursive: true, force: true });
}
