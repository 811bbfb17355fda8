// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { aTask } from '../../../tests/tasks';
import type { Task } from '../api';
import { Plan } from './Plan';

const MONDAY = '2031-05-05';
const TUESDAY = '2031-05-06';
const WEDNESDAY = '2031-05-07';

const task = (id: number, title: string, dates: string[], change: Partial<Task> = {}) =>
    aTask({ id, title, dates, isNew: false, ...change });

/** Two tasks on three days, one that found no room; it is Tuesday. */
function week(change: object = {}) {
    const tasks = [
        task(1, 'Right hand', [MONDAY, WEDNESDAY]),
        task(2, 'Warm-up', [TUESDAY], {
            piece: null,
            pieceId: null,
            learningId: null,
            hand: null,
            bars: [],
            kind: 'warm-up',
        }),
        task(3, 'Theory', [], { leftWhy: 'no room before Thursday; 2 min short', piece: null, learningId: null }),
    ];
    const on = (date: string) => tasks.filter((one) => one.dates.includes(date)).map((one) => one.id);
    return {
        id: 8,
        studentId: 1,
        student: 'Theo B.',
        startsOn: MONDAY,
        endsOn: '2031-05-08',
        sentAt: null,
        changes: [],
        familyWords: [],
        message: '',
        lessonNote: '',
        receivers: ['Family tablet'],
        share: 100,
        plannedOn: MONDAY,
        mostNew: 2,
        tasks,
        days: [MONDAY, TUESDAY, WEDNESDAY].map((date) => ({
            date,
            minutes: 15,
            planned: 5,
            practised: 0,
            taskIds: on(date),
            each: on(date).map((id) => ({ id, minutes: 2.5, more: 0 })),
        })),
        ...change,
    };
}

const SESSION = { 'GET /session': () => ({ name: 'Odile', studio: { name: 'A Studio', today: TUESDAY } }) };

interface Sent {
    tasks: { id: number | null; dates: string[]; locked: string[]; off: string[] }[];
    share?: number;
    justSo?: boolean;
}

function open(answers: Parameters<typeof serve>[0] = {}, change: object = {}) {
    const asked = serve({ ...SESSION, 'GET /weeks/8': () => week(change), ...answers });
    drawRoom('/weeks/:week', '/weeks/8', <Plan />);
    return asked;
}

const puts = (asked: ReturnType<typeof serve>) =>
    asked.filter((one) => one.method === 'PUT').map((one) => one.body as Sent);
const mark = (name: RegExp) => screen.findByRole('button', { name });

