import type { Page } from '@playwright/test';
import { api, expect, expectAccessible, family, signIn, test } from './studio';

/** Chooses the stand-in keyboard before a run begins. */
async function byStandIn(page: Page): Promise<void> {
    await page.getByText('Keyboard or screen').click();
    await page.getByRole('combobox', { name: 'Keyboard' }).click();
    await page.getByRole('option', { name: 'Stand-in keyboard' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
}

/** Plays every turn as it is written, says that the rest was done, and skips what is said and played, until a run is over. */
async function playThrough(page: Page, turns: number): Promise<void> {
    let played = 0;
    const over = page.getByText('That was all for today. Well done!');
    const play = page.getByRole('button', { name: 'As it is written' });
    const done = page.getByRole('button', { name: 'I have done it' });
    const turn = page.getByRole('region', { name: 'Your turn' });
    await expect(async () => {
        if (await over.isVisible()) return;
        if ((await turn.count()) > 0 && played < turns) {
            await play.click({ timeout: 20_000 });
            played++;
            await expect(turn).toHaveCount(0, { timeout: 30_000 });
        } else if (await done.isVisible()) await done.click();
        else {
            const heading = (await page.getByRole('heading').first().textContent()) ?? '';
            const isAwaited = /^(Do it now|Look at it)/.test(heading);
            const isTurn = /^(Your turn|Now a little|Once more)/.test(heading) && played < turns;
            if (!isTurn && !isAwaited) await page.getByRole('button', { name: 'Skip' }).click({ timeout: 2_000 });
        }
        expect(await over.isVisible()).toBe(true);
    }).toPass({ timeout: 150_000, intervals: [250] });
}

test('a child is led through today by the stand-in keyboard, from the first word to the last tick', async ({
    page,
}) => {
    await signIn(page);
    const { link } = await family(page, 'Liv');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(link);
    await page.getByRole('button', { name: 'Lead me through today' }).click();
    await expect(page.getByRole('heading', { name: 'I lead you through today' })).toBeVisible();
    await expectAccessible(page);
    await byStandIn(page);
    await expect(page.getByRole('progressbar', { name: 'How far you are' })).toBeVisible();
    await playThrough(page, 2);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Back to today' }).click();
    // What was done is ticked; what was skipped from end to end is not.
    await expect(page.getByText(/^[1-9]\d* of \d+ done$/)).toBeVisible();
});

test('a make-up lesson is put together, sent, played at home, and what was heard comes back', async ({ page }) => {
    await signIn(page);
    const { link, student } = await family(page, 'Roy');
    await page.goto(`/students/${student}`);
    await expect(page.getByRole('link', { name: 'Put one together (m)' })).toBeVisible();
    await page.keyboard.press('m');
    await page.getByRole('combobox', { name: 'Stage' }).click();
    await page
        .getByRole('option', { name: /right hand/i })
        .first()
        .click();
    await page.getByRole('button', { name: 'Add this step' }).click();
    await page.getByRole('button', { name: 'Add my own words' }).click();
    await page.getByLabel('What you say').last().fill('Show it to somebody at home.');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save and send' }).click();
    await expect(page.getByText(/^Sent on /)).toBeVisible();
    const report = page.url();
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(link);
    await page.getByRole('button', { name: 'From your teacher: Instead of our lesson' }).click();
    await byStandIn(page);
    await playThrough(page, 1);
    await page.getByRole('button', { name: 'Back to today' }).click();
    await expect(page.getByRole('heading', { name: 'Hello Roy' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^From your teacher/ })).toHaveCount(0);
    await page.setViewportSize({ width: 1280, height: 800 });
    await expect
        .poll(
            async () =>
                (await api<{ doneAt: string | null }[]>(page, 'GET', `/students/${student}/led-lessons`))[0]?.doneAt,
        )
        .not.toBeNull();
    await page.goto(report);
    await expect(page.getByText(/^Done at home on /)).toBeVisible();
    await expect(page.getByText(/Step 1: clean/)).toBeVisible();
});
