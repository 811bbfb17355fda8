// @vitest-environment jsdom
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { aSession } from '../../../tests/room';
import { draw, drawRoom, serve } from '../../../tests/screen';
import type { Api } from '../api';
import type { Take } from './CardFace';
import { measured } from './latency';
import { PracticeRoom } from './PracticeRoom';
import { TapPad } from './TapPad';
import { Training } from './Training';
import type { Answers } from './useSession';

vi.mock('../shared/score/engraved', () => ({ engraved: () => Promise.resolve('<svg></svg>') }));
vi.mock('./sound', () => ({
    hear: () => Promise.resolve(0),
    count: (beat: number, clicks: number) =>
        Promise.resolve({ until: beat * clicks, since: (stamp: number) => Math.round(stamp - began - beat * clicks) }),
}));
vi.mock('../shared/sound/strike', () => ({ strike: () => Promise.resolve() }));

let began = 0;

const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G'].map((letter) => ({ id: letter, label: letter }));
const BARE = { letter: null, music: null, sign: null, options: [], hear: [], taps: null };

function name(note: string, right: string) {
    const way = `From middle C up: ${right}.`;
    return {
        ...BARE,
        letter: right,
        id: `name ${note}`,
        ask: 'Which note is this?',
        by: 'option' as const,
        right: [right],
        way,
        music: '<measure >',
        options: LETTERS,
    };
}

type Deck = Api['DeckResource'];

function deck(kind: Deck['kind'], cards: Deck['cards'], change: Partial<Deck['sessions'][number]> = {}): Deck {
    const ids = cards.map((card) => card.id);
    return { taskId: null, page: null, kind, words: `About ${kind}.`, cards, sessions: [aSession(ids, change)] };
}

const NOTES = deck('name', [name('treble:E4', 'E'), name('treble:F4', 'F')]);

function room(decks: Deck[] = [NOTES], change: { task?: number; onEnd?: (task: number | null) => void } = {}) {
    const saved: Answers[] = [];
    const data = { studentId: 1, student: 'Ida', date: '2031-05-06', minutes: 2, best: 0, decks, lines: [] };
    draw(
        <PracticeRoom
            room={data}
            date="2031-05-06"
            save={(answers) => saved.push(answers)}
            tell={() => undefined}
            hear={null}
            back={<b>back</b>}
            {...change}
        />,
    );
    return saved;
}

const choose = (label: string) => userEvent.click(screen.getByRole('button', { name: label }));

/** The browser’s clocks, moved by hand. */
let now = 0;
const later = (milliseconds: number) => {
    now += milliseconds;
};

beforeEach(() => {
    now = 0;
    began = 0;
    vi.spyOn(performance, 'now').mockImplementation(() => now);
});
afterEach(() => void vi.restoreAllMocks());

describe('the room', () => {
    const page = { ...deck('find', [name('treble:E4', 'E')]), page: 'Paper Boats' };

    it('has the notes of pages first, by their titles, and says where one is', async () => {
        room([NOTES, page]);
        const before = screen.getByRole('region', { name: 'Before you play' });
        await userEvent.click(within(before).getByRole('button', { name: 'Paper Boats About find.' }));
        expect(screen.getByRole('heading', { name: 'Find it: Paper Boats' })).toBeTruthy();
        await choose('← Practice room');
        expect(screen.getByRole('region', { name: 'Notes' })).toBeTruthy();
    });

    it('tells which task a session was for', async () => {
        const ended: (number | null)[] = [];
        room(
            [
                {
                    ...NOTES,
                    taskId: 7,
                    cards: [name('treble:E4', 'E')],
                    sessions: [{ ...NOTES.sessions[0]!, seconds: 0 }],
                },
            ],
            {
                task: 7,
                onEnd: (task) => ended.push(task),
            },
        );
        await choose('E');
        await waitFor(() => expect(ended).toEqual([7]), { timeout: 3_000 });
    });
});

