// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import type { Api } from '../api';
import { Camera } from './Camera';
import { Look } from './Look';
import { Photo } from './Photo';

vi.mock('../shared/score/Score', () => ({
    Score: ({ title, lit }: { title: string; lit?: Map<string, string> }) => (
        <p>
            music: {title} {[...(lit ?? [])].join(' ')}
        </p>
    ),
}));

const STATE = {
    id: 7,
    pageId: 3,
    where: 'Garden Book, p. 5',
    state: 'read',
    step: '',
    done: 0,
    of: 1,
    reason: '',
    isRead: true,
    url: null,
};
const sign = (id: string, name: string, length = 'quarter'): Api['ReadSignResource'] => ({
    x: 40,
    id,
    length,
    heads: name === '' ? [] : [{ name, finger: null, tied: false }],
});
const staff = (doubts: string[], ...signs: Api['ReadSignResource'][]) => ({
    from: 20,
    to: 200,
    doubts,
    signs,
    at: doubts.includes('twice') ? signs.length - 1 : 0,
    other: doubts.includes('twice'),
});
const bar = (number: number, upper: ReturnType<typeof staff>, lower: ReturnType<typeof staff>) => ({
    number,
    line: 0,
    checks: upper.doubts.length > 0 ? [`Bar ${number}: 1 missing.`] : [],
    staves: [upper, lower],
});

function reading(): Api['ReadPageResource'] {
    return {
        id: 7,
        pageId: 3,
        where: STATE.where,
        revision: 1,
        corrections: 0,
        isPoor: false,
        lines: [{ position: 0, width: 900, height: 400, tops: [80, 240] }],
        pieces: [
            {
                label: '',
                title: 'Hedgerow',
                typed: false,
                clefs: ['treble', 'bass'],
                fifths: 0,
                time: '4/4',
                lines: ['<score/>'],
                bars: [
                    bar(
                        1,
                        staff(['sum'], sign('R1-1', 'C4'), sign('R1-2', 'D4')),
                        staff([], sign('L1-1', '', 'whole')),
                    ),
                    bar(2, staff([], sign('R2-1', 'E4', 'whole')), staff(['place'], sign('L2-1', 'F3', 'whole'))),
                ],
            },
        ],
    };
}

/** A server that has read a page, and takes what is right out of its doubts. */
function look(change: Partial<Api['ReadPageResource']> = {}, more: Parameters<typeof serve>[0] = {}) {
    let page = { ...reading(), ...change };
    const asked = serve({
        'GET /photos/7': () => STATE,
        'GET /photos/7/reading': () => page,
        'PUT /photos/7/corrections': (body) => {
            const { more, undo } = body as Api['CorrectionsRequest'];
            page = structuredClone(page);
            page.revision++;
            page.corrections += undo ? -1 : more.length;
            for (const { change, bar, staff } of more) {
                const at = page.pieces[0]?.bars[bar ?? 0]?.staves[staff ?? 0];
                if (change === 'right' && at !== undefined) at.doubts = [];
            }
            return page;
        },
        'PUT /photos/7/typed': () => ({ shorthand: 'title: Hedgerow\n', label: '', more: false }),
        'DELETE /photos/7': () => new Response(null, { status: 204 }),
        ...more,
    });
    drawRoom('/photos/:photo', '/photos/7', <Look />);
    const sent = () =>
        asked
            .filter(({ path }) => path === '/photos/7/corrections')
            .flatMap(({ body }) => (body as Api['CorrectionsRequest']).more);
    return { asked, sent };
}

