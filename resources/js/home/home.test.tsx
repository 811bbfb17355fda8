// @vitest-environment jsdom
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { aSession } from '../../../tests/room';
import { drawRoom, serve } from '../../../tests/screen';
import { breaksIn, groupsOf } from './DayList';
import { Home } from './Home';

const task = (id: number, title: string, practices: object[] = []) => ({
    id,
    kind: 'theory',
    sign: 'write',
    title,
    instruction: '',
    piece: null,
    hand: null,
    repetitions: 1,
    tempo: null,
    minutes: 6,
    bars: [],
    isPlayed: false,
    inRoom: false,
    practices,
});

const day = (date: string, taskIds: number[]) => ({
    date,
    minutes: 15,
    planned: 0,
    practised: 0,
    taskIds,
    each: taskIds.map((id) => ({ id, minutes: 4, more: id === 2 ? 2 : 0 })),
});

/** Tuesday, 6 May, at noon. */
function week(change: object = {}) {
    return {
        studentId: 1,
        student: 'Ida',
        date: '2031-05-06',
        now: '2031-05-06T12:00:00+00:00',
        timezone: 'UTC',
        lessonOn: '2031-05-12',
        message: 'Slow is fine.',
        lessonNote: 'The tune sings!',
        word: '',
        breakAfter: 10,
        longestPause: 180,
        care: ['Stop when it hurts.'],
        tasks: [task(1, 'Warm-up'), task(2, 'Echo'), task(3, 'Clefs', [{ date: '2031-05-05' }])],
        days: [day('2031-05-05', [1, 3]), day('2031-05-06', [1, 2, 3]), day('2031-05-07', [])],
        children: [{ id: 1, name: 'Ida' }],
        ...change,
    };
}

function open(answers: Parameters<typeof serve>[0] = {}) {
    const asked = serve({ 'GET /home/week': () => week(), ...answers });
    drawRoom('/home/:token', '/home/a-token', <Home />);
    return asked;
}

const titles = () =>
    screen
        .getAllByRole('list')
        .flatMap((list) => within(list).getAllByRole('button'))
        .map((button) => button.querySelector('b')?.textContent);

describe('for parents', () => {
    beforeEach(() => localStorage.clear());

    it('is the week at a glance, with what was done of each day', async () => {
        open();
        await userEvent.click(await screen.findByText('For parents'));
        const lines = within(screen.getByRole('table', { name: 'The week at a glance' })).getAllByRole('row');
        expect(lines.slice(1).map((line) => line.textContent)).toEqual([
            'Mon 5 May8 min1 of 2',
            'Tue 6 May14 min0 of 3',
            'Wed 7 Mayfree',
        ]);
        expect(lines[2]?.getAttribute('aria-current')).toBe('date');
        expect(screen.getByText('Three in a row')).toBeTruthy();
    });

    it('opens a day longer ago, to tick what was practised then', async () => {
        const asked = open({
            'GET /home/week': () => week({ now: '2031-05-09T12:00:00+00:00' }),
            'PUT /home/tasks/1/practice': () => ({}),
        });
        vi.spyOn(window, 'scrollTo').mockImplementation(() => {});
        await userEvent.click(await screen.findByText('For parents'));
        await userEvent.click(screen.getByRole('button', { name: 'Tue 6 May' }));
        expect(screen.getByText('0 of 3 done')).toBeTruthy();
        expect(screen.getByRole('radio', { name: 'Tuesday' })).toHaveProperty('checked', true);
        await userEvent.click(screen.getByRole('button', { name: /Warm-up/ }));
        await userEvent.click(screen.getByRole('button', { name: 'Done on Tuesday' }));
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({ date: '2031-05-06' }),
        );
        await userEvent.click(screen.getByText('Today'));
        expect(screen.queryByRole('radio', { name: 'Tuesday' })).toBeNull();
        vi.restoreAllMocks();
    });

    it('send the teacher a word, which waits for a connection and can be changed', async () => {
        let there = false;
        const asked = open({
            'PUT /home/word': () => {
                if (!there) throw new TypeError('offline');
                return { date: '2031-05-06', words: 'x' };
            },
            'GET /home/week': () => week({ word: there ? 'We are away on Friday.' : '' }),
        });
        await userEvent.click(await screen.findByText('For parents'));
        const field = screen.getByLabelText('To the teacher');
        const send = within(field.closest('form') as HTMLElement).getByRole('button', { name: 'Send' });
        expect(send).toHaveProperty('disabled', true);
        await userEvent.type(field, ' We are away on Friday. ');
        await userEvent.click(send);
        expect(await screen.findByText('Kept here. It goes when there is a connection.')).toBeTruthy();
        expect(screen.getByText(/One word is kept here/)).toBeTruthy();
        there = true;
        window.dispatchEvent(new Event('online'));
        expect(await screen.findByText('Sent. The teacher reads it before the lesson.')).toBeTruthy();
        expect(asked.filter((one) => one.path === '/home/word').at(-1)?.body).toEqual({
            studentId: 1,
            date: '2031-05-06',
            words: 'We are away on Friday.',
        });
        await userEvent.type(field, 'Back on Sunday.');
        expect(send).toHaveProperty('disabled', false);
        expect(screen.queryByText('Sent. The teacher reads it before the lesson.')).toBeNull();
    });

    it('says what an iPad does not do, there and only there', async () => {
        open();
        await screen.findByText('For parents');
        expect(screen.queryByText(/On an iPhone or iPad/)).toBeNull();
        cleanup();
        vi.spyOn(navigator, 'userAgent', 'get').mockReturnValue('Mozilla/5.0 (iPad; CPU OS 18_0 like Mac OS X)');
        open();
        expect(await screen.findByText(/On an iPhone or iPad/)).toBeTruthy();
        vi.restoreAllMocks();
    });
});

