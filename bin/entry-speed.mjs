#!/usr/bin/env node
// Measures entry in the browser, on a running demo studio: node bin/entry-speed.mjs http://127.0.0.1:8000
//   how long the engraving takes to follow each keystroke of a 16-bar piece, beside the bare route of the same server;
//   how many keystrokes an 8-bar piece for two hands takes from an empty page to the saved piece.
import { chromium } from '@playwright/test';

const [base = 'http://127.0.0.1:8000'] = process.argv.slice(2);
const LINES = [
    ['q1 2 3 4 | h5 3 | q5 e c d | w1', 'w5 | h1 5 | q5 3 1 r | w5'],
    ['h3 q2 1 | q5 4 3 r | v5432 h1 | h.3 qr', 'q5 3 1 3 | h5 3 | w1 | (531)'],
    ['q1 2 3 4 | h5 3 | q5 e c d | w1', 'w5 | h1 5 | q5 3 1 r | w5'],
];
const LAST = 'q5 f e d | h5 3 | q2 e d c';
const EIGHT = {
    right: ['q1defh5eq5fedw3', '=1-2qfed2w1'],
    left: ['h5gw5h5gw5', '=1-2h41w5'],
};

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await page.goto(`${base}/sign-in`);
await page.getByLabel('Email').fill('teacher@windowsill.example');
await page.getByLabel(/^Password/).fill('nasturtium');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'This week' }).waitFor();

const editor = page.locator('.cm-content');
const emptyPage = async (number) => {
    await page.goto(`${base}/books`);
    await page.getByRole('link', { name: `Add a piece to page ${number}` }).first().click();
    await editor.waitFor();
    const again = page.getByRole('button', { name: 'Begin again' });
    if (await again.isVisible()) await again.click();
};
const shown = (text) =>
    page.waitForFunction((wanted) => document.querySelector('.score')?.getAttribute('data-stamp') === wanted, text, { polling: 4, timeout: 20_000 });
const typed = () => page.evaluate(() => [...document.querySelectorAll('.cm-line')].map((line) => line.textContent).join('\n'));

// The engraving after each keystroke.
await emptyPage(10);
await editor.click();
await page.keyboard.press('Control+a');
await page.keyboard.insertText(`${LINES.map(([r, l], i) => `R: ${i === 0 ? '@c4 ' : ''}${r}\nL: ${i === 0 ? '@5=c3 ' : ''}${l}`).join('\n')}\nL: w5 | h1 5 | h5 3 | w5`);
await page.keyboard.press('Home');
await page.keyboard.insertText('R: \n');
await page.keyboard.press('ArrowUp');
await page.keyboard.press('End');
await shown(await typed());
await page.evaluate(() => {
    window.taken = [];
    let pressed = 0;
    window.addEventListener('keydown', () => { pressed = performance.now(); }, true);
    new MutationObserver(() => {
        const text = [...document.querySelectorAll('.cm-line')].map((line) => line.textContent).join('\n');
        if (document.querySelector('.score')?.getAttribute('data-stamp') === text && pressed > 0) {
            // Until the browser has drawn it.
            const from = pressed;
            pressed = 0;
            requestAnimationFrame(() => window.taken.push(performance.now() - from));
        }
    }).observe(document.body, { attributes: true, subtree: true, attributeFilter: ['data-stamp'] });
});
for (const key of LAST) {
    await page.keyboard.type(key);
    await shown(await typed());
    await page.waitForTimeout(20);
}
const taken = (await page.evaluate(() => window.taken)).sort((a, b) => a - b);
const bars = await page.locator('.score g.measure').count();
const bare = [];
for (let i = 0; i < 20; i++) {
    bare.push(
        await page.evaluate(async () => {
            const from = performance.now();
            await (await fetch('/up')).text();
            return performance.now() - from;
        }),
    );
}
bare.sort((a, b) => a - b);
const at = (list, part) => list[Math.min(list.length - 1, Math.floor(list.length * part))];
const ratio = (value) => `x${(value / at(bare, 0.5)).toFixed(1)}`;
console.log(`The engraving of ${bars} bars after each of ${taken.length} keystrokes, from the key to the drawn page:`);
for (const [name, part] of [['half of them within', 0.5], ['95 in 100 within', 0.95], ['the slowest', 1]]) {
    console.log(`  ${name.padEnd(20)} ${at(taken, part).toFixed(0)} ms, ${ratio(at(taken, part))} a bare route (${at(bare, 0.5).toFixed(0)} ms)`);
}
console.log(`  within 150 ms: ${taken.filter((one) => one <= 150).length} of ${taken.length}`);

// The keystrokes of an 8-bar piece.
await emptyPage(8);
let keys = 0;
const press = async (key) => {
    await page.keyboard.press(key);
    keys++;
};
const type = async (text) => {
    for (const key of text) {
        await page.keyboard.type(key);
        keys++;
    }
};
await type('Blue Gate');
for (let i = 0; i < 3; i++) await press('Enter');
for (const line of [0, 1]) {
    await type(EIGHT.right[line]);
    await press('Enter');
    await type(EIGHT.left[line]);
    if (line === 0) await press('Enter');
}
await shown(await typed());
const notes = await page.locator('.score g.note').count();
const eight = await page.locator('.score g.measure').count();
await press('Control+Enter');
await page.getByRole('heading', { name: 'Blue Gate' }).waitFor();
console.log(`${eight} bars with ${notes} notes in two hands, from an empty page to the saved piece: ${keys} keystrokes.`);
await page.evaluate(async () => {
    const id = location.pathname.split('/').pop();
    const token = decodeURIComponent(document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='))?.slice(11) ?? '');
    await fetch(`/api/pieces/${id}`, { method: 'DELETE', headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token } });
});
await browser.close();
