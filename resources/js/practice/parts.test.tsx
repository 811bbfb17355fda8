// @vitest-environment jsdom
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { aSession } from '../../../tests/room';
import { draw, serve } from '../../../tests/screen';
import { MidiChoice } from '../shared/midi/MidiChoice';
import { waitingSteps } from '../shared/queue';
import { AtTheLesson } from './AtTheLesson';
import { gained } from './gained';
import { HearAgain, useHeard } from './Heard';
import { Keys } from './Keys';
import { Latency } from './Latency';
import { latency } from './latency';
import { SessionRun } from './run';
import { StaffLadder } from './StaffLadder';
import { TrainingSettings } from './TrainingSettings';
import { TwoSides } from './TwoSides';
import type { CardData, Deck } from './useSession';

const sound = vi.hoisted(() => ({ hear: vi.fn(), count: vi.fn() }));
vi.mock('./sound', () => sound);
vi.mock('../shared/score/engraved', () => ({ engraved: () => Promise.resolve('<svg></svg>') }));
vi.mock('../shared/sound/strike', () => ({ strike: () => Promise.resolve() }));

const card = (change: Partial<CardData>): CardData => ({
    id: 'name treble:E4',
    ask: 'Which note is this?',
    by: 'option',
    right: ['E'],
    way: 'From middle C up: C D E.',
    letter: 'E',
    music: null,
    sign: null,
    options: ['C', 'D', 'E'].map((id) => ({ id, label: id })),
    hear: [],
    taps: null,
    ...change,
});

const deckOf = (cards: CardData[], change: Partial<Deck> = {}): Deck => ({
    taskId: null,
    page: null,
    kind: 'name',
    words: '',
    cards,
    sessions: [aSession(cards.map((one) => one.id))],
    ...change,
});

const roomOf = (studentId: number, cards: CardData[]) => ({
    studentId,
    student: 'Ida',
    date: '2031-05-06',
    minutes: 2,
    best: 0,
    decks: [deckOf(cards)],
    lines: [],
});

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

beforeEach(() => {
    sound.hear.mockReset().mockResolvedValue(0);
    sound.count.mockReset();
    localStorage.clear();
});
afterEach(() => void vi.useRealTimers());

describe('a staff to touch', () => {
    const PLACES = [
        'ledger 1 above',
        'space above',
        'line 5',
        'space 4',
        'line 4',
        'space 3',
        'line 3',
        'space 2',
        'line 2',
        'space 1',
        'line 1',
        'space below',
        'ledger 1 below',
    ];
    const place = card({ by: 'staff', right: ['p10'], options: PLACES.map((label, i) => ({ id: `p${i}`, label })) });

    it('has a target for every line and space, and a ledger line where one is', async () => {
        const chosen: string[] = [];
        draw(<StaffLadder card={place} verdict={null} choose={(id) => chosen.push(id)} onDrawn={() => undefined} />);
        for (const label of PLACES) expect(screen.getByRole('button', { name: label })).toBeTruthy();
        const ledgers = screen.getAllByRole('button').filter((one) => one.dataset.ledger === 'yes');
        expect(ledgers.map((one) => one.getAttribute('aria-label'))).toEqual(['ledger 1 above', 'ledger 1 below']);
        await press('line 1');
        expect(chosen).toEqual(['p10']);
    });

    it('shows what was right and what was chosen, and takes no more', async () => {
        const chosen: string[] = [];
        draw(
            <StaffLadder
                card={place}
                verdict={{ right: false, given: 'p2' }}
                choose={(id) => chosen.push(id)}
                onDrawn={() => undefined}
            />,
        );
        expect(screen.getByRole('button', { name: 'line 1' }).dataset.mark).toBe('right');
        expect(screen.getByRole('button', { name: 'line 5' }).dataset.mark).toBe('wrong');
        await press('space 2');
        expect(chosen).toEqual([]);
    });
});