describe('a session', () => {
    it('says at once that an answer is right, and goes on by itself', async () => {
        room();
        await choose('Name it About name.');
        later(1_200);
        await choose('E');
        expect(screen.getByText('✓ Yes!')).toBeTruthy();
        await waitFor(() => expect(screen.queryByText('✓ Yes!')).toBeNull());
        expect((screen.getByRole('button', { name: 'E' }) as HTMLButtonElement).disabled).toBe(false);
    });

    it('shows what was right and the way to it, and waits until it was read', async () => {
        const saved = room();
        await choose('Name it About name.');
        later(900);
        await choose('C');
        expect(screen.getByText('Not yet. This is how to find it:')).toBeTruthy();
        expect(screen.getByText('From middle C up: E.')).toBeTruthy();
        expect(screen.getByRole('button', { name: 'E, right' })).toBeTruthy();
        await choose('Go on');
        await choose('← Practice room');
        expect(saved[0]?.answers).toEqual([
            { card: 'name treble:E4', right: false, milliseconds: 900, given: 'C', at: expect.any(String) },
        ]);
    });

    it('is answered by letter keys too, and Enter goes on', async () => {
        room();
        await choose('Name it About name.');
        await userEvent.keyboard('a');
        expect(screen.getByText('Not yet. This is how to find it:')).toBeTruthy();
        await userEvent.keyboard('{Enter}');
        expect(screen.queryByText('Not yet. This is how to find it:')).toBeNull();
    });

    it('ends on what is known, says what was gained, and is saved', async () => {
        const saved = room();
        await choose('Name it About name.');
        const asked = () => (screen.queryByRole('status') === null ? 'on' : 'over');
        for (let i = 0; i < 12 && asked() === 'on'; i++) {
            later(800);
            // The two take turns; after three right answers each of them is secure.
            if (i === 8) later(120_000);
            await userEvent.keyboard(i % 2 === 0 ? 'e' : 'f');
            await waitFor(() => expect(screen.queryByText('✓ Yes!')).toBeNull());
            if (screen.queryByRole('button', { name: 'Go on' }) !== null) await userEvent.keyboard('{Enter}');
        }
        expect(screen.getByRole('status').textContent).toBe('You are sure of E and F now.');
        expect(saved.at(-1)?.answers.length).toBeGreaterThan(6);
        expect(new Set(saved.map((one) => one.session)).size).toBe(1);
    });

    it('counts nothing that took longer than anybody thinks', async () => {
        const saved = room();
        await choose('Name it About name.');
        await screen.findByRole('button', { name: 'E' });
        later(15_001);
        await choose('E');
        await choose('← Practice room');
        expect(saved).toEqual([]);
    });

    it('of the plan opens at once, and tells when it is done', async () => {
        const onEnd = vi.fn();
        room([{ ...NOTES, taskId: 7, sessions: NOTES.sessions.map((one) => ({ ...one, closing: 0 })) }], {
            task: 7,
            onEnd,
        });
        later(121_000);
        await userEvent.keyboard('e');
        await waitFor(() => expect(onEnd).toHaveBeenCalledOnce());
    });
});

describe('keys of a piano', () => {
    const find = {
        ...BARE,
        id: 'find treble:F4',
        ask: 'Find this note.',
        by: 'key' as const,
        right: ['65'],
        way: 'F is left of three.',
        music: '<measure >',
    };

    it('answer by touch and by letter, and the right one is lit', async () => {
        room([deck('find', [find, { ...find, id: 'find treble:G4', right: ['67'] }])]);
        await choose('Find it About find.');
        fireEvent.pointerDown(screen.getByRole('button', { name: 'E 4' }));
        await screen.findByText('F is left of three.');
        expect(screen.getByRole('button', { name: 'F 4' }).dataset.marked).toBe('yes');
        await choose('Go on');
        await userEvent.keyboard('g');
        expect(screen.getByText('✓ Yes!')).toBeTruthy();
    });

    it('play back what was heard, key after key', async () => {
        const echo = (id: string) => ({
            ...BARE,
            id,
            ask: 'Play it back.',
            by: 'phrase' as const,
            right: ['60', '64'],
            way: 'It was C E.',
            hear: [{ key: 60, at: 0, lasts: 100 }],
        });
        room([deck('echo', [echo('echo 13'), echo('echo 31')])]);
        await choose('Echo About echo.');
        await userEvent.keyboard('ce');
        expect(screen.getByText('✓ Yes!')).toBeTruthy();
    });
});

