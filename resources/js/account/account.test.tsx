// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { ask } from '../api';
import { SessionOver } from '../shared/SessionOver';
import { FirstSteps, showFirstSteps } from '../week/FirstSteps';
import { Account } from './Account';
import { SignIn } from './SignIn';
import { Welcome } from './Welcome';

const OPEN = { isEmpty: false, isOpen: false, countries: ['NZ', 'US'] };
const ACCOUNT = { name: 'Odile', email: 'odile@x.example', newEmail: null, codesLeft: null };
const session = { name: 'Odile', email: 'odile@x.example', studio: {} };

describe('the way in', () => {
    it('leads to the first account where nobody has one', async () => {
        serve({ 'GET /welcome': () => ({ ...OPEN, isEmpty: true, isOpen: true }) });
        drawRoom('/sign-in', '/sign-in', <SignIn />);
        expect(await screen.findByText('gone to /welcome')).toBeTruthy();
    });

    it('asks for the code of the app only when the server does', async () => {
        const asked = serve({
            'GET /welcome': () => OPEN,
            'POST /session': (body) =>
                (body as { code: string }).code === '123456'
                    ? session
                    : Response.json(
                          { message: 'x', errors: { code: ['Enter the code of your authenticator app.'] } },
                          { status: 422 },
                      ),
        });
        drawRoom('/sign-in', '/sign-in', <SignIn />);
        await userEvent.type(await screen.findByLabelText(/^Email/), 'odile@x.example');
        expect(screen.queryByLabelText(/Code of your app/)).toBeNull();
        await userEvent.type(screen.getByLabelText(/^Password/), 'a word{Enter}');
        await userEvent.type(await screen.findByLabelText(/Code of your app/), '123456{Enter}');
        expect(await screen.findByText('gone to /')).toBeTruthy();
        expect(asked.filter((one) => one.method === 'POST')).toHaveLength(2);
    });

    it('makes a studio with what the country decides, and keeps what was typed when it is refused', async () => {
        let refuse = true;
        const asked = serve({
            'GET /welcome': () => ({ ...OPEN, isOpen: true }),
            'POST /studios': () => {
                if (!refuse) return session;
                refuse = false;
                return Response.json({ message: 'x', errors: { email: ['There is one already.'] } }, { status: 422 });
            },
        });
        drawRoom('/welcome', '/welcome', <Welcome />);
        await userEvent.type(await screen.findByLabelText(/Your name/), 'Ines');
        await userEvent.type(screen.getByLabelText(/Name of your studio/), 'Hill');
        await userEvent.type(screen.getByLabelText(/^Email/), 'i@x.example');
        await userEvent.type(screen.getByLabelText(/^Password/), 'four words in a row');
        await userEvent.click(screen.getByRole('combobox', { name: /Country/ }));
        await userEvent.click(await screen.findByRole('option', { name: 'New Zealand' }));
        await userEvent.click(screen.getByRole('button', { name: 'Make the studio' }));
        expect((await screen.findByRole('alert')).textContent).toContain('There is one already.');
        expect((screen.getByLabelText(/Your name/) as HTMLInputElement).value).toBe('Ines');
        await userEvent.click(screen.getByRole('button', { name: 'Make the studio' }));
        expect(await screen.findByText('gone to /')).toBeTruthy();
        expect(asked.at(-1)?.body).toMatchObject({ studio: 'Hill', country: 'NZ' });
    });

    it('says that it is shut where studios are made by invitation', async () => {
        serve({ 'GET /welcome': () => OPEN });
        drawRoom('/welcome', '/welcome', <Welcome />);
        expect(await screen.findByText('New studios are made by invitation here.')).toBeTruthy();
    });
});

describe('the account', () => {
    it('confirms a new address by the link of the mail, once', async () => {
        let email = 'odile@x.example';
        const asked = serve({
            'GET /account': () => ({ ...ACCOUNT, email }),
            'GET /account/sessions': () => [],
            'PUT /account/email/confirmed': () => {
                email = 'new@x.example';
                return { ...ACCOUNT, email };
            },
        });
        drawRoom('/account', '/account?confirm=abc', <Account />);
        expect(await screen.findByText('From now on you sign in with new@x.example.')).toBeTruthy();
        expect(asked.filter((one) => one.method === 'PUT').map((one) => one.body)).toEqual([{ token: 'abc' }]);
    });

    it('signs other devices out, and not this one', async () => {
        const device = (token: string, isThis: boolean) => ({
            token,
            device: `Browser ${token}`,
            usedAt: '2031-05-05T10:00:00Z',
            isThis,
        });
        serve({
            'GET /account': () => ACCOUNT,
            'GET /account/sessions': () => [device('a', true), device('b', false)],
            'DELETE /account/sessions/b': () => [device('a', true)],
        });
        drawRoom('/account', '/account', <Account />);
        await userEvent.click(await screen.findByRole('button', { name: 'Sign out' }));
        await waitFor(() => expect(screen.queryByText(/Browser b/)).toBeNull());
        expect(screen.getByText(/Browser a/)).toBeTruthy();
    });
});

describe('a session that is over', () => {
    it('asks for the password on the spot, and what waits is sent then', async () => {
        serve({ 'GET /books': () => Response.json({ message: 'x' }, { status: 401 }), 'POST /session': () => session });
        drawRoom('/', '/', <SessionOver email="odile@x.example" />);
        let online = 0;
        window.addEventListener('online', () => online++);
        await ask('get', '/books').catch(() => {});
        await userEvent.type(await screen.findByLabelText(/^Password of odile@x.example/), 'a word{Enter}');
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        expect(online).toBe(1);
    });
});

describe('first steps', () => {
    beforeEach(() => localStorage.clear());
    const KEPT = 'nasturtium.first-steps';
    const row = { studentId: 3, student: 'Pia L.', weekId: null };
    const draw = (rows: object[], had: object = {}) => {
        const asked = serve({
            'GET /first-steps': () => ({ page: false, student: false, plan: false, sent: false, ...had }),
        });
        drawRoom('/', '/', <FirstSteps rows={rows as never} />);
        return asked;
    };

    it('lead on to what is not done yet', async () => {
        draw([row], { page: true, student: true });
        expect((await screen.findByText('✓ A page')).textContent).toBeTruthy();
        expect(screen.getByText('✓ A student')).toBeTruthy();
        expect(screen.getByRole('link', { name: 'To Pia L.' }).getAttribute('href')).toBe('/students/3');
    });

    it('are put away by themselves once a plan was sent, and nobody asks again', async () => {
        draw([row], { page: true, student: true, plan: true, sent: true });
        await waitFor(() => expect(localStorage.getItem(KEPT)).toBe('yes'));
        expect(screen.queryByRole('region')).toBeNull();
        expect(draw([row])).toEqual([]);
    });

    it('are put away by hand, and found again under Studio, all of them done too', async () => {
        draw([]);
        await userEvent.click(await screen.findByRole('button', { name: 'Not now' }));
        expect(localStorage.getItem(KEPT)).toBe('yes');
        showFirstSteps();
        draw([row], { page: true, student: true, plan: true, sent: true });
        expect(await screen.findByText('✓ Sent')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Close' }));
        expect(screen.queryByRole('region')).toBeNull();
    });
});