describe('home', () => {
    beforeEach(() => localStorage.clear());

    it('shows today in its order, with a break where it does good, and what the teacher says', async () => {
        open();
        await screen.findByRole('heading', { name: 'Hello Ida' });
        expect(titles()).toEqual(['Warm-up', 'Echo', 'Clefs']);
        expect(screen.getByText('0 of 3 done')).toBeTruthy();
        expect(screen.getByText('Slow is fine.')).toBeTruthy();
        expect(screen.getByText('The tune sings!')).toBeTruthy();
        expect(screen.getAllByRole('listitem')[2]?.textContent).toContain('a break');
        expect(screen.getByText('Stop when it hurts.')).toBeTruthy();
    });

    it('fills in yesterday late, and only looks at tomorrow', async () => {
        const asked = open({ 'PUT /home/tasks/1/practice': () => ({}) });
        await userEvent.click(await screen.findByText('Yesterday'));
        expect(screen.getByText('1 of 2 done')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: /Warm-up/ }));
        await userEvent.click(screen.getByRole('button', { name: 'Done yesterday' }));
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({
                date: '2031-05-05',
                repetitions: 1,
            }),
        );
        await userEvent.click(screen.getByText('Tomorrow'));
        expect(screen.getByText('A free day. The next lesson is Monday 12 May.')).toBeTruthy();
    });

    it('is there without a connection, from what was kept', async () => {
        localStorage.setItem('nasturtium.week.a-token.', JSON.stringify({ week: week(), at: Date.now() }));
        open({
            'GET /home/week': () => {
                throw new TypeError('offline');
            },
            'PUT /home/tasks/2/practice': () => {
                throw new TypeError('offline');
            },
        });
        await userEvent.click(await screen.findByRole('button', { name: /Echo/ }));
        await userEvent.click(screen.getByRole('button', { name: 'Done' }));
        expect(await screen.findByText(/One tick is kept here/)).toBeTruthy();
        expect(screen.getByText('1 of 3 done')).toBeTruthy();
    });

    it('has brothers and sisters one press away', async () => {
        const children = [
            { id: 1, name: 'Ida' },
            { id: 2, name: 'Mia' },
        ];
        open({
            'GET /home/week': () => week({ children }),
            'GET /home/week?student=2': () => week({ children, student: 'Mia', studentId: 2, tasks: [], days: [] }),
        });
        await userEvent.click(await screen.findByText('Mia'));
        expect(await screen.findByRole('heading', { name: 'Hello Mia' })).toBeTruthy();
        expect(screen.getByText('Nothing to practise today.')).toBeTruthy();
    });

    it('says when its link is closed', async () => {
        open({ 'GET /home/week': () => Response.json({ message: 'x' }, { status: 401 }) });
        expect(await screen.findByRole('heading', { name: 'This link is closed' })).toBeTruthy();
    });

    it('breaks after so many minutes, and not at the end', () => {
        const minutes = (...of: number[]) => of.map((one) => ({ minutes: one }));
        expect([...breaksIn(minutes(4, 7, 3, 8, 2), 10)]).toEqual([1, 3]);
        expect([...breaksIn(minutes(4, 7), 10)]).toEqual([]);
    });
});

describe('the tasks of a day', () => {
    const of = (id: number, piece: string | null) =>
        ({ id, piece, page: piece === null ? '' : 'A Book, p. 3' }) as never;

    it('stand together by piece, where the first of them stands', () => {
        const groups = groupsOf([of(1, null), of(2, 'Gate'), of(3, null), of(4, 'Gate'), of(5, 'Roof')]);
        expect(groups.map((group) => [group.piece, group.tasks.map((task) => task.id)])).toEqual([
            [null, [1]],
            ['Gate', [2, 4]],
            [null, [3]],
            ['Roof', [5]],
        ]);
    });
});

