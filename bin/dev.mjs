// npm run dev: the application on a small fixture studio, reloading as files are saved. With --database only the database.
import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { startDatabase } from './lib/database.mjs';
import { haveDebian, haveFolder, haveModules } from './lib/packages.mjs';
import { must } from './lib/run.mjs';
import { CannotGoOn, say } from './lib/say.mjs';
import { refuseBusyPort, serverEnv } from './lib/serve.mjs';

const port = Number(process.env.PORT ?? 3220);
const folder = resolve('.jiten/dev');
let database = null;
let server = null;

async function stop(code) {
  server?.kill();
  await database?.stop();
  process.exit(code);
}
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));

try {
  haveFolder(folder);
  await haveDebian('mariadbd');
  await haveModules();
  database = await startDatabase(folder);
  const env = { ...serverEnv(folder, database.url), NODE_ENV: 'development' };
  if (process.argv.includes('--database')) say(`DATABASE_URL=${database.url}`);
  else {
    await refuseBusyPort(port);
    await must('The fixture studio', 'npx', ['tsx', 'demo/dev.ts'], { env });
    server = spawn('npx', ['next', 'dev', '-H', '127.0.0.1', '-p', String(port)], { env, stdio: 'inherit' });
    server.on('exit', (code) => void stop(code ?? 0));
    say(`http://127.0.0.1:${port}  sign in as ines with "a long password"`);
  }
} catch (error) {
  console.error(error instanceof CannotGoOn ? error.message : error);
  await stop(1);
}
