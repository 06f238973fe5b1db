// Lets the running opening and the sheet of pieces open without a network. Writes never pass through here: the page keeps them itself.
const SHELL = 'jiten-shell-2';
/** Pages and photos are members' own: the sign-in page drops them. */
const PAGES = 'jiten-pages-1';
const PHOTOS = 'jiten-photos-1';
/** So long a server may take before the page that was kept is shown instead, ms; where none was, it is waited for. */
const PATIENCE = 4000;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(begin()));

async function begin() {
  for (const name of await caches.keys())
    if (name.startsWith('jiten-') && ![SHELL, PAGES, PHOTOS].includes(name)) await caches.delete(name);
  await self.clients.claim();
}

self.addEventListener('message', (event) => {
  if (event.data?.claim) event.waitUntil(self.clients.claim());
  if (event.data?.keep)
    event.waitUntil(keep(event.data.keep).then((isKept) => event.ports[0]?.postMessage(isKept)));
});

/** Whether all of them are kept now. */
async function keep(addresses) {
  let isKept = true;
  for (const address of addresses) {
    const isPage = !address.includes('/_next/') && !address.includes('/api/');
    const cache = isPage ? await caches.open(PAGES) : await cacheOf(address);
    if (!isPage && (await cache.match(address))) continue;
    const answer = await fetch(address).catch(() => null);
    if (answer?.ok && !answer.redirected) await cache.put(address, answer);
    else isKept = false;
  }
  return isKept;
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (pathname.startsWith('/_next/static/') || pathname.startsWith('/api/v1/photos/'))
    event.respondWith(part(request));
});

/** Where a part is kept: what the application is made of apart from what members see. */
const cacheOf = (address) => caches.open(address.includes('/api/v1/photos/') ? PHOTOS : SHELL);

/** Parts have their content in their name: once here, they never change. */
async function part(request) {
  const cache = await cacheOf(request.url);
  const known = await cache.match(request);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) void cache.put(request, answer.clone());
  return answer;
}

async function page(request) {
  const cache = await caches.open(PAGES);
  const isOpening = new URL(request.url).pathname.endsWith('/opening');
  const network = fetch(request).then((answer) => {
    if (isOpening && answer.ok && !answer.redirected) void cache.put(request, answer.clone());
    return answer;
  });
  const kept = await cache.match(request, { ignoreSearch: true });
  if (!kept) return network.catch(() => noNetwork(cache));
  const late = new Promise((done) => setTimeout(() => done(kept), PATIENCE));
  return Promise.race([network.catch(() => kept), late]);
}

async function noNetwork(cache) {
  const links = (await cache.keys()).map(
    ({ url }) =>
      `<li><a href="${url}">${url.includes('/pieces/sheet') ? 'The sheet of pieces' : 'The opening you had open'}</a></li>`,
  );
  const text = `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width">
    <title>Jiten: no network</title><body><h1>No network</h1>
    <p>What you tapped is kept on this device and is sent when the network is back.</p>
    <ul>${links.join('')}</ul></body></html>`;
  return new Response(text, { headers: { 'Content-Type': 'text/html; charset=utf-8' } });
}
