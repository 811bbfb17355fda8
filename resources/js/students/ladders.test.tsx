// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { Ladders } from './Ladders';

const ladder = (hand: string, own: boolean, step: number | null, rungs: number[]) => ({
    hand,
    own,
    step,
    rungs,
    marks: rungs,
});
const OF_THE_PAGE = [
    ladder('', false, null, [60, 63, 66]),
    ladder('R', false, null, [60, 63, 66]),
    ladder('L', true, 10, [50, 60]),
];

describe('the tempo ladders of a piece', () => {
    it('are those of the page, or the teacher’s for one hand', async () => {
        serve({ 'GET /learnings/5/ladders': () => OF_THE_PAGE });
        draw(<Ladders learningId={5} />);
        expect((await screen.findByText(/60 · 63 · 66/)).textContent).toContain('as the page has it');
        await userEvent.click(screen.getByText('Left'));
        expect(screen.getByText(/50 · 60/).textContent).not.toContain('as the page has it');
        expect(screen.getByLabelText('By')).toHaveProperty('value', '10');
    });

    it('are set by their ends and a step, and go back to that of the page', async () => {
        const own = [ladder('', true, 5, [50, 55, 60]), ...OF_THE_PAGE.slice(1)];
        const asked = serve({
            'GET /learnings/5/ladders': () => OF_THE_PAGE,
            'PUT /learnings/5/ladders': (body) =>
                (body as { start: number | null }).start === null ? OF_THE_PAGE : own,
        });
        draw(<Ladders learningId={5} />);
        fireEvent.change(await screen.findByLabelText('From'), { target: { value: '50' } });
        fireEvent.change(screen.getByLabelText('To'), { target: { value: '60' } });
        fireEvent.change(screen.getByLabelText('By'), { target: { value: '5' } });
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(await screen.findByText(/50 · 55 · 60/)).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'As the page has it' }));
        expect(await screen.findByText(/60 · 63 · 66/)).toBeTruthy();
        expect(asked.filter((one) => one.method === 'PUT').map((one) => one.body)).toEqual([
            { hand: null, start: 50, goal: 60, step: 5 },
            { hand: null, start: null, goal: null, step: null },
        ]);
    });

    it('say what is wrong, and keep what was typed', async () => {
        serve({
            'GET /learnings/5/ladders': () => OF_THE_PAGE,
            'PUT /learnings/5/ladders': () =>
                Response.json({ errors: { goal: ['The goal is not slower than the start.'] } }, { status: 422 }),
        });
        draw(<Ladders learningId={5} />);
        fireEvent.change(await screen.findByLabelText('From'), { target: { value: '90' } });
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect((await screen.findByRole('alert')).textContent).toContain('The goal is not slower than the start.');
        await waitFor(() => expect(screen.getByLabelText('From')).toHaveProperty('value', '90'));
    });
});