describe('taps', () => {
    const tap = (id: string) => ({
        ...BARE,
        id,
        ask: 'Tap it.',
        by: 'taps' as const,
        right: ['taps'],
        way: 'Clap it once.',
        taps: {
            beat: 100,
            countIn: ['1', '2'],
            at: [0, 100, 200],
            said: [
                { id: 'steady', label: 'Steady all the way.' },
                { id: 'too few', label: 'A tap is missing.' },
            ],
        },
    });

    it('are judged after the count-in; the space key taps as a finger does', async () => {
        localStorage.setItem('nasturtium.latency', '0');
        room([deck('tap', [tap('tap 1'), tap('tap 2')])]);
        await choose('Tap it About tap.');
        await choose('Count me in');
        const pad = await screen.findByRole('button', { name: /Tap|1|2/ });
        for (const at of [200, 300, 400]) fireEvent(pad, stamped(at));
        await screen.findByText('✓ Steady all the way.');
        localStorage.removeItem('nasturtium.latency');
    });

    it('are struck on a MIDI keyboard at the moment its key goes down; the first strike counts in', async () => {
        localStorage.setItem('nasturtium.latency', '0');
        const said: string[] = [];
        let strike: Take = () => undefined;
        draw(
            <TapPad
                card={tap('tap 1')}
                verdict={null}
                answer={({ given }) => said.push(given)}
                listen={(take) => {
                    strike = take;
                    return () => undefined;
                }}
            />,
        );
        await act(async () => strike(60, 0));
        await screen.findByRole('button', { name: /Tap|1|2/ });
        await act(async () => {
            for (const at of [200, 300, 400]) strike(62, at);
        });
        await waitFor(() => expect(said).toEqual(['steady']));
        localStorage.removeItem('nasturtium.latency');
    });

    it('need the device’s latency first: the middle of how late eight taps were', () => {
        const late = (by: number[]) => by.map((one, i) => i * 600 + one);
        expect(measured(late([400, 90, 60, 61, 62, 63, 64, 65]), 600, 8)).toBe(63);
        expect(measured(late([0, 0, 60, 61, 62]), 600, 8)).toBeNull();
        expect(measured([], 600, 8)).toBeNull();
        // Whoever taps ahead of the clicks has no latency.
        expect(measured(late([-9, -9, -9, -9, -9, -9, -9, -9]), 600, 8)).toBe(0);
    });
});

function stamped(at: number): Event {
    const event = new Event('pointerdown', { bubbles: true });
    Object.defineProperty(event, 'timeStamp', { value: at });
    return event;
}

describe('the key race', () => {
    it('goes from name to name for ten seconds, and keeps one’s own best', async () => {
        vi.useFakeTimers({ shouldAdvanceTime: true });
        const race = (letter: string, keys: string[]) => ({
            ...BARE,
            id: `race ${letter}`,
            ask: `Find every ${letter}.`,
            by: 'race' as const,
            right: keys,
            way: '',
            sign: letter,
        });
        const saved = room([deck('race', [race('C', ['48', '60'])])]);
        await userEvent
            .setup({ advanceTimers: vi.advanceTimersByTime })
            .click(screen.getByRole('button', { name: 'Key race About race.' }));
        fireEvent.click(screen.getByRole('button', { name: 'Start' }));
        fireEvent.pointerDown(screen.getByRole('button', { name: 'D 4' }));
        act(() => void vi.advanceTimersByTime(100));
        fireEvent.pointerDown(screen.getByRole('button', { name: 'C 4' }));
        act(() => void vi.advanceTimersByTime(100));
        for (let i = 0; i < 11; i++) act(() => void vi.advanceTimersByTime(1_000));
        expect(screen.getByRole('status').textContent).toBe('You found one key.');
        expect(saved[0]?.answers[0]).toMatchObject({ card: 'race', given: '1', right: true });
        vi.useRealTimers();
    });
});

