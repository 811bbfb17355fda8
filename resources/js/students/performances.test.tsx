// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { NEW_STUDENT } from './draft';
import { Performances } from './Performances';
import { StudentForm } from './StudentForm';

const CONCERT = { id: 4, title: 'Summer concert', date: '2031-06-01', learningIds: [6, 5], pieces: ['Snail', 'Gate'] };
const PIECES = [
    { id: 5, pieceId: 7, title: 'Gate', signedOff: true, isPlayed: true },
    { id: 6, pieceId: 8, title: 'Snail', signedOff: false, isPlayed: true },
    { id: 9, pieceId: 10, title: 'Clefs', signedOff: false, isPlayed: false },
];

function open(performances = [CONCERT]) {
    const asked = serve({
        'POST /students/1/performances': () => CONCERT,
        'PUT /performances/4': () => CONCERT,
        'DELETE /performances/4': () => new Response(null, { status: 204 }),
    });
    draw(<Performances studentId={1} performances={performances} pieces={PIECES} />);
    return asked;
}

describe('performances', () => {
    it('say what they are good for, before there is one', () => {
        open([]);
        expect(screen.getByText(/^None ahead\. For a performance that is entered, the two weeks before/)).toBeTruthy();
    });

    it('are entered with a day and pieces in their order', async () => {
        const asked = open([]);
        await userEvent.click(screen.getByRole('button', { name: 'Enter a performance' }));
        await userEvent.type(await screen.findByLabelText(/^What it is/), 'Spring evening');
        fireEvent.change(screen.getByLabelText(/^Day/), { target: { value: '2031-05-24' } });
        await userEvent.click(screen.getByRole('combobox', { name: 'Pieces, in the order they are played' }));
        await userEvent.click(await screen.findByRole('option', { name: 'Snail' }));
        // What is written or listened to is not performed.
        expect(screen.queryByRole('option', { name: 'Clefs' })).toBeNull();
        await userEvent.click(await screen.findByRole('option', { name: 'Gate' }));
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await waitFor(() =>
            expect(asked[0]?.body).toEqual({ title: 'Spring evening', date: '2031-05-24', learningIds: [6, 5] }),
        );
    });

    it('are changed and removed', async () => {
        const asked = open();
        expect(screen.getByText(/: Snail, Gate$/)).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Change Summer concert' }));
        const title = await screen.findByLabelText(/^What it is/);
        expect((title as HTMLInputElement).value).toBe('Summer concert');
        await userEvent.type(title, ', late');
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await waitFor(() =>
            expect(asked[0]?.body).toMatchObject({ title: 'Summer concert, late', learningIds: [6, 5] }),
        );
        await userEvent.click(screen.getByRole('button', { name: 'Remove Summer concert' }));
        await waitFor(() => expect(asked.at(-1)).toMatchObject({ method: 'DELETE', path: '/performances/4' }));
    });
});

describe('the time a student needs', () => {
    function form(measured: number | null, pace: number | null = null) {
        const saved: (number | null | undefined)[] = [];
        serve({ 'GET /paths': () => [] });
        const start = { ...NEW_STUDENT, firstName: 'Ida', initial: 'T', pace };
        draw(
            <StudentForm
                start={start}
                save={(draft) => saved.push(draft.pace)}
                saving={false}
                error={null}
                verb="Save"
                measuredPace={measured}
            />,
        );
        return saved;
    }
    const field = () => screen.getByLabelText('Time needed, percent of the estimate');

    it('is measured while the teacher says nothing', async () => {
        const saved = form(140);
        expect(screen.getByText('Leave it empty to go by what was measured at home: 140 %.')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(saved).toEqual([null]);
    });

    it('is what the teacher sets, until it is emptied', async () => {
        const saved = form(null, 120);
        await userEvent.clear(field());
        await userEvent.type(field(), '90');
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await userEvent.clear(field());
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(saved).toEqual([90, null]);
    });
});
