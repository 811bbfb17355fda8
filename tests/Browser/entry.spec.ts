import { readFileSync } from 'node:fs';
import {
    editor,
    engraved,
    expect,
    expectAccessible,
    listen,
    newPiece,
    retype,
    signIn,
    test,
    typedText,
} from './studio';

const BOOK = 'Lanterns and Ladders';

test.beforeEach(async ({ page }) => signIn(page));

test('eight bars for two hands are typed from an empty page without the mouse, in at most 110 keystrokes', async ({
    page,
}) => {
    await newPiece(page, BOOK);
    let keys = 0;
    const type = async (text: string) => {
        for (const key of text) {
            await page.keyboard.type(key);
            keys++;
        }
    };
    const press = async (key: string) => {
        await page.keyboard.press(key);
        keys++;
    };
    await type('Blue Gate');
    for (let i = 0; i < 3; i++) await press('Enter');
    await type('q1defh5eq5fedw3');
    await press('Enter');
    await type('h5gw5h5gw5');
    await press('Enter');
    await type('=1-2qfed2w3');
    // The last note should have been the thumb's.
    await press('Backspace');
    await type('1');
    await press('Enter');
    await type('=1-2h41w5');
    await engraved(page);
    await expect(page.locator('.score g.measure')).toHaveCount(8);
    await expect(page.getByText('Every bar adds up.')).toBeVisible();
    await press('Control+Enter');
    await expect(page.getByRole('heading', { name: 'Blue Gate' })).toBeVisible();
    expect(keys).toBeLessThanOrEqual(110);
});

