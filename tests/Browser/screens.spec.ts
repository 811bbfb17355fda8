import { ROOMS } from './rooms';
import {
    api,
    editor,
    engraved,
    expect,
    expectAccessible,
    expectAccessibleByDayAndNight,
    expectNarrow,
    family,
    listen,
    signIn,
    test,
} from './studio';

test('a wrong password is told on the form', async ({ page }) => {
    await page.goto('/students');
    await page.getByLabel('Email').fill('teacher@windowsill.example');
    await page.getByLabel(/^Password/).fill('not this');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('do not go together');
    await expect(page.getByLabel('Email')).toHaveValue('teacher@windowsill.example');
    await expectAccessible(page);
});

test('every room of the teacher is accessible, by day and by night', async ({ page }) => {
    test.setTimeout(300_000);
    await signIn(page);
    for (const [room, visit] of ROOMS) {
        await test.step(room, async () => {
            await visit(page);
            await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
            await expectAccessibleByDayAndNight(page);
            await expectNarrow(page);
        });
    }
});

test('the keys of a screen are listed on ?', async ({ page }) => {
    await signIn(page);
    await page.keyboard.press('?');
    const list = page.getByRole('dialog', { name: 'Shortcuts of this screen' });
    await expect(list).toContainText('open the next lesson');
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await expect(list).toBeHidden();
    await page.keyboard.press('n');
    await expect(page.getByRole('button', { name: /Finish, and see next week/ })).toBeVisible();
});

test('a mark is moved by keys, a broken rule is told, and all of it is undone', async ({ page }) => {
    await signIn(page);
    await page.goto(`/weeks/${(await family(page, 'Kit')).week}`);
    await expect(page.locator('[data-task]').first()).toBeVisible();
    const placed = () =>
        page
            .locator('[data-task][aria-pressed="true"]')
            .evaluateAll((marks) =>
                marks.map((mark) => `${mark.getAttribute('data-task')} ${mark.getAttribute('data-date')}`),
            );
    const before = await placed();
    await page.locator('[data-task][data-date][aria-pressed="true"]').last().click();
    await page.keyboard.press('x');
    await expect.poll(placed).not.toEqual(before);
    await page.keyboard.press('u');
    await expect.poll(placed).toEqual(before);
    await page.getByRole('button', { name: 'Add (a)' }).click();
    await page.getByLabel('Title').fill('A long story');
    await page.getByLabel('Minutes').fill('119');
    await page.getByRole('checkbox').first().check();
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText('would need');
    await page.keyboard.press('Escape');
    expect(await placed()).toEqual(before);
});

test('the sheet of a week fits one page, with its bars engraved', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Plan of Theo B.' }).click();
    await page.getByRole('button', { name: 'More', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Print' }).click();
    await engraved(page);
    await page.waitForTimeout(800);
    const pdf = await page.pdf({ preferCSSPageSize: true });
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
});

test('a tick made offline is kept, and sent once when the connection is back', async ({ browser, page }) => {
    await signIn(page);
    const { link } = await family(page, 'Lou');
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const home = await phone.newPage();
    const errors: string[] = [];
    listen(home, errors);
    await home.goto(link);
    const open = home.getByRole('button', { name: /min$/ });
    await expect(home.getByRole('heading', { name: 'Hello Lou' })).toBeVisible();
    await expectAccessible(home);
    await expect(open.first()).toBeVisible();
    const name = (await open.first().locator('b').textContent()) ?? '';
    await open.first().tap();
    await expect(home.getByRole('button', { name: 'Done' })).toBeVisible();
    await expectAccessible(home);
    await phone.setOffline(true);
    await home.getByRole('button', { name: 'Done' }).tap();
    await expect(home.getByText('One tick is kept here')).toBeVisible();
    await phone.setOffline(false);
    await expect(home.getByText('One tick is kept here')).toBeHidden({ timeout: 20_000 });
    await home.reload();
    await expect(home.getByRole('button', { name: new RegExp(`${name}.*done`, 's') })).toBeVisible();
    expect(errors).toEqual([]);
    await phone.close();
});

test('a withdrawn or wrong link says so', async ({ page }) => {
    await page.goto('/home/not-a-link');
    await expect(page.getByRole('heading', { name: 'This link is closed' })).toBeVisible();
});

test('a file that is no score is refused in words, and a good one is taken', async ({ page }) => {
    await signIn(page);
    await page.goto('/books');
    await page.getByRole('link', { name: 'Add a piece to page 8' }).click();
    await expect(editor(page)).toBeVisible();
    const choose = page.locator('input[type="file"]');
    await choose.setInputFiles({ name: 'page.musicxml', mimeType: 'text/xml', buffer: Buffer.from('<html></html>') });
    await expect(page.getByRole('alert')).toContainText('this is not MusicXML; it begins with <html>');
    // Rows are numbered as the database likes.
    const books = await api<{ pages: { pieces: { id: number; title: string }[] }[] }[]>(page, 'GET', '/books');
    const piece = books
        .flatMap((book) => book.pages.flatMap((one) => one.pieces))
        .find((one) => one.title === 'Hop and Wait');
    const { music } = await api<{ music: string }>(page, 'GET', `/pieces/${piece?.id}`);
    await page.keyboard.press('Escape');
    await choose.setInputFiles({ name: 'page.musicxml', mimeType: 'text/xml', buffer: Buffer.from(music) });
    await page.getByRole('button', { name: 'Put it on the page as it is' }).click();
    await expect(page.getByRole('heading', { name: 'Hop and Wait' })).toBeVisible();
});

test('a room whose script does not come says so, and leaves the way to the others', async ({ page, browser }) => {
    await signIn(page);
    // The browser itself complains of the script, which is no fault of the page's.
    const other = await (await browser.newContext({ storageState: await page.context().storageState() })).newPage();
    await other.goto('/');
    await expect(other.getByRole('heading', { name: 'This week' })).toBeVisible();
    const gone = /assets\/Books-.*\.js/;
    await other.route(gone, (route) => route.abort());
    await other.getByRole('link', { name: 'Books', exact: true }).click();
    await expect(other.getByRole('alert')).toContainText('This room could not be opened');
    await expectAccessible(other);
    await other.getByRole('link', { name: 'This week', exact: true }).click();
    await expect(other.getByRole('heading', { name: 'This week' })).toBeVisible();
    await other.goBack();
    await other.unroute(gone);
    await other.getByRole('button', { name: 'Load it again' }).click();
    await expect(other.getByRole('heading', { name: 'Books', level: 1 })).toBeVisible();
    await other.context().close();
});
