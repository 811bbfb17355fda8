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