describe('large keys', () => {
    it('are struck by letters, with shift the black one above, and by nothing once it is answered', async () => {
        const struck: number[] = [];
        const keys = (disabled: boolean) => (
            <Keys range={[60, 71]} around={64} marked={[]} struck={(key) => struck.push(key)} disabled={disabled} />
        );
        const { unmount } = draw(keys(false));
        await userEvent.keyboard('c');
        await userEvent.keyboard('{Shift>}F{/Shift}');
        await userEvent.keyboard('b');
        expect(struck).toEqual([60, 66, 71]);
        unmount();
        draw(keys(true));
        await userEvent.keyboard('c');
        expect(struck).toHaveLength(3);
    });
});

const SOUNDING = card({ hear: [{ key: 60, at: 0, lasts: 100 }] });

function Sounding({ over }: { over: () => void }) {
    return <HearAgain heard={useHeard(SOUNDING, over)} />;
}

describe('what sounds for a card', () => {
    it('sounds by itself, tells when it is over, and sounds again', async () => {
        const over = vi.fn();
        draw(<Sounding over={over} />);
        await waitFor(() => expect(over).toHaveBeenCalledTimes(1));
        await press('Hear it again');
        expect(sound.hear).toHaveBeenCalledTimes(2);
    });

    it('says what to do where the device gives no sound, and the card can be answered all the same', async () => {
        sound.hear.mockRejectedValue(new Error('no sound'));
        const over = vi.fn();
        draw(<Sounding over={over} />);
        expect((await screen.findByRole('alert')).textContent).toContain('This device gives no sound');
        await waitFor(() => expect(over).toHaveBeenCalled());
    });
});

describe('the latency of a device', () => {
    it('is what taps with eight clicks say, kept for the next time', async () => {
        vi.useFakeTimers({ shouldAdvanceTime: true });
        let tapped = 0;
        sound.count.mockResolvedValue({ until: 4_800, since: () => tapped++ * 600 + 45 - 4_800 });
        const done = vi.fn();
        draw(<Latency done={done} />);
        fireEvent.click(screen.getByRole('button', { name: 'Start the clicks' }));
        const pad = await screen.findByRole('button', { name: 'Tap' });
        for (let i = 0; i < 8; i++) fireEvent.pointerDown(pad);
        await act(async () => void vi.advanceTimersByTime(5_500));
        expect(done).toHaveBeenCalledOnce();
        expect(latency()).toBe(45);
    });

    it('is asked again where the taps were not with the clicks, or done without', async () => {
        vi.useFakeTimers({ shouldAdvanceTime: true });
        sound.count.mockResolvedValue({ until: 4_800, since: () => 0 });
        const done = vi.fn();
        draw(<Latency done={done} />);
        fireEvent.click(screen.getByRole('button', { name: 'Start the clicks' }));
        await screen.findByRole('button', { name: 'Tap' });
        await act(async () => void vi.advanceTimersByTime(5_500));
        expect(screen.getByRole('status').textContent).toBe('That was not quite with the clicks. Once more?');
        expect(done).not.toHaveBeenCalled();
        fireEvent.click(screen.getByRole('button', { name: 'Do without' }));
        expect(latency()).toBe(0);
    });

    it('says so where the device gives no sound', async () => {
        sound.count.mockRejectedValue(new Error('no sound'));
        draw(<Latency done={() => undefined} />);
        await press('Start the clicks');
        expect((await screen.findByRole('alert')).textContent).toContain('This device gives no sound');
    });

    it('that somebody has changed to nonsense is measured anew', () => {
        for (const nonsense of ['soon', '1.5', 'NaN']) {
            localStorage.setItem('nasturtium.latency', nonsense);
            expect(latency()).toBeNull();
        }
    });
});

