// npm run audit: checks a studio's dictionary against its pieces and readings; --demo checks the demo's.
import { resolve } from 'node:path';
import { startDatabase } from './lib/database.mjs';
import { haveDebian, haveModules } from './lib/packages.mjs';
import { run } from './lib/run.mjs';

const isDemo = process.argv.includes('--demo');
const folder = resolve(process.env.JITEN_DATA ?? (isDemo ? '.jiten/demo' : '.jiten/studio'));
const own = !isDemo && process.env.DATABASE_URL;
await haveModules();
if (!own) await haveDebian('mariadbd');
const database = own ? null : await startDatabase(folder);
const { code } = await run('npx', ['tsx', 'bin/audit.ts'], {
  env: { ...process.env, DATABASE_URL: own || database.url },
  stdio: 'inherit',
});
// A database that an application runs on stays.
if (database && !database.isJoined) await database.stop();
process.exitCode = code;
