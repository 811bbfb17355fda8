import { execFileSync } from 'node:child_process';
import AxeBuilder from '@axe-core/playwright';
import { test as base, type Cookie, expect, type Locator, type Page, type Request } from '@playwright/test';
import { NEW_STUDENT } from '../../resources/js/students/draft';

/** A test that fails on any error the page reports. */
export const test = base.extend({
    page: async ({ page }, use) => {
        const errors: string[] = [];
        listen(page, errors);
        await use(page);
        expect(errors).toEqual([]);
    },
});

/** Gathers what a page complains of; a dropped connection and a refused answer are said on the screen, not here. */
export function listen(page: Page, errors: string[]): void {
    follow(page);
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
        const expected = /net::ERR_(INTERNET_DISCONNECTED|FAILED)|status of (401|404|409|419|422)/.test(message.text());
        if (message.type() === 'error' && !expected) errors.push(message.text());
    });
}

/** What each page has asked for and has had no answer to. */
const open = new WeakMap<Page, Set<Request>>();

/** Follows what a page asks of the application, so that one can wait until it has `settled`. */
export function follow(page: Page): void {
    const asked = new Set<Request>();
    open.set(page, asked);
    page.on('request', (request) => {
        // A new document waits for nothing of the one before.
        if (request.isNavigationRequest()) asked.clear();
        if (request.resourceType() === 'fetch') asked.add(request);
    });
    page.on('requestfinished', (request) => asked.delete(request));
    page.on('requestfailed', (request) => asked.delete(request));
}

/**
 * Waits until a page has had every answer, for half a second: `networkidle` is told once a document, however many rooms
 * are opened in it.
 */
export async function settled(page: Page): Promise<void> {
    let quiet = 0;
    await expect
        .poll(
            () => {
                quiet = open.get(page)?.size === 0 ? quiet + 1 : 0;
                return quiet;
            },
            { intervals: [100] },
        )
        .toBeGreaterThan(5);
}

/** The session of the test before, as a browser keeps it. */
let session: Cookie[] = [];

/** Opens the first room; where the session of the test before is over, the teacher signs in again. */
export async function signIn(page: Page): Promise<void> {
    await page.context().addCookies(session);
    await page.goto('/');
    const room = page.getByRole('heading', { name: 'This week' });
    const email = page.getByLabel('Email');
    await expect(room.or(email)).toBeVisible();
    if (await email.isVisible()) {
        await email.fill('teacher@windowsill.example');
        await page.getByLabel(/^Password/).fill('nasturtium');
        await page.keyboard.press('Enter');
    }
    await expect(room).toBeVisible();
    session = await page.context().cookies();
}

/** Waits until every score on the screen is engraved. */
export async function engraved(page: Page): Promise<void> {
    await expect(page.locator('.score svg g.measure').first()).toBeVisible({ timeout: 20_000 });
}

/** On the narrowest screen, which is also what 400 % leaves of a wide one, nothing scrolls sideways. */
export async function expectNarrow(page: Page): Promise<void> {
    const wide = page.viewportSize();
    await page.setViewportSize({ width: 320, height: 800 });
    const over = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    await expect.poll(over).toBeLessThanOrEqual(0);
    if (wide !== null) await page.setViewportSize(wide);
}

/** Where a piece is typed. */
export function editor(page: Page): Locator {
    return page.getByRole('textbox', { name: 'The piece in shorthand' });
}

/** Types a text in the place of what stands there. */
export async function retype(page: Page, text: string): Promise<void> {
    await editor(page).click();
    await page.keyboard.press('Control+a');
    await page.keyboard.insertText(text);
}

/** What stands in the editor. */
export function typedText(page: Page): Promise<string> {
    return editor(page).evaluate((content) =>
        [...content.querySelectorAll('.cm-line')].map((line) => line.textContent).join('\n'),
    );
}

/** Opens entry for a new piece of a page that only this test uses. */
export async function newPiece(page: Page, book: string): Promise<void> {
    await page.goto('/books');
    const region = page.getByRole('region', { name: book });
    await region.getByRole('button', { name: 'Add a page' }).click();
    const number = await page.getByLabel('Page number').inputValue();
    await page.getByRole('button', { name: 'Save' }).click();
    await region.getByRole('link', { name: `Add a piece to page ${number}`, exact: true }).click();
    await expect(editor(page)).toBeVisible();
}

export async function expectAccessible(page: Page): Promise<void> {
    await page.waitForTimeout(300);
    await expectNothingFound(new AxeBuilder({ page }));
}

