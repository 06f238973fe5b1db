import { createHash, randomUUID } from 'node:crypto';
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

const ROOT = resolve(import.meta.dirname, '../..');
/** What the command line is made of. */
const SOURCES = ['bin/cli', 'src/core', 'package-lock.json'];

/** A name for the sources as they are: another one as soon as a file is written, comes or goes. */
function stampOf() {
  const hash = createHash('sha256');
  const look = (path) => {
    const stat = statSync(path);
    if (stat.isDirectory()) for (const name of readdirSync(path).sort()) look(join(path, name));
    else hash.update(`${path} ${stat.mtimeMs} ${stat.size}\n`);
  };
  for (const source of SOURCES) look(join(ROOT, source));
  return hash.digest('hex').slice(0, 24);
}

/** Where compiled commands are kept, beside the packages; a folder for this run alone where nobody may write there. */
function home() {
  const own = join(ROOT, 'node_modules/.cache/jiten');
  try {
    mkdirSync(own, { recursive: true });
    accessSync(own, constants.W_OK);
    return own;
  } catch {
    const once = mkdtempSync(join(tmpdir(), 'jiten-'));
    process.on('exit', () => rmSync(once, { recursive: true, force: true }));
    return once;
  }
}

/**
 * The address of the command line in JavaScript. It is compiled when its sources have changed since the last time; two
 * that compile at once do not disturb each other.
 */
export async function compiledCommands() {
  const kept = home();
  const folder = join(kept, stampOf());
  if (!existsSync(join(folder, 'main.mjs'))) {
    await compile(folder);
    // Of sources that are no more; what somebody compiles just now has a longer name.
    for (const name of readdirSync(kept))
      if (!name.includes('-') && join(kept, name) !== folder)
        rmSync(join(kept, name), { recursive: true, force: true });
  }
  return pathToFileURL(join(folder, 'main.mjs')).href;
}

async function compile(folder) {
  const { build } = await import('esbuild');
  const fresh = `${folder}-${randomUUID()}`;
  await build({
    absWorkingDir: ROOT,
    entryPoints: ['bin/cli/main.ts'],
    outdir: fresh,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    // A command loads what it needs, not what the others need.
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    // Packages in the older form ask for what they need by this name.
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
    minify: true,
    logLevel: 'error',
  });
  try {
    renameSync(fresh, folder);
  } catch {
    // Another one was faster.
    rmSync(fresh, { recursive: true, force: true });
  }
}
