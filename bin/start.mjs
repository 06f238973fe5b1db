// npm start and npm run demo: everything from a fresh machine to a running application.
import { resolve } from 'node:path';
import { startDatabase } from './lib/database.mjs';
import { haveDebian, haveFolder, haveModules } from './lib/packages.mjs';
import { must, run } from './lib/run.mjs';
import { CannotGoOn, say } from './lib/say.mjs';
import {
  haveBuild,
  refuseBusyPort,
  refuseHalfCertificate,
  serverEnv,
  startServer,
  startSimulator,
  untilReady,
} from './lib/serve.mjs';

const demo = process.argv.includes('--demo');
const port = Number(process.env.PORT ?? (demo ? 3210 : 3200));
const kilnPort = Number(process.env.SIMULATOR_PORT ?? port + 1);
const host = process.env.HOST ?? '127.0.0.1';
const folder = resolve(process.env.JITEN_DATA ?? (demo ? '.jiten/demo' : '.jiten/studio'));
let database = null;
let endServer = () => {};
let endSimulator = () => {};
let ending = false;

/** Starts the private database, and again when it was killed; the application waits for it. */
async function keepDatabase(port) {
  const restart = () => {
    if (ending) return;
    say('The database was killed; starting it again. Every acknowledged write is on disk.');
    keepDatabase(database.port).catch(giveUp);
  };
  database = await startDatabase(folder, { port, onExit: restart });
}

async function stop(code) {
  ending = true;
  endServer();
  endSimulator();
  await database?.stop();
  process.exit(code);
}

function giveUp(error) {
  console.error(error instanceof CannotGoOn ? error.message : error);
  return stop(1);
}
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));

try {
  await refuseBusyPort(port);
  if (demo) await refuseBusyPort(kilnPort);
  haveFolder(folder);
  refuseHalfCertificate();
  const own = !demo && process.env.DATABASE_URL;
  if (!own) await haveDebian('mariadbd');
  await haveModules();
  await haveBuild();
  if (!own) await keepDatabase();
  const env = { ...serverEnv(folder, own || database.url), SIMULATOR_PORT: String(kilnPort) };
  say(
    `Schema: ${(await must('The migration', 'npx', ['tsx', 'bin/migrate.ts'], { env })).trim().split('\n').at(-1)}`,
  );
  if (demo) {
    say('Loading the Old Signalworks (once)');
    await must('The demo', 'npx', ['tsx', 'demo/main.ts', 'load'], { env });
  }
  if (demo) endSimulator = startSimulator(env, kilnPort, Number(process.env.SIMULATOR_SPEED ?? 60));
  endServer = startServer(env, host, port);
  const secure = env.JITEN_SECURE === '1';
  await untilReady(port, Boolean(env.JITEN_CERT));
  say(`Ready: ${env.JITEN_CERT ? 'https' : 'http'}://${host === '0.0.0.0' ? 'localhost' : host}:${port}`);
  if (host !== '127.0.0.1' && !secure)
    say(
      'This address is not secure (no HTTPS): a phone may not open its camera live or work offline. Everything else works.',
    );
  if (demo) {
    say('Sign in as technician / signal-box-one, teacher / signal-box-two or student / signal-box-three');
    // Pictures that are done stay; a painter that fell over takes up where it was.
    for (let tries = 0; tries < 3; tries++)
      if ((await run('npx', ['tsx', 'demo/main.ts', 'paint'], { env })).code === 0) break;
  }
} catch (error) {
  await giveUp(error);
}
