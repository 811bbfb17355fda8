// @vitest-environment jsdom
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { keyOf } from '../api';
import { Shell } from './Shell';
import { REMEMBERED } from './session';

const SESSION = {
    name: 'Odile',
    email: 'odile@x.example',
    memberId: 3,
    role: 'owner',
    isDemo: false,
    studios: [{ studioId: 2, name: 'Hill', role: 'owner', isDemo: false }],
    studio: { id: 2, name: 'Hill', today: '2031-05-05' },
};

describe('the rooms', () => {
    it('give the page the name of the screen, and a way past the doors', async () => {
        serve({ 'GET /session': () => SESSION });
        drawRoom('/', '/', <Shell />);
        const skip = await screen.findByRole('link', { name: 'Skip to the content' });
        expect(document.querySelector(skip.getAttribute('href') ?? '')?.tagName).toBe('MAIN');
        expect(document.title).toBe('Nasturtium');
        const heading = document.createElement('h1');
        heading.textContent = 'Theo B.';
        document.querySelector('main')?.append(heading);
        await waitFor(() => expect(document.title).toBe('Theo B. · Nasturtium'));
    });

    it('say why the next lesson cannot be opened, and try again', async () => {
        let tries = 0;
        serve({
            'GET /session': () => SESSION,
            'GET /this-week': () => {
                tries++;
                return tries === 1 ? Response.json({ message: 'x' }, { status: 500 }) : [];
            },
        });
        drawRoom('/books', '/books', <Shell />);
        await screen.findByRole('link', { name: 'Books' });
        await userEvent.keyboard('n');
        await userEvent.click(await screen.findByRole('button', { name: /again/i }));
        expect(await screen.findByText('gone to /')).toBeTruthy();
    });

    it('are closed to whoever was only remembered, and stay for whoever was there', async () => {
        let is = true;
        serve({ 'GET /session': () => (is ? SESSION : Response.json({ message: 'x' }, { status: 401 })) });
        const { client } = drawRoom('/students', '/students', <Shell />);
        await screen.findByRole('link', { name: 'Books' });
        expect(sessionStorage.getItem('nasturtium.session')).toContain('Odile');
        is = false;
        await act(() => client.invalidateQueries());
        expect(screen.getByRole('link', { name: 'Books' })).toBeTruthy();
        client.setQueryData(keyOf('/session'), SESSION as never, { updatedAt: REMEMBERED });
        await act(() => client.invalidateQueries());
        expect(await screen.findByText('gone to /sign-in')).toBeTruthy();
    });

    it('are closed to whoever is not signed in', async () => {
        serve({ 'GET /session': () => Response.json({ message: 'x' }, { status: 401 }) });
        drawRoom('/students', '/students?left=yes', <Shell />);
        expect(await screen.findByText('gone to /sign-in')).toBeTruthy();
    });
});
