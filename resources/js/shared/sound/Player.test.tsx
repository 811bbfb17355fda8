// @vitest-environment jsdom
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { draw } from '../../../../tests/screen';
import { ApiError, type Playback } from '../../api';
import type { Schedule } from './beats';
import type { Listener } from './lights';
import { Player } from './Player';

const play = vi.hoisted(() => vi.fn());
vi.mock('./piano', () => ({ play }));

const stop = vi.fn();
beforeEach(() => {
    stop.mockReset();
    play.mockReset();
    play.mockResolvedValue(stop);
});

const TUNE: Playback = {
    counts: ['1', '2', '3', '4'],
    enter: '1',
    countBeats: 1,
    countGap: 1,
    beats: 4,
    clicks: [{ at: 0, accent: true }],
    sounds: [
        { id: 'R1-1', hand: 'R', at: 0, keys: [60], held: [4] },
        { id: 'L1-1', hand: 'L', at: 0, keys: [48], held: [4] },
    ],
    bars: [],
} as unknown as Playback;

function player(given: Partial<Parameters<typeof Player>[0]> = {}) {
    const onLit = vi.fn();
    draw(<Player playback={TUNE} tempo={60} hand={null} onLit={onLit} {...given} />);
    return onLit;
}

/** What the last press of Play gave to the sound. */
const given = (): [Schedule, Listener, boolean] => play.mock.calls.at(-1) as [Schedule, Listener, boolean];
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the beat', () => {
    it('is seen at home, where the child plays along', async () => {
        player({ large: true });
        await press('Play');
        await screen.findByRole('button', { name: 'Stop' });
        const on = () =>
            [...document.querySelectorAll('[data-on]')].map((stroke) => stroke.getAttribute('data-accent'));
        expect(on()).toEqual([]);
        act(() => given()[1].beat?.({ nth: 0, accent: true }));
        expect(on()).toEqual(['yes']);
        act(() => given()[1].beat?.({ nth: 1, accent: false }));
        expect(on()).toEqual([null]);
        act(() => given()[1].ended());
        expect(document.querySelector('[data-on]')).toBeNull();
    });
});

describe('the player', () => {
    it('plays and stops', async () => {
        player();
        await press('Play');
        const button = await screen.findByRole('button', { name: 'Stop' });
        expect(button.getAttribute('aria-pressed')).toBe('true');
        await userEvent.click(button);
        expect(stop).toHaveBeenCalledOnce();
        expect(screen.getByRole('button', { name: 'Play' })).toBeTruthy();
    });

    it('counts in, in words and in sound, unless it is told not to', async () => {
        player();
        expect(screen.getByText('Count in 1 2 3 4, then play on 1.')).toBeTruthy();
        await press('Play');
        await waitFor(() => expect(play).toHaveBeenCalled());
        expect(given()[0].start).toBe(4);
        await press('Stop');
        await userEvent.click(screen.getByRole('checkbox', { name: 'Count in' }));
        expect(screen.queryByText(/Count in 1/)).toBeNull();
        await press('Play');
        await waitFor(() => expect(play).toHaveBeenCalledTimes(2));
        expect(given()[0].start).toBe(0);
    });

    it('plays one hand, faster, round and round, as it is told', async () => {
        player();
        await userEvent.click(screen.getByRole('radio', { name: 'Left' }));
        for (let i = 0; i < 15; i++) await press('Faster');
        await userEvent.click(screen.getByRole('checkbox', { name: 'Loop' }));
        await press('Play');
        await waitFor(() => expect(play).toHaveBeenCalled());
        const [plan, , loop] = given();
        expect(plan.strikes.map((strike) => strike.id)).toEqual(['L1-1']);
        expect(plan.end - plan.start).toBe(2);
        expect(loop).toBe(true);
    });

    it('never goes slower than a metronome does', async () => {
        player({ tempo: 24 });
        for (let i = 0; i < 3; i++) await press('Slower');
        expect(screen.getByText('20')).toBeTruthy();
    });

    it('begins with the hand of its task', async () => {
        player({ hand: 'R' });
        expect(screen.getByRole('radio', { name: 'Right' })).toHaveProperty('checked', true);
    });

    it('lights the notes, and is still when the music is over', async () => {
        const onLit = player();
        await press('Play');
        await waitFor(() => expect(play).toHaveBeenCalled());
        const [, listener] = given();
        listener.lit(new Map([['R1-1', 'yes']]));
        expect(onLit).toHaveBeenCalledWith(new Map([['R1-1', 'yes']]));
        listener.ended();
        expect(await screen.findByRole('button', { name: 'Play' })).toBeTruthy();
    });

    it('on a device without sound lights the notes all the same', async () => {
        play.mockRejectedValue(new Error('no sound'));
        const onLit = player();
        await userEvent.click(screen.getByRole('checkbox', { name: 'Count in' }));
        await press('Play');
        expect(await screen.findByText(/This device gives no sound/)).toBeTruthy();
        await waitFor(() =>
            expect(onLit).toHaveBeenCalledWith(
                new Map([
                    ['R1-1', 'yes'],
                    ['L1-1', 'left'],
                ]),
            ),
        );
        await press('Stop');
        expect(onLit).toHaveBeenLastCalledWith(new Map());
    });

    it('asks for the bars that are chosen only when they are played, and says when it cannot', async () => {
        const ask = vi
            .fn()
            .mockRejectedValueOnce(new ApiError(404, 'This is not here any more.'))
            .mockResolvedValue(TUNE);
        player({ playback: ask, what: 'bars 2 to 3' });
        expect(ask).not.toHaveBeenCalled();
        await press('Play bars 2 to 3');
        expect((await screen.findByRole('alert')).textContent).toBe('This is not here any more.');
        await press('Play bars 2 to 3');
        await waitFor(() => expect(play).toHaveBeenCalledOnce());
        expect(screen.queryByRole('alert')).toBeNull();
    });

    it('falls silent when its screen is left', async () => {
        const { unmount } = draw(<Player playback={TUNE} tempo={60} hand={null} onLit={() => {}} />);
        await press('Play');
        await screen.findByRole('button', { name: 'Stop' });
        unmount();
        expect(stop).toHaveBeenCalledOnce();
    });
});
