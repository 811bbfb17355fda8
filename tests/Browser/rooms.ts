import { expect, type Page } from '@playwright/test';
import { engraved } from './studio';

/** The teacher's rooms in the demo, in an order in which one leads to the next: what it is, and how it is opened. */
export const ROOMS: readonly (readonly [string, (page: Page) => Promise<void>])[] = [
    ['this week', async (page) => void (await page.goto('/'))],
    ['the students', async (page) => void (await page.goto('/students'))],
    [
        'the student',
        async (page) => {
            await page.goto('/students');
            await page.getByRole('link', { name: 'Ada R.' }).click();
            await expect(page.getByRole('heading', { name: 'Ada R.' })).toBeVisible();
        },
    ],
    [
        'a student over time',
        async (page) => {
            await page.getByRole('main').getByRole('link', { name: 'Progress' }).click();
            await expect(page.getByText(/^Practi[sc]ed and planned/)).toBeVisible();
        },
    ],
    [
        'a term report',
        async (page) => {
            await page.getByRole('link', { name: 'Term report' }).click();
            await expect(page.getByLabel('Sentences')).toBeVisible();
        },
    ],
    [
        'the practice room of a student',
        async (page) => {
            await page.goto('/students');
            await page.getByRole('link', { name: 'Lina S.' }).click();
            await page.getByRole('main').getByRole('link', { name: 'Practice room' }).click();
            await engraved(page);
        },
    ],
    [
        'the worksheets',
        async (page) => {
            await page.goto('/worksheets');
            await engraved(page);
        },
    ],
    ['the whole studio', async (page) => void (await page.goto('/progress'))],
    ['the books', async (page) => void (await page.goto('/books'))],
    ['the studio', async (page) => void (await page.goto('/studio'))],
    [
        'the entry',
        async (page) => {
            await page.goto('/books');
            await page.getByRole('link', { name: 'Copper Kettle' }).click();
            await page.getByRole('link', { name: /Edit/ }).click();
            await engraved(page);
        },
    ],
    [
        'a page from a photo',
        async (page) => {
            await page.goto('/books');
            await page
                .getByRole('link', { name: /^Photo of page/ })
                .first()
                .click();
            await page.getByRole('button', { name: /Camera of this device/ }).click();
            await page.getByRole('button', { name: 'Use the stand-in camera' }).click();
            await expect(page.getByText('Then 3 doubtful places.')).toBeVisible();
            await engraved(page);
        },
    ],
    [
        'a doubtful bar of it',
        async (page) => {
            await page.keyboard.press('Enter');
            await expect(page.getByText('Doubt 1 of 3')).toBeVisible();
            await engraved(page);
        },
    ],
    [
        'the desk',
        async (page) => {
            await page.goto('/books');
            await page.getByRole('link', { name: 'Copper Kettle' }).click();
            await engraved(page);
            await page.keyboard.press('f');
            await page.keyboard.press('C');
            await page.keyboard.press('j');
        },
    ],
    ['the stages', async (page) => void (await page.keyboard.press('s'))],
    [
        'a lens on paper',
        async (page) => {
            await page.keyboard.press('w');
            await engraved(page);
        },
    ],
    [
        'the paths',
        async (page) => {
            await page.goto('/paths');
            await page.getByRole('button', { name: 'Copy' }).first().click();
        },
    ],
    [
        'the plan',
        async (page) => {
            await page.goto('/');
            await page.getByRole('link', { name: 'Plan of Ada R.' }).click();
            await expect(page.locator('[data-task]').first()).toBeVisible();
        },
    ],
    [
        'the lesson',
        async (page) => {
            await page.goto('/');
            await page.getByRole('button', { name: 'Lesson of Ada R.' }).click();
            await expect(page.getByRole('button', { name: /Finish, and see/ })).toBeVisible();
            await page.keyboard.press('j');
        },
    ],
];
