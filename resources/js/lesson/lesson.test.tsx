// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dataOf } from '../../../tests/report';
import { drawRoom, serve } from '../../../tests/screen';
import { aCard, aHeardTask } from '../../../tests/tasks';
import { Lesson } from './Lesson';

const KINDS = [
    { kind: 'wrong-note', key: 'w', words: 'wrong note', remedy: 'Name them.', title: 'These two notes' },
    { kind: 'cut-short', key: 'r', words: 'cut short', remedy: 'Tap.', title: 'Count it out' },
];

const practised = {
    id: 3,
    date: '2031-05-06',
    tempo: null,
    repetitions: 3,
    feeling: 'hard',
    note: 'The third bar!',
};

const PAGE = aCard({
    tasks: [
        aHeardTask({ id: 1, practices: [practised] as never }),
        aHeardTask({ id: 2, title: 'Left hand', hand: 'L', stageId: 103 }),
    ],
});
const OTHER = aCard({
    key: 'page 6',
    learningId: 6,
    title: 'Tin Roof',
    tasks: [aHeardTask({ id: 4, title: 'Whole' })],
});
const warmUp = aHeardTask({
    id: 3,
    kind: 'warm-up',
    title: 'Warm-up',
    pieceId: null,
    piece: null,
    learningId: null,
    bars: [],
    days: 0,
});
const NO_PAGE = { learningId: null, pieceId: null, page: '', heardId: null };
const WARM_UP = aCard({ ...NO_PAGE, steps: [], key: 'task 3', kind: 'warm-up', title: 'Warm-up', tasks: [warmUp] });

function lesson(change: object = {}) {
    return {
        id: 4,
        studentId: 1,
        student: 'Theo B.',
        heldOn: '2031-05-12',
        finishedAt: null,
        nextWeekId: null,
        state: 'held',
        minutes: 30,
        privateNote: '',
        sharedNote: '',
        familyWords: [{ date: '2031-05-08', words: 'The left hand made her cross.' }],
        remedies: [],
        stuck: [],
        nextPages: [],
        slipKinds: KINDS,
        slips: [],
        attendance: 'there',
        time: '15:30',
        weekId: 8,
        cards: [PAGE, OTHER, WARM_UP],
        ...change,
    };
}

/** Five bars of four beats, so that the bars of the task are the last three. */
const PIECE = {
    'GET /pieces/7/breakdown?student=1': () => dataOf('R: @c4 w1 | 2 | 3 | 4 | 5\n'),
    'GET /lessons/4/takes': () => [],
    'GET /learnings/5/ladders': () => [
        { hand: 'R', own: false, step: null, rungs: [60, 63, 66], marks: [56, 58, 60, 63, 66] },
    ],
};

function open(answers: Parameters<typeof serve>[0] = {}, change: object = {}) {
    const asked = serve({ 'GET /lessons/4': () => lesson(change), ...PIECE, ...answers });
    drawRoom('/lessons/:lesson', '/lessons/4', <Lesson />);
    return asked;
}

const rows = () =>
    within(screen.getByRole('list', { name: 'What was set' }))
        .getAllByRole('listitem')
        .filter((row) => row.parentElement?.getAttribute('aria-label') === 'What was set');
const put = (asked: ReturnType<typeof serve>) => asked.filter((one) => one.method === 'PUT');
const marks = (asked: ReturnType<typeof serve>) => put(asked).map((one) => [one.path, one.body]);
/** A server that keeps what it is told of the cards. */
function keeping() {
    const cards = { 5: PAGE, 6: OTHER, 3: WARM_UP };
    const take = (of: keyof typeof cards) => (body: unknown) => {
        cards[of] = { ...cards[of], ...(body as object) };
        return cards[of];
    };
    const slips: object[] = [];
    return {
        'GET /lessons/4': () => lesson({ slips, cards: Object.values({ a: cards[5], b: cards[6], c: cards[3] }) }),
        'POST /lessons/4/slips': (body: unknown) => {
            slips.push({ id: 9, words: 'wrong note', place: 'bar 3', last: 2, ...(body as object) });
            return slips[0];
        },
        'PUT /lessons/4/pages/5': take(5),
        'PUT /lessons/4/pages/6': take(6),
        'PUT /lessons/4/marks/3': take(3),
    };
}

