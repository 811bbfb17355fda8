// @vitest-environment jsdom
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { draw } from '../../../tests/screen';
import type { Playback } from '../api';
import type { TakeHeard } from '../listening/take';
import { Lead } from './Lead';
import { type Run, type Step, withAgain } from './steps';

const sound = vi.hoisted(() => ({ playWritten: vi.fn(), countInFor: vi.fn() }));
vi.mock('../listening/playBack', async (original) => ({ ...(await original()), ...sound }));
vi.mock('../shared/score/Score', () => ({ Score: ({ title }: { title: string }) => <p>music: {title}</p> }));

const PLAYBACK = {
    counts: ['1', '2'],
    enter: '1',
    countBeats: 1,
    countGap: 1,
    beats: 2,
    clicks: [],
    sounds: [{ id: 'a', hand: 'R', at: 0, keys: [60], held: [1] }],
    bars: [],
} as unknown as Playback;

const step = (kind: Step['kind'], words: string, change: Partial<Step> = {}): Step => ({
    kind,
    taskId: 5,
    stepId: null,
    sign: 'hand',
    words,
    seconds: 5,
    pieceId: null,
    first: null,
    last: null,
    hand: 'R',
    tempo: 60,
    hasVoice: false,
    again: [],
    ...change,
});
const BARS = { pieceId: 3, first: 0, last: 1 };
const TURN = step('turn', 'Your turn.', { ...BARS, again: [step('turn', 'Slower: bar 1.', BARS)] });
const RUN: Run = {
    studentId: 1,
    date: '2031-05-06',
    title: null,
    steps: [step('say', 'Right hand.'), step('play', 'My turn.', BARS), TURN, step('done', 'That is done.')],
    pieces: [{ id: 3, title: 'The Gate', music: '<score/>' }],
    phrases: [{ ...BARS, playback: PLAYBACK }],
};
const HEARD: TakeHeard = {
    clean: true,
    well: 'Every note was right.',
    thing: null,
    measures: [],
    notes: [],
    again: [],
    tempo: 60,
};

let ends: () => void = () => undefined;
const stopped = vi.fn();

beforeEach(() => {
    localStorage.setItem('nasturtium.listens-by', 'keyboard');
    stopped.mockReset();
    sound.countInFor.mockReset().mockResolvedValue(undefined);
    sound.playWritten.mockReset().mockImplementation(async (_: unknown, ended: () => void) => {
        ends = ended;
        return stopped;
    });
});

function lead(run: Run = RUN, answer: () => Promise<TakeHeard | null> = () => Promise.resolve(HEARD)) {
    const done = vi.fn();
    const leave = vi.fn();
    draw(<Lead run={run} hear={() => answer} done={done} leave={leave} />);
    return { done, leave };
}

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const says = (words: string) => screen.findByRole('heading', { name: words }, { timeout: 8_000 });
const begin = () => press('Begin');
/** Plays a key on the screen, and says that it was all. */
async function play() {
    const key = await screen.findByRole('button', { name: 'C 4' }, { timeout: 8_000 });
    key.dispatchEvent(new Event('pointerdown', { bubbles: true, cancelable: true }));
    await waitFor(() => expect(key.dataset.marked).toBe('yes'));
}

