// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import type { Api } from '../shared/api';
import { HomeTask } from './HomeTask';
import type { Tick } from './outbox';

const TASK = {
    id: 6,
    kind: 'stage',
    title: 'Left hand',
    instruction: 'Play the left hand alone, counting.',
    piece: 'Blue Gate',
    hand: 'L',
    repetitions: 3,
    tempo: 54,
    minutes: 2,
    bars: [],
    done: null,
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
const MUSIC = { id: 6, music: '<score-partwise/>', parts: [part('bars 1–2', 0, 1), part('bars 3–4', 2, 3)] };

function home(done = false, answers: Parameters<typeof serve>[0] = {}) {
    serve({ 'GET /home/tasks/6': () => MUSIC, ...answers });
    const ticks: Pick<Tick, 'repetitions' | 'feeling' | 'note'>[] = [];
    const untick = { times: 0 };
    draw(
        <HomeTask
            token="abc"
            task={TASK}
            done={done}
            tick={(how) => ticks.push(how)}
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
        expect(screen.getByText('left hand, tempo 54')).toBeTruthy();
        expect(screen.getByText('Play the left hand alone, counting.')).toBeTruthy();
        expect(await screen.findByText('Count in 1 2, then play on 1.')).toBeTruthy();
        expect(screen.getByRole('radio', { name: 'Left', checked: true })).toBeTruthy();
    });

    it('shows its parts one at a time', async () => {
        home();
        await screen.findByRole('radiogroup', { name: 'Which bars' });
        await userEvent.click(screen.getByText('bars 3–4'));
        expect(screen.getByRole('radio', { name: 'bars 3–4', checked: true })).toBeTruthy();
    });

    it('is ticked with how often, how it went and a word', async () => {
        const { ticks } = home();
        const more = await screen.findByRole('button', { name: 'Once more' });
        await userEvent.click(more);
        await userEvent.click(more);
        await userEvent.click(screen.getByRole('button', { name: 'One less' }));
        await userEvent.click(more);
        await userEvent.click(screen.getByText('Hard'));
        await userEvent.type(screen.getByLabelText('A word to the teacher'), 'Bar 3!');
        await userEvent.click(screen.getByRole('button', { name: 'Done' }));
        expect(ticks).toEqual([{ repetitions: 2, feeling: 'hard', note: 'Bar 3!' }]);
    });

    it('counts as assigned where nobody counted', async () => {
        const { ticks } = home();
        await userEvent.click(screen.getByRole('button', { name: 'Done' }));
        expect(ticks).toEqual([{ repetitions: 3, feeling: 'fine', note: '' }]);
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
