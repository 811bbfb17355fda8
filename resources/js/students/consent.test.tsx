// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import type { Student } from '../api';
import { Consent } from './Consent';
import { NEW_STUDENT } from './draft';
import { Students } from './Students';

const SESSION = { name: 'Odile', studio: { id: 2, today: '2031-05-05', consentAge: 16 } };
const child = (more: Partial<Student> = {}): Student => ({
    ...NEW_STUDENT,
    teacherId: null,
    id: 4,
    name: 'Ida T.',
    firstName: 'Ida',
    age: 9,
    consentedOn: null,
    consentWords: '',
    leftOn: null,
    ...more,
});

describe('consent', () => {
    it('is noted with its day and words', async () => {
        const asked = serve({ 'GET /session': () => SESSION, 'PUT /students/4/consent': () => child() });
        draw(<Consent student={child()} />);
        expect(await screen.findByText(/Ida is under 16/)).toBeTruthy();
        fireEvent.change(screen.getByLabelText(/Agreed on/), { target: { value: '2031-05-04' } });
        await userEvent.type(screen.getByLabelText(/Who agreed/), 'Her mother');
        await userEvent.click(screen.getByRole('button', { name: 'Note the consent' }));
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
                consentedOn: '2031-05-04',
                words: 'Her mother',
            }),
        );
    });

    it('is removed by one press', async () => {
        const asked = serve({ 'GET /session': () => SESSION, 'PUT /students/4/consent': () => child() });
        draw(<Consent student={child({ consentedOn: '2031-05-04', consentWords: 'Her mother' })} />);
        await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ consentedOn: null, words: '' }),
        );
    });

    it('stands beside who has looked', async () => {
        serve({
            'GET /session': () => SESSION,
            'GET /students/4/accesses': () => [{ who: 'Odile', what: 'export', date: '2031-05-02' }],
        });
        draw(<Consent student={child({ age: 40 })} />);
        const details = screen.getByText('Who has looked at this data').closest('details');
        if (details) details.open = true;
        fireEvent(details as Element, new Event('toggle'));
        expect(await screen.findByText(/Odile exported the data/)).toBeTruthy();
    });
});

it('those who left stand apart', async () => {
    serve({ 'GET /students': () => [child(), child({ id: 5, name: 'Otto V.', leftOn: '2031-01-07' })] });
    draw(<Students />);
    const former = await screen.findByRole('region', { name: 'Former students' });
    expect(former.textContent).toContain('Otto V.');
    expect(former.textContent).not.toContain('Ida T.');
});
