#!/usr/bin/env node
// Takes the pictures of docs/screenshots from a running demo studio: node bin/screenshots.mjs http://127.0.0.1:8000 [name …]
import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';

const [base = 'http://127.0.0.1:8000', ...wanted] = process.argv.slice(2);
const folder = process.env.SHOTS ?? 'docs/screenshots';
mkdirSync(folder, { recursive: true });
const told = execFileSync('php', ['artisan', 'nasturtium:demo'], { encoding: 'utf8' });
const home = told.match(/\/home\/\w+/)?.[0];

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
const desk = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, locale: 'en-GB' });
const page = await desk.newPage();
const hand = await phone.newPage();

/** On a free day nothing is to be done: then the day before is shown. */
async function freeDay(button) {
    const there = hand.getByRole('button', { name: button }).first();
    await there.waitFor({ timeout: 4_000 }).catch(() => hand.getByText('Yesterday', { exact: true }).click());
}
for (const one of [page, hand]) {
    one.on('console', (message) => message.type() === 'error' && console.error('console:', message.text()));
    one.on('pageerror', (error) => console.error('page error:', error.message));
}

const settle = async (on) => {
    await on.waitForLoadState('networkidle');
    await on.waitForFunction(() => !/Engraving…|Fetching|Looking|Reading the page/.test(document.body.innerText));
    await on.waitForTimeout(400);
};
const shot = async (on, name) => {
    await settle(on);
    await on.mouse.move(0, 0);
    await on.screenshot({ path: `${folder}/${name}.png` });
    console.log(name);
};

