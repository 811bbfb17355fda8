import type { Browser, BrowserContext, Page } from '@playwright/test';
import { api, expect, expectAccessible, homeOfTheDemo, listen, signIn, test } from './studio';

/*
 * The practice room as a child uses it on a phone, and a teacher at the lesson.
 */

interface Phone {
    phone: BrowserContext;
    home: Page;
    errors: string[];
    /** What was sent to be kept, answer by answer. */
    sent: { card: string; right: boolean; milliseconds: number; at: string }[];
}

async function phoneAtHome(browser: Browser): Promise<Phone> {
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const home = await phone.newPage();
    const [errors, sent]: [string[], Phone['sent']] = [[], []];
    listen(home, errors);
    home.on('request', (request) => {
        if (request.url().endsWith('/api/home/answers')) sent.push(...(request.postDataJSON()?.answers ?? []));
    });
    await home.goto(homeOfTheDemo());
    await expect(home.getByRole('heading', { name: 'Hello Mina' })).toBeVisible();
    return { phone, home, errors, sent };
}

async function enter(home: Page, kind: string): Promise<void> {
    await home.getByRole('button', { name: 'Practice room' }).tap();
    await home.getByRole('button', { name: new RegExp(`^${kind} `) }).tap();
}

/** Answers the card that stands there with any option, and goes on. */
async function answerSomehow(home: Page): Promise<void> {
    const letters = home.getByRole('group', { name: 'Which note is this?' }).getByRole('button');
    await expect(letters.first()).toBeEnabled();
    await expect(home.getByRole('img', { name: 'The music of the card' }).locator('svg').first()).toBeVisible();
    await letters.nth(2).tap();
    const goOn = home.getByRole('button', { name: 'Go on' });
    await expect(goOn.or(home.getByText('Yes!'))).toBeVisible();
    if (await goOn.isVisible()) await goOn.tap();
    await expect(letters.first()).toBeEnabled();
}

test('a child answers by touch, sees the way to a note, and what was answered is kept', async ({ browser }) => {
    const { phone, home, errors, sent } = await phoneAtHome(browser);
    await home.getByRole('button', { name: 'Practice room' }).tap();
    await expect(home.getByRole('heading', { name: 'Practice room' })).toBeVisible();
    await expectAccessible(home);
    await home.getByRole('button', { name: /^Name it / }).tap();
    const letters = home.getByRole('group', { name: 'Which note is this?' }).getByRole('button');
    await expect(letters.first()).toBeVisible();
    const box = await letters.first().boundingBox();
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(48);
    await expectAccessible(home);
    for (let i = 0; i < 4; i++) await answerSomehow(home);
    await home.getByRole('button', { name: '← Practice room' }).tap();
    await expect.poll(() => sent.length).toBe(4);
    expect(new Set(sent.map((one) => one.card)).size).toBeGreaterThan(1);
    expect(errors).toEqual([]);
    await phone.close();
});

test('without a connection a session is done all the same, and its answers are sent once', async ({ browser }) => {
    const { phone, home, errors, sent } = await phoneAtHome(browser);
    await enter(home, 'Name it');
    await answerSomehow(home);
    await phone.setOffline(true);
    await answerSomehow(home);
    await answerSomehow(home);
    await home.getByRole('button', { name: '← Practice room' }).tap();
    await home.getByRole('button', { name: '← Today' }).tap();
    await expect(home.getByText('One change is kept here')).toBeVisible();
    const before = sent.length;
    await phone.setOffline(false);
    await expect(home.getByText('One change is kept here')).toBeHidden({ timeout: 20_000 });
    expect(sent.slice(before).length % 3).toBe(0);
    expect(errors).toEqual([]);
    await phone.close();
});

test('keys of the piano on the screen, an echo, and taps after eight clicks', async ({ browser }) => {
    const { phone, home, errors } = await phoneAtHome(browser);
    await enter(home, 'Find it');
    const keys = home.getByRole('group', { name: 'Piano keys' }).getByRole('button');
    const white = await keys.filter({ hasNotText: 'sharp' }).first().boundingBox();
    expect(white?.width ?? 0).toBeGreaterThanOrEqual(48);
    await keys.first().tap();
    await expect(home.getByRole('button', { name: 'Go on' }).or(home.getByText('Yes!'))).toBeVisible();
    await home.getByRole('button', { name: '← Practice room' }).tap();
    await home.getByRole('button', { name: /^Echo / }).tap();
    await expect(home.getByRole('button', { name: 'Hear it again' })).toBeVisible();
    for (const key of ['C 4', 'D 4', 'E 4', 'F 4', 'G 4']) {
        if (await home.getByRole('button', { name: 'Go on' }).or(home.getByText('Yes!')).isVisible()) break;
        await home.getByRole('button', { name: key, exact: true }).tap();
    }
    await expect(home.getByRole('button', { name: 'Go on' }).or(home.getByText('Yes!'))).toBeVisible();
    await home.getByRole('button', { name: '← Practice room' }).tap();
    await home.getByRole('button', { name: /^Tap it / }).tap();
    await expect(home.getByRole('heading', { name: 'Tap along with eight clicks' })).toBeVisible();
    await home.getByRole('button', { name: 'Do without' }).tap();
    await home.getByRole('button', { name: 'Count me in' }).tap();
    const pad = home.getByRole('button', { name: /^(Tap|\d)/ });
    await pad.tap();
    // One tap is not the rhythm: it is said kindly, with what to do.
    await expect(home.getByText('A tap is missing. Tap once for every note.')).toBeVisible({ timeout: 20_000 });
    expect(errors).toEqual([]);
    await phone.close();
});

