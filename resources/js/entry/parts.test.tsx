// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import type { Api } from '../api';
import { Conflict } from './Conflict';
import { EntryHead } from './EntryHead';
import { FileDialog } from './FileDialog';
import { Findings } from './Findings';
import { Keyboard } from './Keyboard';
import type { Preview } from './usePreview';

vi.mock('../shared/score/Score', () => ({
    Score: ({ title }: { title: string }) => <div role="img" aria-label={title} />,
}));

const check = (given: Partial<Api['CheckResource']>): Api['CheckResource'] => ({
    code: 'bar_short',
    place: '2.3',
    hand: 'R',
    text: 'Bar 2, right hand: 2 beats in 4/4, 2 missing.',
    events: ['R2-1'],
    fix: null,
    ...given,
});

const preview = (given: Partial<Preview>): Preview =>
    ({ music: '<score/>', errors: [], checks: [], spans: [], measures: 2, ...given }) as Preview;

function findings(given: Partial<Parameters<typeof Findings>[0]>) {
    const told = { onError: vi.fn(), onCheck: vi.fn(), onFix: vi.fn() };
    draw(<Findings preview={preview({})} typing={null} brought={[]} {...told} {...given} />);
    return told;
}

describe('what is found in the text', () => {
    it('is nothing to say when every bar adds up, and silence on an empty page', () => {
        findings({});
        expect(screen.getByText('Every bar adds up.')).toBeTruthy();
        findings({ preview: preview({ measures: 0 }) });
        expect(screen.getAllByText('Every bar adds up.')).toHaveLength(1);
    });

    it('is an error with its line and column, that leads there', async () => {
        const error = { line: 2, column: 7, length: 1, text: "'z' means nothing here" };
        const told = findings({ preview: preview({ errors: [error] }) });
        const button = screen.getByRole('button', { name: /Line 2, column 7/ });
        await userEvent.click(button);
        expect(told.onError).toHaveBeenCalledWith(error);
    });

    it('is a check with its place, and one press mends what is certain', async () => {
        const fix = { label: 'Fill the bar with rest', edits: [] };
        const told = findings({
            preview: preview({ checks: [check({ fix }), check({ place: '3.1', code: 'slur_open' })] }),
        });
        expect(screen.getAllByRole('button', { name: 'Fill the bar with rest' })).toHaveLength(1);
        await userEvent.click(screen.getByRole('button', { name: 'Fill the bar with rest' }));
        expect(told.onFix).toHaveBeenCalledWith(fix);
        await userEvent.click(screen.getByRole('button', { name: /^3.1/ }));
        expect(told.onCheck).toHaveBeenCalledWith(expect.objectContaining({ place: '3.1' }));
    });

    it('says nothing of the bar that is being typed, whose beats are still to come', () => {
        findings({ preview: preview({ checks: [check({})] }), typing: '2' });
        expect(screen.queryByText(/2 missing/)).toBeNull();
    });

    it('says of that bar what will not mend itself', () => {
        findings({ preview: preview({ checks: [check({ code: 'bar_long', text: 'too many' })] }), typing: '2' });
        expect(screen.getByText(/too many/)).toBeTruthy();
    });

    it('has what a file brought and the page does not keep', () => {
        findings({ brought: [check({ code: 'not_read', place: '1.1', text: 'Bar 1: glissando is not read.' })] });
        expect(screen.getByText(/glissando is not read/)).toBeTruthy();
    });
});

describe('a piece that was typed on in two windows', () => {
    const mine = { text: 'title: Gate\nR: q1', label: '' };
    const theirs = { text: 'title: Gate\nR: q5', label: '' };

    it('shows nothing where there is no conflict', () => {
        draw(<Conflict mine={mine} theirs={null} choose={() => {}} />);
        expect(screen.queryByRole('alert')).toBeNull();
    });

    it('stands side by side with the lines marked that differ, and one is chosen', async () => {
        const choose = vi.fn();
        draw(<Conflict mine={mine} theirs={theirs} choose={choose} />);
        const here = within(screen.getByRole('region', { name: 'Here' }));
        const there = within(screen.getByRole('region', { name: 'In the other window' }));
        expect(here.getByText('R: q1').className).toContain('thorn');
        expect(here.getByText('title: Gate').className).toBe('');
        await userEvent.click(there.getByRole('button', { name: 'Take the other one' }));
        expect(choose).toHaveBeenLastCalledWith(false);
        await userEvent.click(here.getByRole('button', { name: 'Keep what is here' }));
        expect(choose).toHaveBeenLastCalledWith(true);
    });
});