describe('what was read of a photo', () => {
    it('is gone through from its clefs to its last doubt by keys alone, and goes on to be typed', async () => {
        const { asked, sent } = look();
        await screen.findByText('Then 2 doubtful places.');
        await userEvent.keyboard('{Enter}');
        await screen.findByText('Doubt 1 of 2');
        expect(screen.getByText('Do these lengths fill the bar?')).toBeDefined();
        expect(screen.getByText('Bar 1: 1 missing.')).toBeDefined();
        await userEvent.keyboard('{ArrowRight}h.');
        await waitFor(() => expect(sent()).toHaveLength(2));
        expect(sent()[0]).toMatchObject({ change: 'length', bar: 0, staff: 0, sign: 1, value: 2 });
        await userEvent.keyboard('{Enter}');
        await screen.findByText('Doubt 2 of 2');
        expect(screen.getByText(/music: This line/).textContent).toContain('L2-1,left');
        await userEvent.keyboard('{ArrowUp}{Enter}');
        await screen.findByText(/All doubtful places are settled/);
        expect(sent().map(({ change }) => change)).toEqual(['length', 'dot', 'right', 'step', 'right']);
        await userEvent.click(screen.getByLabelText(/Keep the photo/));
        screen.getByLabelText<HTMLInputElement>(/Keep the photo/).blur();
        await userEvent.keyboard('{Enter}');
        await screen.findByText('gone to /pages/3/entry');
        expect(asked.at(-1)).toMatchObject({ path: '/photos/7/typed', body: { piece: 0, keep: true } });
    });

    it('has one key for clef, key and time', async () => {
        const { sent } = look();
        await screen.findByRole('button', { name: 'Upper staff: treble clef. Change it' });
        await userEvent.keyboard('2kjt');
        await waitFor(() => expect(sent()).toHaveLength(4));
        expect(sent()).toMatchObject([
            { change: 'clef', staff: 1 },
            { change: 'key', value: 1 },
            { change: 'key', value: -1 },
            { change: 'time' },
        ]);
        await userEvent.keyboard('u');
        await waitFor(() => expect(screen.getByRole('button', { name: /Undo/ })).toBeDefined());
    });

    it('shows what was read the other time, where it was not the same, by one key', async () => {
        const twice = reading();
        const [first] = twice.pieces[0]?.bars ?? [];
        if (first === undefined) throw new Error('no bar');
        first.staves[0] = staff(['twice'], sign('R1-1', 'C4', 'half'), sign('R1-2', 'D4', 'half'));
        const { sent } = look(twice);
        await userEvent.click(await screen.findByRole('button', { name: /Right, go on/ }));
        expect(screen.getByText(/^Read twice/)).toBeDefined();
        await userEvent.keyboard('i');
        await userEvent.click(screen.getByRole('button', { name: 'as it was read the other time' }));
        await waitFor(() => expect(sent()).toHaveLength(2));
        expect(sent()[0]).toMatchObject({ change: 'other', bar: 0, staff: 0, sign: 1 });
        await userEvent.keyboard('{Enter}');
        await screen.findByText('Doubt 2 of 2');
        expect(screen.queryByRole('button', { name: 'as it was read the other time' })).toBeNull();
        await userEvent.keyboard('i');
        expect(sent().map(({ change }) => change)).toEqual(['other', 'other', 'right']);
    });

    it('has one key for a bar line before a note, and one for none at the end of the bar', async () => {
        const { sent } = look();
        await userEvent.click(await screen.findByRole('button', { name: /Right, go on/ }));
        await userEvent.keyboard('{ArrowRight}|j');
        await waitFor(() => expect(sent()).toHaveLength(2));
        expect(sent()).toMatchObject([
            { change: 'split', bar: 0, staff: 0, sign: 1 },
            { change: 'join', bar: 0 },
        ]);
    });

    it('is changed by mouse and by finger too, and Enter still goes on', async () => {
        const { sent } = look();
        await userEvent.click(await screen.findByRole('button', { name: /Right, go on/ }));
        await userEvent.click(await screen.findByRole('button', { name: 'finger 3' }));
        await userEvent.click(screen.getByRole('button', { name: 'remove this note' }));
        await waitFor(() => expect(sent()).toMatchObject([{ change: 'finger', value: 3 }, { change: 'remove' }]));
        await userEvent.click(within(screen.getByRole('list', { name: 'What was read in this bar' })).getByText('D4'));
        await userEvent.click(screen.getByRole('button', { name: 'sharp' }));
        await waitFor(() => expect(sent().at(-1)).toMatchObject({ change: 'accidental', sign: 1, value: 1 }));
    });

    it('loses no key that is pressed before the answer to the one before has come', async () => {
        let answer: (() => void) | null = null;
        const slow = () =>
            new Promise<void>((done) => {
                answer = done;
            });
        const page = reading();
        const { asked, sent } = look(
            {},
            {
                'PUT /photos/7/corrections': async (body) => {
                    await slow();
                    const { more, undo } = body as Api['CorrectionsRequest'];
                    page.revision++;
                    page.corrections += undo ? -1 : more.length;
                    for (const { change, bar, staff } of more) {
                        const at = page.pieces[0]?.bars[bar ?? 0]?.staves[staff ?? 0];
                        if (change === 'right' && at !== undefined) at.doubts = [];
                    }
                    return structuredClone(page);
                },
            },
        );
        await screen.findByText('Then 2 doubtful places.');
        await userEvent.keyboard('{Enter}');
        await screen.findByText('Doubt 1 of 2');
        // A note is put in behind the last one and made a minim; then it is right, and the next doubt is a step too low.
        await userEvent.keyboard('{ArrowRight}ah{Enter}');
        expect(screen.getByText('Bar 2, left hand', { exact: false })).toBeDefined();
        await userEvent.keyboard('{ArrowUp}uu{Enter}');
        expect(screen.getByText(/All doubtful places are settled/)).toBeDefined();
        await userEvent.keyboard('{Enter}');
        expect(asked.some(({ path }) => path === '/photos/7/typed')).toBe(false);
        while (!asked.some(({ path }) => path === '/photos/7/typed')) {
            await waitFor(() => expect(answer).not.toBeNull());
            const done = answer as (() => void) | null;
            answer = null;
            done?.();
            await new Promise((later) => setTimeout(later, 5));
        }
        expect(sent().map(({ change, bar, sign }) => `${change} ${bar} ${sign ?? ''}`)).toEqual([
            'add 0 1',
            'length 0 2',
            'right 0 ',
            'step 1 0',
            'right 1 ',
        ]);
        expect(asked.filter(({ body }) => (body as { undo?: boolean } | null)?.undo)).toHaveLength(2);
    });

    it('keeps what could not be sent, and goes on to typing once it is', async () => {
        const page = reading();
        for (const one of page.pieces[0]?.bars ?? []) for (const two of one.staves) two.doubts = [];
        let down = true;
        const { asked, sent } = look(page, {
            'PUT /photos/7/corrections': () =>
                down
                    ? Response.json({ message: 'Not now.' }, { status: 503 })
                    : { ...page, revision: 2, corrections: 1 },
        });
        await screen.findByText('Nothing else is in doubt.');
        await userEvent.keyboard('k{Enter}');
        await screen.findByRole('alert');
        await userEvent.keyboard('{Enter}');
        await waitFor(() => expect(sent()).toHaveLength(2));
        expect(asked.some(({ path }) => path === '/photos/7/typed')).toBe(false);
        down = false;
        await userEvent.click(await screen.findByRole('button', { name: 'Try again' }));
        await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
        await userEvent.keyboard('{Enter}');
        await screen.findByText('gone to /pages/3/entry');
        expect(sent().map(({ change }) => change)).toEqual(['key', 'key', 'key']);
    });

    it('opens any bar of the whole, and the bars beside it', async () => {
        const page = reading();
        for (const one of page.pieces[0]?.bars ?? []) for (const two of one.staves) two.doubts = [];
        const { sent } = look(page);
        expect(await screen.findByText('Nothing else is in doubt.')).toBeDefined();
        await userEvent.keyboard('{Enter}');
        await userEvent.click(await screen.findByRole('button', { name: 'Open bar 2' }));
        expect(await screen.findByText('Bar 2, right hand', { exact: false })).toBeDefined();
        await userEvent.keyboard('n');
        expect(await screen.findByText('Bar 2, left hand', { exact: false })).toBeDefined();
        await userEvent.keyboard('ppp');
        expect(await screen.findByText('Bar 1, right hand', { exact: false })).toBeDefined();
        await userEvent.keyboard('{Enter}');
        await screen.findByText(/All doubtful places are settled/);
        // What was not in doubt is not settled.
        expect(sent()).toEqual([]);
    });

    it('says that another window has changed it, and shows what stands', async () => {
        const theirs = { ...reading(), revision: 5 };
        look({}, { 'PUT /photos/7/corrections': () => Response.json(theirs, { status: 409 }) });
        await screen.findByText('Then 2 doubtful places.');
        await userEvent.keyboard('k');
        expect(await screen.findByText(/changed in another window/)).toBeDefined();
    });

    it('warns where most of it is in doubt', async () => {
        look({ isPoor: true });
        expect(await screen.findByText(/Handwriting cannot be read/)).toBeDefined();
    });

    it('is read again within corners that are moved by keys', async () => {
        const { asked } = look({}, { 'PUT /photos/7/corners': () => ({ ...STATE, state: 'waiting' }) });
        await userEvent.click(await screen.findByRole('button', { name: 'Corners of the page' }));
        const corner = await screen.findByRole('button', { name: 'Upper left corner' });
        fireEvent.keyDown(corner, { key: 'ArrowRight', shiftKey: true });
        await userEvent.click(screen.getByRole('button', { name: 'Read this part' }));
        await waitFor(() =>
            expect(asked.find(({ path }) => path === '/photos/7/corners')?.body).toMatchObject({
                corners: [
                    { x: 0.04, y: 0 },
                    { x: 1, y: 0 },
                    { x: 1, y: 1 },
                    { x: 0, y: 1 },
                ],
            }),
        );
    });
});

