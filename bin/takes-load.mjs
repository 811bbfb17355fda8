#!/usr/bin/env node
// Thirty takes in a row by the microphone of a running demo studio: how long each takes from its end to what is told, and what
// memory the page holds (docs/hearing.md):  node bin/takes-load.mjs http://127.0.0.1:8000 [takes]
import { execFileSync } from 'node:child_process';
import { chromium } from '@playwright/test';

const [base = 'http://127.0.0.1:8000', takes = '30'] = process.argv.slice(2);
const home = execFileSync('php', ['artisan', 'nasturtium:demo'], { encoding: 'utf8' }).match(/\/home\/\w+/)?.[0];
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream', '--js-flags=--expose-gc', '--enable-precise-memory-info'],
});
const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
const page = await context.newPage();
await page.goto(base + home);
const rows = page.getByRole('main').getByRole('button').filter({ hasText: /bars? \d/ });
const listen = page.getByRole('region', { name: 'Listen to me' });
await page.getByRole('heading', { level: 1 }).waitFor();
await page.waitForTimeout(1_000);
// A free day has nothing to play; the day before may have.
if ((await rows.count()) === 0) await page.getByText('Yesterday', { exact: true }).click();
await rows.first().waitFor();
for (let i = 0; i < (await rows.count()); i++) {
    await rows.nth(i).click();
    const isHeard = await listen.waitFor({ timeout: 8_000 }).then(() => true, () => false);
    if (isHeard) break;
    await page.getByRole('button', { name: /^←/ }).click();
}
const waits = [];
for (let i = 0; i < Number(takes); i++) {
    await listen.getByRole('button', { name: /^(Listen to me|Again)$/ }).click();
    await page.getByRole('meter').waitFor();
    await page.waitForTimeout(2_000);
    const from = Date.now();
    await listen.getByRole('button', { name: 'That was it' }).click();
    await listen.getByRole('button', { name: 'As it is written' }).waitFor();
    waits.push(Date.now() - from);
    const held = await page.evaluate(() => {
        globalThis.gc?.();
        return Math.round(performance.memory.usedJSHeapSize / 1_000_000);
    });
    console.log(`take ${i + 1}: told after ${waits.at(-1)} ms, the page holds ${held} MB`);
}
const middle = (of) => [...of].sort((a, b) => a - b)[of.length >> 1];
console.log(`the first five ${middle(waits.slice(0, 5))} ms, the last five ${middle(waits.slice(-5))} ms`);
await browser.close();
