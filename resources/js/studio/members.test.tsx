// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { mine } from '../shared/studios';
import { Members } from './Members';

const OWNER = {
    id: 3,
    name: 'Ines',
    email: 'i@x.example',
    role: 'owner',
    isYou: true,
    hasJoined: true,
    invitedUntil: null,
    students: 4,
    token: null,
};
const MARA = { ...OWNER, id: 5, name: 'Mara', email: 'm@x.example', role: 'teacher', isYou: false, students: 2 };
const GUEST = { ...MARA, id: 6, name: 'Guest', hasJoined: false, invitedUntil: '2031-05-19', students: 0 };
const session = (role: string) => ({ memberId: 3, role, studio: { id: 2 }, studios: [] });

function open(role: string, answers: Parameters<typeof serve>[0] = {}) {
    const asked = serve({
        'GET /session': () => session(role),
        'GET /members': () => [OWNER, MARA, GUEST],
        ...answers,
    });
    draw(<Members />);
    return asked;
}

describe('people of a studio', () => {
    it('are invited by whoever leads it, with a link that is shown once', async () => {
        const asked = open('owner', { 'POST /members': () => ({ ...GUEST, name: 'Una', token: 'secret' }) });
        await userEvent.type(await screen.findByRole('textbox', { name: /Name/ }), 'Una');
        await userEvent.type(screen.getByRole('textbox', { name: /Email/ }), 'u@x.example');
        await userEvent.click(screen.getByRole('button', { name: 'Invite' }));
        expect(await screen.findByText(/\/invited#secret$/)).toBeTruthy();
        expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
            name: 'Una',
            email: 'u@x.example',
            role: 'teacher',
        });
    });

    it('are taken out, and their students go to another', async () => {
        const asked = open('owner', { 'DELETE /members/5': () => new Response(null, { status: 204 }) });
        await userEvent.click(await screen.findByRole('button', { name: 'Take Mara out' }));
        expect(await screen.findByText('Who teaches the 2 students from now on')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Take out' }));
        await waitFor(() => expect(asked.find((one) => one.method === 'DELETE')?.body).toEqual({ studentsTo: 3 }));
    });

    it('are seen by a teacher, who changes nothing', async () => {
        open('teacher');
        expect(await screen.findByText(/invited until/)).toBeTruthy();
        expect(screen.queryByRole('button')).toBeNull();
    });
});

describe('students of one’s own', () => {
    const rows = [{ teacherId: 3 }, { teacherId: 5 }, { teacherId: null }];
    const of = (memberId: number, role: 'owner' | 'teacher') => mine(rows, { ...session(role), memberId } as never);

    it('are those of the member, and those of nobody are whoever’s leads', () => {
        expect(of(3, 'owner')).toEqual([{ teacherId: 3 }, { teacherId: null }]);
        expect(of(5, 'teacher')).toEqual([{ teacherId: 5 }]);
    });

    it('are all of them for whoever has none', () => {
        expect(of(9, 'teacher')).toBe(rows);
        expect(mine(rows, undefined)).toBe(rows);
    });
});
