// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { Invited } from './Invited';
import { Studios } from './Studios';

const NORTH = { studioId: 2, name: 'North', role: 'owner', isDemo: false };
const SESSION = {
    name: 'Ines',
    email: 'i@x.example',
    memberId: 3,
    role: 'owner',
    isDemo: false,
    studios: [NORTH],
    studio: { id: 2, name: 'North' },
};
const INVITATION = {
    studio: 'Hill',
    name: 'Mara',
    email: 'm@x.example',
    role: 'assistant',
    isKnown: false,
    signedIn: null,
};

describe('an invitation', () => {
    const open = (more: object, answers: Parameters<typeof serve>[0] = {}) => {
        const asked = serve({
            'POST /invitations/opened': () => ({ ...INVITATION, ...more }),
            'POST /invitations': () => SESSION,
            ...answers,
        });
        drawRoom('/invited', '/invited#secret', <Invited />);
        return asked;
    };

    it('is answered with a new account', async () => {
        const asked = open({});
        expect(await screen.findByText('You are invited to Hill, as an assistant.')).toBeTruthy();
        await userEvent.type(screen.getByLabelText(/^Password/), 'three green pots');
        await userEvent.click(screen.getByRole('button', { name: 'Join' }));
        expect(await screen.findByText('gone to /')).toBeTruthy();
        expect(asked.at(-1)?.body).toEqual({ token: 'secret', name: 'Mara', password: 'three green pots' });
    });

    it('is answered by whoever is signed in', async () => {
        const asked = open({ signedIn: 'i@x.example' });
        await userEvent.click(await screen.findByRole('button', { name: 'Join' }));
        await waitFor(() => expect(asked.at(-1)?.body).toEqual({ token: 'secret' }));
    });

    it('asks whoever has an account to sign in first', async () => {
        open({ isKnown: true });
        expect(await screen.findByRole('link', { name: 'Sign in, and come back here' })).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Join' })).toBeNull();
    });

    it('that is used says so', async () => {
        open(
            {},
            {
                'POST /invitations/opened': () =>
                    Response.json({ message: 'x', errors: { token: ['This invitation is used.'] } }, { status: 422 }),
            },
        );
        expect((await screen.findByRole('alert')).textContent).toContain('This invitation is used.');
    });
});

describe('studios of one person', () => {
    it('are gone to, and an invented one is made beside them', async () => {
        const asked = serve({
            'GET /welcome': () => ({ isEmpty: false, isOpen: false, countries: [] }),
            'GET /session': () => ({
                ...SESSION,
                studios: [NORTH, { ...NORTH, studioId: 4, name: 'South', role: 'teacher' }],
            }),
            'PUT /session/studio': () => SESSION,
        });
        drawRoom('/account', '/account', <Studios />);
        await userEvent.click(await screen.findByRole('button', { name: 'Go to South' }));
        expect(await screen.findByText('gone to /')).toBeTruthy();
        expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ studioId: 4 });
    });

    it('are deleted by their lead with the password', async () => {
        const asked = serve({
            'GET /session': () => SESSION,
            'DELETE /studios/2': () => new Response(null, { status: 204 }),
        });
        drawRoom('/account', '/account', <Studios />);
        await userEvent.click(await screen.findByRole('button', { name: 'Delete North' }));
        await userEvent.type(await screen.findByLabelText(/Your password/), 'secret-word');
        await userEvent.click(screen.getAllByRole('button', { name: 'Delete North' }).at(-1) as HTMLElement);
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'DELETE')?.body).toEqual({ password: 'secret-word' }),
        );
    });
});

describe('a demo studio', () => {
    const DEMO = { studioId: 5, name: 'Windowsill', role: 'owner', isDemo: true };
    const open = (demos: object[][], more: object = {}, answers: Parameters<typeof serve>[0] = {}) => {
        const asked = serve({
            'GET /session': () => ({ ...SESSION, ...more }),
            'GET /welcome': () => ({ isOpen: false, countries: [] }),
            'GET /account/demo': () => (demos.length > 1 ? demos.shift() : demos[0]),
            'PUT /session/studio': () => ({
                ...SESSION,
                studios: [NORTH, DEMO],
                studio: { id: 5, name: 'Windowsill' },
            }),
            ...answers,
        });
        drawRoom('/account', '/account', <Studios />);
        return asked;
    };
    const WORKING = { studioId: null, state: 'working', done: 2, of: 5, reason: '' };

    it('says how far it is, and whoever waits is taken there', async () => {
        const asked = open([[WORKING], [{ ...WORKING, studioId: 5, state: 'done' }]]);
        expect(await screen.findByText('The demo studio is being made: 2 of 5 students.')).toBeTruthy();
        expect(await screen.findByText('gone to /', {}, { timeout: 4000 })).toBeTruthy();
        expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ studioId: 5 });
    });

    it('is stopped', async () => {
        const asked = open([[WORKING], []], {}, { 'DELETE /account/demo': () => null });
        await userEvent.click(await screen.findByRole('button', { name: 'Stop' }));
        expect(await screen.findByRole('button', { name: 'Look around in a demo studio' })).toBeTruthy();
        expect(asked.filter((one) => one.method === 'DELETE')).toHaveLength(1);
    });

    it('that is there is entered at once', async () => {
        const done = { ...WORKING, studioId: 5, state: 'done' };
        const asked = open([[]], {}, { 'POST /account/demo': () => done });
        await userEvent.click(await screen.findByRole('button', { name: 'Look around in a demo studio' }));
        expect(await screen.findByText('gone to /')).toBeTruthy();
        expect(asked.filter((one) => one.method === 'PUT')).toHaveLength(1);
    });

    it('that could not be made says why, and one that stands among the studios is offered no more', async () => {
        open([[{ ...WORKING, state: 'refused', reason: 'It could not be made.' }]]);
        expect(await screen.findByText('It could not be made.')).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Look around in a demo studio' })).toBeTruthy();
    });

    it('that one has is not offered', async () => {
        open([[]], { studios: [NORTH, DEMO] });
        expect(await screen.findByText('to look around in')).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Look around in a demo studio' })).toBeNull();
    });
});
