// npm test: sets up what is missing, then types, unit, checks and records tests; closes with "N passed, N failed".
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from './lib/database.mjs';
import { haveDebian, haveModules } from './lib/packages.mjs';
import { run } from './lib/run.mjs';
import { CannotGoOn, say } from './lib/say.mjs';

const folder = mkdtempSync(join(tmpdir(), 'jiten-test-'));
let database = null;
let passed = 0;
let failed = 0;

async function step(name, command, args) {
  say(name);
  const { code, output } = await run(command, args, { quiet: true });
  if (code === 0) return void passed++;
  failed++;
  console.log(output.trim().split('\n').slice(-60).join('\n'));
}

async function jest() {
  say('Unit, checks and records tests');
  const report = join(folder, 'jest.json');
  const env = { ...process.env, DATABASE_URL: database.url, NODE_OPTIONS: '' };
  const { output } = await run('npx', ['jest', '--json', `--outputFile=${report}`, '--ci'], {
    quiet: true,
    env,
  });
  if (!existsSync(report)) {
    failed++;
    return console.log(output);
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
  if (numFailedTests + numRuntimeErrorTestSuites > 0) console.log(output.slice(0, 20_000));
}

try {
  mkdirSync(folder, { recursive: true });
  await haveDebian('mariadbd');
  await haveModules();
  database = await startDatabase(folder);
  await step('Route types', 'npx', ['next', 'typegen']);
  await step('Types', 'npx', ['tsc', '--noEmit', '-p', '.']);
  await jest();
} catch (error) {
  failed++;
  console.error(error instanceof CannotGoOn ? error.message : error);
} finally {
  await database?.stop();
  rmSync(folder, { recursive: true, force: true });
}
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed ? 1 : 0;
