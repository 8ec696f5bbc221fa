// Keeps the files of the build and the run pages that were opened, so that a run opens again without a network. Whatever is
// asked of the server goes to the server first; what is kept is only for when it cannot be reached.
const FILES = 'fen-files';
const PAGES = 'fen-pages';
const PAGES_AT_MOST = 12;

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

const isFile = (url) => url.origin === self.location.origin && url.pathname.startsWith('/assets/');
const isRun = (url) => url.origin === self.location.origin && /^\/runs\/[0-9a-f-]{36}$/.test(url.pathname);

/** Files that no kept page and no page of now asks for any more, from builds before this one. */
async function dropOldFiles(wanted) {
  const cache = await caches.open(FILES);
  const requests = await cache.keys();
  if (requests.length < 400) return;
  await Promise.all(requests.filter(({ url }) => !wanted.has(url)).map((request) => cache.delete(request)));
}

async function keepFiles(urls) {
  const cache = await caches.open(FILES);
  for (const url of urls) {
    if (!isFile(new URL(url)) || (await cache.match(url))) continue;
    await cache.add(url).catch(() => {});
  }
  await dropOldFiles(new Set(urls));
}

async function keepPage(href) {
  const url = new URL(href);
  if (!isRun(url)) return;
  const response = await fetch(url.pathname, { credentials: 'same-origin' });
  // A page that turns its visitor away, or leads elsewhere, is none to be kept.
  if (!response.ok || response.redirected) return;
  const cache = await caches.open(PAGES);
  await cache.put(url.pathname, response);
  const kept = await cache.keys();
  await Promise.all(kept.slice(0, Math.max(kept.length - PAGES_AT_MOST, 0)).map((request) => cache.delete(request)));
}

self.addEventListener('message', (event) => {
  const { keep, page } = event.data ?? {};
  if (!Array.isArray(keep) || typeof page !== 'string') return;
  event.waitUntil(Promise.all([keepFiles(keep.slice(0, 300)), keepPage(page).catch(() => {})]));
});

async function fileFirst(request) {
  const kept = await caches.match(request, { ignoreVary: true });
  if (kept) return kept;
  const response = await fetch(request);
  if (response.ok) {
    const copy = response.clone();
    void caches.open(FILES).then((cache) => cache.put(request, copy));
  }
  return response;
}

async function serverFirst(request, pathname) {
  try {
    return await fetch(request);
  } catch (error) {
    const kept = await caches.match(pathname, { ignoreVary: true });
    if (kept) return kept;
    throw error;
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.method !== 'GET') return;
  const url = new URL(request.url);
  if (isFile(url)) event.respondWith(fileFirst(request));
  else if (request.mode === 'navigate' && isRun(url)) event.respondWith(serverFirst(request, url.pathname));
});
