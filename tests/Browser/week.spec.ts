import type { Browser } from '@playwright/test';
import { api, engraved, expect, family, listen, signIn, test } from './studio';

async function phone(browser: Browser, link: string) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const home = await context.newPage();
    const errors: string[] = [];
    listen(home, errors);
    await home.goto(link);
    await expect(home.getByRole('heading', { name: /^Hello/ })).toBeVisible();
    return { context, home, errors };
}

test('a lesson from its start to the next assignment, without the mouse', async ({ page }) => {
    await signIn(page);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.keyboard.press('n');
    const tasks = page.getByRole('list', { name: 'What was assigned' });
    await expect(tasks).toBeVisible();
    const count = await tasks.locator('> li').count();
    await page.keyboard.press('p');
    await page.keyboard.press('a');
    await engraved(page);
    await expect(page.getByText(/What went wrong in bar/)).toBeVisible();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowLeft');
    await page.keyboard.press('3');
    await expect(page.getByText(/^▲ bar .*, beat .*: wrong finger, hand drifted/).first()).toBeVisible();
    await page.keyboard.press('.');
    await expect(tasks.getByText(/^reached \d+/)).toBeVisible();
    await expect(page.getByRole('list', { name: 'Remedies' })).toContainText('Fingers in the air');
    await page.keyboard.press('5');
    await expect(page.getByText(/▲ .*: rest skipped/)).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByText(/▲ .*: rest skipped/)).toBeHidden();
    await expect(page.getByText(`2 of ${count} heard`)).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Not sent yet')).toBeVisible();
    await expect(page.locator('[data-task]').filter({ hasText: 'Wrong finger, hand drifted' }).first()).toBeVisible();
    await page.keyboard.press('s');
    await expect(page.getByText(/^Next lesson .* Sent/)).toBeVisible();
});

test('a lesson goes on while the connection drops, and loses nothing', async ({ page, context }) => {
    await signIn(page);
    await page.getByRole('button', { name: 'Lesson of Theo B.' }).click();
    await expect(page.getByRole('list', { name: 'What was assigned' })).toBeVisible();
    await page.keyboard.press('j');
    await engraved(page);
    await expect(page.getByText(/What went wrong in bar/)).toBeVisible();
    await context.setOffline(true);
    await page.keyboard.press('a');
    await page.keyboard.press('1');
    await expect(page.getByText(/2 not sent yet/)).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText(/not sent yet/)).toBeHidden({ timeout: 20_000 });
    await page.reload();
    await expect(page.getByText(/▲ bar .*: wrong note/)).toHaveCount(1);
    await expect(page.getByRole('button', { name: /: again$/, pressed: true })).toHaveCount(1);
});

test('a week at home: missed days are planned again, a day without a connection loses nothing', async ({
    page,
    browser,
}) => {
    await signIn(page);
    const { link, week } = await family(page, 'Fay');
    const { context, home, errors } = await phone(browser, link);
    await expect(home.getByText('Slow is fine.')).toBeVisible();
    // Nothing was done on two days: what all waits for stands today.
    await expect(home.getByRole('button', { name: /Look over/ })).toBeVisible();
    await home.goto(link);
    // The week, the music of each of its pieces, and every file of the home side are kept before the connection goes.
    await expect
        .poll(
            () =>
                home.evaluate(async () => {
                    const kept = async (name: string) =>
                        (await (await caches.open(name)).keys()).map((one) => new URL(one.url).pathname);
                    const files = (await (await fetch('/home/files.json')).json()) as string[];
                    const [data, there] = [await kept('nasturtium-data'), await kept('nasturtium-files')];
                    return (
                        data.filter((path) => path.startsWith('/api/home/tasks/')).length > 1 &&
                        files.every((file) => there.includes(new URL(file, location.href).pathname))
                    );
                }),
            { timeout: 90_000 },
        )
        .toBe(true);
    await context.setOffline(true);
    await home.reload();
    await expect(home.getByRole('heading', { name: 'Hello Fay' })).toBeVisible();
    await home.getByRole('button', { name: /Look over/ }).tap();
    await engraved(home);
    await home.getByRole('button', { name: 'Done' }).tap();
    await expect(home.getByText('One tick is kept here')).toBeVisible();
    // Yesterday can be filled in late.
    await home.getByText('Yesterday').tap();
    await home.getByRole('button', { name: /Warm-up/ }).tap();
    await home.getByRole('button', { name: 'Done yesterday' }).tap();
    await expect(home.getByText('2 ticks are kept here')).toBeVisible();
    await context.setOffline(false);
    await expect(home.getByText(/kept here/)).toBeHidden({ timeout: 30_000 });
    const tasks = (await api<{ tasks: { title: string; practices: object[] }[] }>(page, 'GET', `/weeks/${week}`)).tasks;
    expect(
        tasks
            .filter((task) => task.practices.length > 0)
            .map((task) => task.title)
            .sort(),
    ).toEqual(['Look over', 'Warm-up']);
    await page.goto(`/weeks/${week}`);
    await expect(page.getByText(/What was left was planned again on/)).toBeVisible();
    expect(errors.filter((error) => !error.includes('ERR_'))).toEqual([]);
    await context.close();
});

test('two phones of a family count a tick once, and both show it', async ({ page, browser }) => {
    await signIn(page);
    const { link, week } = await family(page, 'Gus');
    const one = await phone(browser, link);
    const other = await phone(browser, link);
    for (const { context, home } of [one, other]) {
        await context.setOffline(true);
        await home.getByRole('button', { name: /Warm-up/ }).tap();
        await home.getByRole('button', { name: 'That was good' }).tap();
        await home.getByRole('button', { name: 'Done' }).tap();
        await expect(home.getByText('One tick is kept here')).toBeVisible();
    }
    for (const { context, home } of [one, other]) {
        await context.setOffline(false);
        await expect(home.getByText(/kept here/)).toBeHidden({ timeout: 30_000 });
    }
    const tasks = (await api<{ tasks: { title: string; practices: object[] }[] }>(page, 'GET', `/weeks/${week}`)).tasks;
    expect(tasks.find((task) => task.title === 'Warm-up')?.practices).toHaveLength(1);
    // One of them takes it back; the other sees it.
    await one.home.getByRole('button', { name: /Warm-up/ }).tap();
    await one.home.getByRole('button', { name: 'Take the tick back' }).tap();
    await other.home.reload();
    await expect(other.home.getByRole('button', { name: /Warm-up.*2 min/s })).toBeVisible();
    await one.context.close();
    await other.context.close();
});

test('a card is kept on a day, the rest gives way, and what moved is said', async ({ page }) => {
    await signIn(page);
    const { week } = await family(page, 'Hal');
    await page.goto(`/weeks/${week}`);
    const last = page.locator('[data-date]').last();
    const card = last.locator('[data-task]').filter({ hasText: 'Copper Kettle' }).last();
    await card.click();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByRole('img', { name: 'kept on this day' })).toHaveCount(1);
    await expect(page.getByRole('status').filter({ hasText: 'Moved:' })).toBeVisible();
    await page.keyboard.press('l');
    await expect(page.getByRole('img', { name: 'kept on this day' })).toHaveCount(0);
    await page.keyboard.press('u');
    await expect(page.getByRole('img', { name: 'kept on this day' })).toHaveCount(1);
    await page.keyboard.press('u');
    await expect(page.getByRole('button', { name: 'Undo (u)' })).toBeDisabled();
});
