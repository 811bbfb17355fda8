#!/usr/bin/env node
// Measures how long the eye waits, in the browser, on a running demo studio: node bin/first-note.mjs http://127.0.0.1:8000
// (what else the browser is to be told, as the certificate of a server that is tried out, stands in BROWSER_ARGS, divided by semicolons):
//   from the address of a page to its first note, of a page seen before and of one never seen;
//   within the application, likewise; beside the bare route of the same server, in the same run;
//   at home on a phone slowed fourfold: to the day, from there to the music of a task; in the practice room to the first
//   card, and from an answer to what was right.
// The browser has the files of the application already, as on any day but the first. The median of five times each.
import { chromium } from '@playwright/test';

const [base = 'http://127.0.0.1:8000'] = process.argv.slice(2);
const TIMES = 5;
const NOTE = '.score svg g.note';

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', ...(process.env.BROWSER_ARGS ?? '').split(';').filter(Boolean)],
});

/** Notes when something first stands on the page, by the clock of the page. */
const watch = (context) =>
    context.addInitScript(() => {
        window.came = {};
        window.await = (name, selector) => {
            const look = () => {
                if (window.came[name] === undefined && document.querySelector(selector) !== null) requestAnimationFrame(() => { window.came[name] ??= performance.now(); });
            };
            new MutationObserver(look).observe(document, { childList: true, subtree: true });
            look();
        };
        window.await('note', '.score svg g.note');
        window.await('heading', 'h1');
    });
const came = async (page, name) => (await page.waitForFunction((one) => window.came[one], name, { polling: 20, timeout: 60_000 })).jsonValue();
const median = (of) => [...of].sort((a, b) => a - b)[Math.floor(of.length / 2)];
const tell = (what, times, goal) => console.log(`${what.padEnd(58)} ${String(Math.round(median(times))).padStart(5)} ms   (${times.map(Math.round).join(', ')})${goal ? `   goal ${goal}` : ''}`);
const forget = (page) =>
    page.evaluate(() => new Promise((done) => {
        const asked = indexedDB.open('nasturtium-drawings');
        asked.onsuccess = () => {
            const one = asked.result;
            if (!one.objectStoreNames.contains('drawings')) return done(one.close());
            const gone = one.transaction('drawings', 'readwrite');
            gone.objectStore('drawings').clear();
            gone.oncomplete = () => done(one.close());
        };
        asked.onupgradeneeded = () => asked.transaction.abort();
        asked.onerror = () => done();
    }));

const desk = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
await watch(desk);
const page = await desk.newPage();
await page.goto(`${base}/sign-in`);
await page.getByLabel('Email').fill('teacher@windowsill.example');
await page.getByLabel(/^Password/).fill('nasturtium');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'This week' }).waitFor();
await page.goto(`${base}/books`);
const links = page.locator('a[href^="/pieces/"]:not([href*="entry"])');
await links.first().waitFor();
const pieces = (await links.evaluateAll((all) => [...new Set(all.map((one) => one.getAttribute('href')))])).slice(0, TIMES);

const bare = [];
for (let i = 0; i < TIMES * 3; i++) {
    bare.push(await page.evaluate(async () => {
        const from = performance.now();
        await (await fetch('/up')).text();
        return performance.now() - from;
    }));
}
tell('the bare route', bare);

const fresh = [], seen = [];
for (const piece of pieces) {
    await page.goto(base + piece);
    await came(page, 'note');
    await forget(page);
    await page.goto(base + piece);
    fresh.push(await came(page, 'note'));
    await page.waitForTimeout(600);
    await page.goto(base + piece);
    seen.push(await came(page, 'note'));
}
tell('from its address, never seen', fresh);
tell('from its address, seen before', seen, '400 ms');

