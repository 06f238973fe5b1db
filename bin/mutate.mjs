// npm run mutate -- TOPIC [FILE]: changes a topic of the core in small ways, and lists the changes that no test beside it
// notices; the score is the share that one does. One topic takes minutes to an hour: not a part of npm test.
import { existsSync } from 'node:fs';
import { haveModules } from './lib/packages.mjs';
import { run } from './lib/run.mjs';

const [topic, file = '*'] = process.argv.slice(2);
if (!topic || !existsSync(`src/core/${topic}`)) {
  console.error(
    'Say which topic of src/core, and which file of it if not all: npm run mutate -- coats zones',
  );
  process.exit(2);
}
await haveModules();
const env = { ...process.env, MUTATE_TOPIC: topic, MUTATE_FILE: file };
process.exitCode = (await run('npx', ['stryker', 'run'], { env })).code;