describe('a MIDI keyboard', () => {
    const midi = (change: object = {}) => ({
        sources: [{ id: 'stand-in', name: 'Stand-in keyboard', listen: () => () => undefined }],
        chosen: null,
        choose: vi.fn(),
        look: vi.fn(),
        trouble: null,
        standIn: null as never,
        ...change,
    });

    it('is looked for on a press, and chosen where there are several', async () => {
        const one = midi();
        const { unmount } = draw(<MidiChoice midi={one} label="Answer with" />);
        expect(screen.queryByRole('combobox')).toBeNull();
        await press('Connect a MIDI keyboard');
        expect(one.look).toHaveBeenCalledOnce();
        unmount();
        const two = midi({ sources: [...one.sources, { ...one.sources[0], id: 'p', name: 'Piano' }] });
        draw(<MidiChoice midi={two} label="Answer with" />);
        await userEvent.click(screen.getByRole('combobox', { name: 'Answer with' }));
        await userEvent.click(screen.getByRole('option', { name: 'Piano' }));
        expect(two.choose).toHaveBeenCalledWith('p', expect.anything());
    });

    it('that is not there is said', () => {
        draw(<MidiChoice label="Answer with" midi={midi({ trouble: 'No MIDI keyboard is connected.' })} />);
        expect(screen.getByRole('status').textContent).toBe('No MIDI keyboard is connected.');
    });
});

describe('what a session brought', () => {
    const e = card({});
    const sign = card({ id: 'say f', letter: null });
    const run = (deck: Deck, answered: string[]) => {
        const made = new SessionRun(deck.sessions[0] ?? aSession([]));
        for (const id of answered) made.answer(id, { right: true, milliseconds: 900 });
        return gained(deck, made);
    };

    it('is said in one sentence: sure of, met, or good practice', () => {
        expect(run(deckOf([e]), Array(3).fill(e.id))).toBe('You are sure of E now.');
        expect(run(deckOf([e]), [e.id])).toBe('You met E today.');
        expect(run(deckOf([sign]), Array(3).fill(sign.id))).toBe('You are sure of one more card now.');
        expect(run(deckOf([sign]), [sign.id])).toBe('You met something new today.');
        expect(run(deckOf([e]), [])).toBe('That was good practice.');
        const two = [sign, card({ id: 'say p', letter: null })];
        const all = two.flatMap((one) => Array(3).fill(one.id));
        expect(run(deckOf(two), all)).toBe('You are sure of 2 more cards now.');
    });
});

describe('what the teacher sets', () => {
    const SETTINGS = {
        kinds: ['name', 'echo'],
        notes: ['treble:C4', 'bass:F3'],
        minutes: 1,
        answers: 8,
        right: 80,
        within: 4_000,
    };

    it('stands there as it was set, and goes back as it is', async () => {
        const asked = serve({ 'PUT /students/4/training': () => SETTINGS });
        const saved = vi.fn();
        draw(<TrainingSettings student={4} settings={SETTINGS} saved={saved} />);
        expect((screen.getByLabelText('Name it') as HTMLInputElement).checked).toBe(true);
        expect((screen.getByLabelText('Tap it') as HTMLInputElement).checked).toBe(false);
        expect(screen.getAllByText('F3 bass').length).toBeGreaterThan(0);
        await press('Save');
        await waitFor(() => expect(saved).toHaveBeenCalled());
        expect(asked[0]?.body).toEqual(SETTINGS);
    });

    it('that is refused is told where it was typed, and stays', async () => {
        serve({
            'PUT /students/4/training': () =>
                Response.json(
                    { message: 'x', errors: { kinds: ['Leave at least one kind of drill.'] } },
                    { status: 422 },
                ),
        });
        draw(<TrainingSettings student={4} settings={{ ...SETTINGS, kinds: ['name'] }} saved={() => undefined} />);
        await userEvent.click(screen.getByLabelText('Name it'));
        await press('Save');
        expect((await screen.findByRole('alert')).textContent).toContain('Leave at least one kind of drill.');
        expect((screen.getByLabelText('Name it') as HTMLInputElement).checked).toBe(false);
    });
});