await page.goto(`${base}/sign-in`);
const views = {
    'this-week': async () => {
        await page.goto(base);
        await shot(page, 'this-week');
    },
    student: async () => {
        await page.goto(`${base}/students`);
        await page.getByRole('link', { name: 'Theo B.' }).click();
        await shot(page, 'student');
    },
    books: async () => {
        await page.goto(`${base}/books`);
        await shot(page, 'books');
    },
    entry: async () => {
        await page.goto(`${base}/books`);
        await page.getByRole('link', { name: 'The Old Pump' }).click();
        await page.getByRole('link', { name: /Edit/ }).click();
        await page.locator('.score g.note').first().waitFor();
        await page.keyboard.press('Control+End');
        await shot(page, 'entry');
    },
    photo: async () => {
        await page.goto(`${base}/books`);
        await page.getByRole('link', { name: /^Photo of page/ }).first().click();
        await page.getByRole('button', { name: /Camera of this device/ }).click();
        await page.getByRole('button', { name: 'Use the stand-in camera' }).click();
        await page.getByText('Then 3 doubtful places.').waitFor();
        await page.keyboard.press('Enter');
        await page.getByText('Doubt 1 of 3').waitFor();
        await page.keyboard.press('Enter');
        await page.getByText('Doubt 2 of 3').waitFor();
        // A dot that the print has not: two, then none; and back to the note that was made shorter for it.
        for (const key of ['ArrowLeft', 'ArrowLeft', '.', '.', 'ArrowRight', 'ArrowRight']) await page.keyboard.press(key);
        await page.locator('.score g.note').first().waitFor();
        await shot(page, 'photo');
        await page.getByRole('button', { name: 'Delete this photo' }).click();
    },
    ...Object.fromEntries(
        [
            ['look-over', 'l'],
            ['notes', 'o'],
            ['fingers', 'f'],
        ].map(([lens, key]) => [
            `desk-${lens}`,
            async () => {
                await page.goto(`${base}/books`);
                await page.getByRole('link', { name: ['fingers', 'trouble'].includes(lens) ? 'The Ladder in the Barn' : 'Uphill on a Saturday' }).click();
                await settle(page);
                await page.keyboard.press(key);
                await page.keyboard.press('j');
                // Two together.
                if (lens === 'fingers') await page.keyboard.press('C');
                await shot(page, `desk-${lens}`);
            },
        ]),
    ),
    progress: async () => {
        await page.goto(`${base}/students`);
        await page.getByRole('link', { name: 'Theo B.' }).click();
        await page.getByRole('main').getByRole('link', { name: 'Progress' }).click();
        await page.getByText('Practised and planned').waitFor();
        await shot(page, 'progress');
    },
    report: async () => {
        await page.goto(`${base}/students`);
        await page.getByRole('link', { name: 'Theo B.' }).click();
        await page.getByRole('main').getByRole('link', { name: 'Progress' }).click();
        await page.getByRole('link', { name: 'Term report' }).click();
        await page.getByLabel('Sentences').waitFor();
        await shot(page, 'report');
    },
    plan: async () => {
        await page.goto(base);
        await page.getByRole('link', { name: 'Plan of Theo B.' }).click();
        await shot(page, 'plan');
    },
    lesson: async () => {
        await page.goto(base);
        await page.getByRole('button', { name: 'Lesson of Theo B.' }).click();
        await settle(page);
        await page.keyboard.press('j');
        await page.keyboard.press('a');
        await page.keyboard.press('ArrowRight');
        await page.keyboard.press('Shift+ArrowRight');
        await page.keyboard.press('Shift+ArrowRight');
        await shot(page, 'lesson');
    },
    'lesson-heard': async () => {
        await page.goto(base);
        await page.getByRole('button', { name: 'Lesson of Theo B.' }).click();
        await settle(page);
        await page.keyboard.press('j');
        const heard = page.getByRole('region', { name: 'What was heard' });
        await heard.waitFor();
        // The panel is under the board.
        await page.setViewportSize({ width: 1280, height: 1100 });
        await shot(page, 'lesson-heard');
        await page.setViewportSize({ width: 1280, height: 800 });
    },
    practice: async () => {
        await page.goto(`${base}/students`);
        await page.getByRole('link', { name: 'Lina S.' }).click();
        await page.getByRole('main').getByRole('link', { name: 'Practice room' }).click();
        await settle(page);
        await shot(page, 'practice');
    },
    'practice-phone': async () => {
        await hand.goto(base + home);
        await hand.getByRole('button', { name: 'Practice room' }).click();
        await hand.getByRole('button', { name: /^Find it / }).click();
        await settle(hand);
        await hand.getByRole('group', { name: 'Piano keys' }).getByRole('button').nth(2).click();
        await hand.getByRole('button', { name: 'Go on' }).waitFor();
        await shot(hand, 'practice-phone');
    },
    'listening-phone': async () => {
        await hand.goto(base + home);
        await freeDay(/Over the line end/);
        await hand.getByRole('button', { name: /Over the line end/ }).first().click();
        await hand.getByText('Keyboard or screen').click();
        await hand.getByRole('combobox', { name: 'Keyboard' }).click();
        await hand.getByRole('option', { name: 'Stand-in keyboard' }).click();
        await hand.getByRole('button', { name: 'Listen to me' }).click();
        await hand.getByRole('button', { name: 'With two slips' }).click();
        await hand.getByRole('button', { name: 'As it is written', exact: true }).last().waitFor();
        await hand.waitForTimeout(9_000);
        await hand.getByRole('region', { name: 'Listen to me' }).scrollIntoViewIfNeeded();
        await shot(hand, 'listening-phone');
    },
    'lead-phone': async () => {
        await hand.goto(base + home);
        await freeDay('Lead me through today');
        await hand.getByRole('button', { name: 'Lead me through today' }).click();
        await hand.getByRole('button', { name: 'Begin' }).click();
        for (let i = 0; i < 40 && (await hand.getByText(/^Listen\. \d/).count()) === 0; i++) {
            if (!/^My turn/.test((await hand.getByRole('heading').first().textContent()) ?? '')) await hand.getByRole('button', { name: 'Skip' }).click();
            await hand.waitForTimeout(700);
        }
        await hand.screenshot({ path: `${folder}/lead-phone.png` });
    },
    'home-phone': async () => {
        await hand.goto(base + home);
        await shot(hand, 'home-phone');
    },
    'home-task-phone': async () => {
        await hand.goto(base + home);
        await hand.getByRole('button', { name: /bars/ }).first().click();
        await shot(hand, 'home-task-phone');
    },
};

await page.getByLabel('Email').fill('teacher@windowsill.example');
await page.getByLabel(/^Password/).fill('nasturtium');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'This week' }).waitFor();
for (const [name, view] of Object.entries(views)) {
    if (wanted.length === 0 || wanted.includes(name)) await view();
}
await browser.close();
