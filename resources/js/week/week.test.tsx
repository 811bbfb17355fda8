// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { useNextLesson } from '../shared/lessons';
import { ThisWeek } from './ThisWeek';

const row = (studentId: number, change: object = {}) => ({
    studentId,
    student: `Student ${studentId}`,
    age: 9,
    lessonOn: '2031-05-05',
    lessonTime: '15:00',
    pieces: ['Blue Gate'],
    leaf: [
        { date: '2031-05-03', planned: 10, practised: 10 },
        { date: '2031-05-04', planned: 10, practised: 2.5 },
    ],
    stuck: [],
    waiting: [],
    weekId: 8,
    held: false,
    ...change,
});

const SESSION = {
    'GET /session': () => ({ name: 'Odile', studio: { today: '2031-05-05' } }),
    'GET /mails/refused': () => [],
};

function open(rows: object[], answers: Parameters<typeof serve>[0] = {}) {
    const asked = serve({ ...SESSION, 'GET /this-week': () => rows, ...answers });
    drawRoom('/', '/', <ThisWeek />);
    return asked;
}

const Next = () => {
    const next = useNextLesson(undefined);
    return <button type="button" onClick={() => next.mutate()} aria-label="on" />;
};

describe('this week', () => {
    it('shows each student with what was practised, what is stuck and what waits', async () => {
        open([
            row(1, { stuck: ['Left hand, three lessons'], waiting: ['week not sent'] }),
            row(2, { lessonOn: '2031-05-06', leaf: [] }),
        ]);
        await screen.findByRole('heading', { name: 'This week' });
        const [first, second] = screen.getAllByRole('listitem').filter((item) => item.className.startsWith('sheet'));
        expect(first?.textContent).toContain('Today');
        expect(first?.textContent).toContain('2 days, 12½ min of 20 min');
        expect(first?.textContent).toContain('▲ Stuck: Left hand, three lessons');
        expect(first?.textContent).toContain('week not sent');
        expect(second?.textContent).toContain('Tuesday 6 May');
        expect(second?.textContent).toContain('nothing planned');
        expect(within(second as HTMLElement).getByText('All set')).toBeTruthy();
    });

    it('says which letter did not go, and where to look', async () => {
        const letters = [{ subject: 'Ida’s week from 5 May', to: 'family@home.example' }];
        open([row(1)], { 'GET /mails/refused': () => letters });
        const told = await screen.findByText(/A letter did not go/);
        expect(told.textContent).toContain('“Ida’s week from 5 May”, to family@home.example.');
        expect(within(told).getByRole('link').getAttribute('href')).toBe('/studio#outbox');
        letters.push({ subject: 'Otto’s week', to: 'other@home.example' });
        open([row(2)], { 'GET /mails/refused': () => letters });
        expect((await screen.findByText(/2 letters did not go/)).textContent).toContain('The last: “Ida’s week');
    });

    it('finds a student by the beginning of a name, where there are many', async () => {
        open([...Array(13)].map((_, i) => row(i + 1, { student: i === 4 ? 'Zoë Ann K.' : `Student ${i + 1}` })));
        await screen.findByRole('heading', { name: 'This week' });
        await userEvent.keyboard('/');
        await userEvent.keyboard('zoe k');
        const shown = () => screen.getAllByRole('listitem').filter((item) => item.className.startsWith('sheet'));
        expect(shown().map((item) => within(item).getByRole('link', { name: /^Zoë/ }).textContent)).toEqual([
            'Zoë Ann K.',
        ]);
        expect(screen.getByText('1 of 13')).toBeTruthy();
        await userEvent.keyboard('x');
        expect(screen.getByText('nobody of 13')).toBeTruthy();
        await userEvent.keyboard('{Escape}');
        expect(shown()).toHaveLength(13);
    });

    it('goes on from anywhere to the first lesson that was not held, and shows those that were', async () => {
        const asked = serve({
            ...SESSION,
            'GET /this-week': () => [row(1, { held: true }), row(2, { lessonTime: '15:30' })],
            'POST /students/2/lessons': () => ({ id: 4 }),
        });
        drawRoom(
            '/',
            '/',
            <>
                <ThisWeek />
                <Next />
            </>,
        );
        expect(await screen.findByText(/✓ held/)).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'on' }));
        expect(await screen.findByText('gone to /lessons/4')).toBeTruthy();
        expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ heldOn: '2031-05-05' });
    });

    it('goes to a plan, or proposes one where there is none', async () => {
        open([row(1, { weekId: null })], { 'POST /students/1/weeks': () => ({ id: 12 }) });
        await userEvent.click(await screen.findByRole('button', { name: 'Plan a week for Student 1' }));
        expect(await screen.findByText('gone to /weeks/12')).toBeTruthy();
    });

    it('says how to begin, and when it could not be fetched', async () => {
        open([]);
        expect(await screen.findByRole('link', { name: 'Add a student' })).toBeTruthy();
    });

    it('offers to try again', async () => {
        let broken = true;
        open([], {
            'GET /this-week': () => {
                if (!broken) return [row(1)];
                broken = false;
                return Response.json({ message: 'x' }, { status: 500 });
            },
        });
        await userEvent.click(await screen.findByRole('button', { name: /again/i }));
        expect(await screen.findByText('Student 1')).toBeTruthy();
    });
});
