// npm run bench: measures on a throw-away database.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from './lib/database.mjs';
import { haveDebian, haveModules } from './lib/packages.mjs';
import { run } from './lib/run.mjs';

const folder = mkdtempSync(join(tmpdir(), 'jiten-bench-'));
await haveDebian('mariadbd');
await haveModules();
const database = await startDatabase(folder);
try {
  const { code } = await run('npx', ['tsx', 'tests/load/bench.ts'], {
    env: { ...process.env, DATABASE_URL: database.url },
  });
  process.exitCode = code;
} finally {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
