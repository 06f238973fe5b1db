import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { join } from 'node:path';
import { secretIn, answers } from './database.mjs';
import { must } from './run.mjs';
import { CannotGoOn, say } from './say.mjs';

function* filesIn(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesIn(path);
    else yield path;
  }
}

/** Builds the application unless nothing it is made of has changed since. */
export async function haveBuild() {
  const hash = createHash('sha256');
  for (const file of [
    'package-lock.json',
    'next.config.ts',
    'postcss.config.json',
    ...[...filesIn('src')].sort(),
  ])
    hash.update(file).update(readFileSync(file));
  const sources = hash.digest('hex');
  const stamp = '.next/jiten-sources';
  if (existsSync(stamp) && statSync('.next').isDirectory() && readFileSync(stamp, 'utf8') === sources) return;
  say('Building the application, one to two minutes');
  await must('The build', 'npx', ['next', 'build'], {
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
  });
  writeFileSync(stamp, sources);
}

/** Refuses a port that somebody else holds, with a way out. */
export async function refuseBusyPort(port) {
  if (await answers(port))
    throw new CannotGoOn(
      `Port ${port} is busy. End the program that holds it (an earlier run, perhaps), or choose another: PORT=${port + 1} npm start`,
    );
}

/** Refuses a certificate without its key, or one whose file is not there, before anything is started. */
export function refuseHalfCertificate({ JITEN_CERT: cert, JITEN_KEY: key } = process.env) {
  if (Boolean(cert) !== Boolean(key))
    throw new CannotGoOn(
      'HTTPS needs both: set JITEN_CERT and JITEN_KEY to the files of a certificate and its key.',
    );
  for (const file of [cert, key])
    if (file && !existsSync(file))
      throw new CannotGoOn(`There is no file ${file}. Mend JITEN_CERT or JITEN_KEY.`);
}

/** The environment the application server runs in; a certificate and key make its cookies Secure. */
export function serverEnv(folder, url, env = process.env) {
  return {
    ...env,
    DATABASE_URL: url,
    JITEN_DATA: folder,
    JITEN_SECRET: secretIn(join(folder, 'secret')),
    NODE_ENV: 'production',
    NEXT_TELEMETRY_DISABLED: '1',
    ...(env.JITEN_CERT && { JITEN_SECURE: '1' }),
  };
}

/** Keeps a program running: it is started again when it falls over. Returns a function that ends it. */
function keepRunning(args, env, fell) {
  let child = null;
  let ending = false;
  const go = () => {
    child = spawn(process.execPath, args, { env, stdio: ['ignore', 'ignore', 'inherit'] });
    child.on('exit', () => {
      if (ending) return;
      say(fell);
      setTimeout(go, 1000);
    });
  };
  go();
  return () => {
    ending = true;
    child.kill('SIGKILL');
  };
}

/** Starts the application server. Returns a function that ends it. */
export function startServer(env, host, port) {
  return keepRunning(
    ['bin/app-server.mjs'],
    { ...env, HOST: host, PORT: String(port) },
    'The application server fell over; starting it again. The database is not touched.',
  );
}

/** Starts the stand-in kiln controllers of the demo, `speed` kiln minutes in a minute. Returns a function that ends them. */
export function startSimulator(env, port, speed) {
  return keepRunning(
    ['--import', 'tsx', 'src/simulator/main.ts'],
    { ...env, SIMULATOR_PORT: String(port), SIMULATOR_SPEED: String(speed) },
    'The stand-in kilns fell over; starting them again.',
  );
}

/** Whether the application answers on its own address; its own certificate need not be known to this machine. */
function healthy(port, secure) {
  const { get } = secure ? https : http;
  return new Promise((done) => {
    const request = get(
      { host: '127.0.0.1', port, path: '/api/v1/health', rejectUnauthorized: false, timeout: 5000 },
      (answer) => {
        answer.resume();
        done(answer.statusCode === 200);
      },
    );
    request.on('error', () => done(false));
  });
}

/** Waits until the application answers. */
export async function untilReady(port, secure = false) {
  for (let i = 0; i < 120; i++) {
    if (await healthy(port, secure)) return;
    await new Promise((done) => setTimeout(done, 500));
  }
  throw new CannotGoOn('The application did not come up within a minute.');
}
