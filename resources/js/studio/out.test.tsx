// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, drawRoom, serve } from '../../../tests/screen';
import { OutAndIn } from './OutAndIn';
import { Outbox } from './Outbox';

const FEEDS = [
    { id: 4, studentId: null, usedAt: '2031-05-06T10:00:00+00:00', url: null },
    { id: 5, studentId: 9, usedAt: null, url: null },
];

function open(answers: Parameters<typeof serve>[0] = {}) {
    const asked = serve({ 'GET /calendars': () => FEEDS, 'GET /studios/2/archives': () => [], ...answers });
    draw(<OutAndIn leads studioId={2} />);
    return asked;
}

describe('what leaves the studio', () => {
    it('is a calendar with an address that is shown once and can be withdrawn', async () => {
        const asked = open({
            'POST /calendars': () => ({ id: 6, studentId: null, usedAt: null, url: 'http://x/calendar/secret.ics' }),
            'DELETE /calendars/4': () => new Response(null, { status: 204 }),
        });
        expect(await screen.findByText('A calendar, fetched 6 May')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'A calendar of all lessons' }));
        expect(await screen.findByText('http://x/calendar/secret.ics')).toBeTruthy();
        expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ studentId: null });
        await userEvent.click(screen.getByRole('button', { name: 'withdraw' }));
        await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
    });

    it('is tables and a backup', async () => {
        open();
        const to = (name: string) => screen.getByRole('link', { name }).getAttribute('href');
        expect(to('Practice as a table')).toBe('/api/practice.csv');
    });

    const archive = (change: object) => ({
        id: 3,
        kind: 'pack',
        state: 'waiting',
        done: 0,
        of: 40,
        reason: '',
        at: '2031-05-06T10:05:00+00:00',
        ...change,
    });

    it('is a backup that is packed step by step, can be stopped, and is fetched', async () => {
        let archives: object[] = [];
        const asked = open({
            'GET /studios/2/archives': () => archives,
            'POST /studios/2/archives': () => {
                archives = [archive({})];
                return archives[0];
            },
            'DELETE /archives/3': () => {
                archives = [];
                return new Response(null, { status: 204 });
            },
        });
        await userEvent.click(await screen.findByRole('button', { name: 'Back up the whole studio' }));
        expect(await screen.findByText('It begins in a moment. You can leave this page.')).toBeTruthy();
        archives = [archive({ state: 'working', done: 12 })];
        expect(await screen.findByText('The backup is being packed: 12 of 40 parts.')).toBeTruthy();
        expect(screen.getByLabelText('How much of the backup is packed').getAttribute('aria-valuenow')).toBe('30');
        await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
        await waitFor(() => expect(screen.queryByText(/being packed/)).toBeNull());
        expect(asked.filter((one) => one.method === 'DELETE')).toHaveLength(1);
        archives = [archive({ state: 'working', done: 39 })];
        await userEvent.click(screen.getByRole('button', { name: 'Back up the whole studio' }));
        archives = [archive({ state: 'done', done: 40 })];
        const link = await screen.findByRole('link', { name: /Download the backup of 6 May/ });
        expect(link.getAttribute('href')).toBe('/api/archives/3');
    });

    it('comes back from a file, or says why not', async () => {
        let archives: object[] = [];
        open({
            'GET /studios/2/archives': () => archives,
            'POST /studios/2/restore': () => {
                archives = [archive({ kind: 'restore', state: 'working', done: 2 })];
                return archives[0];
            },
        });
        await screen.findByRole('button', { name: 'Restore a backup' });
        const file = document.querySelector<HTMLInputElement>('input[type=file]');
        await userEvent.upload(file as HTMLInputElement, new File(['x'], 'b.zip', { type: 'application/zip' }));
        expect(await screen.findByText('The backup is being restored: 2 of 40 parts.')).toBeTruthy();
        archives = [archive({ kind: 'restore', state: 'refused', reason: 'This is not the backup of a studio.' })];
        expect((await screen.findByRole('alert')).textContent).toContain('This is not the backup of a studio.');
        await userEvent.upload(file as HTMLInputElement, new File(['y'], 'c.zip', { type: 'application/zip' }));
        archives = [archive({ kind: 'restore', state: 'done' })];
        expect(await screen.findByText('Everything is back.')).toBeTruthy();
    });
});

const letter = (change: object) => ({
    id: 1,
    studentId: 9,
    to: 'family@home.example',
    subject: 'Ida’s week',
    body: 'Slow is fine.',
    at: '2031-05-05T10:00:00+00:00',
    state: 'kept',
    trouble: null,
    ...change,
});

describe('the outbox', () => {
    it('has each mail with its words, and says what comes into it while it is empty', async () => {
        let mails: object[] = [];
        serve({ 'GET /mails': () => mails });
        const { unmount } = drawRoom('/studio', '/studio', <Outbox />);
        expect(await screen.findByText(/No mail yet/)).toBeTruthy();
        unmount();
        mails = [letter({})];
        drawRoom('/studio', '/studio', <Outbox />);
        expect(await screen.findByText('Ida’s week')).toBeTruthy();
        expect(screen.getByText('to family@home.example, 5 May')).toBeTruthy();
        expect(screen.getByText('Slow is fine.')).toBeTruthy();
        expect(document.activeElement).toBe(document.body);
    });

    it('says what has become of each, and is gone to from where a letter is missed', async () => {
        serve({
            'GET /mails': () => [
                letter({ id: 3, state: 'waiting', trouble: 'The mail server does not take it yet.' }),
                letter({ id: 2, state: 'sent', subject: 'A new password', body: '' }),
            ],
        });
        drawRoom('/studio', '/studio#outbox', <Outbox />);
        expect(await screen.findByText('on its way')).toBeTruthy();
        expect(screen.getByText('The mail server does not take it yet.')).toBeTruthy();
        expect(screen.getByText('sent')).toBeTruthy();
        expect(screen.getByText('The link that was in it is not kept.')).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Send again' })).toBeNull();
        expect(document.activeElement).toBe(screen.getByRole('heading', { name: 'Outbox' }));
    });

    it('sends a letter again that was refused, or leaves it', async () => {
        let mail = letter({ id: 7, state: 'refused', trouble: 'The mail server does not take it (550).' });
        const asked = serve({
            'GET /mails': () => [mail],
            'PUT /mails/7': () => mail,
        });
        const puts = () => asked.filter((one) => one.method === 'PUT').map((one) => one.body);
        drawRoom('/studio', '/studio', <Outbox />);
        expect(await screen.findByText('did not go')).toBeTruthy();
        expect(screen.getByRole('link', { name: 'Where the address is entered' }).getAttribute('href')).toBe(
            '/students/9',
        );
        await userEvent.click(screen.getByRole('button', { name: 'Leave it' }));
        expect(puts()).toEqual([{ again: false }]);
        mail = letter({ id: 7, state: 'waiting' });
        await userEvent.click(screen.getByRole('button', { name: 'Send again' }));
        expect(puts()).toEqual([{ again: false }, { again: true }]);
        expect(await screen.findByText('on its way')).toBeTruthy();
    });
});
