// @vitest-environment jsdom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import type { Api } from '../api';
import { marksFor } from './HomeMusic';
import { HomeTask } from './HomeTask';
import type { Tick } from './outbox';

const TASK = {
    id: 6,
    kind: 'stage',
    sign: 'hand',
    title: 'Left hand',
    instruction: 'Play the left hand alone, counting.',
    piece: 'Blue Gate',
    hand: 'L',
    repetitions: 3,
    tempo: 54,
    minutes: 2,
    bars: [{ first: 0, last: 1, from: '', to: '', label: 'bars 1–2' }],
    practices: [],
} as unknown as Api['HomeTaskResource'];

const sound = {
    counts: ['1', '2'],
    enter: '1',
    countBeats: 1,
    countGap: 1,
    beats: 8,
    sounds: [],
    clicks: [],
    bars: [],
};
const part = (label: string, first: number, last: number) => ({
    bars: { first, last, from: '', to: '', label },
    playback: sound,
});
const MUSIC = {
    id: 6,
    music: '<score-partwise/>',
    parts: [part('bars 1–2', 0, 1), part('bars 3–4', 2, 3)],
    notes: [{ id: 'L1', hand: 'L' as const, fingers: '5', counts: '1 2', name: 'C' }],
    rungs: [54, 56, 58],
};

function home(done = false, answers: Parameters<typeof serve>[0] = {}, day = 0) {
    serve({ 'GET /home/tasks/6': () => MUSIC, ...answers });
    const ticks: Pick<Tick, 'repetitions' | 'tempo' | 'seconds' | 'feeling' | 'note'>[] = [];
    const untick = { times: 0 };
    draw(
        <HomeTask
            hear={() => Promise.resolve(null)}
            token="abc"
            task={TASK}
            done={done}
            day={day}
            when={['on Monday', 'yesterday', 'today', 'tomorrow'][day + 2] ?? ''}
            longestPause={180}
            tick={(how) => ticks.push(how)}
            drill={null}
            untick={() => {
                untick.times++;
            }}
            back={<button type="button">Today</button>}
        />,
    );
    return { ticks, untick };
}