describe('a lesson', () => {
    beforeEach(() => localStorage.clear());

    it('has one card for a page: what home reported, its stages in a row, the furthest practised is heard', async () => {
        open();
        await screen.findByRole('heading', { name: 'Theo B., Monday 12 May, 15:30' });
        expect(rows()).toHaveLength(3);
        expect(rows()[0]?.textContent).toContain('practised on 1 day, “hard” at the end');
        expect(rows()[0]?.textContent).toContain('From home: “The third bar!”');
        expect(rows()[0]?.textContent).toContain('Heard: right hand');
        expect(rows()[1]?.textContent).toContain('not practised');
        expect(rows()[2]?.textContent).toContain('not scheduled');
        const stages = within(screen.getByRole('list', { name: 'Stages of Blue Gate' })).getAllByRole('button');
        expect(stages.map((one) => one.getAttribute('aria-label'))).toEqual([
            '1: look over, passed',
            '2: right hand, practised',
            '3: left hand',
        ]);
    });

    it('says what the family wrote apart from any task', async () => {
        open();
        expect(
            await screen.findByText('From the family, Thursday 8 May: “The left hand made her cross.”'),
        ).toBeTruthy();
    });

    it('is marked by single keys, each goes on, and the last one leaves nothing to be marked by mistake', async () => {
        const asked = open(keeping());
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('paxpa');
        await waitFor(() =>
            expect(marks(asked)).toEqual([
                ['/lessons/4/pages/5', { mark: 'pass', stageId: 102 }],
                ['/lessons/4/pages/6', { mark: 'again', stageId: 102 }],
                ['/lessons/4/marks/3', { mark: 'stop' }],
            ]),
        );
    });

    it('hears another stage by its number, and clears a mark', async () => {
        const asked = open(keeping());
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('3p');
        expect(await within(rows()[0] as HTMLElement).findByText('left hand')).toBeTruthy();
        await userEvent.keyboard('c');
        await waitFor(() =>
            expect(marks(asked)).toEqual([
                ['/lessons/4/pages/5', { mark: 'pass', stageId: 103 }],
                ['/lessons/4/pages/5', { mark: null, stageId: 103 }],
            ]),
        );
    });

    it('takes a mark back with the button that gave it', async () => {
        const asked = open({ 'PUT /lessons/4/pages/5': () => PAGE }, { cards: [aCard({ mark: 'again' })] });
        await userEvent.click(await screen.findByRole('button', { name: 'Blue Gate: again', pressed: true }));
        await waitFor(() => expect(put(asked)[0]?.body).toMatchObject({ mark: null }));
    });

    it('gives a slip to the card that was marked last, with its remedy at once', async () => {
        const asked = open(keeping());
        await screen.findByText(/What went wrong in bar 3/, {}, { timeout: 5000 });
        await userEvent.keyboard('p');
        expect(rows()[0]?.textContent).toContain('A slip goes here');
        await userEvent.keyboard('w');
        expect(await within(rows()[0] as HTMLElement).findByText('→ These two notes')).toBeTruthy();
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({
                taskId: 1,
                kind: 'wrong-note',
                measure: 2,
            }),
        );
        expect(rows()[1]?.getAttribute('aria-current')).toBe('step');
    });

    it('looks a new page over, and passes what was prepared together by one key', async () => {
        const fresh = aCard({ key: 'page 9', learningId: 9, isNew: true, togetherId: 101, heardId: 101, tasks: [] });
        const asked = open({ 'PUT /lessons/4/pages/9': () => fresh }, { cards: [fresh] });
        const look = within(await screen.findByRole('list', { name: 'Look over' }, { timeout: 5000 }));
        expect(look.getByText('Time')).toBeTruthy();
        await userEvent.keyboard('d');
        await waitFor(() => expect(marks(asked)).toEqual([['/lessons/4/pages/9', { mark: 'pass', stageId: 101 }]]));
    });

    it('names what was not set, and asks for no mark of it', async () => {
        open({}, { cards: [PAGE, { ...OTHER, folded: true }] });
        expect(await screen.findByText('Not set this week: Tin Roof.')).toBeTruthy();
        expect(rows()).toHaveLength(1);
    });

    it('notes who came', async () => {
        const asked = open({ 'PATCH /lessons/4': () => lesson() });
        await userEvent.click(await screen.findByRole('combobox', { name: 'Attendance' }));
        await userEvent.click(await screen.findByRole('option', { name: 'Late' }));
        await waitFor(() => expect(asked.find((one) => one.method === 'PATCH')?.body).toEqual({ attendance: 'late' }));
    });

    it('notes a slip on the bar that is pointed at, shows it at once, and takes it back', async () => {
        let kept: object[] = [];
        let keys = 0;
        vi.spyOn(crypto, 'randomUUID').mockImplementation(() => `0-0-0-0-${++keys}`);
        const asked = open({
            'DELETE /lessons/4/slips/0-0-0-0-1': () => {
                kept = [];
                return new Response(null, { status: 204 });
            },
            'GET /lessons/4': () => lesson({ slips: kept }),
            'POST /lessons/4/slips': (body) => {
                kept = [
                    { id: 9, taskId: 1, words: 'cut short', place: 'bar 4', measure: 3, last: 3, ...(body as object) },
                ];
                return kept[0];
            },
        });
        await screen.findByText(/What went wrong in bar 3/, {}, { timeout: 5000 });
        await userEvent.keyboard('{ArrowRight}r');
        expect(await screen.findByText('▲ bar 4: cut short')).toBeTruthy();
        // The task begins at bar 3, of index 2; one bar on is index 3.
        const sent = asked.find((one) => one.method === 'POST')?.body as { clientKey: string };
        expect(sent).toMatchObject({ taskId: 1, kind: 'cut-short', measure: 3, last: 3, fromBeat: null, hand: 'R' });
        await userEvent.keyboard('u');
        await waitFor(() => expect(screen.queryByText('▲ bar 4: cut short')).toBeNull());
        await waitFor(() => expect(asked.map((one) => one.path)).toContain(`/lessons/4/slips/${sent.clientKey}`));
        vi.restoreAllMocks();
    });

    it('is exact to the beat by keys, and points no farther than the page', async () => {
        const asked = open({ 'POST /lessons/4/slips': () => ({}) });
        await screen.findByText(/What went wrong in bar 3/, {}, { timeout: 5000 });
        await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}{ArrowRight}{ArrowLeft}');
        await userEvent.keyboard('{Shift>}{ArrowRight}{ArrowRight}{/Shift}w');
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({
                measure: 3,
                last: 4,
                fromBeat: 1,
                toBeat: 1,
            }),
        );
        expect(screen.getByText(/What went wrong in bar 4, beat 1 to bar 5, beat 1/)).toBeTruthy();
    });

    it('keeps the tempo that was reached, rung by rung, and a note', async () => {
        const asked = open({ 'PUT /lessons/4/marks/1': () => aHeardTask({ id: 1 }) });
        await screen.findByText('♩ = 60');
        await waitFor(() => expect(asked.some((one) => one.path.endsWith('/ladders'))).toBe(true));
        await screen.findByText(/What went wrong in bar 3/, {}, { timeout: 5000 });
        await userEvent.keyboard('..');
        expect(await screen.findByText('reached ♩ = 66')).toBeTruthy();
        await userEvent.keyboard(',');
        await userEvent.type(screen.getByLabelText('A note on Right hand'), 'sings');
        await userEvent.tab();
        await waitFor(() =>
            expect(put(asked).map((one) => one.body)).toEqual([
                { tempoReached: 63, note: '' },
                { tempoReached: 66, note: '' },
                { tempoReached: 63, note: '' },
                { tempoReached: 63, note: 'sings' },
            ]),
        );
    });

    it('goes on without a connection and sends everything in its order when there is one', async () => {
        let there = false;
        const sent: string[] = [];
        const page = (learning: number) => () => {
            if (!there) throw new TypeError('offline');
            sent.push(`page ${learning}`);
            return PAGE;
        };
        open({ 'PUT /lessons/4/pages/5': page(5), 'PUT /lessons/4/pages/6': page(6) });
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('pp');
        expect(await screen.findByText(/2 of 3 heard; 2 not saved yet/)).toBeTruthy();
        await userEvent.keyboard('{Enter}');
        expect((await screen.findByRole('alert')).textContent).toContain('There is no connection');
        there = true;
        window.dispatchEvent(new Event('online'));
        await waitFor(() => expect(sent).toEqual(['page 5', 'page 6']));
        await waitFor(() => expect(screen.queryByText(/not saved yet/)).toBeNull());
    });

    it('shows what next week has and why, what is stuck, and the next page by one key', async () => {
        const asked = open(
            { 'POST /stages/8/relief': () => [], 'POST /students/1/learnings': () => ({ id: 12 }) },
            {
                remedies: [
                    {
                        kind: 'line-turn-stall',
                        title: 'Over the line end',
                        instruction: 'Play over the line end. Look ahead.',
                        piece: 'Blue Gate',
                        place: 'bars 3–5',
                        hand: null,
                        tempo: 48,
                        minutes: 1.5,
                        why: 'stall at the line turn of line 1, twice in two weeks',
                    },
                ],
                stuck: [
                    {
                        stageId: 8,
                        piece: 'Blue Gate',
                        stage: 'left hand',
                        lessons: 3,
                        reliefs: [{ relief: 'slower', words: 'a slower tempo' }],
                    },
                ],
                nextPages: [{ pieceId: 12, pageId: 3, title: 'Snow Day', page: 'A Book, p. 5', bookId: 1 }],
            },
        );
        const next = within(await screen.findByRole('region', { name: 'Next week' }));
        expect(next.getByText('Because: stall at the line turn of line 1, twice in two weeks.')).toBeTruthy();
        await userEvent.click(next.getByRole('button', { name: 'a slower tempo' }));
        await userEvent.keyboard('o');
        await waitFor(() =>
            expect(asked.filter((one) => one.method === 'POST').map((one) => one.body)).toEqual([
                { relief: 'slower' },
                { pieceId: 12 },
            ]),
        );
    });

    it('takes reliefs back, the last one first', async () => {
        const stuck = (stageId: number, stage: string) => ({
            stageId,
            piece: 'Blue Gate',
            stage,
            lessons: 3,
            reliefs: [{ relief: 'rest', words: 'a rest from the page' }],
        });
        const taken = { 'POST /stages/8/relief': () => [], 'POST /stages/9/relief': () => [] };
        const back = { 'DELETE /stages/8/relief': () => [], 'DELETE /stages/9/relief': () => [] };
        const asked = open({ ...taken, ...back }, { stuck: [stuck(8, 'left hand'), stuck(9, 'right hand')] });
        const next = within(await screen.findByRole('region', { name: 'Next week' }));
        for (const button of next.getAllByRole('button', { name: 'a rest from the page' }))
            await userEvent.click(button);
        expect(await next.findByText('Blue Gate, right hand: a rest from the page.')).toBeTruthy();
        await userEvent.click(next.getByRole('button', { name: 'take it back' }));
        await userEvent.click(
            await next
                .findByText('Blue Gate, left hand: a rest from the page.')
                .then(() => next.getByRole('button', { name: 'take it back' })),
        );
        await waitFor(() => expect(next.queryByRole('button', { name: 'take it back' })).toBeNull());
        expect(asked.filter((one) => one.method === 'DELETE').map((one) => one.path)).toEqual([
            '/stages/9/relief',
            '/stages/8/relief',
        ]);
    });

    it('leaves a page out, and puts it back', async () => {
        const next = { pieceId: 12, pageId: 3, title: 'Snow Day', page: 'A Book, p. 5', bookId: 1 };
        const asked = open(
            { 'PUT /students/1/skipped/3': () => [], 'DELETE /students/1/skipped/3': () => [next] },
            { nextPages: [next] },
        );
        await userEvent.click(await screen.findByRole('button', { name: 'Leave out Snow Day, A Book, p. 5' }));
        await userEvent.click(await screen.findByRole('button', { name: 'put it back' }));
        await waitFor(() => expect(screen.queryByText('Snow Day is left out.')).toBeNull());
        expect(asked.filter((one) => one.path.includes('/skipped/')).map((one) => one.method)).toEqual([
            'PUT',
            'DELETE',
        ]);
    });

    it('sends what comes while the lesson is fetched anew, and fetches it once more', async () => {
        let slips: object[] = [];
        let asked = 0;
        const remedies = [
            {
                kind: 'cut-short',
                title: 'Count it out',
                instruction: 'Tap.',
                piece: 'Blue Gate',
                place: 'bar 3',
                hand: null,
                tempo: 60,
                minutes: 1,
                why: 'cut short',
            },
        ];
        const slow = new Promise(() => {});
        const sent = open({
            // The answer to the slip never comes: the step that follows lets it go.
            'GET /lessons/4': () =>
                ++asked === 2 ? slow : lesson({ slips, remedies: slips.length > 0 ? remedies : [] }),
            'POST /lessons/4/slips': (body) => {
                slips = [{ id: 9, words: 'cut short', place: 'bar 3', last: 2, ...(body as object) }];
                return slips[0];
            },
            'PUT /lessons/4/pages/5': () => PAGE,
        });
        await screen.findByText(/What went wrong in bar 3/, {}, { timeout: 5000 });
        await userEvent.keyboard('r');
        await waitFor(() => expect(asked).toBe(2));
        await userEvent.keyboard('a');
        expect(await screen.findByText('Because: cut short.')).toBeTruthy();
        expect(put(sent)).toHaveLength(1);
    });

    it('keeps its notes and its length', async () => {
        const asked = open({ 'PATCH /lessons/4': () => lesson() });
        await userEvent.type(await screen.findByLabelText('For the family'), 'Lovely!');
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PATCH')?.body).toEqual({
                sharedNote: 'Lovely!',
                privateNote: '',
            }),
        );
    });

    it('has no slip for a task without bars', async () => {
        const asked = open();
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('kw');
        expect(await screen.findByRole('region', { name: 'Warm-up' })).toBeTruthy();
        expect(asked.some((one) => one.method === 'POST')).toBe(false);
    });

    it('finishes into next week by one key', async () => {
        open({ 'PUT /lessons/4/finished': () => lesson({ nextWeekId: 12 }) });
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('{Enter}');
        expect(await screen.findByText('gone to /weeks/12')).toBeTruthy();
    });

    it('says when the server did not take a step', async () => {
        open({ 'PUT /lessons/4/pages/5': () => Response.json({ message: 'x' }, { status: 422 }) });
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('x');
        expect((await screen.findByRole('alert')).textContent).toContain('One step was not taken by the server');
    });

    it('tells what to do where no week leads to it', async () => {
        open({}, { weekId: null, cards: [] });
        expect(await screen.findByText(/Open a page for the student, then finish/)).toBeTruthy();
    });
});

