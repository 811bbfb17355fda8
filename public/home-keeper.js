// Keeps the home side for when there is no connection: its page, its files, the week and its music.
const FILES = 'nasturtium-files';
const DATA = 'nasturtium-data';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('message', (event) => {
    if (Array.isArray(event.data?.keep)) event.waitUntil(keep(event.data.keep));
});

/** Files that are not kept yet are fetched. Once all are there those of an older build go: until then its page may be needed. */
async function keep(paths) {
    const cache = await caches.open(FILES);
    const wanted = new Set(paths.map((path) => new URL(path, location.origin).href));
    const kept = await cache.keys();
    const known = new Set(kept.map((request) => request.url));
    let whole = true;
    for (const url of wanted) {
        if (known.has(url) && url.includes('/build/')) continue;
        await cache.add(url).catch(() => {
            whole = false;
        });
    }
    for (const request of whole ? kept : []) {
        if (request.url.includes('/build/') && !wanted.has(request.url)) await cache.delete(request);
    }
}

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== location.origin) return;
    if (url.pathname.startsWith('/api/home/')) event.respondWith(fresh(request, DATA, keyOf(request)));
    else if (request.mode === 'navigate' && url.pathname.startsWith('/home/')) event.respondWith(page(event, url.origin + url.pathname));
    else if (url.pathname.startsWith('/build/') || url.pathname === '/leaf.svg') event.respondWith(kept(request));
});

/** Each family link has answers of its own. */
function keyOf(request) {
    const url = new URL(request.url);
    url.searchParams.set('link', (request.headers.get('Authorization') ?? '').slice(-12));
    return url.href;
}

/** The page of a link. One of a new build takes the place of what is kept once its scripts are there: the connection may go in between. */
async function page(event, key) {
    const cache = await caches.open(FILES);
    try {
        const answer = await fetch(event.request);
        if (answer.ok) event.waitUntil(takeOver(cache, key, answer.clone()).catch(() => undefined));
        else if (answer.status === 401 || answer.status === 404) await cache.delete(key);
        return answer;
    } catch (error) {
        const before = await cache.match(key);
        if (before === undefined) throw error;
        return before;
    }
}

async function takeOver(cache, key, answer) {
    const written = await answer.clone().text();
    for (const [, path] of written.matchAll(/(?:src|href)="([^"]*\/build\/[^"]+)"/g)) {
        const url = new URL(path, location.origin).href;
        if ((await cache.match(url)) === undefined) await cache.add(url);
    }
    await cache.put(key, answer);
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
