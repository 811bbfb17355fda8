// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { aTask } from '../../../tests/tasks';
import { ApiError } from '../api';
import { AddTask } from './AddTask';
import { DayColumn } from './DayColumn';
import type { PlannedTask } from './planning';
import { TaskCard } from './TaskCard';
import { TaskForm } from './TaskForm';
import { CARD } from './taking';

describe('a card of the week', () => {
    it('says what, on which bars, how often, how fast and how long', () => {
        draw(<TaskCard task={aTask({ starred: true })} locked isNews taken={false} take={() => {}} edit={() => {}} />);
        const card = screen.getByRole('button').textContent;
        expect(card).toContain('★ Right hand');
        expect(card).toContain('bars 3–5 ×3 at 60, 2½ min');
        expect(screen.getByRole('img', { name: 'kept on this day' })).toBeTruthy();
        expect(screen.getByRole('button').dataset.news).toBe('yes');
    });

    it('says why it has no day, and is taken by a press, changed by two', async () => {
        const done: string[] = [];
        draw(
            <TaskCard
                task={aTask({ leftWhy: 'no room before Thursday' })}
                locked={false}
                isNews={false}
                taken={false}
                take={() => done.push('taken')}
                edit={() => done.push('edited')}
            />,
        );
        expect(screen.getByText('no room before Thursday')).toBeTruthy();
        await userEvent.dblClick(screen.getByRole('button'));
        expect(done).toEqual(['taken', 'taken', 'edited']);
    });
});

describe('a day of the week', () => {
    const day = { date: '2031-05-06', minutes: 15, planned: 7.5 };

    it('tells its time, and a free one that it is free', () => {
        draw(
            <DayColumn day={day as never} today="2031-05-06" drop={() => {}}>
                <p>card</p>
            </DayColumn>,
        );
        const column = screen.getByRole('region', { name: 'Tuesday 6 May' });
        expect(column.textContent).toContain('Tuesday today');
        expect(column.textContent).toContain('7½ min of 15 min');
        draw(
            <DayColumn
                day={{ ...day, date: '2031-05-07', minutes: 0, planned: 0 } as never}
                today="2031-05-06"
                drop={() => {}}
            >
                {null}
            </DayColumn>,
        );
        expect(screen.getByRole('region', { name: 'Wednesday 7 May' }).textContent).toContain('free');
    });

    it('takes what is dropped on it', () => {
        const dropped: unknown[] = [];
        draw(
            <DayColumn day={day as never} today={undefined} drop={(card, to) => dropped.push([card, to])}>
                {null}
            </DayColumn>,
        );
        const column = screen.getByRole('region', { name: 'Tuesday 6 May' });
        fireEvent.dragOver(column, { dataTransfer: { types: [CARD] } });
        expect(column.getAttribute('data-over')).toBe('yes');
        fireEvent.drop(column, { dataTransfer: { getData: () => '{"id":4,"date":null}' } });
        expect(dropped).toEqual([[{ id: 4, date: null }, '2031-05-06']]);
        expect(column.getAttribute('data-over')).toBe('no');
    });

    it.each(['', 'a text from elsewhere', 'null', '{"id":"4","date":null}', '{"id":null,"date":null}', '[4]'])(
        'takes nothing that is no card: %j',
        (text) => {
            const dropped: unknown[] = [];
            draw(
                <DayColumn day={day as never} today={undefined} drop={(card) => dropped.push(card)}>
                    {null}
                </DayColumn>,
            );
            const column = screen.getByRole('region', { name: 'Tuesday 6 May' });
            fireEvent.dragOver(column, { dataTransfer: { types: ['text/plain', 'Files'] } });
            expect(column.getAttribute('data-over')).toBe('no');
            fireEvent.drop(column, { dataTransfer: { getData: () => text } });
            expect(dropped).toEqual([]);
        },
    );
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
        expect(screen.getByLabelText('Minutes').getAttribute('placeholder')).toBe('2.5, reckoned');
        fireEvent.change(screen.getByLabelText('Minutes'), { target: { value: '4' } });
        fireEvent.change(screen.getByLabelText('Tempo'), { target: { value: '66' } });
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(saved[0]).toMatchObject({ minutes: 4, tempo: 66 });
    });

    it('is removed by its own button, and says what is wrong', async () => {
        const { removed } = form(new TypeError('offline'));
        expect(screen.getByRole('alert').textContent).toContain('There is no connection');
        await userEvent.click(screen.getByRole('button', { name: 'Remove from the week' }));
        expect(removed()).toBe(1);
    });
});

describe('a task of the teacher’s own', () => {
    function form() {
        serve({ 'GET /students/1': () => ({ learnings: [{ id: 5, title: 'Blue Gate' }] }) });
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