describe('the head of the entry', () => {
    const head = {
        title: 'Gate',
        where: 'Book, p. 3',
        label: '',
        onLabel: vi.fn(),
        onFile: vi.fn(),
        onSave: vi.fn(),
        saving: false,
        more: null,
        pageId: null,
    };

    it('says where what is typed is kept', () => {
        for (const [kept, words] of [
            ['kept', 'Kept'],
            ['going', 'Keeping…'],
            ['here', 'Kept on this device'],
            ['apart', 'Changed in two windows'],
        ] as const) {
            const { unmount } = draw(<EntryHead {...head} kept={kept} ready />);
            expect(screen.getByRole('status').textContent).toBe(words);
            unmount();
        }
    });

    it('saves only what can be read', async () => {
        draw(<EntryHead {...head} kept="kept" ready={false} />);
        const save = screen.getByRole('button', { name: /Save/ });
        expect(save).toHaveProperty('disabled', true);
    });
});

describe('the piano under the text', () => {
    it('types what the core says of the keys, each after the one before', async () => {
        const asked = serve({
            'GET /session': () => ({ studio: { words: 'us' } }),
            'POST /shorthand/keys': (body) => ({ token: `q${(body as { keys: number[] }).keys.join('-')}` }),
        });
        let text = 'R: ';
        const type = vi.fn((token: string) => {
            text += `${token} `;
        });
        draw(<Keyboard before={() => text} type={type} />);
        const piano = screen.getByRole('group', { name: 'Piano keys' });
        const middle = within(piano).getByRole('button', { name: 'C 4' });
        middle.focus();
        await userEvent.keyboard('{Enter}');
        await waitFor(() => expect(type).toHaveBeenCalledTimes(1));
        await userEvent.keyboard('{ArrowRight}{ArrowRight}{Enter}');
        await waitFor(() => expect(type).toHaveBeenCalledTimes(2));
        expect(asked.filter((one) => one.method === 'POST').map((one) => one.body)).toEqual([
            { text: 'R: ', keys: [60] },
            { text: 'R: q60 ', keys: [62] },
        ]);
    });

    it('has lengths by name, in the words of the studio', async () => {
        serve({ 'GET /session': () => ({ studio: { words: 'uk' } }) });
        const type = vi.fn();
        draw(<Keyboard before={() => ''} type={type} />);
        await userEvent.click(await screen.findByRole('button', { name: 'Crotchet' }));
        await userEvent.click(screen.getByRole('button', { name: 'Dot' }));
        expect(type.mock.calls).toEqual([['q'], ['.', true]]);
    });

    it('says so when a key cannot be typed, and types on', async () => {
        let broken = true;
        serve({
            'GET /session': () => ({ studio: { words: 'us' } }),
            'POST /shorthand/keys': () => (broken ? Response.json({}, { status: 500 }) : { token: 'q1' }),
        });
        const type = vi.fn();
        draw(<Keyboard before={() => ''} type={type} />);
        const key = within(screen.getByRole('group', { name: 'Piano keys' })).getByRole('button', { name: 'C 4' });
        key.focus();
        await userEvent.keyboard('{Enter}');
        expect(await screen.findByText(/Try again in a moment/)).toBeTruthy();
        broken = false;
        await userEvent.keyboard('{Enter}');
        await waitFor(() => expect(type).toHaveBeenCalledWith('q1'));
        await waitFor(() => expect(screen.queryByText(/Try again/)).toBeNull());
    });
});

const reading = (given: Partial<Api['ReadingResource']>): Api['ReadingResource'] => ({
    kind: 'score',
    parts: [],
    title: 'Gate',
    music: '<score/>',
    measures: 4,
    notRead: [],
    checks: [],
    shorthand: 'R: w1',
    unsaid: [],
    grid: null,
    pickup: null,
    pickups: [],
    ...given,
});

function dialog(answer: (body: unknown) => unknown, pageId: number | null = 7) {
    const told = { onText: vi.fn(), onStored: vi.fn(), onClose: vi.fn() };
    const asked = serve({ 'POST /readings': answer, 'POST /pages/7/pieces': () => ({ id: 3 }) });
    draw(<FileDialog file={new File(['x'], 'gate.musicxml')} pageId={pageId} label="B" {...told} />);
    return { ...told, asked };
}