describe('the plan of a week', () => {
    it('has a row for each task, a column for each day, and what did not fit with the reason', async () => {
        open();
        expect(await mark(/^Right hand, Blue Gate, Monday: set/)).toBeTruthy();
        expect(await mark(/^Warm-up, Tuesday: set/)).toBeTruthy();
        expect(screen.getAllByRole('rowheader').map((row) => row.textContent)[0]).toContain('Warm-up');
        const left = await screen.findByRole('region', { name: 'Didn’t fit' });
        expect(left.textContent).toContain('no room before Thursday; 2 min short');
    });

    it('shows a day as the child sees it, and makes room for what did not fit', async () => {
        const asked = open({ 'PUT /weeks/8': () => week() });
        await userEvent.click(await mark(/^Tuesday 6 May, as the child sees it/));
        expect(
            (await screen.findByRole('dialog', { name: /Tuesday 6 May, as Theo B. sees it/ })).textContent,
        ).toContain('Warm-up');
        await userEvent.keyboard('{Escape}');
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        await userEvent.keyboard('r');
        await waitFor(() => expect(puts(asked)[0]?.tasks[2]).toMatchObject({ dates: [TUESDAY], locked: [TUESDAY] }));
    });

    it('keeps a card where it is put, and says what moved around it', async () => {
        const moved = week();
        moved.tasks[0] = task(1, 'Right hand', [MONDAY, TUESDAY], { locked: [TUESDAY] });
        moved.tasks[1] = task(2, 'Warm-up', [WEDNESDAY], { piece: null, bars: [] });
        const asked = open({ 'PUT /weeks/8': () => moved });
        await userEvent.click(await mark(/^Right hand, Blue Gate, Wednesday/));
        await userEvent.keyboard('{ArrowLeft}');
        await waitFor(() => expect(puts(asked)).toHaveLength(1));
        expect(puts(asked)[0]?.tasks[0]).toMatchObject({
            dates: [MONDAY, TUESDAY],
            locked: [TUESDAY],
            off: [WEDNESDAY],
        });
        expect(
            await screen.findByText('Moved: Right hand: Wednesday to Tuesday; Warm-up: Tuesday to Wednesday.'),
        ).toBeTruthy();
    });

    it('leaves a day that is over as it was: its card is given one more day', async () => {
        const asked = open({ 'PUT /weeks/8': () => week() });
        await userEvent.click(await mark(/^Right hand, Blue Gate, Monday/));
        await userEvent.keyboard('x{ArrowRight}');
        await waitFor(() => expect(puts(asked)).toHaveLength(1));
        expect(puts(asked)[0]?.tasks[0]).toMatchObject({ dates: [MONDAY, TUESDAY, WEDNESDAY], off: [] });
    });

    it('takes a change back just as it was', async () => {
        const asked = open({ 'PUT /weeks/8': () => week() });
        await userEvent.click(await mark(/^Right hand, Blue Gate, Wednesday/));
        await userEvent.keyboard('l');
        await waitFor(() => expect(puts(asked)[0]?.tasks[0]?.locked).toEqual([WEDNESDAY]));
        await waitFor(() => expect(screen.getByRole('button', { name: 'Undo (u)' })).toHaveProperty('disabled', false));
        await userEvent.keyboard('u');
        await waitFor(() => expect(puts(asked)).toHaveLength(2));
        expect(puts(asked)[1]).toMatchObject({ justSo: true, share: 100 });
        expect(puts(asked)[1]?.tasks[0]?.locked).toEqual([]);
    });

    it('says why a change was refused, and nothing is lost', async () => {
        open({
            'PUT /weeks/8': () => Response.json({ errors: { tasks: ['Tuesday, Theory: no.'] } }, { status: 422 }),
        });
        await userEvent.click(await mark(/^Right hand, Blue Gate, Wednesday/));
        await userEvent.keyboard('*');
        expect((await screen.findByRole('alert')).textContent).toContain('Tuesday, Theory: no.');
        expect(await mark(/^Right hand, Blue Gate, Wednesday: set/)).toBeTruthy();
    });

    it('is sent by one key, with a word when there is one', async () => {
        const asked = open({ 'PUT /weeks/8/sent': () => week({ sentAt: '2031-05-06T10:00:00Z' }) });
        await mark(/^Right hand, Blue Gate, Monday/);
        await userEvent.keyboard('m');
        await userEvent.type(await screen.findByLabelText('To the family'), 'Slow is fine.');
        await userEvent.click(screen.getByRole('button', { name: 'Send the plan with it' }));
        await waitFor(() =>
            expect(asked.find((one) => one.path.endsWith('/sent'))?.body).toEqual({ message: 'Slow is fine.' }),
        );
        expect(await screen.findByText(/Sent 6 May/)).toBeTruthy();
    });

    it('says what has changed beside a word that goes after it was sent', async () => {
        open({}, { sentAt: '2031-05-06T10:00:00Z', changes: ['New: Clap it (Wed 7).'] });
        await screen.findByText(/, and changed since/);
        await userEvent.keyboard('m');
        const dialog = await screen.findByRole('dialog');
        expect(within(dialog).getByRole('listitem').textContent).toBe('New: Clap it (Wed 7).');
        expect(within(dialog).getByText('What has changed since it was sent goes with it:')).toBeTruthy();
    });

    it('goes to whom it says, once; and asks where nobody would get it', async () => {
        const asked = open({ 'PUT /weeks/8/sent': () => new Promise(() => {}) });
        expect(await screen.findByText(/It goes to Family tablet/)).toBeTruthy();
        await userEvent.keyboard('ss');
        await waitFor(() => expect(asked.filter((one) => one.path.endsWith('/sent'))).toHaveLength(1));
    });

    it('is sent again after a change, and says first what has changed', async () => {
        const changes = ['New: Hands together, Two Snails (Wed).', 'No longer: Warm-up.'];
        const sent = { sentAt: '2031-05-06T10:00:00Z', receivers: ['home@family.example'] };
        const asked = open({ 'PUT /weeks/8/sent': () => week({ ...sent, changes: [] }) }, { ...sent, changes });
        await screen.findByText(/, and changed since/);
        await userEvent.keyboard('s');
        const dialog = await screen.findByRole('dialog');
        expect(
            within(dialog)
                .getAllByRole('listitem')
                .map((line) => line.textContent),
        ).toEqual(changes);
        expect(dialog.textContent).toContain('It goes to home@family.example.');
        expect(asked.some((one) => one.path.endsWith('/sent'))).toBe(false);
        await userEvent.click(within(dialog).getByRole('button', { name: 'Send' }));
        await waitFor(() => expect(screen.queryByText(/, and changed since/)).toBeNull());
        expect(screen.getByRole('button', { name: 'Send (s)' })).toHaveProperty('disabled', true);
        await userEvent.keyboard('s');
        expect(asked.filter((one) => one.path.endsWith('/sent'))).toHaveLength(1);
    });

    it('asks before it is sent to nobody', async () => {
        const asked = open({ 'PUT /weeks/8/sent': () => week({ sentAt: '2031-05-06T10:00:00Z' }) }, { receivers: [] });
        await mark(/^Right hand, Blue Gate, Monday/);
        await userEvent.keyboard('s');
        expect(await screen.findByText(/has no home link and no family email/)).toBeTruthy();
        expect(asked.some((one) => one.path.endsWith('/sent'))).toBe(false);
        await userEvent.click(screen.getByRole('button', { name: 'Send it all the same' }));
        expect(await screen.findByText(/Sent 6 May/)).toBeTruthy();
    });

    it('says that it was planned again after missed days, and that it is a light one', async () => {
        open({}, { plannedOn: TUESDAY, share: 50, message: 'Slow is fine.' });
        expect(await screen.findByText(/What was left was planned again on Tuesday 6 May/)).toBeTruthy();
        expect(screen.getByText(/A light week: half the minutes/)).toBeTruthy();
        expect(screen.getByText('To the family: “Slow is fine.”')).toBeTruthy();
    });
});

