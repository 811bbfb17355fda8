// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { aTask } from '../../../tests/tasks';
import { Lesson } from './Lesson';

const KINDS = [
    { kind: 'wrong-note', words: 'wrong note', remedy: 'Name them.' },
    { kind: 'cut-short', words: 'cut short', remedy: 'Tap.' },
];

const practised = {
    id: 3,
    onDate: '2031-05-06',
    repetitions: 3,
    feeling: 'hard',
    note: 'The third bar!',
};

function lesson(change: object = {}) {
    return {
        id: 4,
        student: 'Theo B.',
        heldOn: '2031-05-12',
        finishedAt: null,
        nextWeekId: null,
        slipKinds: KINDS,
        slips: [],
        week: {
            id: 8,
            tasks: [
                aTask({ id: 1, title: 'Right hand', practices: [practised] as never }),
                aTask({ id: 2, title: 'Left hand', hand: 'L' }),
                aTask({ id: 3, title: 'Warm-up', pieceId: null, piece: null, bars: [], dates: [] }),
            ],
        },
        ...change,
    };
}

const PIECE = { 'GET /pieces/7': () => ({ id: 7, music: '<score-partwise/>', measures: 8 }) };

function open(answers: Parameters<typeof serve>[0] = {}, change: object = {}) {
    const asked = serve({ 'GET /lessons/4': () => lesson(change), ...PIECE, ...answers });
    drawRoom('/lessons/:lesson', '/lessons/4', <Lesson />);
    return asked;
}

const rows = () => within(screen.getByRole('list', { name: 'What was assigned' })).getAllByRole('listitem');
const put = (asked: ReturnType<typeof serve>) => asked.filter((one) => one.method === 'PUT');

describe('a lesson', () => {
    it('shows what home reported', async () => {
        open();
        await screen.findByRole('heading', { name: 'Theo B., Monday 12 May' });
        expect(rows()[0]?.textContent).toContain('practised 1 of 2 days, hard at the end');
        expect(rows()[0]?.textContent).toContain('From home: “The third bar!”');
        expect(rows()[1]?.textContent).toContain('not practised');
        expect(rows()[2]?.textContent).toContain('had no day');
    });

    it('is marked by single keys: a pass goes on to the next task, the others stay for a slip', async () => {
        const asked = open({
            'PUT /lessons/4/marks/1': () => aTask({ id: 1, mark: 'pass' }),
            'PUT /lessons/4/marks/2': () => aTask({ id: 2, mark: 'again' }),
        });
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('p');
        await userEvent.keyboard('a');
        await waitFor(() =>
            expect(put(asked).map((one) => [one.path, one.body])).toEqual([
                ['/lessons/4/marks/1', { mark: 'pass' }],
                ['/lessons/4/marks/2', { mark: 'again' }],
            ]),
        );
        expect(await screen.findByText('2 of 3 heard')).toBeTruthy();
        expect(
            within(rows()[1] as HTMLElement).getByRole('button', {
                name: 'Left hand, Blue Gate: again',
                pressed: true,
            }),
        ).toBeTruthy();
    });

    it('takes a mark back with the button that gave it', async () => {
        const asked = open(
            { 'PUT /lessons/4/marks/1': () => aTask({ id: 1, mark: null }) },
            { week: { id: 8, tasks: [aTask({ id: 1, mark: 'again' })] } },
        );
        await userEvent.click(
            await screen.findByRole('button', { name: 'Right hand, Blue Gate: again', pressed: true }),
        );
        await waitFor(() => expect(put(asked)[0]?.body).toEqual({ mark: null }));
    });

    it('notes a slip on the bar that is pointed at, and takes it back', async () => {
        const slip = { id: 9, taskId: 1, kind: 'cut-short', words: 'cut short', measure: 3, place: 'bar 4', hand: 'R' };
        const asked = open({
            'POST /lessons/4/slips': () => slip,
            'DELETE /slips/9': () => new Response(null, { status: 204 }),
        });
        await screen.findByRole('region', { name: 'Right hand, Blue Gate' });
        await userEvent.keyboard('{ArrowRight}2');
        expect(await screen.findByText('▲ bar 4: cut short')).toBeTruthy();
        // The task begins at bar 3, of index 2; one bar on is index 3.
        expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
            taskId: 1,
            kind: 'cut-short',
            measure: 3,
            hand: 'R',
        });
        await userEvent.keyboard('u');
        await waitFor(() => expect(screen.queryByText('▲ bar 4: cut short')).toBeNull());
    });

    it('points no farther than the bars of the task', async () => {
        const asked = open({
            'POST /lessons/4/slips': () => ({
                id: 9,
                taskId: 1,
                kind: 'wrong-note',
                words: 'wrong note',
                measure: 4,
                place: 'bar 5',
                hand: 'R',
            }),
        });
        await screen.findByRole('region', { name: 'Right hand, Blue Gate' });
        await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}{ArrowRight}1');
        await waitFor(() => expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({ measure: 4 }));
    });

    it('has no slip for a task without bars', async () => {
        const asked = open();
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('k1');
        expect(await screen.findByRole('region', { name: 'Warm-up' })).toBeTruthy();
        expect(asked.some((one) => one.method === 'POST')).toBe(false);
    });

    it('finishes into next week by one key', async () => {
        open({ 'PUT /lessons/4/finished': () => lesson({ nextWeekId: 12 }) });
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('{Enter}');
        expect(await screen.findByText('gone to /weeks/12')).toBeTruthy();
    });

    it('says when a mark was not kept, and what leads to a first lesson', async () => {
        open({ 'PUT /lessons/4/marks/1': () => Response.json({ message: 'x' }, { status: 500 }) });
        await screen.findByRole('heading', { name: /Theo/ });
        await userEvent.keyboard('s');
        expect((await screen.findByRole('alert')).textContent).not.toBe('');
    });

    it('tells what to do where no week leads to it', async () => {
        open({}, { week: null });
        expect(await screen.findByText(/Open a page for the student, then finish/)).toBeTruthy();
    });
});