describe('a line at sight', () => {
    it('is played back only after it was tried, and tells how it went', async () => {
        const told: string[] = [];
        const playback = {
            counts: ['1', '2'],
            enter: '1',
            countBeats: 1,
            countGap: 1,
            beats: 8,
            sounds: [],
            clicks: [],
            bars: [],
        };
        const line = {
            date: '2031-05-06',
            level: 3,
            reasons: ['4 bars in 4/4'],
            music: '<score-partwise></score-partwise>',
            playback,
            went: null,
        };
        const data = {
            studentId: 1,
            student: 'Ida',
            date: '2031-05-06',
            minutes: 2,
            best: 0,
            decks: [NOTES],
            lines: [line],
        };
        draw(
            <PracticeRoom
                room={data}
                date="2031-05-06"
                save={() => undefined}
                tell={(went) => told.push(went)}
                hear={null}
                back={<b>back</b>}
            />,
        );
        await choose('A line at sight New today: nobody has played it yet.');
        expect(screen.queryByRole('button', { name: 'Play' })).toBeNull();
        await choose('I have played it');
        expect(screen.getByRole('button', { name: 'Play' })).toBeTruthy();
        await choose('Nearly');
        expect(told).toEqual(['nearly']);
        expect(screen.getByRole('button', { name: 'Nearly' }).getAttribute('aria-pressed')).toBe('true');
    });
});

describe('at the lesson', () => {
    const training = {
        studentId: 4,
        student: 'Ida K.',
        notes: [
            {
                note: { id: 'treble-E4', clef: 'treble', pitch: 'E4', place: 'line 1', midi: 64, status: 'shaky' },
                answers: 12,
                right: 9,
                median: 4_200,
            },
        ],
        chart: '<score-partwise></score-partwise>',
        weeks: [{ from: '2031-04-28', answers: 40, right: 36, median: 2_300 }],
        confused: [{ clef: 'treble', words: 'E4 for F4, a step higher', times: 3 }],
        sessions: [{ date: '2031-05-01', kind: 'name', answers: 20, right: 18 }],
        best: 9,
        settings: { kinds: null, notes: null, minutes: null, answers: 10, right: 90, within: 3_000 },
    };
    const both = { studentId: 4, student: 'Ida', date: '2031-05-06', minutes: 2, best: 0, decks: [NOTES], lines: [] };
    const open = (answers: Parameters<typeof serve>[0] = {}) => {
        const asked = serve({
            'GET /students/4/training': () => training,
            'GET /session': () => ({ role: 'teacher', studio: {} }),
            'GET /students/4/room': () => both,
            'GET /students': () => [],
            ...answers,
        });
        drawRoom('/students/:student/practice', '/students/4/practice', <Training />);
        return asked;
    };

    it('tells what was trained, what is slow and what is confused', async () => {
        open();
        expect(await screen.findByText('1 May: Name it, 18 of 20 right')).toBeTruthy();
        expect(screen.getByText(/E4 \(treble\) 4\.2 s, 9 of 12 right/)).toBeTruthy();
        expect(screen.getByText(/E4 for F4, a step higher/)).toBeTruthy();
        expect(within(screen.getByRole('region', { name: 'Speed over the weeks' })).getByText('2.3')).toBeTruthy();
    });

    it('saves what the teacher sets', async () => {
        const asked = open({ 'PUT /students/4/training': () => training.settings });
        await userEvent.click(await screen.findByLabelText('Key race'));
        await userEvent.clear(screen.getByLabelText('Within seconds'));
        await userEvent.type(screen.getByLabelText('Within seconds'), '4');
        await choose('Save');
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({
                within: 4_000,
                notes: null,
                minutes: null,
            }),
        );
        expect(JSON.stringify(asked.find((one) => one.method === 'PUT')?.body)).not.toContain('race');
    });

    it('two sides take turns, and what one misses is the next of the other', async () => {
        open();
        await userEvent.click(await screen.findByRole('button', { name: 'Two sides (s)' }));
        await userEvent.click(await screen.findByRole('button', { name: 'Start' }));
        await choose('C');
        expect(screen.getByText('Not yet. It goes to the other side.')).toBeTruthy();
        expect(screen.queryByText('From middle C up: E.')).toBeNull();
        await choose('Go on');
        // The same card, for the other side; missed again, it is told.
        await choose('C');
        expect(screen.getByText('From middle C up: E.')).toBeTruthy();
        await choose('Go on');
        await choose('F');
        expect(screen.getByText('✓ Yes!')).toBeTruthy();
        await choose('Go on');
        expect(screen.getByRole('img', { name: '2 of 10 cards' })).toBeTruthy();
    });
});
