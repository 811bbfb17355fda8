import { engraved, expect, family, listen, retype, signIn, test, typedText } from './studio';

test('a book and its pages are added, changed and removed', async ({ page }) => {
    await signIn(page);
    await page.keyboard.press('3');
    await expect(page.getByRole('heading', { name: 'Books' })).toBeVisible();
    await page.keyboard.press('a');
    await page.getByLabel('Title').fill('Gravel and Moss');
    await page.getByLabel('Level').fill('Trial');
    await page.getByRole('button', { name: 'Save' }).click();
    const book = page.getByRole('region', { name: 'Gravel and Moss' });
    await expect(book).toContainText('No pages yet');
    await book.getByRole('button', { name: 'Add a page' }).click();
    await page.getByLabel('What is new on it').fill('slurs');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(book).toContainText('Page 1: slurs');
    await book.getByRole('button', { name: 'Add a page' }).click();
    await page.getByLabel('Page number').fill('1');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('has a page 1 already');
    await page.keyboard.press('Escape');
    await book.getByRole('button', { name: 'More for Gravel and Moss' }).click();
    await page.getByRole('menuitem', { name: 'Remove' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
    await expect(book).toBeHidden();
});

test('a student is changed, a link opens and closes, and the student is erased', async ({ page, browser }) => {
    await signIn(page);
    await page.keyboard.press('2');
    await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
    await page.keyboard.press('a');
    await page.getByLabel('First name').fill('Bruno');
    await page.getByLabel('Initial').fill('Q');
    // Mina has her lesson then, and the two come together.
    await page.getByLabel(/^Time/).first().fill('15:40');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('Mina K. has a lesson then: Mondays, 15:30 to 16:00');
    await page.getByRole('checkbox', { name: 'They come together' }).check();
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('link', { name: 'Bruno Q.' }).click();
    await expect(page.getByText('No page is open yet')).toBeVisible();
    await page.keyboard.press('e');
    await page.getByLabel('First name').fill('Benno');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: 'Benno Q.', exact: true })).toBeVisible();

    // A child has no link before a parent agreed.
    await page.getByRole('button', { name: 'Make a link' }).click();
    await expect(page.getByRole('alert')).toContainText('is under 16');
    await page.getByLabel('Who agreed, and to what').fill('His father, to the home link');
    await page.getByRole('button', { name: 'Note the consent' }).click();
    await expect(page.getByText('His father, to the home link')).toBeVisible();
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = ((await page.locator('code').textContent()) ?? '').replace(/^https?:\/\/[^/]+/, '');
    const family = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const home = await family.newPage();
    const errors: string[] = [];
    listen(home, errors);
    await home.goto(link);
    await expect(home.getByText('No plan has been sent yet')).toBeVisible();
    await page.getByRole('button', { name: 'Withdraw' }).click();
    await expect(page.getByText('withdrawn')).toBeVisible();
    await home.reload();
    await expect(home.getByRole('heading', { name: 'This link is closed' })).toBeVisible();
    expect(errors).toEqual([]);
    await family.close();

    await page.getByRole('button', { name: 'Has left' }).click();
    await expect(page.getByText(/Benno left on/)).toBeVisible();
    await page.getByRole('button', { name: 'Comes back' }).click();
    await expect(page.getByRole('button', { name: 'Has left' })).toBeVisible();

    await page.getByRole('button', { name: 'Erase' }).click();
    await page.getByRole('button', { name: 'Erase everything' }).click();
    await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Benno Q.' })).toBeHidden();
});

test('a finding lights its notes, a bar tells what is in it, and a student’s reading is shown', async ({ page }) => {
    await signIn(page);
    await page.goto('/books');
    await page.getByRole('link', { name: 'Lantern Path' }).click();
    await engraved(page);
    const findings = page.getByRole('complementary');
    await expect(findings).toContainText('Both hands in one clef');
    await page.keyboard.press('o');
    await findings.getByRole('button', { name: /^B4/ }).click();
    await expect(page.locator('g.note[data-lit]')).toHaveCount(6);
    await findings.getByRole('button', { name: /^B4/ }).click();
    await expect(page.locator('g.note[data-lit]')).toHaveCount(0);
    await page.getByRole('button', { name: /^Bar 2, / }).click();
    await expect(page.getByRole('region', { name: 'Bar 2' })).toContainText('D5');
    await page.getByRole('combobox', { name: 'For which student' }).click();
    await page.getByRole('option', { name: 'Ada R.' }).click();
    await expect(findings).toContainText('treble line 1 is E');
    await page.setViewportSize({ width: 1024, height: 768 });
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
});