describe('a picture that is not read yet', () => {
    it('says how far it is, and can be stopped', async () => {
        const { asked } = look(
            {},
            {
                'GET /photos/7': () => ({ ...STATE, state: 'reading', step: 'lines', done: 1, of: 4 }),
            },
        );
        expect(await screen.findByText('Reading the notes…')).toBeDefined();
        expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('64');
        await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
        await screen.findByText('gone to /pages/3/photo');
        expect(asked.at(-1)).toMatchObject({ method: 'DELETE', path: '/photos/7' });
    });

    it('says why it cannot be read, and what can be done instead', async () => {
        look(
            {},
            {
                'GET /photos/7': () => ({
                    ...STATE,
                    state: 'refused',
                    isRead: false,
                    reason: 'The picture is blurred.',
                }),
            },
        );
        expect((await screen.findByRole('alert')).textContent).toContain('The picture is blurred.');
        expect(screen.getByRole('link', { name: 'Take another picture' }).getAttribute('href')).toBe('/pages/3/photo');
        expect(screen.queryByRole('button', { name: /whole picture/ })).toBeNull();
    });
});

const BOOKS = [
    {
        id: 2,
        title: 'Garden Book',
        level: '',
        pages: [
            { id: 3, number: 5, title: '', kind: 'pieces', introduces: '', pieces: [] },
            { id: 4, number: 6, title: '', kind: 'pieces', introduces: '', pieces: [] },
        ],
    },
];

