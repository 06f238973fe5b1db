import { createHash, randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
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
    const { mtimeMs, size, isDirectory } = describe(path);
    if (isDirectory) for (const name of readdirSync(path).sort()) look(join(path, name));
    else hash.update(`${path} ${mtimeMs} ${size}\n`);
  };
  for (const source of SOURCES) look(join(ROOT, source));
  return hash.digest('hex').slice(0, 24);
}

function describe(path) {
  const stat = statSync(path);
  return { mtimeMs: stat.mtimeMs, size: stat.size, isDirectory: stat.isDirectory() };
}

/** The folder that compiled commands are kept in: beside the packages, or where anybody may write. */
function home() {
  const own = join(ROOT, 'node_modules/.cache/jiten');
  try {
    mkdirSync(own, { recursive: true });
    return own;
  } catch {
    return join(tmpdir(), 'jiten-commands');
  }
}

/**
 * The address of the command line in JavaScript. It is compiled when its sources have changed since the last time; two
 * that compile at once do not disturb each other.
 */
export async function compiledCommands() {
  const folder = join(home(), stampOf());
  if (!existsSync(join(folder, 'main.mjs'))) await compile(folder);
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
  for (const old of readdirSync(home()).filter((name) => !name.includes('-')))
    rmSync(join(home(), old), { recursive: true, force: true });
  try {
    renameSync(fresh, folder);
  } catch {
    // Another one was faster.
    rmSync(fresh, { recursive: true, force: true });
  }
}