test('the notes light as they sound', async ({ page }) => {
    await signIn(page);
    await page.goto('/books');
    await page.getByRole('link', { name: 'The Gate' }).click();
    await engraved(page);
    await page.getByRole('checkbox', { name: 'Count in' }).uncheck();
    // Again and again: a slow machine is not overtaken by the end of the music.
    await page.getByRole('checkbox', { name: 'Loop' }).check();
    await page.getByRole('button', { name: 'Play', exact: true }).click();
    await expect(page.locator('g.note[data-lit]').first()).toBeAttached({ timeout: 15_000 });
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.locator('g.note[data-lit]')).toHaveCount(0);
});

test('a mark is dragged to another day', async ({ page }) => {
    // Tall enough that nothing scrolls under the mouse on the way.
    await page.setViewportSize({ width: 1280, height: 2000 });
    await signIn(page);
    await page.goto(`/weeks/${(await family(page, 'Ivo')).week}`);
    await page.getByRole('button', { name: 'Add (a)' }).click();
    await page.getByLabel('Title').fill('Listen to the ferry');
    await page.getByLabel('Minutes').fill('1');
    await page.getByRole('checkbox').first().check();
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    const row = page.getByRole('row', { name: /Listen to the ferry/ });
    const marks = row.getByRole('button', { pressed: true });
    await expect(marks).toHaveCount(1);
    const from = await marks.getAttribute('data-date');
    const other = row.locator(`button[data-date]:not([data-date="${from}"])`).last();
    const to = await other.getAttribute('data-date');
    await marks.dragTo(other);
    await expect.poll(() => marks.getAttribute('data-date')).toBe(to);
    await page.keyboard.press('u');
    await expect.poll(() => marks.getAttribute('data-date')).toBe(from);
    // A press on a day sets it there as well.
    await other.click();
    await expect(marks).toHaveCount(2);
    await row.getByRole('button', { name: 'Change Listen to the ferry' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Remove from the plan' }).click();
    await expect(row).toHaveCount(0);
});

test('a slip is noted by touch on a bar, and taken back', async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: 'Lesson of Theo B.' }).click();
    await expect(page.getByRole('button', { name: /Finish, and see/ })).toBeVisible();
    await page.keyboard.press('j');
    await engraved(page);
    const bar = await page.locator('.score-bar').last().boundingBox();
    await page.mouse.click((bar?.x ?? 0) + (bar?.width ?? 0) - 6, (bar?.y ?? 0) + 6);
    await page.getByRole('button', { name: /long leap missed/ }).click();
    const slip = page.getByText(/bar \d+: long leap missed/);
    await expect(slip).toBeVisible();
    await page.keyboard.press('u');
    await expect(slip).toBeHidden();
    await page.keyboard.press('x');
    const stop = page.getByRole('button', { name: /: stop$/ }).nth(1);
    await expect(stop).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('c');
    await expect(stop).toHaveAttribute('aria-pressed', 'false');
});

test('what was typed before can be begun again', async ({ page }) => {
    await signIn(page);
    await page.goto('/books');
    await page.getByRole('link', { name: 'Add a piece to page 4', exact: true }).click();
    await retype(page, 'R: @c4 w1\nL: w');
    await expect(page.getByText('The music grows here')).toBeHidden();
    await page.reload();
    await expect(page.getByText('This is what you had typed before.')).toBeVisible();
    await page.getByRole('button', { name: 'Begin again' }).click();
    await expect.poll(() => typedText(page)).toMatch(/^title: \ntime: 4\/4\n/);
    await retype(page, 'R: @c4 w1 w? 3');
    const mistake = page.getByRole('button', { name: /Line 1, column 12/ });
    await mistake.click();
    expect(await page.evaluate(() => String(window.getSelection()))).toBe('?');
    await expect(page.getByRole('button', { name: /^Save/ })).toBeDisabled();
});

test('a tick is taken back on the phone', async ({ browser, page }) => {
    await signIn(page);
    const { link } = await family(page, 'Tilo');
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const home = await phone.newPage();
    await home.goto(link);
    await expect(home.getByRole('heading', { name: 'Hello Tilo' })).toBeVisible();
    const open = home.getByRole('button', { name: /min$/ });
    await expect(open.first()).toBeVisible();
    const count = await open.count();
    await open.last().tap();
    await home.getByRole('button', { name: 'Done' }).tap();
    await expect(open).toHaveCount(count - 1);
    await home.getByRole('button', { name: /done$/ }).last().tap();
    await home.getByRole('button', { name: 'Take the tick back' }).tap();
    await home.getByRole('button', { name: '← Today' }).tap();
    await expect(open).toHaveCount(count);
    await phone.close();
});

test('the night is kept, and signing out closes the rooms', async ({ page }) => {
    await signIn(page);
    await page.getByRole('button', { name: 'Dark' }).click();
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark');
    await page.getByRole('button', { name: 'Light' }).click();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Email')).toBeVisible();
    await page.goto('/books');
    await expect(page.getByLabel('Email')).toBeVisible();
});
