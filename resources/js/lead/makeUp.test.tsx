// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { MakeUp } from './MakeUp';
import { moved } from './makeUp';
import { addressOf } from './VoiceButton';

const bars = (first: number, last: number) => ({
    first,
    last,
    from: '',
    to: '',
    label: `bars ${first + 1}–${last + 1}`,
});
const stage = (id: number, name: string, change: object = {}) => ({
    id,
    name,
    petal: null,
    hand: 'R',
    instruction: `Do ${name}.`,
    pass: '',
    repetitions: 3,
    tempo: 60,
    minutes: 3,
    passedOn: null,
    misses: 0,
    bars: [bars(0, 3)],
    ...change,
});
const LEARNINGS = [
    {
        id: 5,
        title: 'The Gate',
        state: 'current',
        stages: [
            stage(1, 'tap', { passedOn: '2031-05-01' }),
            stage(2, 'right hand', { bars: [bars(0, 1), bars(2, 3)] }),
        ],
    },
    { id: 6, title: 'Old Mill', state: 'finished', stages: [] },
];
const TAKE = {
    id: 1,
    clean: true,
    faults: 0,
    stalls: 0,
    restarts: 0,
    tempo: 62,
    steady: null,
    bars: [],
    slips: [],
    taskId: null,
};
const STEP = {
    id: 8,
    stageId: 2,
    learningId: 5,
    first: 0,
    last: 3,
    where: 'The Gate, bars 1–4',
    hand: 'R',
    tempo: 60,
    sign: 'hand',
    words: 'Slowly.',
    halfMinutes: 6,
    hasVoice: false,
    takes: [
        { ...TAKE, id: 2 },
        { ...TAKE, clean: false, faults: 2, tempo: 50 },
    ],
};
const LESSON = { id: 3, title: 'Instead of Monday', sentAt: '2031-05-06T10:00:00Z', doneAt: null, steps: [STEP] };

function open(path: string, lessons: object[] = []) {
    const saved = { ...LESSON, sentAt: null };
    const asked = serve({
        'GET /students/1': () => ({ student: { id: 1, name: 'Mina K.' }, learnings: LEARNINGS }),
        'GET /students/1/led-lessons': () => lessons,
        'POST /students/1/led-lessons': () => saved,
        'PUT /led-lessons/3': () => saved,
        'PUT /led-lessons/3/sent': () => LESSON,
        'PUT /led-steps/8/voice': () => new Response(null, { status: 204 }),
        'DELETE /led-lessons/3': () => new Response(null, { status: 204 }),
    });
    drawRoom('/students/:student/make-up/:lesson?', path, <MakeUp />);
    return asked;
}

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('a make-up lesson', () => {
    it('is put together from stages of open pages and own words, and sent', async () => {
        const asked = open('/students/1/make-up');
        await screen.findByRole('heading', { name: 'A make-up lesson for Mina K.' });
        expect(screen.getByRole('button', { name: 'Save and send' })).toHaveProperty('disabled', true);
        // The next stage that is not passed stands there, and all of its bars.
        await press('Add this step');
        await press('Add my own words');
        const [, words] = screen.getAllByLabelText('What you say');
        expect(screen.getByRole('button', { name: 'Save and send' })).toHaveProperty('disabled', true);
        await userEvent.type(words as HTMLElement, 'Drink some water.');
        expect(screen.getByText('About 4 min in all.')).toBeTruthy();
        await press('Up: step 2');
        await press('Save and send');
        await waitFor(() => expect(asked.some((one) => one.path.endsWith('/sent'))).toBe(true));
        const body = asked.find((one) => one.method === 'POST')?.body as { title: string; steps: object[] };
        expect(body.title).toBe('Instead of our lesson');
        expect(body.steps[0]).toMatchObject({ words: 'Drink some water.', first: null, learningId: null });
        expect(body.steps[1]).toMatchObject({
            stageId: 2,
            learningId: 5,
            first: 0,
            last: 3,
            tempo: 60,
            halfMinutes: 6,
        });
        expect(body.steps[1]).not.toHaveProperty('where');
    }, 30_000);

    it('shows what was heard, step by step, the first take first', async () => {
        open('/students/1/make-up/3', [LESSON]);
        const report = await screen.findByRole('region', { name: 'What was heard' });
        expect(within(report).getByText('Sent on 6 May 2031. Not finished at home yet.')).toBeTruthy();
        expect(within(report).getByText(/2 wrong or missed, ♩ = 50; clean, ♩ = 62/)).toBeTruthy();
    });

    it('gives a removed step back, and deletes the whole', async () => {
        const asked = open('/students/1/make-up/3', [LESSON]);
        await screen.findByText('Step 1 The Gate, bars 1–4');
        await press('Remove: step 1');
        expect(screen.getByText(/No step yet/)).toBeTruthy();
        await press('Undo');
        expect(screen.getByText('Step 1 The Gate, bars 1–4')).toBeTruthy();
        await press('Delete');
        await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
    });

    it('keeps what was typed while a voice was recorded, and sends the voice once the steps are saved', async () => {
        let recorder: { ondataavailable?: (event: { data: Blob }) => void; onstop?: () => void } = {};
        const stream = { getTracks: () => [{ stop: () => undefined }] };
        vi.stubGlobal(
            'MediaRecorder',
            class {
                mimeType = 'audio/webm;codecs=opus';
                stream = stream;
                constructor() {
                    recorder = this as typeof recorder;
                }
                start() {}
                stop() {
                    recorder.ondataavailable?.({ data: new Blob(['voice']) });
                    recorder.onstop?.();
                }
            },
        );
        Object.defineProperty(navigator, 'mediaDevices', {
            configurable: true,
            value: { getUserMedia: async () => stream },
        });
        const asked = open('/students/1/make-up/3', [LESSON]);
        await screen.findByText('Step 1 The Gate, bars 1–4');
        await press('Say it yourself: step 1');
        await userEvent.type(await screen.findByLabelText('What you say'), ' And softly.');
        await press(/^Stop recording/);
        await screen.findByRole('button', { name: 'Hear your voice: step 1' });
        expect(screen.getByLabelText('What you say')).toHaveProperty('value', 'Slowly. And softly.');
        await press('Save (s)');
        await waitFor(() => expect(asked.some((one) => one.path === '/led-steps/8/voice')).toBe(true));
        expect(asked.find((one) => one.path === '/led-steps/8/voice')?.body).toEqual({
            voice: 'data:audio/webm;codecs=opus;base64,dm9pY2U=',
        });
        Reflect.deleteProperty(navigator, 'mediaDevices');
    });

    it('says where the microphone is not there for a voice', async () => {
        open('/students/1/make-up/3', [LESSON]);
        await screen.findByText('Step 1 The Gate, bars 1–4');
        await press('Say it yourself: step 1');
        expect(await screen.findByText(/The microphone is not allowed/)).toBeTruthy();
    });
});

describe('small things of it', () => {
    it('moves a step by one place, and not over the edge', () => {
        expect(moved(['a', 'b', 'c'], 1, -1)).toEqual(['b', 'a', 'c']);
        expect(moved(['a', 'b', 'c'], 1, 1)).toEqual(['a', 'c', 'b']);
    });

    it('makes a recording an address without spaces', async () => {
        expect(await addressOf(new Blob(['voice'], { type: 'audio/webm; codecs=opus' }))).toMatch(
            /^data:audio\/webm;codecs=opus;base64,dm9pY2U=$/,
        );
    });
});