test('with a keyboard a session is answered without a touch', async ({ page }) => {
    await page.goto(homeOfTheDemo());
    await page.getByRole('button', { name: 'Practice room' }).click();
    await page.getByRole('button', { name: /^Name it / }).press('Enter');
    await expect(page.getByRole('heading', { name: 'Which note is this?' })).toBeVisible();
    await expect(page.getByRole('img', { name: 'The music of the card' }).locator('svg').first()).toBeVisible();
    await page.keyboard.press('b');
    const told = page.getByText('Not yet. This is how to find it:').or(page.getByText('Yes!'));
    await expect(told).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'B', exact: true })).toBeEnabled();
});

test('at the lesson the teacher sees what was trained, sets it, and two sides take turns', async ({ page }) => {
    await signIn(page);
    await page.goto('/students');
    await page.getByRole('link', { name: 'Lina S.' }).click();
    await page.getByRole('main').getByRole('link', { name: 'Practice room' }).click();
    await expect(page.getByRole('heading', { name: 'Speed over the weeks' })).toBeVisible();
    await page.getByLabel('Minutes of a session').fill('1');
    await page.getByRole('button', { name: 'Save' }).click();
    const id = Number(page.url().match(/students\/(\d+)/)?.[1]);
    const minutes = () => api<{ settings: { minutes: number } }>(page, 'GET', `/students/${id}/training`);
    await expect.poll(async () => (await minutes()).settings.minutes).toBe(1);
    await page.getByRole('button', { name: 'Two sides (s)' }).click();
    await page.getByRole('combobox', { name: 'The other side' }).click();
    await page.getByRole('option', { name: 'Theo B.' }).click();
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByText('Your turn')).toBeVisible();
    await expectAccessible(page);
    const answers = page.getByRole('group', { name: /^Which .* is this\?$/ }).getByRole('button');
    for (let turn = 0; turn < 20; turn++) {
        await answers.nth(turn % 2).click();
        await page.getByRole('button', { name: 'Go on' }).click();
    }
    await expect(page.getByText('Both sides are through. Well done together!')).toBeVisible();
});

test('a worksheet is made for a student, printed with its answers apart, and marked', async ({ page }) => {
    await signIn(page);
    await page.goto('/students');
    await page.getByRole('link', { name: 'Theo B.' }).click();
    await page.getByRole('main').getByRole('link', { name: 'Practice room' }).click();
    await page.getByRole('link', { name: 'Worksheets (w)' }).click();
    await page.getByRole('combobox', { name: 'Kind' }).click();
    await page.getByRole('option', { name: 'Spelling words' }).click();
    await page.getByLabel('Questions').fill('6');
    const preview = page.getByRole('region', { name: 'How it will be' });
    await expect(preview.getByRole('listitem')).toHaveCount(6);
    await page.getByRole('button', { name: 'Keep and print' }).click();
    await expect(page.getByRole('heading', { name: /^Spelling words No\. \d+/ })).toBeVisible();
    await expect(page.getByRole('img', { name: 'The music of question 6' }).locator('svg').first()).toBeVisible();
    const pdf = await page.pdf({ preferCSSPageSize: true });
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
    const answers = page.locator('[data-answers]').getByRole('listitem');
    await expect(answers).toHaveCount(6);
    expect(await answers.first().textContent()).toMatch(/^[A-G]{3,}$/);
    await page.getByRole('link', { name: 'Back to the worksheets' }).click();
    const right = page.getByRole('textbox', { name: /^Right answers of Theo B\./ }).first();
    await right.fill('5');
    await right.press('Tab');
    await page.reload();
    await expect(page.getByRole('textbox', { name: /^Right answers of Theo B\./ }).first()).toHaveValue('5');
});

test('lines at sight are printed four on a sheet, rung by how they went, with their letters apart', async ({
    page,
}) => {
    await signIn(page);
    await page.goto('/students');
    await page.getByRole('link', { name: 'Theo B.' }).click();
    const student = /\d+/.exec(new URL(page.url()).pathname)?.[0];
    await page.goto(`/worksheets?student=${student}&kind=sight`);
    const preview = page.getByRole('region', { name: 'How it will be' });
    await expect(preview.getByRole('listitem')).toHaveCount(4);
    await expect(preview.getByRole('img', { name: 'The music of question 4' }).locator('svg').first()).toBeVisible();
    await page.getByRole('button', { name: 'Keep and print' }).click();
    await expect(page.getByRole('heading', { name: /^Lines at sight No\. \d+/ })).toBeVisible();
    await expect(page.getByRole('img', { name: 'The music of question 4' }).locator('svg').first()).toBeVisible();
    const pdf = await page.pdf({ preferCSSPageSize: true });
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
    const answers = page.locator('[data-answers]').getByRole('listitem');
    expect(await answers.first().textContent()).toMatch(/^Level \d+\. (Right|Left) hand: [A-G]/);
});