function room(more: Parameters<typeof serve>[0] = {}) {
    const asked = serve({
        'GET /books': () => BOOKS,
        'GET /photos': () => [],
        'GET /pages/3/kept-photos': () => [],
        'GET /photo-figures': () => ({ pages: 0, notes: 0, right: 0, fingers: 0, known: 0, doubts: 0, needless: 0 }),
        ...more,
    });
    drawRoom('/pages/:page/photo', '/pages/3/photo', <Photo />);
    return asked;
}

const png = (name: string) => new File(['x'], name, { type: 'image/png' });

async function choose(...files: File[]) {
    await screen.findByText('Garden Book, p. 5');
    const field = document.querySelector<HTMLInputElement>('input[type=file]');
    await userEvent.upload(field as HTMLInputElement, files);
}

describe('a picture is taken in', () => {
    it('and looked through once it is sent', async () => {
        const asked = room({ 'POST /pages/3/photos': () => ({ ...STATE, state: 'waiting' }) });
        await choose(png('page.png'));
        await screen.findByText('gone to /photos/7');
        const sent = asked.find(({ path }) => path === '/pages/3/photos')?.body as { file: File };
        expect(sent.file.name).toBe('page.png');
    });

    it('several at once, for this page and the ones after it, of which the last is new', async () => {
        const given = () => ({ ...STATE, state: 'waiting' });
        const asked = room({
            'POST /pages/3/photos': given,
            'POST /pages/4/photos': given,
            'POST /books/2/pages': () => ({ ...BOOKS[0]?.pages[0], id: 9, number: 7 }),
            'POST /pages/9/photos': given,
        });
        await choose(png('a.png'), png('b.png'), png('c.png'));
        await waitFor(() => expect(asked.some(({ path }) => path === '/pages/9/photos')).toBe(true));
        expect(asked.filter(({ method }) => method === 'POST').map(({ path }) => path)).toEqual([
            '/pages/3/photos',
            '/pages/4/photos',
            '/books/2/pages',
            '/pages/9/photos',
        ]);
    });

    it('of a PDF it is asked which page', async () => {
        const asked = room({ 'POST /pages/3/photos': () => STATE });
        await choose(new File(['%PDF-'], 'book.pdf', { type: 'application/pdf' }));
        const field = await screen.findByLabelText('Which page of book.pdf?');
        await userEvent.clear(field);
        await userEvent.type(field, '12');
        await userEvent.click(screen.getByRole('button', { name: 'Read this page' }));
        await screen.findByText('gone to /photos/7');
        expect(asked.find(({ path }) => path === '/pages/3/photos')?.body).toMatchObject({ pdfPage: '12' });
    });

    it('or it is said that this browser cannot open it', async () => {
        vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('unknown')));
        room();
        await choose(new File(['x'], 'page.heic', { type: 'image/heic' }));
        expect((await screen.findByRole('alert')).textContent).toContain('page.heic cannot be opened by this browser');
    });

    it('or the server’s reason is said', async () => {
        room({
            'POST /pages/3/photos': () =>
                Response.json(
                    { message: 'no', errors: { file: ['This is no picture that can be opened.'] } },
                    { status: 422 },
                ),
        });
        await choose(png('page.png'));
        expect((await screen.findByRole('alert')).textContent).toContain('This is no picture');
    });

    it('what waits is listed with its page; what is kept and how well it was read too', async () => {
        const asked = room({
            'GET /photos': () => [STATE, { ...STATE, id: 8, state: 'refused', reason: 'Too faint.' }],
            'DELETE /photos/8': () => new Response(null, { status: 204 }),
            'GET /pages/3/kept-photos': () => [{ id: 31 }],
            'DELETE /kept-photos/31': () => new Response(null, { status: 204 }),
            'GET /photo-figures': () => ({
                pages: 3,
                notes: 200,
                right: 197,
                fingers: 9,
                known: 9,
                doubts: 4,
                needless: 1,
            }),
        });
        expect(await screen.findByText('Read so far: 3 pages, 98 of 100 notes right as they were read.')).toBeDefined();
        expect(screen.getByText('Too faint.')).toBeDefined();
        expect(screen.getByRole('img', { name: 'Photo 1 of this page' }).getAttribute('src')).toBe(
            '/api/kept-photos/31',
        );
        const [, refused] = screen.getAllByRole('button', { name: 'Delete the photo of Garden Book, p. 5' });
        await userEvent.click(refused as HTMLElement);
        await userEvent.click(screen.getByRole('button', { name: 'Delete photo 1' }));
        await waitFor(() =>
            expect(asked.filter(({ method }) => method === 'DELETE').map(({ path }) => path)).toEqual([
                '/photos/8',
                '/kept-photos/31',
            ]),
        );
    });

    it('a phone is given a code, and what it sends is opened', async () => {
        let sent = false;
        room({
            'POST /pages/3/photo-links': () => ({ ...STATE, state: 'awaited', url: 'https://desk.example/camera/abc' }),
            'GET /photos/7': () => ({ ...STATE, state: sent ? 'reading' : 'awaited' }),
        });
        await userEvent.click(await screen.findByRole('button', { name: /Take it with a phone/ }));
        expect(await screen.findByText('Or open https://desk.example/camera/abc')).toBeDefined();
        expect(screen.getByText('Code for the phone')).toBeDefined();
        sent = true;
        await screen.findByText('gone to /photos/7');
    });

    it('a code that no phone has used goes with its dialog', async () => {
        const asked = room({
            'POST /pages/3/photo-links': () => ({ ...STATE, state: 'awaited', url: 'https://desk.example/camera/abc' }),
            'GET /photos/7': () => ({ ...STATE, state: 'awaited' }),
            'DELETE /photos/7': () => new Response(null, { status: 204 }),
        });
        await userEvent.click(await screen.findByRole('button', { name: /Take it with a phone/ }));
        await screen.findByText('Code for the phone');
        await userEvent.click(screen.getByRole('button', { name: 'Close' }));
        await waitFor(() => expect(asked.at(-1)).toMatchObject({ method: 'DELETE', path: '/photos/7' }));
    });

    it('says why a camera cannot be used, and the stand-in can', async () => {
        Object.defineProperty(navigator, 'mediaDevices', {
            configurable: true,
            value: { getUserMedia: () => Promise.reject(Object.assign(new Error(), { name: 'NotAllowedError' })) },
        });
        room();
        await userEvent.click(await screen.findByRole('button', { name: /Camera of this device/ }));
        expect((await screen.findByRole('alert')).textContent).toContain('told not to use the camera');
        expect(screen.getByRole('button', { name: 'Take the picture' }).hasAttribute('disabled')).toBe(true);
        expect(screen.getByRole('button', { name: 'Use the stand-in camera' })).toBeDefined();
    });
});

describe('the page on the phone', () => {
    it('takes one picture and says that it is sent', async () => {
        const asked = serve({
            'GET /camera': () => ({ where: 'Garden Book, p. 5', sent: false }),
            'POST /camera': () => ({ where: 'Garden Book, p. 5', sent: true }),
        });
        drawRoom('/camera/:token', '/camera/abc', <Camera />);
        await screen.findByText('Garden Book, p. 5');
        await userEvent.upload(document.querySelector('input[type=file]') as HTMLInputElement, png('phone.png'));
        expect((await screen.findByRole('status')).textContent).toContain('Sent.');
        expect(asked.at(-1)).toMatchObject({ method: 'POST', path: '/camera' });
        expect(screen.queryByRole('button', { name: 'Take the picture' })).toBeNull();
    });

    it('says that a code is over', async () => {
        serve({ 'GET /camera': () => Response.json({ message: 'Please sign in.' }, { status: 401 }) });
        drawRoom('/camera/:token', '/camera/old', <Camera />);
        expect((await screen.findByRole('alert')).textContent).toContain('used or over');
    });
});
