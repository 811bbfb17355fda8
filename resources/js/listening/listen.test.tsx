// @vitest-environment jsdom
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { draw } from '../../../tests/screen';
import { type Api, ApiError, type Playback } from '../api';
import { Listen } from './Listen';
import type { Now } from './microphone';
import { scheduleOf } from './playBack';
import { standInTakes } from './standInTakes';
import { heardTakeOf, type TakeHeard, takeOf } from './take';

const microphone = vi.hoisted(() => ({ open: vi.fn(), keys: vi.fn(), play: vi.fn() }));
vi.mock('./microphone', async (original) => ({ ...(await original()), openMicrophone: microphone.open }));
vi.mock('./ear/ear', () => ({ keysIn: microphone.keys, prepare: vi.fn() }));
vi.mock('../shared/sound/piano', () => ({ play: microphone.play }));

const sound = (at: number, key: number) => ({ id: String(at), hand: 'R' as const, at, keys: [key], held: [1] });
const SOUNDS = [sound(0, 60), sound(1, 62), sound(2, 64), sound(3, 65), sound(4, 67)];
const HEARD: TakeHeard = {
    clean: false,
    well: 'Bar 1: every note was right.',
    thing: 'In bar 2 look again.',
    measures: [1],
    notes: [{ id: 'e2', hand: 'R', status: 'wrong' }],
    again: [],
    tempo: 90,
};
const PLAYBACK = {
    counts: ['1', '2'],
    enter: '1',
    countBeats: 1,
    countGap: 1,
    beats: 5,
    clicks: [],
    sounds: SOUNDS,
    bars: [],
} as unknown as Playback;

