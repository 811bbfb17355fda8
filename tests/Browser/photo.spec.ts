import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { api, editor, engraved, expect, expectAccessible, listen, newPiece, signIn, test, typedText } from './studio';

const BOOK = 'Lanterns and Ladders';
const STAND_IN = 'public/stand-in/page.jpg';

/** Seconds of the keystroke level: a key, a look that decides, and the hand from the keys to the mouse or back. */
const KEY = 0.28;
const LOOK = 1.35;

/** The picture made of the stand-in by a few lines of PHP, whose `$i` it is. */
function madeOf(lines: string): Buffer {
    const file = `.run/photo-${process.pid}.jpg`;
    execFileSync('php', [
        '-d',
        'memory_limit=512M',
        '-r',
        `$i = imagecreatefromjpeg('${STAND_IN}'); ${lines} imagejpeg($i, '${file}', 90);`,
    ]);
    return readFileSync(file);
}

async function photoOf(page: Page): Promise<void> {
    await newPiece(page, BOOK);
    await page.getByRole('link', { name: 'From a photo' }).click();
    await expect(page.getByRole('heading', { name: 'A page from a photo' })).toBeVisible();
    await expect(page.getByRole('link', { name: `${BOOK}, p. ` })).toBeVisible();
}

async function send(page: Page, buffer: Buffer, name = 'page.jpg'): Promise<void> {
    await page.locator('input[type=file]').setInputFiles({ name, mimeType: 'image/jpeg', buffer });
    await page.waitForURL(/\/photos\/\d+/);
}

async function toThirdOfFour(page: Page): Promise<void> {
    await page.getByText('Then 4 doubtful places.').waitFor();
    await page.keyboard.press('Enter');
    for (const doubt of [1, 2]) {
        await page.getByText(`Doubt ${doubt} of 4`).waitFor();
        await page.keyboard.press('Enter');
    }
}

// Pictures that other tests have left are none of these.
test.beforeEach(async ({ page }) => {
    await signIn(page);
    for (const { id } of await api<{ id: number }[]>(page, 'GET', '/photos'))
        await api(page, 'DELETE', `/photos/${id}`);
});

test('eight bars come from a photo to a saved piece, three doubts gone through by keys, in forty seconds of the keystroke level', async ({
    page,
}) => {
    await photoOf(page);
    let seconds = 0;
    const press = async (key: string) => {
        await page.keyboard.press(key);
        seconds += KEY;
    };
    const look = async (text: string | RegExp) => {
        await expect(page.getByText(text)).toBeVisible();
        await engraved(page);
        seconds += LOOK;
    };
    // A key opens the files, and one more takes the newest.
    seconds += 2 * KEY + LOOK;
    await send(page, readFileSync(STAND_IN));
    await look('Then 3 doubtful places.');
    await expect(page.getByRole('button', { name: 'Time: 4/4. Change it' })).toBeVisible();
    await press('Enter');

    // A dot that the print has lost: it was put there, and is right.
    await look('Doubt 1 of 3');
    await expect(page.getByText('Bar 2, right hand: Do these lengths fill the bar?')).toBeVisible();
    await expect(page.getByText('dotted crotchet')).toBeVisible();
    await expect(page.getByRole('list', { name: 'What was read in this bar' })).toContainText('quaver');
    await expectAccessible(page);
    await press('Enter');
    // A blot was taken for a dot, and the last note was made shorter for it: that one is looked at.
    await look('Doubt 2 of 3');
    await press('q');
    await press('ArrowLeft');
    await press('ArrowLeft');
    // Two dots, then none.
    await press('.');
    await press('.');
    await press('Enter');
    await look('Doubt 3 of 3');
    await press('Enter');

    await look(/All doubtful places are settled/);
    await expect(page.locator('.score g.measure')).toHaveCount(8);
    await press('Enter');
    await expect(page.getByText('This was read from the photo. Look through it, and save it.')).toBeVisible();
    await expect(page.getByText('Every bar adds up.')).toBeVisible();
    expect(await typedText(page)).toContain('title: Paper Lantern Walk');
    seconds += 2 * LOOK;
    await press('Control+Enter');
    await expect(page.getByRole('heading', { name: 'Paper Lantern Walk' })).toBeVisible();
    test.info().annotations.push({
        type: 'keystroke level',
        description: `${seconds.toFixed(1)} s, without the reading`,
    });
    expect(seconds).toBeLessThanOrEqual(40);
});

