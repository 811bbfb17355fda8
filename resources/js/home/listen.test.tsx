// @vitest-environment jsdom
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { draw } from '../../../tests/screen';
import type { Api } from '../api';
import { ApiError } from '../api';
import { Listen } from './Listen';
import { standInTakes } from './standInTakes';
import type { TakeHeard } from './useHome';
import { takeOf } from './useListening';

const sound = (at: number, key: number) => ({ id: String(at), hand: 'R' as const, at, keys: [key], held: [1] });
const SOUNDS = [sound(0, 60), sound(1, 62), sound(2, 64), sound(3, 65), sound(4, 67)];
const HEARD: TakeHeard = {
    clean: false,
    well: 'Bar 1: every note was right.',
    thing: 'In bar 2 look again.',
    measures: [1],
    notes: [{ id: 'e2', hand: 'R', status: 'wrong' }],
    tempo: 90,
};

function listen(answer: (take: Api['TakeRequest']) => Promise<TakeHeard | null>, heard: TakeHeard | null = null) {
    const told: (TakeHeard | null)[] = [];
    const sent: Api['TakeRequest'][] = [];
    draw(
        <Listen
            part={1}
            sounds={SOUNDS}
            hear={(take) => {
                sent.push(take);
                return answer(take);
            }}
            heard={heard}
            told={(one) => told.push(one)}
        />,
    );
    return { told, sent };
}

const press = (name: string) => fireEvent.pointerDown(screen.getByRole('button', { name }));

afterEach(() => void vi.useRealTimers());

describe('listening at home', () => {
    it('gathers keys of the screen, and has them judged when it is ended', async () => {
        const { told, sent } = listen(() => Promise.resolve(HEARD));
        await userEvent.click(screen.getByRole('button', { name: 'Listen to me' }));
        press('C 4');
        await waitFor(() => expect(screen.getByRole('button', { name: 'C 4' }).dataset.marked).toBe('yes'));
        await userEvent.click(screen.getByRole('button', { name: 'That was it' }));
        await waitFor(() => expect(told).toEqual([null, HEARD]));
        expect(sent[0]).toMatchObject({ part: 1, source: 'keyboard', notes: [{ t: 0, pitch: 60 }] });
    });

    it('ends by itself after five silent seconds', async () => {
        vi.useFakeTimers({ shouldAdvanceTime: true });
        const { sent } = listen(() => Promise.resolve(HEARD));
        fireEvent.click(screen.getByRole('button', { name: 'Listen to me' }));
        press('D 4');
        await act(() => vi.advanceTimersByTimeAsync(4_900));
        expect(sent).toEqual([]);
        await act(() => vi.advanceTimersByTimeAsync(300));
        expect(sent).toHaveLength(1);
    });

    it('says what went well, then one thing', () => {
        listen(() => Promise.resolve(HEARD), HEARD);
        expect(screen.getByRole('status').textContent).toBe(
            'Bar 1: every note was right.In bar 2 look again.On the music: × another key, ○ a key that was missed.',
        );
        expect(screen.getByRole('button', { name: 'Again' })).toBeTruthy();
    });

    it('says when nothing was heard, when it waits for a connection, and when it is refused', async () => {
        let answer: () => Promise<TakeHeard | null> = () => Promise.resolve(null);
        listen(() => answer());
        const once = async () => {
            press('C 4');
            await waitFor(() => expect(screen.getByRole('button', { name: 'C 4' }).dataset.marked).toBe('yes'));
            await userEvent.click(screen.getByRole('button', { name: 'That was it' }));
        };
        await userEvent.click(screen.getByRole('button', { name: 'Listen to me' }));
        await userEvent.click(screen.getByRole('button', { name: 'That was it' }));
        expect(screen.getByRole('status').textContent).toContain('Nothing was heard.');
        await userEvent.click(screen.getByRole('button', { name: 'Listen to me' }));
        await once();
        expect((await screen.findByRole('status')).textContent).toContain('It is kept here');
        answer = () => Promise.reject(new ApiError(422, 'These bars are gone.'));
        await userEvent.click(screen.getByRole('button', { name: 'Again' }));
        await once();
        expect((await screen.findByRole('alert')).textContent).toContain('These bars are gone.');
    });

    it('hears the stand-in: as it is written, or with two slips', async () => {
        const { sent } = listen(() => Promise.resolve(HEARD));
        await userEvent.click(screen.getByRole('button', { name: 'By which keyboard?' }));
        await userEvent.click(screen.getByRole('combobox', { name: 'Keyboard' }));
        await userEvent.click(await screen.findByRole('option', { name: 'Stand-in keyboard' }));
        await userEvent.click(screen.getByRole('button', { name: 'Listen to me' }));
        await userEvent.click(screen.getByRole('button', { name: 'With two slips' }));
        await new Promise((done) => setTimeout(done, 1_700));
        await userEvent.click(screen.getByRole('button', { name: 'That was it' }));
        await waitFor(() => expect(sent).toHaveLength(1));
        expect(sent[0]?.notes.map((note) => note.pitch)).toEqual([60, 63, 64, 67]);
        expect(sent[0]?.notes.every((note) => note.off > note.t)).toBe(true);
    });
});

describe('a take', () => {
    it('counts from its first key; a key that nobody let go lasts until the next', () => {
        const take = takeOf(
            [
                { pitch: 60, at: 1_000, off: 1_400 },
                { pitch: 62, at: 1_500, off: null },
                { pitch: 64, at: 2_100, off: null },
            ],
            0,
            Date.UTC(2031, 4, 6),
        );
        expect(take.at).toBe('2031-05-06T00:00:01.000Z');
        expect(take.notes).toEqual([
            { t: 0, off: 0.4, pitch: 60 },
            { t: 0.5, off: 1.1, pitch: 62 },
            { t: 1.1, off: 1.7, pitch: 64 },
        ]);
    });

    it('of the stand-in has what is written, and its slips', () => {
        const [written, slips] = standInTakes(SOUNDS);
        expect(written?.strikes.map((one) => one.keys[0])).toEqual([60, 62, 64, 65, 67]);
        expect(slips?.strikes.map((one) => [one.at, one.keys[0]])).toEqual([
            [0, 60],
            [300, 63],
            [600, 64],
            [1_200, 67],
        ]);
    });
});