function listen(answer: (take: Api['TakeRequest']) => Promise<TakeHeard | null>, heard: TakeHeard | null = null) {
    const told: (TakeHeard | null)[] = [];
    const sent: Api['TakeRequest'][] = [];
    draw(
        <Listen
            part={1}
            playback={PLAYBACK}
            hand={null}
            tempo={60}
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

afterEach(() => {
    vi.useRealTimers();
    localStorage.clear();
});

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

describe('listening by the microphone', () => {
    let tell: (now: Now) => void = () => undefined;
    let lost: () => void = () => undefined;
    const closed = vi.fn();
    const samples = new Float32Array(22_050);
    const now = (change: Partial<Now>): Now => ({ level: 0.2, key: 64, noisy: false, silent: 0, ...change });
    const KEYS = [
        { t: 0.5, off: 0.9, pitch: 60, p: 0.99 },
        { t: 1, off: 1.4, pitch: 62, p: 0.98 },
    ];
    const start = async () => userEvent.click(screen.getByRole('button', { name: /Listen to me|Again/ }));

    beforeEach(() => {
        localStorage.setItem('nasturtium.listens-by', 'microphone');
        closed.mockReset();
        microphone.open.mockReset();
        microphone.keys.mockReset();
        microphone.open.mockImplementation(async (told: typeof tell, gone: typeof lost) => {
            [tell, lost] = [told, gone];
            return { rate: 22_050, samples: () => samples, forget: vi.fn(), close: closed };
        });
        microphone.keys.mockResolvedValue({ keys: KEYS, cents: 12 });
    });

    it('shows how loud it is and what is heard, and ends when it is silent', async () => {
        const { told, sent } = listen(() => Promise.resolve(HEARD));
        await start();
        act(() => tell(now({ noisy: true })));
        expect(screen.getByRole('meter', { name: 'How loud it is' })).toHaveProperty('value', 0.2);
        expect(screen.getByText('E')).toBeTruthy();
        expect(screen.getByText(/It is loud in this room/)).toBeTruthy();
        act(() => tell(now({ silent: 4.9 })));
        expect(microphone.keys).not.toHaveBeenCalled();
        act(() => tell(now({ silent: 5 })));
        await waitFor(() => expect(told).toEqual([null, HEARD]));
        expect(closed).toHaveBeenCalled();
        expect(sent[0]).toMatchObject({ source: 'microphone', notes: KEYS });
    });

    it('says why it cannot be used, and what to do', async () => {
        listen(() => Promise.resolve(HEARD));
        for (const [name, words] of [
            ['NotAllowedError', /not allowed/],
            ['NotFoundError', /has no microphone/],
            ['NotReadableError', /did not start/],
        ] as const) {
            microphone.open.mockRejectedValueOnce(new DOMException('', name));
            await start();
            expect(await screen.findByText(words)).toBeTruthy();
            expect(screen.getByRole('button', { name: 'Listen to me' })).toBeTruthy();
        }
    });

    it('looks at what was heard when the microphone goes away, and can be told to stop looking', async () => {
        const { sent } = listen(() => Promise.resolve(HEARD));
        let broken: AbortSignal | undefined;
        microphone.keys.mockImplementation((_, __, part: (of: number) => void, signal: AbortSignal) => {
            broken = signal;
            part(0.5);
            return new Promise((_, failed) => signal.addEventListener('abort', () => failed(new Error('off'))));
        });
        await start();
        act(() => lost());
        expect(await screen.findByText(/The microphone went away/)).toBeTruthy();
        expect((await screen.findByRole('progressbar')).getAttribute('aria-valuenow')).toBe('50');
        await userEvent.click(screen.getByRole('button', { name: 'Stop looking' }));
        expect(broken?.aborted).toBe(true);
        expect(screen.getByRole('button', { name: 'Listen to me' })).toBeTruthy();
        expect(sent).toEqual([]);
    });

    it('says when what listens could not be fetched', async () => {
        microphone.keys.mockRejectedValue(new Error('no connection'));
        listen(() => Promise.resolve(HEARD));
        await start();
        await userEvent.click(screen.getByRole('button', { name: 'That was it' }));
        expect(await screen.findByText(/Check the connection/)).toBeTruthy();
    });
});

describe('what was heard', () => {
    it('is played beside how it is written; where it is not sure one listens again, or says that it was right', async () => {
        microphone.play.mockReset();
        const stop = vi.fn();
        microphone.play.mockResolvedValue(stop);
        const unsure = { ...HEARD, again: [{ id: 'e4', bar: 4, at: 2 }] };
        listen(() => Promise.resolve(unsure), unsure);
        await userEvent.click(screen.getByRole('button', { name: 'As it is written' }));
        await waitFor(() => expect(microphone.play).toHaveBeenCalledOnce());
        // At the tempo that it was played in, not that of the task.
        expect(microphone.play.mock.calls[0]?.[0].end).toBeCloseTo((5 * 60) / 90);
        await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
        expect(stop).toHaveBeenCalledOnce();
        expect(screen.getByText('Listen here again: bar 4')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'It was right: bar 4' }));
        expect(screen.queryByText('Listen here again: bar 4')).toBeNull();
    });

    it('sounds as it was played, without what was hardly heard', () => {
        const plan = scheduleOf([
            { t: 0, off: 0.5, pitch: 60, p: 0.9 },
            { t: 0.1, off: 0.2, pitch: 72, p: 0.1 },
            { t: 0.6, off: 1.2, pitch: 62 },
        ]);
        expect(plan.strikes.map((one) => one.keys[0])).toEqual([60, 62]);
        expect(plan.end).toBe(1.2);
    });
});

describe('a take', () => {
    it('of the microphone has the surest keys that fit into a request, in time', () => {
        const many = Array.from({ length: 1_000 }, (_, i) => ({
            t: i / 10,
            off: i / 10 + 0.05,
            pitch: 60,
            p: i / 1_000,
        }));
        const take = heardTakeOf(many, 0, 0);
        expect(take.notes).toHaveLength(900);
        expect(take.notes[0]).toEqual({ t: 10, off: 10.05, pitch: 60, p: 0.1 });
        expect(JSON.stringify(take).length).toBeLessThan(64_000);
    });

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