/** The same by day, and what colours change by night. */
export async function expectAccessibleByDayAndNight(page: Page): Promise<void> {
    const shine = (scheme: 'light' | 'dark') =>
        page.evaluate((to) => document.documentElement.setAttribute('data-mantine-color-scheme', to), scheme);
    await expectAccessible(page);
    await shine('dark');
    await page.waitForTimeout(300);
    await expectNothingFound(new AxeBuilder({ page }).withRules('color-contrast'));
    await shine('light');
}

async function expectNothingFound(axe: AxeBuilder): Promise<void> {
    const found = await axe.exclude('.score svg').analyze();
    expect(found.violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.html).join(' ')}`)).toEqual([]);
}

/** Where the first student of the demo practises. */
export function homeOfTheDemo(): string {
    const told = execFileSync('php', ['artisan', 'nasturtium:demo'], { encoding: 'utf8' });
    return told.match(/\/home\/\w+/)?.[0] ?? '';
}

interface Family {
    link: string;
    week: number;
    student: number;
}

/** Asks the API as the teacher who is signed in. */
export function api<T>(page: Page, method: string, path: string, body?: object): Promise<T> {
    return page.evaluate(
        async ({ method, path, body }) => {
            const token = decodeURIComponent(document.cookie.split('XSRF-TOKEN=')[1]?.split(';')[0] ?? '');
            const answer = await fetch(`/api${path}`, {
                method,
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
                body: body === undefined ? null : JSON.stringify(body),
            });
            if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
            return answer.status === 204 ? null : answer.json();
        },
        { method, path, body },
    );
}

/** A student of one test alone, with practice every day, whose week began two days ago, was sent, and was not practised since. */
export async function family(page: Page, name: string, pieceId?: number): Promise<Family> {
    const { studio } = await api<{ studio: { today: string } }>(page, 'GET', '/session');
    const began = new Date(`${studio.today}T12:00:00Z`);
    began.setUTCDate(began.getUTCDate() - 2);
    const student = await api<{ id: number }>(page, 'POST', '/students', {
        ...NEW_STUDENT,
        together: true,
        firstName: name,
        initial: 'Q',
        lessonWeekday: began.getUTCDay() || 7,
        practiceDays: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, minutes: 20 })),
    });
    const books = await api<{ pages: { pieces: { id: number; title: string }[] }[] }[]>(page, 'GET', '/books');
    const piece = books
        .flatMap((book) => book.pages.flatMap((one) => one.pieces))
        .find((one) => one.title === 'Copper Kettle');
    await api(page, 'POST', `/students/${student.id}/learnings`, { pieceId: pieceId ?? piece?.id });
    const from = began.toISOString().slice(0, 10);
    const week = await api<{ id: number }>(page, 'POST', `/students/${student.id}/weeks`, { from });
    await api(page, 'PUT', `/weeks/${week.id}/sent`, { message: 'Slow is fine.' });
    await api(page, 'PUT', `/students/${student.id}/consent`, { consentedOn: from, words: 'Agreed.' });
    const link = await api<{ url: string }>(page, 'POST', `/students/${student.id}/links`, {
        label: 'Phone',
        expiresOn: null,
    });
    return { link: new URL(link.url).pathname, week: week.id, student: student.id };
}

/** A student of one test alone who has a lesson today, early, with a plan of three pieces behind. */
export async function lessonToday(page: Page, name: string, lessonTime: string): Promise<number> {
    const { studio } = await api<{ studio: { today: string } }>(page, 'GET', '/session');
    const today = new Date(`${studio.today}T12:00:00Z`);
    const began = new Date(today);
    began.setUTCDate(began.getUTCDate() - 7);
    const student = await api<{ id: number }>(page, 'POST', '/students', {
        ...NEW_STUDENT,
        ...{ firstName: name, initial: 'Q', lessonTime, lessonWeekday: today.getUTCDay() || 7, together: true },
        practiceDays: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, minutes: 30 })),
    });
    const books = await api<{ pages: { pieces: { id: number; title: string }[] }[] }[]>(page, 'GET', '/books');
    const pieces = books.flatMap((book) => book.pages.flatMap((one) => one.pieces)).slice(0, 3);
    for (const { id } of pieces) await api(page, 'POST', `/students/${student.id}/learnings`, { pieceId: id });
    const from = began.toISOString().slice(0, 10);
    const week = await api<{ id: number }>(page, 'POST', `/students/${student.id}/weeks`, { from });
    await api(page, 'PUT', `/weeks/${week.id}/sent`, { message: '' });
    await api(page, 'PUT', `/students/${student.id}/consent`, { consentedOn: from, words: 'Agreed.' });
    await api(page, 'POST', `/students/${student.id}/links`, { label: 'Phone', expiresOn: null });
    return student.id;
}

export { expect };
