// npm test: sets up what is missing, then types, unit, checks and records tests; closes with "N passed, N failed".
// npm test -- NAME...: only the test files whose path has one of the names in it, on desk and phone.
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, startDatabase } from './lib/database.mjs';
import { haveDebian, haveModules } from './lib/packages.mjs';
import { must, run } from './lib/run.mjs';
import { CannotGoOn, say } from './lib/say.mjs';
import { haveBuild, serverEnv, startServer, startSimulator, untilReady } from './lib/serve.mjs';
import { throwAwayFolder } from './lib/throwAway.mjs';

const folder = throwAwayFolder('test');
const databases = [];
/** Parts of the paths of test files; none for all. */
const names = process.argv.slice(2);
let endServer = () => {};
let endEmpty = () => {};
let endSimulator = () => {};
let passed = 0;
let failed = 0;

async function step(name, command, args, env = process.env) {
  say(name);
  const { code, output } = await run(command, args, { quiet: true, env });
  if (code === 0) return void passed++;
  failed++;
  console.log(output.trim().split('\n').slice(-60).join('\n'));
}

/** A private throw-away database in a folder of its own. */
async function freshDatabase(name) {
  mkdirSync(join(folder, name), { recursive: true });
  const database = await startDatabase(join(folder, name));
  databases.push(database);
  return database.url;
}

async function jest() {
  const report = join(folder, 'jest.json');
  const env = { ...process.env, DATABASE_URL: await freshDatabase('records'), NODE_OPTIONS: '' };
  say('Unit, checks and records tests');
  const { output } = await run(
    'npx',
    ['jest', ...names, '--json', `--outputFile=${report}`, '--ci', '--passWithNoTests'],
    {
      quiet: true,
      env,
    },
  );
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

/** The real interface on the demo's records, sign-in to result, on desk and phone sizes. */
async function browser(files = []) {
  const kilnPort = await freePort();
  const env = {
    ...serverEnv(join(folder, 'browser'), await freshDatabase('browser')),
    SIMULATOR_PORT: String(kilnPort),
  };
  await must('The migration', 'npx', ['tsx', 'bin/migrate.ts'], { env });
  await must('The demo', 'npx', ['tsx', 'demo/main.ts', 'load'], { env });
  const port = await freePort();
  endSimulator = startSimulator(env, kilnPort, 600);
  endServer = startServer(env, '127.0.0.1', port);
  await untilReady(port);
  // A studio that nobody has moved into yet.
  const empty = serverEnv(join(folder, 'empty'), await freshDatabase('empty'));
  await must('The migration', 'npx', ['tsx', 'bin/migrate.ts'], { env: empty });
  const emptyPort = await freePort();
  endEmpty = startServer(empty, '127.0.0.1', emptyPort);
  await untilReady(emptyPort);
  say('Browser tests');
  const report = join(folder, 'browser.json');
  const { output } = await run('npx', ['playwright', 'test', ...files], {
    quiet: true,
    env: {
      ...process.env,
      JITEN_URL: `http://127.0.0.1:${port}`,
      JITEN_EMPTY: `http://127.0.0.1:${emptyPort}`,
      JITEN_KILNS: `http://127.0.0.1:${kilnPort}`,
      JITEN_REPORT: report,
    },
  });
  await step('The dictionary after all of this', 'npx', ['tsx', 'bin/audit.ts'], env);
  if (!existsSync(report)) {
    failed++;
    return console.log(output);
  }
  const { stats, suites, errors } = JSON.parse(readFileSync(report, 'utf8'));
  passed += stats.expected;
  failed += stats.unexpected + stats.flaky + errors.length;
  for (const error of errors) console.log(error.message);
  for (const suite of suites) showFailures(suite, suite.title);
}

function showFailures(suite, title) {
  for (const spec of suite.specs ?? []) {
    const wrong = spec.tests.flatMap((test) => test.results.flatMap((result) => result.errors ?? []));
    if (!spec.ok) console.log(`${title}: ${spec.title}\n${wrong.map((error) => error.message).join('\n')}`);
  }
  for (const inner of suite.suites ?? []) showFailures(inner, inner.title);
}

/** The browser tests that are asked for by name. */
const namedBrowserTests = () =>
  readdirSync('tests/browser')
    .map((file) => `tests/browser/${file}`)
    .filter((file) => file.endsWith('.test.ts') && names.some((name) => file.includes(name)));

async function some() {
  const before = passed + failed;
  await jest();
  const files = namedBrowserTests();
  if (files.length > 0) {
    await haveBuild();
    await browser(files);
  }
  if (passed + failed === before) throw new CannotGoOn(`No test file has ${names.join(' or ')} in its path.`);
}

async function all() {
  // The first has work for one processor only.
  await Promise.all([checks(), jest()]);
  await haveBuild();
  await step('Script of each page within its budget', 'node', ['bin/script.mjs']);
  await browser();
}

async function checks() {
  await step('Types', 'npx', ['tsc', '--noEmit', '-p', '.']);
  await step('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
  await step('Format', 'npx', ['prettier', '--check', 'src', 'demo', 'bin', 'tests', '*.mjs', '*.ts']);
  await step('Floors of the house', 'npx', ['depcruise', 'src', '--config', '.dependency-cruiser.cjs']);
}

try {
  await haveDebian('mariadbd', 'chromium');
  await haveModules();
  await step('Route types', 'npx', ['next', 'typegen']);
  await (names.length > 0 ? some() : all());
} catch (error) {
  failed++;
  console.error(error instanceof CannotGoOn ? error.message : error);
} finally {
  endServer();
  endEmpty();
  endSimulator();
  for (const database of databases) await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed ? 1 : 0;