describe('a file before it is on the page', () => {
    it('is looked at, and typed on from', async () => {
        const { onText } = dialog(() => reading({}));
        expect(await screen.findByRole('img', { name: 'Gate, 4 bars' })).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Type on from it' }));
        expect(onText).toHaveBeenCalledWith(expect.objectContaining({ shorthand: 'R: w1' }));
    });

    it('names what is not kept and what does not add up', async () => {
        dialog(() => reading({ notRead: [check({ text: 'Bar 1: glissando is not read.' })], checks: [check({})] }));
        expect(within(await screen.findByRole('region', { name: 'Not kept' })).getByText(/glissando/)).toBeTruthy();
        expect(within(screen.getByRole('region', { name: 'Does not add up' })).getByText(/2 missing/)).toBeTruthy();
    });

    it('is put on the page as it is, with its letter', async () => {
        const { onStored, asked } = dialog(() => reading({ unsaid: ['Bar 1: slurs inside one another.'] }));
        expect(await screen.findByText(/would be lost when the piece is typed on/)).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Put it on the page as it is' }));
        await waitFor(() => expect(onStored).toHaveBeenCalled());
        expect(asked.at(-1)).toMatchObject({ path: '/pages/7/pieces', body: { label: 'B' } });
    });

    it('cannot be put on a page that has its piece already', async () => {
        dialog(() => reading({}), null);
        await screen.findByRole('img');
        expect(screen.queryByRole('button', { name: /Put it on the page/ })).toBeNull();
    });

    it('with several parts asks who plays which, and a part has one player', async () => {
        const parts = [
            { id: 'P1', name: 'Upper', staves: 1, notes: 12 },
            { id: 'P2', name: 'Lower', staves: 1, notes: 8 },
        ];
        const { asked } = dialog((body) =>
            reading((body as { part?: string }).part === undefined ? { parts, music: null } : { parts }),
        );
        await userEvent.click(await screen.findByRole('radio', { name: 'The student plays Upper' }));
        expect(await screen.findByRole('img')).toBeTruthy();
        await userEvent.click(screen.getByRole('radio', { name: 'The teacher plays Upper' }));
        await userEvent.click(screen.getByRole('radio', { name: 'The student plays Lower' }));
        await waitFor(() => expect(asked.at(-1)?.body).toMatchObject({ part: 'P2', duet: 'P1' }));
    });

    it('that was played says what it was laid on, and is laid anew on another grid', async () => {
        const { asked } = dialog((body) =>
            reading({ kind: 'midi', grid: (body as { grid?: 'triplet' }).grid ?? null }),
        );
        const grid = await screen.findByRole('combobox', { name: 'Lay the notes on a grid of' });
        expect(grid).toHaveProperty('value', 'What fits, bar by bar');
        await userEvent.click(grid);
        await userEvent.click(await screen.findByRole('option', { name: 'Triplets' }));
        await waitFor(() => expect(asked.at(-1)?.body).toMatchObject({ grid: 'triplet' }));
        await waitFor(() => expect(grid).toHaveProperty('value', 'Triplets'));
    });

    it('that was played has its first bar where the teacher hears it', async () => {
        const { asked } = dialog((body) =>
            reading({
                kind: 'midi',
                pickup: (body as { pickup?: string }).pickup ?? '0',
                pickups: [
                    { length: '0', name: 'none' },
                    { length: '1/4', name: '1 beat' },
                ],
            }),
        );
        const first = await screen.findByRole('combobox', { name: 'Pickup' });
        expect(first).toHaveProperty('value', 'none');
        await userEvent.click(first);
        await userEvent.click(await screen.findByRole('option', { name: '1 beat' }));
        await waitFor(() => expect(asked.at(-1)?.body).toMatchObject({ pickup: '1/4' }));
        await waitFor(() => expect(first).toHaveProperty('value', '1 beat'));
    });

    it('that cannot be read is refused in the words of the server', async () => {
        dialog(() =>
            Response.json({ message: 'no', errors: { file: ['Line 1: this is not MusicXML.'] } }, { status: 422 }),
        );
        expect(await screen.findByText('Line 1: this is not MusicXML.')).toBeTruthy();
        expect(screen.queryByRole('button', { name: /Type on/ })).toBeNull();
    });
});
