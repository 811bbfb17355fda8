import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Playback } from '../api';
import { countInFor, playTake, playWritten, scheduleOf, soundsOf } from './playBack';

const sound = vi.hoisted(() => ({ sounding: vi.fn(), schedule: vi.fn() }));
vi.mock('../shared/sound/sounding', () => ({ sounding: sound.sounding }));
vi.mock('../shared/sound/beats', () => ({ schedule: sound.schedule }));

const PLAYBACK = {
    sounds: [
        { id: 'a', hand: 'R', at: 0 },
        { id: 'b', hand: 'L', at: 0 },
        { id: 'c', hand: 'R', at: 1 },
    ],
} as unknown as Playback;
const PLAN = { ticks: [{ at: 0 }], strikes: [], start: 2, end: 9 };

beforeEach(() => {
    vi.clearAllMocks();
    sound.schedule.mockReturnValue(PLAN);
    sound.sounding.mockResolvedValue({ stop: vi.fn(), isSilent: false });
});

describe('a take as it came', () => {
    it('sounds the keys that are sure, each as long as it was held', () => {
        const plan = scheduleOf([
            { pitch: 60, t: 0.5, off: 1.25, p: 0.9 },
            { pitch: 62, t: 1.5, off: 1.52 },
            { pitch: 64, t: 2, off: 3, p: 0.4 },
        ]);
        expect(plan.strikes.map(({ at, keys, seconds }) => [at, keys[0], seconds[0]])).toEqual([
            [0.5, 60, 0.75],
            [1.5, 62, 0.1],
        ]);
        expect([plan.start, plan.end, plan.ticks]).toEqual([0, 3, []]);
    });

    it('of nothing is over at once', () => {
        expect(scheduleOf([])).toMatchObject({ strikes: [], end: 0 });
    });

    it('without its sound is played on the piano that ships', async () => {
        const ended = vi.fn();
        await playTake({ notes: [{ pitch: 60, t: 0, off: 1 }] }, ended);
        expect(sound.sounding.mock.calls[0]?.[0].strikes).toHaveLength(1);
        sound.sounding.mock.calls[0]?.[1].ended();
        expect(ended).toHaveBeenCalledOnce();
    });

    it('with its sound plays that, around a place where one is asked for', async () => {
        const source = { connect: vi.fn(), start: vi.fn(), stop: vi.fn(), buffer: null, onended: null };
        const context = {
            createBuffer: vi.fn(() => ({ copyToChannel: vi.fn() })),
            createBufferSource: () => source,
            close: vi.fn(() => Promise.resolve()),
            destination: {},
        };
        vi.stubGlobal(
            'AudioContext',
            class {
                constructor() {
                    // biome-ignore lint/correctness/noConstructorReturn: a stand-in for what the browser makes
                    return context;
                }
            },
        );
        const of = { notes: [], samples: new Float32Array(8), rate: 22_050 };
        const stop = await playTake(of, vi.fn());
        expect(source.start).toHaveBeenCalledWith();
        stop();
        expect(source.stop).toHaveBeenCalledOnce();
        await playTake(of, vi.fn(), 0.5);
        expect(source.start).toHaveBeenLastCalledWith(0, 0, 2.4);
        await playTake(of, vi.fn(), 5);
        expect(source.start.mock.lastCall?.[1]).toBeCloseTo(3.8);
        expect(sound.sounding).not.toHaveBeenCalled();
        vi.unstubAllGlobals();
    });
});

describe('how it is written', () => {
    it('sounds both hands unless one is named, and tells its beats from one', async () => {
        const beat = vi.fn();
        await playWritten({ playback: PLAYBACK, tempo: 72, hand: null }, vi.fn(), vi.fn(), beat);
        expect(sound.schedule).toHaveBeenLastCalledWith(PLAYBACK, {
            tempo: 72,
            hands: 'both',
            countIn: false,
            metronome: false,
        });
        const { beat: told } = sound.sounding.mock.calls[0]?.[1] ?? {};
        told({ nth: 0 });
        told({ nth: 2 });
        told(null);
        expect(beat.mock.calls.map(([nth]) => nth)).toEqual([1, 3, 0]);
        await playWritten({ playback: PLAYBACK, tempo: 72, hand: 'L', countIn: true }, vi.fn());
        expect(sound.schedule.mock.lastCall?.[1]).toMatchObject({ hands: 'L', countIn: true });
    });

    it('has a hand’s notes alone', () => {
        expect(soundsOf(PLAYBACK, 'R').map(({ id }) => id)).toEqual(['a', 'c']);
        expect(soundsOf(PLAYBACK, null)).toHaveLength(3);
    });
});

describe('a count-in', () => {
    it('ends just before the first note is due', async () => {
        sound.sounding.mockImplementation(async (plan, { ended }) => {
            expect(plan.end).toBeCloseTo(1.95);
            ended();
            return { stop: vi.fn(), isSilent: false };
        });
        await countInFor(PLAYBACK, 60, new AbortController().signal);
        expect(sound.schedule.mock.lastCall?.[1]).toMatchObject({ hands: 'none', countIn: true });
    });

    it('of no beats is over at once', async () => {
        sound.schedule.mockReturnValue({ ...PLAN, ticks: [] });
        await countInFor(PLAYBACK, 60, new AbortController().signal);
        expect(sound.sounding).not.toHaveBeenCalled();
    });

    it('that is broken off is silent, also when it had not begun yet', async () => {
        const stop = vi.fn();
        sound.sounding.mockResolvedValue({ stop, isSilent: false });
        const broken = new AbortController();
        const counting = countInFor(PLAYBACK, 60, broken.signal);
        broken.abort();
        await counting;
        await vi.waitFor(() => expect(stop).toHaveBeenCalled());
    });
});
