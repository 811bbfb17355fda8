import { editor, engraved, expect, listen, retype, settled, signIn, test } from './studio';

const TUNE = [
    'title: Tin Whistle Corner',
    'time: 4/4',
    'tempo: 92 Bright',
    'R: @c4 q1 d e d | h3 5 | q4 3 2 3 | w1',
    'L: @5=c3 w5 | h5 3 | w1 | w5',
];

test('the whole way: a page in, its lenses, a week, practice at home, the lesson, next week', async ({
    page,
    browser,
}) => {
    await signIn(page);
    const today = await page.evaluate(async () => (await (await fetch('/api/session')).json()).studio.today as string);
    const weekday = new Date(`${today}T12:00:00Z`).getUTCDay() || 7;

    await test.step('a student with a lesson today', async () => {
        await page.keyboard.press('2');
        await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
        await page.keyboard.press('a');
        await page.getByLabel('First name').fill('Vera');
        await page.getByLabel('Initial').fill('D');
        await page.getByRole('combobox', { name: 'Lesson day' }).click();
        await page
            .getByRole('option')
            .nth(weekday - 1)
            .click();
        // Nobody else is heard so early.
        await page.getByLabel(/^Time/).first().fill('06:15');
        for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']) {
            await page.getByLabel(`Minutes on ${day}`).fill('20');
        }
        await page.getByRole('button', { name: 'Add', exact: true }).click();
        await expect(page.getByRole('link', { name: 'Vera D.' })).toBeVisible();
    });

    await test.step('a page, typed', async () => {
        await page.keyboard.press('3');
        await page
            .getByRole('region', { name: 'Lanterns and Ladders' })
            .getByRole('button', { name: 'Add a page' })
            .click();
        await page.getByLabel('What is new on it').fill('steps');
        await page.getByRole('button', { name: 'Save' }).click();
        await page.getByRole('link', { name: 'Add a piece to page 16' }).last().click();
        await retype(page, TUNE.join('\n').replace('h3 5', 'h3 ?'));
        await expect(page.getByText('means nothing here')).toBeVisible();
        await page.reload();
        await expect(editor(page)).toContainText('Tin Whistle Corner');
        await retype(page, TUNE.join('\n'));
        await engraved(page);
        await expect(page.locator('.score g.measure')).toHaveCount(4);
        await expect(page.getByRole('button', { name: /^Save/ })).toBeEnabled();
        await editor(page).press('Control+Enter');
        await expect(page.getByRole('heading', { name: 'Tin Whistle Corner' })).toBeVisible();
    });

    await test.step('its lenses', async () => {
        await engraved(page);
        const findings = page.getByRole('complementary');
        await expect(findings).toContainText('1 2 3 4, then play on 1.');
        await page.keyboard.press('o');
        await expect(findings).toContainText('from middle C up: C D');
        await page.keyboard.press('j');
        await expect(page.locator('[data-lit]')).not.toHaveCount(0);
        await page.keyboard.press('f');
        await expect(findings).toContainText('Right hand: C position');
        await expect(page.locator('.score-mark')).toHaveCount(16);
        await page.keyboard.press('c');
        await expect(page.locator('.score-mark').filter({ hasText: '(2)' }).first()).toBeVisible();
        await page.keyboard.press('p');
        await expect(findings).toContainText('Line A');
        await page.getByRole('button', { name: /^Bar 3, / }).click();
        await expect(page.getByRole('region', { name: 'Bar 3' })).toContainText('1 2 3 4');
    });

    await test.step('assigned, and sent', async () => {
        await page.keyboard.press('2');
        await page.getByRole('link', { name: 'Vera D.' }).click();
        await expect(page.getByRole('heading', { name: 'Vera D.' })).toBeVisible();
        await page.keyboard.press('o');
        await page.getByRole('checkbox', { name: /Tin Whistle Corner/ }).click();
        await page.getByRole('dialog').getByRole('button', { name: 'Open', exact: true }).click();
        await page.getByRole('checkbox', { name: 'look over' }).click();
        await expect(page.getByRole('checkbox', { name: 'look over' })).toBeChecked();
        await page.getByRole('button', { name: 'Plan a week' }).click();
        await expect(page.getByRole('heading', { name: /Vera D\./ })).toBeVisible();
        await expect(page.getByRole('row', { name: /Tap and count/ })).toBeVisible();
        await page.keyboard.press('s');
        await page.getByRole('button', { name: 'Send it all the same' }).click();
        await expect(page.getByText(/^Next lesson .* Sent/)).toBeVisible();
    });

    const link = await test.step('a link for the family', async () => {
        await page.getByRole('link', { name: 'Vera D.' }).click();
        await page.getByLabel('A new link for').fill('Phone');
        await page.getByLabel('Who agreed, and to what').fill('A parent, at the first lesson');
        await page.getByRole('button', { name: 'Note the consent' }).click();
        await expect(page.getByText('A parent, at the first lesson')).toBeVisible();
        // What is above may still move it down.
        await settled(page);
        await page.getByRole('button', { name: 'Make a link' }).click();
        return ((await page.locator('code').textContent()) ?? '').replace(/^https?:\/\/[^/]+/, '');
    });

    await test.step('practised at home, by touch on a phone', async () => {
        const phone = await browser.newContext({
            viewport: { width: 390, height: 844 },
            hasTouch: true,
            isMobile: true,
        });
        const home = await phone.newPage();
        const errors: string[] = [];
        listen(home, errors);
        await home.goto(link);
        await expect(home.getByRole('heading', { name: 'Hello Vera' })).toBeVisible();
        await home.getByRole('button', { name: /Tap and count/ }).tap();
        await engraved(home);
        await home.getByRole('button', { name: 'Play' }).tap();
        await expect(home.getByRole('button', { name: 'Stop' })).toBeVisible({ timeout: 15_000 });
        await home.getByRole('button', { name: 'Stop' }).tap();
        await home.getByRole('button', { name: 'That was good' }).tap();
        await home.getByText('Easy', { exact: true }).tap();
        await home.getByLabel('A word to the teacher').fill('We clapped it with the cat');
        await home.getByRole('button', { name: 'Done' }).tap();
        await expect(home.getByRole('button', { name: /Tap and count.*done/ })).toBeVisible();
        const wide = await home.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect(wide).toBeLessThanOrEqual(0);
        expect(errors).toEqual([]);
        await phone.close();
    });

    await test.step('heard at the lesson, and next week', async () => {
        const next = new Date(`${today}T12:00:00Z`);
        next.setUTCDate(next.getUTCDate() + 7);
        const student = Number(page.url().split('/').pop());
        const lesson = await page.evaluate(
            async ({ id, heldOn }) => {
                const token = decodeURIComponent(document.cookie.split('XSRF-TOKEN=')[1]?.split(';')[0] ?? '');
                const answer = await fetch(`/api/students/${id}/lessons`, {
                    method: 'POST',
                    headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
                    body: JSON.stringify({ heldOn }),
                });
                return (await answer.json()).id as number;
            },
            { id: student, heldOn: next.toISOString().slice(0, 10) },
        );
        await page.goto(`/lessons/${lesson}`);
        await expect(page.getByText('We clapped it with the cat')).toBeVisible();
        await page.keyboard.press('p');
        await expect(page.getByRole('button', { name: 'Warm-up: pass' })).toHaveAttribute('aria-pressed', 'true');
        await page.keyboard.press('3');
        await page.keyboard.press('a');
        await expect(page.getByRole('button', { name: 'Tin Whistle Corner: again' })).toHaveAttribute(
            'aria-pressed',
            'true',
        );
        await engraved(page);
        await page.keyboard.press('ArrowRight');
        await page.keyboard.press('w');
        await expect(page.getByText('bar 2: wrong note, or two notes confused')).toBeVisible();
        await page.keyboard.press('Enter');
        await expect(page.getByText('Not sent yet')).toBeVisible();
        const cards = page.getByRole('row');
        await expect(cards.filter({ hasText: 'Name the notes' }).first()).toBeVisible();
        await expect(cards.filter({ hasText: 'These two notes' }).first()).toBeVisible();
    });
});