test('a piano by keys and a MIDI keyboard type at the cursor, with the lengths in force', async ({ page }) => {
    await newPiece(page, BOOK);
    await retype(page, 'R: @c4 q');
    await page.keyboard.press('Alt+k');
    await expect(page.getByRole('button', { name: 'C 4' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect.poll(() => typedText(page)).toBe('R: @c4 q c');
    for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('button', { name: 'F sharp 4' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect.poll(() => typedText(page)).toBe('R: @c4 q c f+');
    await page.getByRole('button', { name: 'Minim' }).click();
    await page.getByRole('button', { name: 'E 4', exact: true }).click();
    await expect.poll(() => typedText(page)).toBe('R: @c4 q c f+ h e');
    await page.getByRole('button', { name: 'Tie' }).click();
    await expect.poll(() => typedText(page)).toBe('R: @c4 q c f+ h e~');

    await page.getByRole('combobox', { name: 'MIDI keyboard' }).click();
    await page.getByRole('option', { name: 'Stand-in keyboard' }).click();
    await page.getByRole('combobox', { name: 'Recorded take' }).click();
    await page.getByRole('option', { name: 'Three chords' }).click();
    await page.getByRole('button', { name: 'Play the take' }).click();
    await expect.poll(() => typedText(page)).toBe('R: @c4 q c f+ h e~ (c e g) (c f a) (b, f g)');
    await page.getByRole('button', { name: 'C 4' }).press('Escape');
    await expect(editor(page)).toBeFocused();
});

test('text and music lead to each other, and what is certain is mended with one click', async ({ page }) => {
    await newPiece(page, BOOK);
    await retype(page, 'title: Two Steps\nR: @c4 q1 2 | w3\nL: @5=c3 w5 | 5');
    await engraved(page);
    await page.locator('g.note[id="R1-2"] .notehead').click();
    expect(await page.evaluate(() => String(window.getSelection()))).toBe('2');
    await expect(page.locator('g.note[id="R1-2"]')).toHaveAttribute('data-lit', 'yes');
    await page.keyboard.press('Control+End');
    await expect(page.locator('g.note[id="L2-1"]')).toHaveAttribute('data-lit', 'left');

    await page.getByRole('button', { name: /^1\.3 Bar 1, right hand/ }).click();
    await expect(page.locator('g.note[id="R1-2"]')).toHaveAttribute('data-lit', 'yes');
    await page.getByRole('button', { name: 'Fill the bar with rest' }).click();
    await expect.poll(() => typedText(page)).toContain('R: @c4 q1 2 hr q | w3');
    await expect(page.getByText('Every bar adds up.')).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect.poll(() => typedText(page)).toContain('R: @c4 q1 2 | w3');
    await page.keyboard.press('Control+y');
    await expect.poll(() => typedText(page)).toContain('hr q');

    await page.keyboard.press('Alt+h');
    await expect.poll(() => typedText(page)).toContain('clefs: bass treble');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Alt+t');
    await page.getByRole('button', { name: 'Up', exact: true }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.keyboard.press('Control+z');
    await expect.poll(() => typedText(page)).toContain('hr q');
    await page.reload();
    await expect(editor(page)).toContainText('hr q');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await expect.poll(() => typedText(page)).not.toContain('hr q');
});

test('two windows on one page: nothing is overwritten, both stand side by side', async ({ page, context }) => {
    await newPiece(page, BOOK);
    await retype(page, 'title: Shared\nR: @c4 w1');
    await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toHaveText('Kept');
    const other = await context.newPage();
    const errors: string[] = [];
    listen(other, errors);
    await other.goto(page.url());
    await expect(editor(other)).toContainText('Shared');
    await retype(other, 'title: Shared\nR: @c4 w2');
    await expect(other.getByRole('status').filter({ hasText: 'Kept' })).toHaveText('Kept');
    await retype(page, 'title: Shared\nR: @c4 w3');
    const conflict = page.getByRole('alert', { name: 'Another window has changed this piece too' });
    await expect(conflict).toContainText('R: @c4 w2');
    await expect(conflict).toContainText('R: @c4 w3');
    await expectAccessible(page);
    await conflict.getByRole('button', { name: 'Take the other one' }).click();
    await expect(conflict).toBeHidden();
    await expect.poll(() => typedText(page)).toBe('title: Shared\nR: @c4 w2');
    await retype(page, 'title: Shared\nR: @c4 w4');
    await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toHaveText('Kept');
    await retype(other, 'title: Shared\nR: @c4 w5');
    await other.getByRole('button', { name: 'Keep what is here' }).click();
    await expect(other.getByRole('status').filter({ hasText: 'Kept' })).toHaveText('Kept');
    await page.reload();
    await expect.poll(() => typedText(page)).toBe('title: Shared\nR: @c4 w5');
    expect(errors).toEqual([]);
});

test('without a connection what is typed is kept, and sent later', async ({ page, context }) => {
    await newPiece(page, BOOK);
    await retype(page, 'title: On the Train\nR: @c4 w1');
    await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toHaveText('Kept');
    await context.setOffline(true);
    await retype(page, 'title: On the Train\nR: @c4 w1 2');
    await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toHaveText('Kept on this device');
    await context.setOffline(false);
    await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toHaveText('Kept');
    await page.evaluate(() => localStorage.clear());
    await page.reload();
    await expect.poll(() => typedText(page)).toBe('title: On the Train\nR: @c4 w1 2');
});

const NOTE = (step: string, octave: number) =>
    `<note><pitch><step>${step}</step><octave>${octave}</octave></pitch><duration>4</duration><voice>1</voice><type>whole</type></note>`;
const PART = (id: string, clef: string, note: string) =>
    `<part id="${id}"><measure number="1"><attributes><divisions>1</divisions><clef><sign>${clef}</sign></clef></attributes><harmony/>${note}</measure></part>`;
const DUET = `<score-partwise version="4.0"><work><work-title>Two at One Piano</work-title></work><part-list><score-part id="P1"><part-name>Primo</part-name></score-part><score-part id="P2"><part-name>Secondo</part-name></score-part></part-list>${PART('P1', 'G', NOTE('G', 4))}${PART('P2', 'F', NOTE('C', 3))}</score-partwise>`;

test('of a file with several parts the student’s is chosen, and what is not kept is listed', async ({ page }) => {
    await newPiece(page, BOOK);
    await page.setInputFiles('input[type=file]', {
        name: 'duet.musicxml',
        mimeType: 'text/xml',
        buffer: Buffer.from(DUET),
    });
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('radio', { name: 'The student plays Primo' }).check();
    await dialog.getByRole('radio', { name: 'The teacher plays Secondo' }).check();
    await expect(dialog.getByRole('region', { name: 'Not kept' })).toContainText('Bar 1: chord symbol is not read.');
    await expect(dialog.locator('g.note').first()).toBeVisible();
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Put it on the page as it is' }).click();
    await expect(page.getByRole('heading', { name: 'Two at One Piano' })).toBeVisible();
    await page.getByText('The teacher’s part').click();
    await expect(page.getByRole('img', { name: 'The teacher’s part, engraved' }).locator('g.note')).toHaveCount(1);
    await page.keyboard.press('e');
    await expect(editor(page)).toContainText('Two at One Piano');
});

test('a broken file is refused in words and changes nothing', async ({ page }) => {
    await newPiece(page, BOOK);
    await retype(page, 'R: @c4 w1');
    await page.setInputFiles('input[type=file]', {
        name: 'cut.musicxml',
        mimeType: 'text/xml',
        buffer: Buffer.from(DUET.slice(0, 300)),
    });
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText('cut short or damaged');
    await page.keyboard.press('Escape');
    await expect.poll(() => typedText(page)).toBe('R: @c4 w1');
});

test('a piece goes out as MIDI and comes in again as a start', async ({ page }) => {
    await page.goto('/books');
    await page.getByRole('link', { name: 'The Gate' }).click();
    await engraved(page);
    await page.getByRole('button', { name: 'Download' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('menuitem', { name: 'MIDI', exact: true }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe('The Gate.mid');
    const bytes = readFileSync(await file.path());
    expect(bytes.subarray(0, 4).toString()).toBe('MThd');
    await newPiece(page, BOOK);
    await page.setInputFiles('input[type=file]', { name: 'gate.mid', mimeType: 'audio/midi', buffer: bytes });
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('combobox', { name: 'Lay the notes on a grid of' }).click();
    await page.getByRole('option', { name: 'Crotchets' }).click();
    await dialog.getByRole('button', { name: 'Type on from it' }).click();
    await expect.poll(() => typedText(page)).toContain('R: qc e c e | he g');
});

test('a page without a staff has fingers in its heads, stems up for the right hand and down for the left', async ({
    page,
}) => {
    await page.goto('/books');
    await page.getByRole('link', { name: 'Hop and Wait' }).click();
    await engraved(page);
    await expect(page.locator('.score g.note .notehead text')).toHaveText([
        '1',
        '2',
        '3',
        '3',
        '2',
        '1',
        '1',
        '2',
        '3',
        '3',
        '2',
        '1',
    ]);
    const stems = await page.locator('.score g.note > path').evaluateAll((paths) =>
        paths.map((path) => {
            const [, from, to] = path.getAttribute('d')?.match(/^M[\d.]+ ([\d.]+)V([\d.]+)$/) ?? [];
            return Number(to) < Number(from) ? 'up' : 'down';
        }),
    );
    expect(stems).toEqual([...Array(6).fill('up'), ...Array(6).fill('down')]);
    await page.keyboard.press('f');
    await expect(page.locator('.score-mark')).toHaveCount(12);
    await page.goto('/books');
    await page.getByRole('link', { name: 'Three Drops' }).click();
    await engraved(page);
    await expect(page.locator('.score g.note .notehead text').first()).toHaveText('C');
});

test('chosen bars are heard alone, and go round', async ({ page }) => {
    await page.goto('/books');
    await page.getByRole('link', { name: 'Copper Kettle' }).click();
    await engraved(page);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await page.getByRole('checkbox', { name: 'Count in' }).uncheck();
    await page.getByRole('checkbox', { name: 'Loop' }).check();
    for (let i = 0; i < 40; i++) await page.getByRole('button', { name: 'Faster' }).click();
    await page.getByRole('button', { name: 'Play bars 2 to 3' }).click();
    const lit = page.locator('g.note[data-lit]');
    await expect(lit.first()).toBeAttached({ timeout: 15_000 });
    const bars = new Set<string>();
    let rounds = 0;
    let last = 0;
    for (let i = 0; i < 120 && rounds < 2; i++) {
        const ids = await lit.evaluateAll((notes) => notes.map((note) => note.id));
        for (const id of ids) {
            const bar = Number(id.match(/\d+/)?.[0]);
            bars.add(String(bar));
            if (bar < last) rounds++;
            last = bar;
        }
        await page.waitForTimeout(60);
    }
    expect([...bars].sort()).toEqual(['2', '3']);
    expect(rounds).toBeGreaterThanOrEqual(2);
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(lit).toHaveCount(0);
});

test('a device without sound is told so, and the notes light up all the same', async ({ page }) => {
    await page.addInitScript(() => {
        for (const name of ['AudioContext', 'webkitAudioContext']) {
            Object.defineProperty(window, name, {
                value: class {
                    constructor() {
                        throw new Error('no device');
                    }
                },
            });
        }
    });
    await page.goto('/books');
    await page.getByRole('link', { name: 'The Gate' }).click();
    await engraved(page);
    await page.getByRole('checkbox', { name: 'Count in' }).uncheck();
    await page.getByRole('button', { name: 'Play', exact: true }).click();
    await expect(page.getByText('This device gives no sound.')).toBeVisible({ timeout: 15_000 });
    await expect(page.locator('g.note[data-lit]').first()).toBeAttached();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.locator('g.note[data-lit]')).toHaveCount(0);
});

test('a table of contents comes in whole or not at all, and a book goes out and comes back', async ({ page }) => {
    await page.goto('/books');
    await page.getByRole('button', { name: 'Add a book (a)' }).click();
    await page.getByLabel('Title').fill('Pebbles');
    await page.getByRole('button', { name: 'Save' }).click();
    const book = page.getByRole('region', { name: 'Pebbles' });
    await book.getByRole('button', { name: 'More for Pebbles' }).click();
    await page.getByRole('menuitem', { name: 'Bring in its table of contents' }).click();
    const dialog = page.getByRole('dialog');
    const bring = (text: string) =>
        page.setInputFiles('input[accept=".csv,.tsv,.txt"]', {
            name: 'contents.csv',
            mimeType: 'text/csv',
            buffer: Buffer.from(text),
        });
    await bring('page,title,kind\n1,Stones,pieces\nx,Sand,pieces\n');
    await expect(dialog.getByRole('alert')).toContainText("Row 3: 'x' is not a page number");
    await expectAccessible(page);
    await bring('page,title,kind,introduces\n1,Stones,pieces,steps\n2,Sand,listening,\n');
    await expect(dialog.getByRole('status')).toHaveText('The book has 2 pages now.');
    await dialog.getByRole('button', { name: 'Done' }).click();
    await expect(book).toContainText('Stones');
    await expect(book).toContainText('Page 2, listening');
    await book.getByRole('button', { name: 'More for Pebbles' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('menuitem', { name: 'The whole book as an archive' }).click();
    const archive = readFileSync(await (await download).path());
    await page.setInputFiles('input[accept=".zip"]', {
        name: 'pebbles.zip',
        mimeType: 'application/zip',
        buffer: archive,
    });
    await expect(book).toHaveCount(2);
    for (let left = 2; left > 0; left--) {
        await book.first().getByRole('button', { name: 'More for Pebbles' }).click();
        await page.getByRole('menuitem', { name: 'Remove' }).click();
        await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
        await expect(book).toHaveCount(left - 1);
    }
});

test('the reference shows its examples engraved', async ({ page }) => {
    await page.goto('/shorthand');
    await expect(page.getByRole('heading', { name: 'The shorthand' })).toBeVisible();
    await engraved(page);
    await expect(page.getByRole('row', { name: '(135) (ce) a chord' })).toContainText('(135)');
    await expectAccessible(page);
});