const within = async (href) => {
    await page.goto(`${base}/books`);
    await page.locator(`a[href="${href}"]`).first().waitFor();
    // As a teacher looks at the list before she chooses.
    await page.waitForTimeout(5000);
    return page.evaluate((to) => {
        window.came.note = undefined;
        window.pressed = performance.now();
        document.querySelector(`a[href="${to}"]`).click();
    }, href).then(async () => (await came(page, 'note')) - (await page.evaluate(() => window.pressed)));
};
const freshWithin = [], seenWithin = [];
for (const piece of pieces) {
    await page.goto(`${base}/books`);
    await forget(page);
    freshWithin.push(await within(piece));
    await page.waitForTimeout(400);
    seenWithin.push(await within(piece));
}
tell('within the application, never seen', freshWithin, '900 ms');
tell('within the application, seen before', seenWithin, '400 ms');

// The first student whose plan was sent has a link made for this.
const token = await page.evaluate(async () => {
    const secret = decodeURIComponent(document.cookie.split('XSRF-TOKEN=')[1]?.split(';')[0] ?? '');
    const call = async (method, path, body) => (await fetch(`/api${path}`, { method, headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': secret }, body: body && JSON.stringify(body) })).json();
    for (const row of await call('GET', '/this-week')) {
        const { token, address, url } = await call('POST', `/students/${row.studentId}/links`, { label: 'Measured', expiresOn: null });
        const one = token ?? (address ?? url).split('/').pop();
        const week = await (await fetch('/api/home/week', { headers: { Accept: 'application/json', Authorization: `Bearer ${one}` } })).json();
        const today = week.days?.find((day) => day.date === week.now.slice(0, 10));
        if (today?.taskIds.some((id) => week.tasks.find((task) => task.id === id)?.piece)) return one;
    }
    return null;
});
if (token === null) {
    console.log('No plan that was sent has music for today: home is not measured.');
} else {
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, deviceScaleFactor: 2, locale: 'en-GB' });
    await watch(phone);
    const home = await phone.newPage();
    await (await phone.newCDPSession(home)).send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const day = [], music = [];
    for (let i = 0; i <= TIMES; i++) {
        await home.goto(`${base}/home/${token}`);
        const greeted = await came(home, 'heading');
        // The child looks at the day before it begins.
        await home.waitForTimeout(i === 0 ? 25_000 : 3000);
        const pressed = await home.evaluate(() => {
            window.came.note = undefined;
            const line = [...document.querySelectorAll('ol button')].find((one) => /(bar|measure)s?/.test(one.textContent));
            const at = performance.now();
            line.click();
            return at;
        });
        const stood = (await came(home, 'note')) - pressed;
        if (i > 0) {
            day.push(greeted);
            music.push(stood);
        }
    }
    const card = [], answered = [];
    for (let i = 0; i <= TIMES; i++) {
        await home.goto(`${base}/home/${token}`);
        await came(home, 'heading');
        // The cards of the day are engraved while the child looks at the day; the first time there are many.
        await home.waitForTimeout(i === 0 ? 60_000 : 4000);
        await home.getByRole('button', { name: 'Practice room' }).click();
        await home.getByRole('button', { name: /^Name it / }).waitFor();
        const stood = await home.evaluate(() => {
            window.came.note = undefined;
            const at = performance.now();
            [...document.querySelectorAll('button')].find((one) => one.textContent.startsWith('Name it')).click();
            return at;
        }).then(async (at) => (await came(home, 'note')) - at);
        const shown = await home.evaluate(() => {
            window.came.mark = undefined;
            window.await('mark', '[data-mark="right"]');
            const at = performance.now();
            [...document.querySelectorAll('[role="group"] button')].find((one) => one.textContent === 'C').click();
            return at;
        }).then(async (at) => (await came(home, 'mark')) - at);
        if (i > 0) {
            card.push(stood);
            answered.push(shown);
        }
    }
    tell('home on a phone slowed fourfold: to the day', day, '1000 ms');
    tell('  and from there to the music of a task', music, '500 ms');
    tell('  in the practice room, to the first card', card, '300 ms');
    tell('  from an answer to what was right', answered, '50 ms');
}
await browser.close();