describe('on the teacher’s screen', () => {
    const cards = [card({}), card({ id: 'name treble:F4', right: ['D'], letter: 'F' })];

    it('figures and letters answer a card, and do not leave the room', async () => {
        const finger = cards.map((one, i) => ({
            ...one,
            right: [String(i + 1)],
            options: ['1', '2', '3'].map((id) => ({ id, label: id })),
        }));
        const room = { ...roomOf(4, []), decks: [deckOf(finger, { kind: 'finger' })] };
        serve({
            'GET /students/4/room': () => room,
            'POST /students/4/answers': () => new Response(null, { status: 204 }),
        });
        draw(<AtTheLesson student={4} leave={() => undefined} />);
        await userEvent.click(await screen.findByRole('button', { name: /^Which finger/ }));
        await userEvent.keyboard('3');
        expect(await screen.findByText('Not yet. This is how to find it:')).toBeTruthy();
        expect(screen.getByRole('button', { name: '3' }).dataset.mark).toBe('wrong');
    });

    it('what cannot be sent is kept, also when the screen is left, and sent when it can be', async () => {
        let online = false;
        const asked = serve({
            'GET /students/4/room': () => roomOf(4, cards),
            'POST /students/4/answers': () => {
                if (!online) throw new TypeError('no connection');
                return new Response(null, { status: 204 });
            },
        });
        const { unmount } = draw(<AtTheLesson student={4} leave={() => undefined} />);
        await userEvent.click(await screen.findByRole('button', { name: /^Name it/ }));
        await userEvent.keyboard('e');
        await press('← Practice room');
        expect(await screen.findByText('Not saved yet; kept until there is a connection.')).toBeTruthy();
        unmount();
        expect(waitingSteps('room.4')).toHaveLength(1);
        online = true;
        draw(<AtTheLesson student={4} leave={() => undefined} />);
        await waitFor(() => expect(waitingSteps('room.4')).toHaveLength(0));
        expect(asked.filter((one) => one.method === 'POST').at(-1)?.body).toMatchObject({ studentId: 4, kind: 'name' });
    });

    it('two sides with the cards of one student never have what the other has just seen', async () => {
        serve({ 'GET /students/4/room': () => roomOf(4, cards), 'GET /students': () => [] });
        draw(<TwoSides student={4} name="Ida K." leave={() => undefined} />);
        await userEvent.click(await screen.findByRole('button', { name: 'Start' }));
        await userEvent.keyboard('e');
        expect(screen.getByText('✓ Yes!')).toBeTruthy();
        await userEvent.keyboard('{Enter}');
        // The second card is another: its right answer is D.
        await userEvent.keyboard('d');
        expect(screen.getByText('✓ Yes!')).toBeTruthy();
    });

    it('two students take turns, each with cards of their own', async () => {
        const otto = [card({ id: 'name bass:C3', right: ['C'], ask: 'Otto’s note?' }), ...cards];
        serve({
            'GET /students/4/room': () => roomOf(4, cards),
            'GET /students/5/room': () => roomOf(5, otto),
            'GET /students': () => [{ id: 5, name: 'Otto T.', leftOn: null }],
        });
        draw(<TwoSides student={4} name="Ida K." leave={() => undefined} />);
        await userEvent.click(await screen.findByRole('combobox', { name: 'The other side' }));
        await userEvent.click(await screen.findByRole('option', { name: 'Otto T.' }));
        await userEvent.click(await screen.findByRole('button', { name: 'Start' }));
        await userEvent.keyboard('e');
        await userEvent.keyboard('{Enter}');
        expect(screen.getByRole('group', { name: 'Otto’s note?' })).toBeTruthy();
        expect(screen.getByRole('img', { name: '1 of 10 cards' })).toBeTruthy();
    });
});