describe('what is done with a whole week', () => {
    const choose = async (item: RegExp | string) => {
        await userEvent.click(await screen.findByRole('button', { name: 'More' }));
        await userEvent.click(await screen.findByRole('menuitem', { name: item }));
    };

    it('is made light, and given all its minutes again', async () => {
        const asked = open({ 'PUT /weeks/8': () => week({ share: 50 }) });
        await choose(/A light week/);
        await waitFor(() => expect(puts(asked)[0]).toMatchObject({ share: 50 }));
        await choose('All the minutes again');
        await waitFor(() => expect(puts(asked)[1]).toMatchObject({ share: 100 }));
    });

    it('takes last week’s tasks, and gives them back with undo', async () => {
        const asked = open({
            'POST /weeks/8/last': () =>
                week({ tasks: [...week().tasks, task(4, 'Circle every E', [TUESDAY], { piece: null, bars: [] })] }),
            'PUT /weeks/8': () => week(),
        });
        await choose(/Last week again/);
        await waitFor(() => expect(screen.getByRole('button', { name: 'Undo (u)' })).toHaveProperty('disabled', false));
        await userEvent.keyboard('u');
        await waitFor(() => expect(puts(asked)[0]?.tasks.map((one) => one.id)).toEqual([1, 2, 3]));
    });

    it('is given as a pattern, kept as one, and a pattern goes', async () => {
        const patterns = [
            {
                id: 5,
                name: 'Rainy week',
                tasks: [
                    {
                        kind: 'theory',
                        title: 'Draw ten clefs',
                        instruction: '',
                        halfMinutes: 6,
                        repetitions: 1,
                        mostDays: 1,
                    },
                ],
            },
        ];
        const asked = open({
            'GET /patterns': () => patterns,
            'POST /patterns': () =>
                Response.json({ errors: { name: ['There is a template of this name.'] } }, { status: 422 }),
            'DELETE /patterns/5': () => new Response(null, { status: 204 }),
            'POST /weeks/8/patterns/5': () => week(),
        });
        await choose('Templates…');
        expect(await screen.findByText('Draw ten clefs, 3 min')).toBeTruthy();
        const file = screen.getByRole('link', { name: 'Pass on' }).getAttribute('href') ?? '';
        expect(JSON.parse(decodeURIComponent(file.split(',')[1] ?? ''))).toMatchObject({ name: 'Rainy week' });
        await userEvent.type(screen.getByLabelText(/Save as template; not tied to a page/), 'Rainy week');
        await userEvent.click(screen.getByRole('button', { name: 'Keep' }));
        expect((await screen.findByRole('alert')).textContent).toContain('There is a template of this name.');
        await userEvent.click(screen.getByRole('button', { name: 'Delete the template Rainy week' }));
        await userEvent.click(screen.getByRole('button', { name: 'Give' }));
        await waitFor(() =>
            expect(asked.filter((one) => ['POST', 'DELETE'].includes(one.method)).map((one) => one.path)).toEqual([
                '/patterns',
                '/patterns/5',
                '/weeks/8/patterns/5',
            ]),
        );
    });

    it('goes to other students as well, and says what came of it', async () => {
        const asked = open({
            'GET /students': () => [
                { id: 1, name: 'Theo B.' },
                { id: 2, name: 'Ada R.', leftOn: null },
                { id: 3, name: 'Gone G.', leftOn: '2031-01-01' },
            ],
            'POST /weeks/8/copies': () => [{ studentId: 2, student: 'Ada R.', outcome: 'the page is not open' }],
        });
        await choose(/For other students too/);
        await userEvent.click(await screen.findByLabelText('Right hand, Blue Gate'));
        expect(screen.queryByLabelText('Theo B.')).toBeNull();
        await userEvent.click(await screen.findByLabelText('Ada R.'));
        expect(screen.queryByLabelText('Gone G.')).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: 'Give it to them' }));
        expect(await screen.findByText('the page is not open')).toBeTruthy();
        expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ taskIds: [1], studentIds: [2] });
    });
});
