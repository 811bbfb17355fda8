// Keeps the home side for when there is no connection: its page, its files, the week and its music.
const FILES = 'nasturtium-files';
const DATA = 'nasturtium-data';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('message', (event) => {
    if (Array.isArray(event.data?.keep)) event.waitUntil(keep(event.data.keep));
});

/** Files that are not kept yet are fetched; those of an older build go. */
async function keep(paths) {
    const cache = await caches.open(FILES);
    const wanted = new Set(paths.map((path) => new URL(path, location.origin).href));
    const kept = await cache.keys();
    const known = new Set(kept.map((request) => request.url));
    for (const request of kept) {
        if (request.url.includes('/build/') && !wanted.has(request.url)) await cache.delete(request);
    }
    for (const url of wanted) {
        if (!known.has(url) || !url.includes('/build/')) await cache.add(url).catch(() => undefined);
    }
}

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== location.origin) return;
    if (url.pathname.startsWith('/api/home/')) event.respondWith(fresh(request, DATA, keyOf(request)));
    else if (request.mode === 'navigate' && url.pathname.startsWith('/home/')) event.respondWith(fresh(request, FILES, url.origin + url.pathname));
    else if (url.pathname.startsWith('/build/') || url.pathname === '/leaf.svg') event.respondWith(kept(request));
});

/** Each family link has answers of its own. */
function keyOf(request) {
    const url = new URL(request.url);
    url.searchParams.set('link', (request.headers.get('Authorization') ?? '').slice(-12));
    return url.href;
}

/** From the server; from what is kept when it is not there. A link that is closed forgets. */
async function fresh(request, name, key) {
    const cache = await caches.open(name);
    try {
        const answer = await fetch(request);
        if (answer.ok) await cache.put(key, answer.clone());
        else if (answer.status === 401 || answer.status === 404) await cache.delete(key);
        return answer;
    } catch (error) {
        const before = await cache.match(key);
        if (before === undefined) throw error;
        return before;
    }
}

/** Files of a build never change. */
async function kept(request) {
    const cache = await caches.open(FILES);
    const before = await cache.match(request);
    if (before !== undefined) return before;
    const answer = await fetch(request);
    if (answer.ok) await cache.put(request, answer.clone());
    return answer;
}
