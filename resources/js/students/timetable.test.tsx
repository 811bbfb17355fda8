// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { Timetable } from './Timetable';

const LESSONS = [
    { date: '2031-05-12', time: '16:00', minutes: 30, state: 'held', slotOn: null, lessonId: null },
    { date: '2031-05-21', time: '17:15', minutes: 30, state: 'moved', slotOn: '2031-05-19', lessonId: 8 },
    { date: '2031-05-26', time: '16:00', minutes: 30, state: 'cancelled', slotOn: '2031-05-26', lessonId: 9 },
] as const;

const HOLIDAY = {
    id: 3,
    studentId: null,
    label: 'Half term',
    from: '2031-06-02',
    to: '2031-06-08',
    lessons: false,
    practice: true,
};

function open(answers: Parameters<typeof serve>[0] = {}) {
    const asked = serve(answers);
    draw(<Timetable studentId={1} lessons={[...LESSONS]} holidays={[HOLIDAY]} />);
    return asked;
}

const sent = (asked: ReturnType<typeof serve>) => asked.find((one) => one.method === 'POST')?.body;

describe('lessons ahead', () => {
    it('say what is not as always, and take it back', async () => {
        const asked = open({
            'DELETE /lessons/8/change': () => [],
            'DELETE /holidays/3': () => new Response(null, { status: 204 }),
        });
        expect(screen.getByText('Monday 19 May is moved to Wednesday 21 May, 17:15.')).toBeTruthy();
        expect(screen.getByText('Monday 26 May is cancelled.')).toBeTruthy();
        expect(screen.getByText('Half term, 2 Jun to 8 Jun: no lessons, for everybody')).toBeTruthy();
        await userEvent.click(screen.getAllByRole('button', { name: 'take back' })[0] as HTMLElement);
        await userEvent.click(screen.getByRole('button', { name: 'Remove Half term' }));
        await waitFor(() => expect(asked.map((one) => one.path)).toEqual(['/lessons/8/change', '/holidays/3']));
    });

    it('are moved to another day and time', async () => {
        const asked = open({ 'POST /students/1/lesson-changes': () => [] });
        await userEvent.click(screen.getByRole('button', { name: 'Move a lesson' }));
        fireEvent.change(await screen.findByLabelText(/^To/), { target: { value: '2031-05-14' } });
        fireEvent.change(screen.getByLabelText('At'), { target: { value: '15:30' } });
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await waitFor(() =>
            expect(sent(asked)).toEqual({
                state: 'moved',
                slotOn: '2031-05-12',
                heldOn: '2031-05-14',
                at: '15:30',
                minutes: null,
                together: false,
            }),
        );
    });

    it('are cancelled, or there is one more', async () => {
        const asked = open({ 'POST /students/1/lesson-changes': () => [] });
        await userEvent.click(screen.getByRole('button', { name: 'Move a lesson' }));
        await userEvent.click(await screen.findByText('Cancel it'));
        expect(screen.queryByLabelText('At')).toBeNull();
        await userEvent.click(screen.getByText('One more'));
        expect(screen.queryByLabelText('Which lesson')).toBeNull();
        await userEvent.click(screen.getByText('Cancel it'));
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await waitFor(() =>
            expect(sent(asked)).toMatchObject({ state: 'cancelled', slotOn: '2031-05-12', heldOn: null }),
        );
    });

    it('rest in a holiday, for one or for everybody', async () => {
        const asked = open({ 'POST /holidays': () => HOLIDAY });
        await userEvent.click(screen.getByRole('button', { name: 'Enter a holiday' }));
        await userEvent.type(await screen.findByLabelText(/What it is/), 'At the sea');
        fireEvent.change(screen.getByLabelText(/First day/), { target: { value: '2031-07-01' } });
        await userEvent.click(screen.getByLabelText('No practice'));
        await userEvent.click(screen.getByLabelText('For every student'));
        expect(await screen.findByText('Everybody’s week follows within a minute.')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await waitFor(() =>
            expect(sent(asked)).toEqual({
                label: 'At the sea',
                from: '2031-07-01',
                to: '2031-07-01',
                lessons: false,
                practice: false,
                studentId: null,
            }),
        );
    });
});