test('a grey blot that is a note once and none the other time is asked about, and one key takes the other reading', async ({
    page,
}) => {
    await photoOf(page);
    await send(page, madeOf('imagefilledellipse($i, 634, 634, 20, 16, imagecolorallocate($i, 124, 124, 124));'));
    await toThirdOfFour(page);
    await expect(page.getByText(/^Bar 6, right hand: Read twice/)).toBeVisible();
    await engraved(page);
    const signs = page.getByRole('list', { name: 'What was read in this bar' });
    await expect(signs).toContainText('[G4');
    await expectAccessible(page);
    await page.keyboard.press('i');
    await expect(signs).not.toContainText('G4 B4');
    await expect(signs.getByRole('listitem').first()).toContainText('B4');
    // Back, and there again by the mouse.
    const other = page.getByRole('button', { name: 'as it was read the other time' });
    await other.click();
    await expect(signs).toContainText('[G4');
    await other.click();
    await expect(signs).not.toContainText('[G4');
    await page.keyboard.press('Enter');
    await page.getByText('Doubt 4 of 4').waitFor();
    await page.keyboard.press('u');
    await page.getByText('Doubt 3 of 4').waitFor();
});

test('a bar line that was not seen is asked about, taken away by one key and put again by another', async ({
    page,
}) => {
    await photoOf(page);
    // The paper beside the line is laid over it.
    await send(page, madeOf('imagecopy($i, $i, 586, 579, 602, 579, 14, 214);'));
    await toThirdOfFour(page);
    await expect(page.getByText(/^Bar 5, right hand: Does this bar end here/)).toBeVisible();
    const signs = page.getByRole('list', { name: 'What was read in this bar' }).getByRole('listitem');
    await expect(signs).toHaveCount(4);
    await page.keyboard.press('j');
    await expect(signs).toHaveCount(8);
    await expect(page.getByText(/^Bar 5, right hand: Do these lengths fill the bar/)).toBeVisible();
    for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
    await page.keyboard.press('|');
    // Both come to their bar: nothing is asked there any more.
    await expect(page.getByText(/^Bar 7, right hand/)).toBeVisible();
    await page.keyboard.press('u');
    await expect(signs).toHaveCount(8);
    await page.keyboard.press('u');
    await expect(page.getByText(/Does this bar end here/)).toBeVisible();
});

test('what came from a photo is kept like anything that is typed: a reload loses nothing', async ({ page }) => {
    await photoOf(page);
    await send(page, readFileSync(STAND_IN));
    await page.getByText('Then 3 doubtful places.').waitFor();
    await page.keyboard.press('Enter');
    for (const doubt of [1, 2, 3]) {
        await page.getByText(`Doubt ${doubt} of 3`).waitFor();
        await page.keyboard.press('Enter');
    }
    await page.getByLabel('Keep the photo with the page. Only you see it.').check();
    await page.getByRole('button', { name: /Go on to typing/ }).click();
    await expect(editor(page)).toBeVisible();
    await page.reload();
    await expect.poll(() => typedText(page)).toContain('title: Paper Lantern Walk');
    // The photo stays with its page, for the teacher.
    await page.getByRole('link', { name: 'From a photo' }).click();
    await expect(page.getByRole('img', { name: 'Photo 1 of this page' })).toBeVisible();
    await expect(page.getByText(/^Read so far: \d+ pages/)).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Delete photo 1' }).click();
    await expect(page.getByRole('img', { name: 'Photo 1 of this page' })).toBeHidden();
});