describe('what was heard at home', () => {
    const slip = {
        kind: 'wrong-note',
        words: 'wrong note',
        measure: 3,
        bar: 4,
        hand: 'R',
        why: 'another key was struck',
    };
    const take = (id: number, change: object = {}) => ({
        id,
        taskId: 2,
        onDate: '2031-05-08',
        clean: false,
        faults: 2,
        stalls: 1,
        restarts: 0,
        tempo: 64,
        steady: 82,
        bars: [3, 4],
        slips: [slip],
        ...change,
    });
    const clean = { clean: true, faults: 0, stalls: 0, bars: [], slips: [] };

    it('is told by takes and by bars; what they propose is noted as a slip at its bar', async () => {
        localStorage.clear();
        const asked = open({
            ...keeping(),
            'GET /lessons/4/takes': () => [take(2), take(1, clean), take(3), take(4, { taskId: 4, bars: [7] })],
        });
        const heard = await screen.findByRole('region', { name: 'What was heard' });
        expect(within(heard).getByText('Of 3 takes went wrong: bar 3 in 2, bar 4 in 2.')).toBeTruthy();
        const words = within(heard).getAllByRole('listitem');
        expect(words[0]?.textContent).toContain('2 wrong or missed, stood still once, ♩ = 64, steady in 82 of 100');
        expect(words[1]?.textContent).toContain('clean, ♩ = 64');
        expect(within(heard).getByText('another key was struck, 2 times')).toBeTruthy();
        expect(within(heard).getByRole('button', { name: 'Note it: wrong note, bar 4' }).textContent).toBe(
            'note it (n)',
        );
        await userEvent.keyboard('n');
        await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
        expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({
            // That of the task it was heard in, whichever is shown.
            taskId: 2,
            kind: 'wrong-note',
            measure: 3,
        });
        // What is noted is not proposed any more.
        await waitFor(() => expect(within(heard).queryByRole('button', { name: /^Note it/ })).toBeNull());
    });

    it('is not there where nothing was heard', async () => {
        open();
        await screen.findByRole('heading', { name: /^Theo B\./ });
        expect(screen.queryByRole('region', { name: 'What was heard' })).toBeNull();
    });
});
