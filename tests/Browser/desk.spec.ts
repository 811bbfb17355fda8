import type { Page } from '@playwright/test';
import { engraved, expect, expectAccessible, signIn, test } from './studio';

test.beforeEach(async ({ page }) => signIn(page));

async function openDesk(page: Page, piece: string): Promise<void> {
    await page.goto('/books');
    await page.getByRole('link', { name: piece, exact: true }).click();
    await engraved(page);
}

/** The middle of a note head of the page, by the place of the note among all that are drawn. */
async function noteAt(page: Page, nth: number): Promise<{ x: number; y: number }> {
    const head = page.locator('.score g.note .notehead').nth(nth);
    let seen = { x: 0, y: 0, width: 0, height: 0 };
    // The music is drawn anew when it has more room; it rests where two looks see it in one place.
    await expect(async () => {
        const before = seen;
        seen = (await head.boundingBox()) ?? before;
        expect(seen.width).toBeGreaterThan(0);
        expect(seen).toEqual(before);
    }).toPass({ intervals: [150] });
    return { x: seen.x + seen.width / 2, y: seen.y + seen.height / 2 };
}

/** Which words at notes stand in each other’s way. */
function overlapsOf(page: Page): Promise<string[]> {
    return page.locator('.score-mark').evaluateAll((marks) => {
        const boxes = marks.map((mark) => ({ text: mark.textContent, box: mark.getBoundingClientRect() }));
        return boxes.flatMap((a, i) =>
            boxes.slice(i + 1).flatMap((b) => {
                const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
                const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
                return wide > 3 && high > 3 ? [`${a.text} and ${b.text}`] : [];
            }),
        );
    });
}

test('a page of two lines fits the screen with any two lenses, and every lens has its key', async ({ page }) => {
    await openDesk(page, 'Uphill on a Saturday');
    const asked: string[] = [];
    page.on(
        'request',
        (request) => /api\/(session|pieces\/\d+\/breakdown)/.test(request.url()) && asked.push(request.url()),
    );
    const findings = page.getByRole('complementary');
    for (const [key, name] of Object.entries({
        l: 'look over',
        o: 'notes',
        f: 'fingers',
        c: 'counts',
        h: 'hands',
        p: 'patterns',
        t: 'trouble',
        s: 'stages',
    })) {
        await page.keyboard.press(key);
        await expect(page.getByRole('complementary', { name: `Findings: ${name}` })).toBeVisible();
        await page.keyboard.press('j');
        await expect(findings.getByRole('button', { pressed: true }).first()).toBeVisible();
    }
    for (const two of ['fC', 'oC', 'fH', 'oT']) {
        await page.keyboard.press(two.charAt(0));
        await page.keyboard.press(two.charAt(1));
        await expect(page.getByRole('toolbar').getByRole('button', { pressed: true })).toHaveCount(2);
        // It is engraved anew for the rows of words, which takes as long as the machine takes.
        await expect(async () => {
            const below = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
            expect(below, two).toBeLessThanOrEqual(0);
        }).toPass();
        await page.keyboard.press(two.charAt(1));
    }
    // The lens is in the address, and the page is not read anew for it.
    expect(new URL(page.url()).searchParams.get('lens')).toBe('notes');
    expect(asked).toEqual([]);
});

test('words of two lenses keep clear of each other and of the music', async ({ page }) => {
    await openDesk(page, 'Uphill on a Saturday');
    await page.keyboard.press('f');
    await page.keyboard.press('C');
    await expect(page.locator('.score-mark').filter({ hasText: '(2)' }).first()).toBeVisible();
    // Until the music is engraved with room for both rows, they stand over the drawing that was there.
    await expect(async () => expect(await overlapsOf(page)).toEqual([])).toPass();
    await page.waitForTimeout(600);
    expect(await overlapsOf(page)).toEqual([]);
});

