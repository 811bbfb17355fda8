import type { Page } from '@playwright/test';
import { ROOMS } from './rooms';
import { api, engraved, expect, family, homeOfTheDemo, signIn, test } from './studio';

interface Studio {
    id: number;
    name: string;
    paper: string;
    timezone: string;
}

/** What is said in the other variety alone. A bar line is one in both. */
const FOREIGN: Record<string, RegExp> = {
    us: /\b(bars?(?! lines?\b)|practis\w+|learnt|(semi|demisemi)?quavers?|crotchets?|minims?|semibreves?|colours?|\d{1,2} (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec))\b/gi,
    uk: /\b(measures?|practiced|learned|(whole|half|quarter|eighth|sixteenth) notes?|colors?|(?<!\d )(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec) \d{1,2}|\d (am|pm))\b/gi,
};

/** All that can be read on a page, or heard from it; what is typed as it stands is in no variety. */
function said(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        const named = [...document.querySelectorAll('[aria-label],[title],[placeholder]')].flatMap((one) =>
            ['aria-label', 'title', 'placeholder'].map((name) => one.getAttribute(name) ?? ''),
        );
        const written: string[] = [];
        const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        while (texts.nextNode()) {
            const { parentElement, textContent } = texts.currentNode;
            if (parentElement?.closest('kbd,pre,script,style') === null) written.push(textContent ?? '');
        }
        return [document.title, ...written, ...named].filter((text) => text !== '');
    });
}

async function expectNoneOf(page: Page, foreign: RegExp): Promise<void> {
    const texts = await said(page);
    expect(texts.length).toBeGreaterThan(3);
    expect(texts.filter((text) => text.search(foreign) >= 0)).toEqual([]);
}

async function setWords(page: Page, words: string): Promise<void> {
    const { studio } = await api<{ studio: Studio }>(page, 'GET', '/session');
    const { id, name, paper, timezone } = studio;
    await api(page, 'PATCH', `/studios/${id}`, { name, paper, timezone, words });
    await page.goto('/');
    await expect(page.locator('html')).toHaveAttribute('lang', words === 'us' ? 'en-US' : 'en-GB');
}

for (const words of ['us', 'uk']) {
    test(`every screen is in the words of a studio: ${words}`, async ({ page }) => {
        test.setTimeout(300_000);
        await signIn(page);
        const { link } = await family(page, words === 'us' ? 'Gil' : 'Ari');
        await setWords(page, words);
        const foreign = FOREIGN[words] as RegExp;
        try {
            for (const [room, visit] of ROOMS) {
                await test.step(room, async () => {
                    await visit(page);
                    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
                    await expectNoneOf(page, foreign);
                });
            }
            await test.step('every lens, and the shortcuts', async () => {
                await page.goto('/books');
                await page.getByRole('link', { name: 'Copper Kettle' }).click();
                await engraved(page);
                for (const lens of 'lofchpts') {
                    await page.keyboard.press(lens);
                    await expect(page.getByRole('complementary')).not.toBeEmpty();
                    await expectNoneOf(page, foreign);
                }
                await page.keyboard.press('?');
                await expect(page.getByRole('dialog')).toContainText('next');
                await expectNoneOf(page, foreign);
            });
            await test.step('the shorthand', async () => {
                await page.goto('/shorthand');
                await engraved(page);
                await expectNoneOf(page, foreign);
            });
            await test.step('the account', async () => {
                await page.goto('/account');
                await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
                await expectNoneOf(page, foreign);
            });
            await test.step('home', async () => {
                await page.goto(homeOfTheDemo());
                await expect(page.locator('html')).toHaveAttribute('lang', words === 'us' ? 'en-US' : 'en-GB');
                await expect(page.getByRole('heading', { level: 1 })).toContainText('Hello');
                await expectNoneOf(page, foreign);
                await page.getByRole('button', { name: 'Practice room' }).click();
                await expect(page.getByRole('button', { name: /^Count it / })).toBeVisible();
                await expectNoneOf(page, foreign);
                await page.getByRole('button', { name: /^Same or different / }).click();
                await expect(page.getByRole('heading', { level: 2 })).toBeVisible();
                await expectNoneOf(page, foreign);
                await page.getByRole('button', { name: '← Practice room' }).click();
                // A day that has tasks, whatever weekday it is.
                await page.goto(link);
                await page.getByRole('button', { name: /min$/ }).last().click();
                await expect(page.getByRole('button', { name: /^Done/ })).toBeVisible();
                await expectNoneOf(page, foreign);
            });
        } finally {
            await setWords(page, 'uk');
        }
    });
}