test('a phone takes the picture by the code on the screen, once', async ({ page, browser }) => {
    await photoOf(page);
    await page.getByRole('button', { name: /Take it with a phone/ }).click();
    const told = await page.getByText(/^Or open /).textContent();
    await expectAccessible(page);
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
    const phone = await context.newPage();
    const errors: string[] = [];
    listen(phone, errors);
    await phone.goto(told?.replace('Or open ', '') ?? '');
    await expect(phone.getByText(`${BOOK}, p. `)).toBeVisible();
    await expectAccessible(phone);
    await phone.locator('input[type=file]').first().setInputFiles(STAND_IN);
    await expect(phone.getByText(/^Sent\./)).toBeVisible();
    await phone.reload();
    await expect(phone.getByText(/^Sent\./)).toBeVisible();
    await expect(phone.getByRole('button', { name: 'Take the picture' })).toBeHidden();
    // The other screen has gone on by itself.
    await page.waitForURL(/\/photos\/\d+/);
    await expect(page.getByText('Then 3 doubtful places.')).toBeVisible();
    expect(errors).toEqual([]);
    await context.close();
});

test('a photo of twelve megapixels is read, while it says how far it is', async ({ page }) => {
    await photoOf(page);
    const large = madeOf(
        '$to = imagecreatetruecolor(4032, 3024); imagefill($to, 0, 0, 0x333333); imagecopyresampled($to, $i, 60, 360, 0, 0, 3912, 2235, imagesx($i), imagesy($i)); $i = $to;',
    );
    await send(page, large);
    await expect(page.getByRole('progressbar')).toBeVisible();
    await expect(page.getByText(/^Then \d+ doubtful places\.$/)).toBeVisible({ timeout: 60_000 });
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Doubt 1 of/)).toBeVisible();
    await engraved(page);
    await expect(page.locator('.score g.measure')).toHaveCount(4);
});

test('a photo that cannot be read says why, and one on its side is set upright', async ({ page }) => {
    await photoOf(page);
    await send(page, madeOf('for ($n = 0; $n < 90; $n++) imagefilter($i, IMG_FILTER_GAUSSIAN_BLUR);'));
    await expect(page.getByRole('alert')).toContainText('blurred');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Take another picture' }).click();
    await expect(page.getByText('The picture is blurred.', { exact: false })).toBeVisible();
    await page
        .getByRole('button', { name: /^Delete the photo of/ })
        .last()
        .click();
    await send(page, madeOf('$i = imagerotate($i, 90, 0);'));
    await expect(page.getByRole('button', { name: 'Upper staff: treble clef. Change it' })).toBeVisible();
    await page.getByRole('button', { name: 'Corners of the page' }).click();
    await expectAccessible(page);
    // The second line alone.
    for (const corner of ['Upper left corner', 'Upper right corner']) {
        await page.getByRole('button', { name: corner }).focus();
        for (let i = 0; i < 13; i++) await page.keyboard.press('Shift+ArrowDown');
    }
    await page.getByRole('button', { name: 'Read this part' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
    // Two of the three doubts were above.
    await expect(page.getByText('Then one doubtful place.')).toBeVisible();
    await engraved(page);
    await expect(page.locator('.score g.measure')).toHaveCount(4);
});

test('without a camera the stand-in shows a page, and several pictures are read one after another', async ({
    page,
}) => {
    await photoOf(page);
    await page.getByRole('button', { name: /Camera of this device/ }).click();
    await expect(page.getByRole('alert')).toBeVisible();
    await page.getByRole('button', { name: 'Use the stand-in camera' }).click();
    await page.waitForURL(/\/photos\/\d+/);
    await expect(page.getByText('Then 3 doubtful places.')).toBeVisible();
    await page.getByRole('button', { name: 'Delete this photo' }).click();
    await expect(page).toHaveURL(/\/pages\/\d+\/photo/);
    const buffer = readFileSync(STAND_IN);
    await page
        .locator('input[type=file]')
        .setInputFiles(['one.jpg', 'two.jpg'].map((name) => ({ name, mimeType: 'image/jpeg', buffer })));
    const list = page.getByRole('region', { name: 'Photos to look through' });
    await expect(list.getByText('Read; look through it')).toHaveCount(2, { timeout: 60_000 });
    for (const left of [1, 0]) {
        await list
            .getByRole('button', { name: /^Delete the photo of/ })
            .first()
            .click();
        if (left > 0) await expect(list.getByRole('listitem')).toHaveCount(left);
    }
    await expect(list).toBeHidden();
});