describe('a led run', () => {
    it('says what comes, plays, hears the turn, ticks the task and is over', async () => {
        const { done, leave } = lead();
        expect(screen.getByText(/^About 1 min\./)).toBeTruthy();
        await begin();
        await says('Right hand.');
        await says('My turn.');
        await waitFor(() => expect(sound.playWritten).toHaveBeenCalledOnce());
        expect(screen.getByText('music: The Gate, My turn.')).toBeTruthy();
        act(() => ends());
        await says('Your turn.');
        await play();
        // Two and a half silent seconds end a phrase.
        await says('That is done.');
        await waitFor(() => expect(done).toHaveBeenCalledWith(RUN.steps[3], 1), { timeout: 8_000 });
        await screen.findByText('That was all for today. Well done!');
        await press('Back to today');
        expect(leave).toHaveBeenCalledOnce();
    }, 40_000);

    it('comes again smaller and slower where it went wrong, then goes on', async () => {
        const answers = [{ ...HEARD, clean: false, well: 'Bar 1: every note was right.' }, HEARD];
        lead({ ...RUN, steps: [TURN, step('say', 'Then this.')] }, () => Promise.resolve(answers.shift() ?? HEARD));
        await begin();
        await says('Your turn.');
        await play();
        await says('Slower: bar 1.');
        expect(screen.getByText('Bar 1: every note was right.')).toBeTruthy();
        await play();
        await says('Then this.');
    }, 40_000);

    it('asks where nobody could tell, and goes on by again or on', async () => {
        lead({ ...RUN, steps: [TURN, step('say', 'Then this.')] }, () => Promise.resolve(null));
        await begin();
        await says('Your turn.');
        await play();
        await screen.findByRole('button', { name: 'Not yet: again' }, { timeout: 8_000 });
        expect(screen.getByText(/^There is no connection\. You say how it was/)).toBeTruthy();
        await press('That was good: go on');
        await says('Then this.');
    }, 40_000);

    it('waits as long as the phrase takes where it does not listen', async () => {
        lead({ ...RUN, steps: [{ ...TURN, tempo: 300 }, step('say', 'Then this.')] });
        await press('It listens to me');
        await begin();
        await screen.findByRole('button', { name: 'That was good: go on' }, { timeout: 8_000 });
    }, 20_000);

    it('ticks what was done, and not what was skipped from end to end', async () => {
        const done = step('done', 'That is done.');
        const alone = step('alone', 'Do it now.', { taskId: 6 });
        const other = step('done', 'The other is done.', { taskId: 6 });
        const { done: ticked } = lead({ ...RUN, steps: [TURN, done, alone, other] });
        await begin();
        await says('Your turn.');
        await press('Skip');
        await says('That is done.');
        await press('Skip');
        await says('Do it now.');
        await userEvent.click(await screen.findByRole('button', { name: 'I have done it' }, { timeout: 8_000 }));
        await says('The other is done.');
        await press('Skip');
        await screen.findByText('That was all for today. Well done!');
        expect(ticked.mock.calls).toEqual([[other, 1]]);
    }, 40_000);

    it('pauses, goes on, repeats and skips', async () => {
        lead();
        await begin();
        await says('Right hand.');
        await press('Skip');
        await says('My turn.');
        await waitFor(() => expect(sound.playWritten).toHaveBeenCalledOnce(), { timeout: 8_000 });
        await press('Pause');
        expect(stopped).toHaveBeenCalledOnce();
        expect(screen.getByText('Paused.')).toBeTruthy();
        // What was broken off goes no further.
        act(() => ends());
        expect(screen.getByText('Paused.')).toBeTruthy();
        await press('Go on');
        await waitFor(() => expect(sound.playWritten).toHaveBeenCalledTimes(2), { timeout: 8_000 });
        await press('Again');
        await waitFor(() => expect(sound.playWritten).toHaveBeenCalledTimes(3), { timeout: 8_000 });
    }, 40_000);

    it('opens the room that a step is done in, and waits', async () => {
        const enter = vi.fn();
        const run = { ...RUN, steps: [step('alone', 'Do it now.'), step('say', 'Then this.')] };
        draw(
            <Lead
                run={run}
                hear={() => () => Promise.resolve(null)}
                done={vi.fn()}
                leave={vi.fn()}
                opens={(of) => (of.taskId === 5 ? enter : null)}
            />,
        );
        await begin();
        await userEvent.click(await screen.findByRole('button', { name: 'Start' }, { timeout: 8_000 }));
        expect(enter).toHaveBeenCalledOnce();
        expect(screen.getByRole('heading', { name: 'Do it now.' })).toBeTruthy();
        await press('I have done it');
        await says('Then this.');
    }, 20_000);

    it('of nothing says that all is done', async () => {
        const { leave } = lead({ ...RUN, steps: [] });
        expect(screen.getByRole('heading', { name: 'All done for today' })).toBeTruthy();
        await press('Back');
        expect(leave).toHaveBeenCalledOnce();
    });
});

describe('what comes again', () => {
    it('stands behind the step, and what comes again has nothing behind it', () => {
        const more = withAgain([TURN, step('done', 'x')], 0);
        expect(more.map((one) => one.words)).toEqual(['Your turn.', 'Slower: bar 1.', 'x']);
        expect(withAgain(more, 1)).toEqual(more);
    });
});
