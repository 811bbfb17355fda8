// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { aTask } from '../../../tests/tasks';
import { ApiError, type Task } from '../api';
import { AddTask } from './AddTask';
import { PlanTable } from './PlanTable';
import type { PlannedTask } from './planning';
import { TaskForm } from './TaskForm';
import { CARD } from './taking';

const DAYS = ['2031-05-05', '2031-05-06', '2031-05-07', '2031-05-08'].map((date, i) => ({
    date,
    minutes: i === 3 ? 0 : 15,
    planned: 5,
    practised: 0,
    taskIds: [],
    each: [],
}));

/** A plan on paper, with what was done to it. */
function table(tasks: Task[], change: Partial<Parameters<typeof PlanTable>[0]> = {}) {
    const did: unknown[] = [];
    const tell =
        (what: string) =>
        (...of: unknown[]) =>
            void did.push([what, ...of]);
    draw(
        <PlanTable
            week={{ days: DAYS, tasks } as never}
            today="2031-05-06"
            taken={null}
            take={tell('take')}
            edit={tell('edit')}
            drop={tell('drop')}
            makeRoom={tell('room')}
            openDay={tell('open')}
            moved={[]}
            {...change}
        />,
    );
    return did;
}

const mark = (name: RegExp) => screen.getByRole('button', { name });

describe('a row of the plan', () => {
    it('says what, on which bars, how often, how fast and how long, under its piece', () => {
        table([aTask({ starred: true, dates: ['2031-05-06'], locked: ['2031-05-06'] })], {
            moved: [{ id: 1, title: 'Right hand', to: ['2031-05-06'], from: [] }],
        });
        expect(screen.getByRole('rowheader', { name: /Right hand/ }).textContent).toContain(
            'bars 3–5, 3 times, ♩\u00a0=\u00a060, 2½ min',
        );
        expect(screen.getByRole('rowheader', { name: /Right hand/ }).textContent).toContain('★');
        expect(screen.getByText('Blue Gate')).toBeTruthy();
        expect(mark(/^Right hand, Blue Gate, Tuesday: set, kept on this day, moved here/)).toBeTruthy();
    });

    it('is set by a press where it is free, taken where it stands, and changed by its name', async () => {
        const did = table([aTask({ dates: ['2031-05-06'] })]);
        // A day that is over and one without practice take nothing.
        expect(screen.getAllByRole('button', { name: /Right hand, Blue Gate, / }).length).toBe(2);
        await userEvent.click(mark(/^Right hand, Blue Gate, Tuesday: set/));
        await userEvent.click(mark(/^Right hand, Blue Gate, Wednesday: free/));
        await userEvent.click(mark(/^Change Right hand, Blue Gate/));
        expect(did).toEqual([
            ['take', { id: 1, date: '2031-05-06' }],
            ['drop', { id: 1, date: null }, '2031-05-07'],
            ['edit', { id: 1, date: null }],
        ]);
    });

    it('says why it did not fit, and makes room', async () => {
        const did = table([aTask({ dates: [], leftWhy: 'no room before Thursday' })]);
        expect(screen.getByRole('region', { name: 'Didn’t fit' }).textContent).toContain('no room before Thursday');
        await userEvent.click(mark(/Make room/));
        expect(did).toEqual([['room', 1]]);
    });

    it('keeps what lies further on apart from what did not fit', () => {
        table([
            aTask({ id: 1, title: 'Finish', dates: [], leftWhy: 'Comes in a later week', later: true }),
            aTask({ id: 2, title: 'Theory', dates: [], leftWhy: 'no room before Thursday' }),
        ]);
        expect(screen.getByRole('region', { name: 'Later' }).textContent).toContain('Later (1)Finish');
        expect(screen.getByRole('region', { name: 'Didn’t fit' }).textContent).toContain('Didn’t fit (1)Theory');
    });

    it('shows what filling added: more minutes, and whole days', async () => {
        const days = DAYS.map((day) => ({
            ...day,
            each: day.date === '2031-05-06' ? [{ id: 1, minutes: 2.5, more: 4 }] : [{ id: 1, minutes: 0, more: 2.5 }],
        }));
        const did = table([aTask({ dates: ['2031-05-06'], filled: ['2031-05-07'], minutesFirst: 4 })], {
            week: {
                days,
                tasks: [aTask({ dates: ['2031-05-06'], filled: ['2031-05-07'], minutesFirst: 4 })],
            } as never,
        });
        expect(mark(/^Right hand, Blue Gate, Tuesday: set, 4 min more/).textContent).toBe('+4');
        const filled = mark(/^Right hand, Blue Gate, Wednesday: to fill the day, 2½ min more/);
        expect(filled.getAttribute('aria-pressed')).toBe('false');
        expect(screen.getByRole('rowheader', { name: /Right hand/ }).textContent).toContain('4, then 2½ min');
        // A press makes it planned.
        await userEvent.click(filled);
        expect(did).toEqual([['drop', { id: 1, date: null }, '2031-05-07']]);
    });

    it('has no row for own choice on a week without time for it', () => {
        table([aTask({ kind: 'choice', title: 'Play what you like', dates: [], filled: [] })]);
        expect(screen.queryByText('Play what you like')).toBeNull();
    });

    it('opens a day as the child sees it', async () => {
        const did = table([aTask({ dates: ['2031-05-06'] })]);
        await userEvent.click(mark(/^Tuesday 6 May, as the child sees it/));
        expect(did).toEqual([['open', '2031-05-06']]);
        expect(screen.getAllByRole('columnheader').at(-1)?.textContent).toContain('free');
    });

    it.each([
        ['{"id":4,"date":null}', [['drop', { id: 4, date: null }, '2031-05-06']]],
        ['', []],
        ['a text from elsewhere', []],
        ['null', []],
        ['{"id":"4","date":null}', []],
        ['[4]', []],
    ])('takes what is dropped on a day, and nothing that is no mark: %j', (text, done) => {
        const did = table([aTask({ dates: ['2031-05-06'] })]);
        const cell = mark(/^Right hand, Blue Gate, Tuesday/);
        fireEvent.dragOver(cell, { dataTransfer: { types: [CARD] } });
        fireEvent.drop(cell, { dataTransfer: { getData: () => text } });
        expect(did).toEqual(done);
    });
});