describe('the practice room at home', () => {
    const CARD = {
        id: 'find treble:E4',
        ask: 'Find this note.',
        by: 'key',
        right: ['64'],
        way: 'E is right of the two.',
        letter: 'E',
        music: null,
        sign: null,
        options: [],
        hear: [],
        taps: null,
    };
    const SESSION = aSession([CARD.id], { seconds: 0, closing: 0 });
    const deck = (taskId: number | null) => ({
        taskId,
        page: taskId === null ? null : 'Paper Boats',
        kind: 'find',
        words: 'Find it.',
        cards: [CARD],
        sessions: [SESSION],
    });
    const room = {
        studentId: 1,
        student: 'Ida',
        date: '2031-05-06',
        minutes: 2,
        best: 0,
        decks: [deck(null), deck(2)],
        lines: [],
    };
    const drill = { ...task(2, 'Find and name'), kind: 'drill', piece: 'Paper Boats', page: '', inRoom: true };
    const music = { taskId: 2, music: null, parts: [], notes: [], rungs: [], words: [], questions: [] };
    const there = {
        'GET /home/room': () => room,
        'GET /home/week': () => week({ tasks: [task(1, 'Warm-up'), drill], days: [day('2031-05-06', [1, 2])] }),
        'GET /home/tasks/2': () => music,
        'POST /home/answers': () => new Response(null, { status: 204 }),
    };

    beforeEach(() => localStorage.clear());

    it('opens from the day, and leads back to it', async () => {
        open(there);
        await userEvent.click(await screen.findByRole('button', { name: 'Practice room' }));
        expect(await screen.findByRole('button', { name: /^Find it/ })).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: '← Today' }));
        expect(await screen.findByRole('heading', { name: 'Hello Ida' })).toBeTruthy();
    });

    it('is where the drill of the day is done, which ticks itself and keeps what was answered', async () => {
        const asked = open({ ...there, 'PUT /home/tasks/2/practice': () => ({ date: '2031-05-06' }) });
        await userEvent.click(await screen.findByRole('button', { name: /Find and name/ }));
        await userEvent.click(await screen.findByRole('button', { name: 'Start' }));
        expect(await screen.findByText('Find this note.')).toBeTruthy();
        await userEvent.keyboard('e');
        await waitFor(() => expect(asked.some((one) => one.method === 'PUT')).toBe(true), { timeout: 5_000 });
        expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({ date: '2031-05-06', repetitions: 1 });
        await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
        expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({ studentId: 1, kind: 'find' });
    });

    it('is where a line at sight of the week is played, which ticks itself when it was said how it went', async () => {
        const line = {
            date: '2031-05-06',
            level: 2,
            reasons: ['4 bars'],
            music: '<score/>',
            playback: {
                counts: ['1', '2'],
                enter: '1',
                countBeats: 2,
                countGap: 0,
                beats: 2,
                sounds: [],
                clicks: [],
                bars: [],
            },
            went: null,
        };
        const sight = { ...task(2, 'A line at sight'), kind: 'sight', inRoom: true };
        const asked = open({
            ...there,
            'GET /home/room': () => ({ ...room, lines: [line] }),
            'GET /home/week': () => week({ tasks: [task(1, 'Warm-up'), sight], days: [day('2031-05-06', [1, 2])] }),
            'PUT /home/sight': () => new Response(null, { status: 204 }),
            'PUT /home/tasks/2/practice': () => ({ date: '2031-05-06' }),
        });
        await userEvent.click(await screen.findByRole('button', { name: /A line at sight/ }));
        await userEvent.click(await screen.findByRole('button', { name: 'Start' }));
        await userEvent.click(await screen.findByRole('button', { name: 'I have played it' }));
        await userEvent.click(await screen.findByRole('button', { name: 'Nearly' }));
        await waitFor(() => expect(asked.filter((one) => one.method === 'PUT')).toHaveLength(2), { timeout: 5_000 });
        expect(asked.filter((one) => one.method === 'PUT').map((one) => one.body)).toEqual([
            expect.objectContaining({ went: 'nearly' }),
            expect.objectContaining({ date: '2031-05-06', repetitions: 1 }),
        ]);
    });

    it('names the notes of a remedy first; its tick is for the bars', async () => {
        const remedy = { ...task(2, 'These two notes'), kind: 'remedy', piece: 'Paper Boats', page: '', inRoom: true };
        const asked = open({
            ...there,
            'GET /home/week': () => week({ tasks: [remedy], days: [day('2031-05-06', [2])] }),
        });
        await userEvent.click(await screen.findByRole('button', { name: /These two notes/ }));
        await userEvent.click(await screen.findByRole('button', { name: 'First: name these notes' }));
        await userEvent.keyboard('e');
        await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true), { timeout: 5_000 });
        expect(asked.some((one) => one.method === 'PUT')).toBe(false);
    });

    it('says so where it cannot be fetched', async () => {
        open({ ...there, 'GET /home/room': () => Response.json({ message: 'Not now.' }, { status: 503 }) });
        await userEvent.click(await screen.findByRole('button', { name: 'Practice room' }));
        expect((await screen.findByRole('alert')).textContent).toContain('Try again');
    });
});
