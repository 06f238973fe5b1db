import { existsSync, mkdirSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { must, run } from './run.mjs';
import { CannotGoOn, say } from './say.mjs';

const DEBIAN = {
  mariadbd: ['mariadb-server', '/usr/sbin/mariadbd'],
  chromium: ['chromium', '/usr/bin/chromium'],
};

/** Installs the Debian packages behind the named programs when they are missing; needs root or sudo for that. */
export async function haveDebian(...programs) {
  const missing = programs.map((name) => DEBIAN[name]).filter(([, path]) => !existsSync(path));
  if (missing.length === 0) return;
  const names = missing.map(([name]) => name);
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const byHand = `Install by hand, then run this again:  sudo apt-get install --no-install-recommends ${names.join(' ')}`;
  if (!existsSync('/usr/bin/apt-get'))
    throw new CannotGoOn(
      `Missing: ${names.join(', ')}, and this is no Debian. Install them with your system's tools.`,
    );
  say(`Installing Debian packages: ${names.join(', ')}`);
  if (asRoot.length && (await run('sudo', ['-n', 'true'], { quiet: true })).code !== 0) {
    throw new CannotGoOn(`Debian packages are missing and you may not install them.\n${byHand}`);
  }
  const apt = (...args) => {
    const [command, ...rest] = [
      ...asRoot,
      'env',
      'DEBIAN_FRONTEND=noninteractive',
      'apt-get',
      '-q',
      '-y',
      ...args,
    ];
    return run(command, rest, { quiet: true });
  };
  await apt('update');
  const { code, output } = await apt('install', '--no-install-recommends', ...names);
  if (code !== 0)
    throw new CannotGoOn(
      `apt-get could not install ${names.join(', ')}.\n${output.trim().split('\n').slice(-6).join('\n')}\n${byHand}`,
    );
}

/** Installs the packages of the lock file unless what is installed came from the same lock file. */
export async function haveModules() {
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const stamp = 'node_modules/.jiten-lock';
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('Installing packages, about a minute');
  // A registry that lacks other systems' optional binaries makes npm ci refuse a lock file that fits this one.
  const { code } = await run('npm', ['ci', '--no-progress'], { quiet: true });
  if (code !== 0) await must('npm install', 'npm', ['install', '--no-save', '--no-progress']);
  writeFileSync(stamp, lock);
}

/** A database and some photos need at least this much, MB. */
const LEAST_FREE = 500;

/** Makes the folder that holds everything Jiten writes; says so plainly when it may not or the disk is full. */
export function haveFolder(folder) {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    writeFileSync(`${folder}/.can-write`, 'yes');
  } catch (error) {
    const why =
      error.code === 'ENOSPC'
        ? 'the disk is full'
        : error.code === 'EACCES' || error.code === 'EROFS'
          ? 'you may not write there'
          : error.message;
    throw new CannotGoOn(
      `Cannot use the folder ${folder}: ${why}. Make room or set JITEN_DATA to another folder.`,
    );
  }
  const { bavail, bsize } = statfsSync(folder);
  const free = Math.round((bavail * bsize) / 2 ** 20);
  if (free < LEAST_FREE) {
    throw new CannotGoOn(
      `Only ${free} MB are free where ${folder} lies; ${LEAST_FREE} MB are needed. Make room or set JITEN_DATA to another folder.`,
    );
  }
}