describe('one task at home', () => {
    it('says what to do, with which hand and how fast', async () => {
        home();
        expect(screen.getByRole('heading', { name: 'Left hand' })).toBeTruthy();
        expect(screen.getByText('left hand, ♩ = 54')).toBeTruthy();
        expect(screen.getByText('Play the left hand alone, counting.')).toBeTruthy();
        expect(await screen.findByText('Count in 1 2, then play on 1.')).toBeTruthy();
        // Tried first, with the beat alone; then heard, to compare.
        expect(screen.getByRole('radio', { name: 'Only the beat', checked: true })).toBeTruthy();
    });

    it('asks what is remembered of a page that was looked over', async () => {
        home(false, {
            'GET /home/tasks/6': () => ({
                ...MUSIC,
                questions: [{ ask: 'Where is a tie?', answer: 'In bar 3.', bars: [3] }],
            }),
        });
        await userEvent.click(await screen.findByRole('button', { name: 'Answer: Where is a tie?' }));
        expect(screen.getByText('In bar 3.')).toBeTruthy();
    });

    it('shows its parts one at a time', async () => {
        home();
        await screen.findByRole('radiogroup', { name: 'Which bars' });
        await userEvent.click(screen.getByText('bars 3–4'));
        expect(screen.getByRole('radio', { name: 'bars 3–4', checked: true })).toBeTruthy();
    });

    it('is ticked with how often, how it went and a word', async () => {
        const { ticks } = home();
        await userEvent.click(screen.getByRole('button', { name: 'That was good' }));
        await userEvent.click(screen.getByRole('button', { name: 'Not yet' }));
        await userEvent.click(screen.getByText('Hard'));
        await userEvent.type(screen.getByLabelText('A word to the teacher'), 'Bar 3!');
        await userEvent.click(screen.getByRole('button', { name: 'Done' }));
        expect(ticks).toEqual([
            { repetitions: 2, tempo: 54, seconds: expect.any(Number), feeling: 'hard', note: 'Bar 3!' },
        ]);
    });

    it('counts good ones in a row, begins anew after a slip, and leads a rung up after three', async () => {
        const { ticks } = home();
        await screen.findByRole('radiogroup', { name: 'Which bars' });
        const good = screen.getByRole('button', { name: 'That was good' });
        await userEvent.click(good);
        await userEvent.click(good);
        await userEvent.click(screen.getByRole('button', { name: 'Not yet' }));
        expect(screen.getByRole('img', { name: '0 of 3 in a row' })).toBeTruthy();
        for (let nth = 0; nth < 3; nth++) await userEvent.click(good);
        await userEvent.click(screen.getByRole('button', { name: 'A rung up: 56' }));
        expect(screen.getByRole('img', { name: '0 of 3 in a row' })).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Faster' }));
        await userEvent.click(screen.getByRole('button', { name: 'Done' }));
        expect(ticks).toEqual([{ repetitions: 6, tempo: 58, seconds: expect.any(Number), feeling: 'fine', note: '' }]);
    });

    it('shows what is chosen at the notes', () => {
        expect(marksFor(MUSIC.notes, 'bare')).toEqual([]);
        expect(marksFor(MUSIC.notes, 'fingers')[0]).toMatchObject({ id: 'L1', row: 'above', texts: ['5'] });
        expect(marksFor(MUSIC.notes, 'counts')[0]).toMatchObject({ row: 'below', texts: ['1 2'] });
        expect(marksFor([{ ...MUSIC.notes[0], name: '' } as never], 'name')).toEqual([]);
    });

    it('is looked at the day before, and filled in the day after', async () => {
        home(false, {}, 1);
        expect(screen.getByText(/To look at already/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: /Done/ })).toBeNull();
        cleanup();
        const { ticks } = home(false, {}, -1);
        await userEvent.click(screen.getByRole('button', { name: 'Done yesterday' }));
        // What is filled in for yesterday was not practised now.
        expect(ticks).toMatchObject([{ seconds: null }]);
        cleanup();
        home(true, {}, -2);
        expect(screen.getByText('✓ Done on Monday')).toBeTruthy();
    });

    it('counts as assigned where nobody counted', async () => {
        const { ticks } = home();
        await userEvent.click(screen.getByRole('button', { name: 'Done' }));
        expect(ticks).toEqual([{ repetitions: 3, tempo: 54, seconds: expect.any(Number), feeling: 'fine', note: '' }]);
    });

    it('gives the tick back', async () => {
        const { untick } = home(true);
        await userEvent.click(screen.getByRole('button', { name: 'Take the tick back' }));
        expect(untick.times).toBe(1);
    });

    it('can be ticked though the bars did not come', async () => {
        const { ticks } = home(false, { 'GET /home/tasks/6': () => Response.json({ message: 'x' }, { status: 500 }) });
        expect(await screen.findByRole('alert')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Done' }));
        await waitFor(() => expect(ticks).toHaveLength(1));
    });
});

describe('a child that does not read yet', () => {
    const speech = { speak: vi.fn(), cancel: vi.fn(), getVoices: () => [{ lang: 'de-DE' }, { lang: 'en-GB' }] };

    it('has a picture, and is read to where the browser has a voice', async () => {
        vi.stubGlobal('speechSynthesis', speech);
        vi.stubGlobal(
            'SpeechSynthesisUtterance',
            class {
                constructor(readonly text: string) {}
            },
        );
        home();
        expect(document.querySelector('[data-sign="hand"]')).toBeTruthy();
        await userEvent.click(await screen.findByRole('button', { name: 'Read it to me' }));
        expect(speech.speak.mock.calls[0]?.[0]).toMatchObject({
            text: 'Left hand. Play the left hand alone, counting.',
            voice: { lang: 'en-GB' },
        });
        await userEvent.click(screen.getByRole('button', { name: 'Stop reading' }));
        expect(screen.getByRole('button', { name: 'Read it to me' })).toBeTruthy();
        cleanup();
        expect(speech.cancel.mock.calls.length).toBeGreaterThan(2);
    });

    it('has no such button where it has none', async () => {
        vi.stubGlobal('speechSynthesis', { ...speech, getVoices: () => [{ lang: 'de-DE' }] });
        home();
        await screen.findByText('Play the left hand alone, counting.');
        expect(screen.queryByRole('button', { name: 'Read it to me' })).toBeNull();
    });
});

describe('the screen', () => {
    it('stays on while a task is open, and is asked again when the page comes back', async () => {
        const release = vi.fn(async () => undefined);
        const request = vi.fn(async () => ({ release }));
        Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true });
        home();
        await waitFor(() => expect(request).toHaveBeenCalledTimes(1));
        document.dispatchEvent(new Event('visibilitychange'));
        await waitFor(() => expect(request).toHaveBeenCalledTimes(2));
        cleanup();
        await waitFor(() => expect(release).toHaveBeenCalled());
        Reflect.deleteProperty(navigator, 'wakeLock');
    });
});