describe('a task is changed', () => {
    function form(error: unknown = null) {
        const saved: Partial<PlannedTask>[] = [];
        const sure: boolean[] = [];
        let removed = 0;
        draw(
            <TaskForm
                task={aTask()}
                error={error}
                save={(change, isSure) => {
                    saved.push(change);
                    sure.push(isSure);
                }}
                remove={() => removed++}
            />,
        );
        return { saved, sure, removed: () => removed };
    }

    it('sends only what is another now, so that the time follows', async () => {
        const { saved } = form();
        expect(screen.getByText('Here because: the next stage.')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Times'), { target: { value: '5' } });
        await userEvent.click(screen.getByLabelText(/Star it/));
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(saved).toEqual([
            { starred: true, instruction: 'Play the right hand alone, counting.', repetitions: 5, mostDays: 3 },
        ]);
    });

    it('is wanted on fewer days, and asks back before the tempo jumps', async () => {
        const { saved, sure } = form(new ApiError(422, 'x', { tempo: ['From 60 to 80 is 6 rungs at once.'] }));
        await userEvent.click(screen.getByLabelText('one'));
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(saved[0]).toMatchObject({ mostDays: 1 });
        expect(screen.getByRole('alert').textContent).toContain('6 rungs at once');
        await userEvent.click(screen.getByRole('button', { name: 'Jump all the same' }));
        expect(sure).toEqual([false, true]);
    });

    it('keeps minutes that are set over those reckoned', async () => {
        const { saved } = form();
        expect(screen.getByLabelText('Minutes').getAttribute('placeholder')).toBe('2.5 (estimated)');
        fireEvent.change(screen.getByLabelText('Minutes'), { target: { value: '4' } });
        fireEvent.change(screen.getByLabelText('Tempo'), { target: { value: '66' } });
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(saved[0]).toMatchObject({ minutes: 4, tempo: 66 });
    });

    it('is removed by its own button, and says what is wrong', async () => {
        const { removed } = form(new TypeError('offline'));
        expect(screen.getByRole('alert').textContent).toContain('There is no connection');
        await userEvent.click(screen.getByRole('button', { name: 'Remove from the plan' }));
        expect(removed()).toBe(1);
    });
});

describe('a task of the teacher’s own', () => {
    function form() {
        serve({ 'GET /students/1': () => ({ opened: [{ id: 5, pieceId: 7, title: 'Blue Gate' }] }) });
        const added: PlannedTask[] = [];
        draw(
            <AddTask studentId={1} days={['2031-05-06', '2031-05-07']} error={null} add={(task) => added.push(task)} />,
        );
        return added;
    }

    it('is put on days at once', async () => {
        const added = form();
        await userEvent.type(screen.getByLabelText(/^Title/), 'Clap the rhythm');
        await userEvent.click(screen.getByLabelText('Wednesday 7 May'));
        await userEvent.click(screen.getByLabelText('Tuesday 6 May'));
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(added[0]).toMatchObject({
            kind: 'theory',
            title: 'Clap the rhythm',
            minutes: 3,
            learningId: null,
            mostDays: 2,
            locked: ['2031-05-06', '2031-05-07'],
        });
    });

    it('on a piece has bars and a tempo, and its time is reckoned', async () => {
        const added = form();
        await userEvent.click(screen.getByRole('combobox', { name: 'On a piece' }));
        await userEvent.click(await screen.findByRole('option', { name: 'Blue Gate' }));
        fireEvent.change(screen.getByLabelText('From bar'), { target: { value: '3' } });
        fireEvent.change(screen.getByLabelText('To bar'), { target: { value: '4' } });
        await userEvent.type(screen.getByLabelText(/^Title/), 'Those two bars');
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        await waitFor(() =>
            expect(added[0]).toMatchObject({ learningId: 5, first: 2, last: 3, tempo: 60, minutes: null }),
        );
        expect(screen.queryByLabelText('Minutes')).toBeNull();
    });
});