test('a press on a note finds its sentence, and a bar is seen beside its equal', async ({ page }) => {
    await openDesk(page, 'Uphill on a Saturday');
    await page.keyboard.press('o');
    await page.waitForTimeout(600);
    const note = await noteAt(page, 2);
    await page.mouse.click(note.x, note.y);
    await expect(page.getByRole('region', { name: 'The chosen note' })).toContainText('bar 1, beat 1, right hand');
    await expect(page.getByRole('complementary').getByRole('button', { pressed: true })).toContainText(
        'C5, treble space 3',
    );
    await expect(page.getByRole('img', { name: /^C5/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('region', { name: 'The chosen note' })).toBeHidden();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('v');
    await expect(page.getByRole('status').filter({ hasText: 'compare it with' })).toBeVisible();
    await page.getByRole('button', { name: /^Bar 5, / }).click();
    const both = page.getByRole('region', { name: 'Bars 1 and 5 side by side' });
    await expect(both).toContainText('Right hand: the same. Left hand: the same.');
    await expect(both.locator('g.measure')).toHaveCount(2);
});

test('a range is dragged exact to the beat, and heard', async ({ page }) => {
    await openDesk(page, 'Uphill on a Saturday');
    await page.waitForTimeout(600);
    // From the third beat of bar 1 to the second of bar 2.
    const [from, to] = [await noteAt(page, 4), await noteAt(page, 10)];
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y + 2, { steps: 6 });
    await page.mouse.up();
    await expect(page.getByRole('region', { name: 'Your range' })).toContainText('bar 1, beat 3 to bar 2, beat 2');
    await expect(page.locator('.score-range')).toHaveCount(2);
    await page.getByRole('checkbox', { name: 'Count in' }).uncheck();
    // Round and round, so that a busy machine sees it too.
    await page.getByRole('checkbox', { name: 'Loop' }).check();
    await page.getByRole('button', { name: 'Play bar 1, beat 3 to bar 2, beat 2' }).click();
    await expect(page.locator('g.note[data-lit]').first()).toBeAttached({ timeout: 15_000 });
});

test('a finger is overruled and the rest follows; it is undone', async ({ page }) => {
    await openDesk(page, 'The Ladder in the Barn');
    await page.keyboard.press('f');
    await page.waitForTimeout(700);
    const marks = () => page.locator('.score-mark').allTextContents();
    const before = await marks();
    const note = await noteAt(page, 3);
    await page.mouse.click(note.x, note.y);
    await expect(page.getByRole('region', { name: 'Your finger' })).toBeVisible();
    await page.keyboard.press('4');
    await expect(page.locator('.score-mark[data-from="teacher"]')).toHaveText(['4']);
    await expect(page.getByRole('complementary')).toContainText('Shift at bar 1, beat 4');
    await page.keyboard.press('u');
    await expect(page.locator('.score-mark[data-from="teacher"]')).toHaveCount(0);
    expect(await marks()).toEqual(before);
});

test('the teacher’s word on a bar takes its thorn away, and gives it back', async ({ page }) => {
    await openDesk(page, 'The Ladder in the Barn');
    const tile = (name: RegExp) => page.getByRole('button', { name });
    await expect(tile(/^Bar 4, .*sticks/)).toBeVisible();
    await page.keyboard.press('t');
    await page
        .getByRole('complementary')
        .getByRole('button', { name: /Bar 4( into bar 5)?/ })
        .click();
    await page.keyboard.press('y');
    await expect(tile(/^Bar 4, R\+L$/)).toBeVisible();
    await page.getByRole('button', { name: /Let the program judge/ }).click();
    await expect(tile(/^Bar 4, .*sticks/)).toBeVisible();
});

test('a piece moves to another position with its fingers', async ({ page }) => {
    await openDesk(page, 'The Ladder in the Barn');
    await page.keyboard.press('f');
    await page.getByRole('button', { name: 'In another position…' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('Right hand begins on D4');
    await dialog.getByRole('combobox', { name: 'To' }).click();
    await page.getByRole('option', { name: 'D major' }).click();
    await expect(dialog).toContainText('Played sharp or flat:');
    await expect(dialog.locator('g.keySig').first()).toBeAttached();
    const file = page.waitForEvent('download');
    await dialog.getByRole('button', { name: 'Keep it as MusicXML' }).click();
    expect((await file).suggestedFilename()).toBe('The Ladder in the Barn in D major.musicxml');
});

test('a page of a student goes over to a path made for it, and keeps what was passed', async ({ page }) => {
    await page.goto('/paths');
    await page.getByRole('region', { name: 'Beat first' }).getByRole('button', { name: 'Copy' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Without tapping');
    await page
        .getByRole('listitem')
        .filter({ hasText: 'tap and count' })
        .getByRole('button', { name: 'Leave out' })
        .click();
    await page.getByRole('button', { name: 'Add one of your own' }).click();
    const own = page.getByRole('dialog');
    await own.getByLabel(/^Name/).fill('Tell a story');
    await own.getByLabel(/What the student does/).fill('Tell what happens in the tune.');
    await own.getByRole('button', { name: 'Add it' }).click();
    await page.getByRole('button', { name: 'Save the path' }).click();
    await expect(page.getByRole('region', { name: 'Without tapping' })).toContainText('Tell a story (your own)');

    await page.goto('/students');
    await page.getByRole('link', { name: 'Theo B.' }).click();
    await page.getByRole('link', { name: 'Paper Boats' }).click();
    await engraved(page);
    await page.keyboard.press('s');
    const path = page.getByRole('combobox', { name: 'The path of this page' });
    const pane = page.getByRole('complementary');
    const passed = await pane.getByText(/\d+ of \d+ stages passed/).textContent();
    await path.click();
    await page.getByRole('option', { name: 'Without tapping' }).click();
    await expect(pane).toContainText('Tell a story');
    await expect(pane).not.toContainText('Tap and count');
    await path.click();
    await page.getByRole('option', { name: 'Beat first', exact: true }).click();
    await expect(pane).toContainText('Tap and count');
    await expect(pane.getByText(passed ?? '')).toBeVisible();

    await page.goto('/paths');
    await page.getByRole('region', { name: 'Without tapping' }).getByRole('button', { name: 'Give up' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Give it up' }).click();
    await expect(page.getByRole('region', { name: 'Without tapping' })).toBeHidden();
});

test('a lens goes to paper: to be filled in, with its answer, and to be ringed', async ({ page }) => {
    await openDesk(page, 'Copper Kettle');
    await page.keyboard.press('c');
    await page.keyboard.press('w');
    await engraved(page);
    await page.getByText('To write in').click();
    await expect(page.getByText('Write the counts under the notes')).toBeVisible();
    const blanks = page.locator('.score-blank');
    await expect(blanks.first()).toBeVisible();
    // The answer has a count for each line.
    await expect(page.getByRole('region', { name: 'The answer' }).locator('.score-mark')).toHaveCount(
        await blanks.count(),
    );
    await page.getByRole('combobox', { name: 'Lens' }).click();
    await page.getByRole('option', { name: 'notes' }).click();
    await page.getByText('To ring').click();
    const asked = await page.getByText(/^Ring every .* How many did you find/).textContent();
    const times = await page.getByText(/the answer: \d+ times/).textContent();
    await expect(page.getByRole('region', { name: 'The answer' }).locator('.score-ring')).toHaveCount(
        Number(times?.match(/(\d+) times/)?.[1]),
    );
    expect(asked).toMatch(/^Ring every [A-G]/);
    await page.getByRole('link', { name: 'Back to the desk' }).click();
    await expect(page.getByRole('toolbar', { name: 'Lenses' })).toBeVisible();
});

test('on a tablet the findings stand below the music, and nothing is cut off', async ({ page }) => {
    await page.setViewportSize({ width: 820, height: 1180 });
    await openDesk(page, 'Copper Kettle');
    await page.keyboard.press('f');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    const [music, pane] = [
        await page.locator('.score').first().boundingBox(),
        await page.getByRole('complementary').boundingBox(),
    ];
    expect(pane?.y ?? 0).toBeGreaterThan((music?.y ?? 0) + (music?.height ?? 0));
});

test('a sign on the page says at a touch what it means, and questions come one by one', async ({ page }) => {
    await openDesk(page, 'The Old Pump');
    const loud = page.getByRole('button', { name: 'What does mf say?' }).first();
    await loud.click();
    await expect(page.getByText('mf: medium loud')).toBeVisible();
    await loud.press('Escape');
    await expect(page.getByText('mf: medium loud')).toBeHidden();
    await page.getByRole('button', { name: 'Ask about this page' }).click();
    await page.getByText('One by one').click();
    await expect(page.getByText('1 of 5')).toBeVisible();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await expect(page.getByText('2 of 5')).toBeVisible();
    await expectAccessible(page);
});
