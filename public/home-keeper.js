// Keeps the home side for when there is no connection: its page, its files, the week and its music.
const FILES = 'nasturtium-files';
const DATA = 'nasturtium-data';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('message', (event) => {
    if (Array.isArray(event.data?.keep)) event.waitUntil(keep(event.data.keep, event.data.later ?? []));
});

/**
 * Files of the build that are not kept yet are fetched, then its pages; when all is there what is of an older build goes.
 * Where the connection ends in between, the page of before has its files still. What is fetched later, when it is wanted, is
 * not fetched here, and stays when it is kept already.
 */
async function keep(paths, later) {
    const cache = await caches.open(FILES);
    const wanted = new Set(paths.map((path) => new URL(path, location.origin).href));
    const mayStay = new Set([...wanted, ...later.map((path) => new URL(path, location.origin).href)]);
    const kept = await cache.keys();
    const known = new Set(kept.map((request) => request.url));
    const isBuilt = (url) => url.includes('/build/');
    let whole = true;
    const add = (url) =>
        cache.add(url).catch(() => {
            whole = false;
        });
    for (const url of wanted) if (isBuilt(url) && !known.has(url)) await add(url);
    for (const url of wanted) if (whole && !isBuilt(url)) await add(url);
    if (!whole) return;
    for (const request of kept) if (isBuilt(request.url) && !mayStay.has(request.url)) await cache.delete(request);
}

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== location.origin) return;
    if (url.pathname.startsWith('/api/home/')) event.respondWith(fresh(event, DATA, keyOf(request)));
    else if (request.mode === 'navigate' && url.pathname.startsWith('/home/')) event.respondWith(fresh(event, FILES, url.origin + url.pathname, takeOver));
    else if (url.pathname.startsWith('/build/') || url.pathname === '/leaf.svg') event.respondWith(kept(request));
});

/** Each family link has answers of its own. */
function keyOf(request) {
    const url = new URL(request.url);
    url.searchParams.set('link', (request.headers.get('Authorization') ?? '').slice(-12));
    return url.href;
}

/** A page of a new build takes the place of what is kept once its scripts are there: the connection may go in between. */
async function takeOver(cache, key, answer) {
    const written = await answer.clone().text();
    for (const [, path] of written.matchAll(/(?:src|href)="([^"]*\/build\/[^"]+)"/g)) {
        const url = new URL(path, location.origin).href;
        if ((await cache.match(url)) === undefined) await cache.add(url);
    }
    await cache.put(key, answer);
}

const put = (cache, key, answer) => cache.put(key, answer);

/** From the server; from what is kept when it is not there. A link that is closed forgets. */
async function fresh(event, name, key, take = put) {
    const cache = await caches.open(name);
    try {
        const answer = await fetch(event.request);
        if (answer.ok) event.waitUntil(take(cache, key, answer.clone()).catch(() => undefined));
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
