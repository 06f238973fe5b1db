// What script each page loads before it works, packed, kB: prints the pages, largest first, and fails where one is over
// its budget. Of a build that is there.
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import vm from 'node:vm';
import { gzipSync } from 'node:zlib';

const BUILD = '.next';
const MANIFEST = '/page_client-reference-manifest.js';
/** kB that a page may load, and pages that may load more: lower them when they are beaten. */
const BUDGET = 385;
const MORE = {
  '(app)/(studio)/firings/[id]': 485,
  '(app)/(studio)/kilns/programmes': 435,
  '(app)/(studio)/glazes/[id]': 425,
};

const sizes = new Map();
function packed(file) {
  if (!sizes.has(file)) sizes.set(file, gzipSync(readFileSync(join(BUILD, file))).length);
  return sizes.get(file);
}

/** Scripts of a page and of the layouts round it, by what the build wrote down of it. */
function scriptsOf(manifest) {
  const context = vm.createContext({});
  vm.runInContext('globalThis.__RSC_MANIFEST = {}', context);
  vm.runInContext(readFileSync(manifest, 'utf8'), context);
  const [{ entryJSFiles }] = Object.values(context.__RSC_MANIFEST);
  return Object.values(entryJSFiles).flat();
}

const { rootMainFiles } = JSON.parse(readFileSync(join(BUILD, 'build-manifest.json'), 'utf8'));
const app = join(BUILD, 'server/app');
const pages = readdirSync(app, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith(MANIFEST))
  .map((file) => {
    const scripts = new Set([...rootMainFiles, ...scriptsOf(join(app, file))]);
    const kB = [...scripts].reduce((sum, script) => sum + packed(script), 0) / 1000;
    return { page: file.slice(0, -MANIFEST.length), kB };
  })
  .sort((a, b) => b.kB - a.kB);
for (const { page, kB } of pages) {
  const most = MORE[page] ?? BUDGET;
  console.log(`${kB.toFixed(0).padStart(5)} ${page}${kB > most ? `, over its ${most} kB` : ''}`);
  if (kB > most) process.exitCode = 1;
}
if (pages.length === 0) throw new Error('No page was found in the build.');
