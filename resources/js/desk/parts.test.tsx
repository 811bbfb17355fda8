// @vitest-environment jsdom
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import { describe, expect, it } from 'vitest';
import { dataOf } from '../../../tests/report';
import { draw, drawRoom, serve } from '../../../tests/screen';
import { KeyMap } from '../shared/piano/KeyMap';
import { Ask } from './Ask';
import { BarTiles } from './BarTiles';
import { FingerChoice } from './FingerChoice';
import { LensBar } from './LensBar';
import { NoteWords } from './NoteWords';
import { PagePath } from './PagePath';
import { heads } from './SheetMusic';
import { useDesk } from './useDesk';
import { VerdictChoice } from './VerdictChoice';

const DATA = dataOf('R: @c4 q1 2 h3 | q1 f+ r h5 | q1 2 h3\nL: @5=c3 w5 | h1 2 | w5\n');
const idAt = (place: string, hand = 'R') =>
    DATA.report.events.find((event) => event.place === place && event.hand === hand)?.id ?? '';

function Lenses() {
    const desk = useDesk(DATA.report);
    return (
        <>
            <LensBar desk={desk} />
            <output>{desk.lenses.join(' + ')}</output>
        </>
    );
}

function Room() {
    return (
        <>
            <Lenses />
            <p>{useLocation().search}</p>
        </>
    );
}

describe('the lenses', () => {
    it('are looked through one at a time, or two with Shift', async () => {
        const user = userEvent.setup();
        draw(<Lenses />);
        const shown = () => screen.getByRole('status').textContent;
        expect(shown()).toBe('look over');
        await user.click(screen.getByRole('button', { name: /fingers/ }));
        expect(shown()).toBe('fingers');
        await user.keyboard('{Shift>}');
        await user.click(screen.getByRole('button', { name: /counts/ }));
        await user.keyboard('{/Shift}');
        expect(shown()).toBe('fingers + counts');
        // The second one becomes the first, and stands alone.
        await user.click(screen.getByRole('button', { name: /counts/ }));
        expect(shown()).toBe('counts');
    });

    it('stand in the address, which opens them again and keeps whose page it is', async () => {
        const user = userEvent.setup();
        drawRoom('/desk', '/desk?student=4&lens=notes,counts&say=solfege', <Room />);
        expect(screen.getByRole('status').textContent).toBe('notes + counts');
        expect(screen.getByRole('combobox', { name: 'What is said of a note' })).toHaveProperty('value', 'Do re mi');
        await user.click(screen.getByRole('button', { name: /fingers/ }));
        expect(await screen.findByText('?student=4&lens=fingers%2Ccounts&say=solfege')).toBeTruthy();
        cleanup();
        drawRoom('/desk', '/desk?lens=nonsense&say=nothing', <Room />);
        expect(screen.getByRole('status').textContent).toBe('look over');
    });

    it('asks what is said of a note only where notes are named', async () => {
        draw(<Lenses />);
        expect(screen.queryByLabelText('What is said of a note')).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: /notes/ }));
        expect(screen.getAllByLabelText('What is said of a note').length).toBeGreaterThan(0);
    });
});

describe('the bars as tiles', () => {
    it('are one stop for the tab key; arrows go from bar to bar and leave the keys of the room alone', async () => {
        const user = userEvent.setup();
        const chosen: [number, boolean][] = [];
        const roomHeard: string[] = [];
        const listen = (event: KeyboardEvent) => roomHeard.push(event.key);
        window.addEventListener('keydown', listen);
        draw(<BarTiles report={DATA.report} chosen={new Set()} choose={(...bar) => chosen.push(bar)} />);
        await user.tab();
        expect(document.activeElement?.getAttribute('aria-label')).toMatch(/^Bar 1, /);
        await user.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}{Enter}');
        expect(document.activeElement?.getAttribute('aria-label')).toMatch(/^Bar 3, /);
        await user.tab();
        expect(document.activeElement).toBe(document.body);
        window.removeEventListener('keydown', listen);
        expect(chosen).toEqual([[2, false]]);
        expect(roomHeard).not.toContain('ArrowRight');
    });
});

describe('a finger of the teacher’s', () => {
    it('is set for one note beside those that are set already, and undone', async () => {
        const user = userEvent.setup();
        const asked = serve({ 'PUT /pieces/7/fingers': () => new Response(null, { status: 204 }) });
        const other = { hand: 'L', place: '1.1', pitch: 'C3', finger: 4 } as const;
        draw(<FingerChoice data={{ ...DATA, ownFingers: [other] }} id={idAt('1.2')} />);
        await user.click(screen.getByRole('button', { name: '4' }));
        await waitFor(() => expect(asked).toHaveLength(1));
        expect(asked[0]?.body).toEqual({ fingers: [other, { hand: 'R', place: '1.2', pitch: 'D4', finger: 4 }] });
        await user.click(await screen.findByRole('button', { name: /Undo/ }));
        await waitFor(() => expect(asked).toHaveLength(2));
        expect(asked[1]?.body).toEqual({ fingers: [other] });
    });

    it('is set and taken back by keys', async () => {
        const asked = serve({ 'PUT /pieces/7/fingers': () => new Response(null, { status: 204 }) });
        const own = { hand: 'R', place: '1.2', pitch: 'D4', finger: 4 } as const;
        draw(<FingerChoice data={{ ...DATA, ownFingers: [own] }} id={idAt('1.2')} />);
        await userEvent.keyboard('0');
        await waitFor(() => expect(asked[0]?.body).toEqual({ fingers: [] }));
    });

    it('takes the other choice of a standard pattern by one press, and takes it back', async () => {
        const asked = serve({ 'PUT /pieces/7/fingers': () => new Response(null, { status: 204 }) });
        const scale = dataOf('key: Bb\nR: @b3 v b c d e f g a b\n');
        draw(<FingerChoice data={scale} id={scale.report.events[0]?.id ?? ''} />);
        expect(screen.getByText('B♭ major scale, standard fingering')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'The other choice: 4 (o)' }));
        await waitFor(() =>
            expect(asked[0]?.body).toEqual({ fingers: [{ hand: 'R', place: '1.1', pitch: 'Bb3', finger: 4 }] }),
        );
        await userEvent.keyboard('u');
        await waitFor(() => expect(asked[1]?.body).toEqual({ fingers: [] }));
    });

    it('has no other choice where there is one standard', async () => {
        serve({});
        const scale = dataOf('R: @c4 v c d e f g a b c\n');
        draw(<FingerChoice data={scale} id={scale.report.events[0]?.id ?? ''} />);
        expect(screen.getByText('C major scale, standard fingering')).toBeTruthy();
        expect(screen.queryByRole('button', { name: /other choice/ })).toBeNull();
    });

    it('says why it could not be kept', async () => {
        serve({ 'PUT /pieces/7/fingers': () => Response.json({ message: 'No.' }, { status: 500 }) });
        draw(<FingerChoice data={DATA} id={idAt('1.2')} />);
        await userEvent.click(screen.getByRole('button', { name: '2' }));
        expect(await screen.findByRole('alert')).toBeTruthy();
    });
});

describe('the teacher’s word on a bar', () => {
    it('is sent, and what stands is pressed', async () => {
        const asked = serve({ 'PUT /pieces/7/verdict': () => new Response(null, { status: 204 }) });
        draw(<VerdictChoice data={DATA} measure={2} />);
        expect(screen.getByRole('button', { name: /Let the program judge/, pressed: true })).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: /Easy/ }));
        await waitFor(() => expect(asked[0]?.body).toEqual({ measure: 2, verdict: 'easy' }));
        await userEvent.keyboard('x');
        await waitFor(() => expect(asked[1]?.body).toEqual({ measure: 2, verdict: 'hard' }));
    });
});

describe('the tiles', () => {
    it('say what each bar is, with its thorn and what it equals', async () => {
        const chosen: number[] = [];
        draw(<BarTiles report={DATA.report} chosen={new Set([1])} choose={(index) => chosen.push(index)} />);
        expect(screen.getByRole('button', { name: 'Bar 1, R+L, equal bars a' })).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Bar 2, R+L, sticks, to be checked', pressed: true })).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: /Bar 3/ }));
        expect(chosen).toEqual([2]);
    });
});

describe('questions about the page', () => {
    it('are asked five at a time; an answer goes to its bar, and others come', async () => {
        const asked = serve({
            'GET /pieces/7/questions?seed=1': () => [{ ask: 'Where is a tie?', answer: 'In bar 3.', bars: [3] }],
            'GET /pieces/7/questions?seed=2': () => [],
        });
        const bars: number[] = [];
        draw(<Ask piece={7} toBar={(bar) => bars.push(bar)} />);
        expect(asked).toEqual([]);
        await userEvent.click(screen.getByRole('button', { name: 'Ask about this page' }));
        await userEvent.click(await screen.findByRole('button', { name: 'Answer: Where is a tie?' }));
        expect(screen.getByText('In bar 3.')).toBeTruthy();
        expect(bars).toEqual([3]);
        await userEvent.click(screen.getByRole('button', { name: 'Other questions' }));
        expect(await screen.findByText('There is nothing to ask about this page.')).toBeTruthy();
    });
});

describe('questions one by one', () => {
    const questions = [
        { ask: 'Where is a tie?', answer: 'In bar 3.', bars: [3] },
        { ask: 'How many beats are in a bar?', answer: '4.', bars: [1] },
    ];

    it('are answered by Enter, light their bars, and begin again after the last', async () => {
        serve({ 'GET /pieces/7/questions?seed=1': () => questions });
        const bars: number[] = [];
        draw(<Ask piece={7} toBar={(bar) => bars.push(bar)} />);
        await userEvent.click(screen.getByRole('button', { name: 'Ask about this page' }));
        await userEvent.click(await screen.findByRole('radio', { name: 'One by one' }));
        expect(screen.getByText('1 of 2')).toBeTruthy();
        expect(screen.queryByText('In bar 3.')).toBeNull();
        await userEvent.keyboard('{Enter}');
        expect(screen.getByText('In bar 3.')).toBeTruthy();
        expect(bars).toEqual([3]);
        await userEvent.keyboard('{Enter}');
        expect(screen.getByText('How many beats are in a bar?')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Answer' }));
        await userEvent.click(screen.getByRole('button', { name: 'From the first again' }));
        expect(screen.getByText('1 of 2')).toBeTruthy();
        expect(bars).toEqual([3, 1]);
    });

    it('go to paper as a sheet of the page', async () => {
        serve({ 'GET /pieces/7/questions?seed=1': () => questions });
        draw(<Ask piece={7} toBar={() => undefined} />);
        await userEvent.click(screen.getByRole('button', { name: 'Ask about this page' }));
        const link = await screen.findByRole('link', { name: 'As a sheet' });
        expect(link.getAttribute('href')).toBe('/worksheets?kind=recall&piece=7');
    });
});

describe('one note', () => {
    it('is told with its place, move, finger and count', () => {
        draw(<NoteWords report={DATA.report} id={idAt('1.3')} />);
        const words = screen.getByRole('region', { name: 'The chosen note' }).textContent;
        expect(words).toBe(
            'bar 1, beat 3, right handE4 on line 1; mi; step up; finger 3, printed; 2 beats; counted 3 (4).',
        );
    });
});

describe('the path of a page', () => {
    const learning = {
        id: 5,
        pieceId: 7,
        path: 'beat',
        pathId: null,
        stages: [
            { name: 'look over', passedOn: '2031-05-05' },
            { name: 'finish', passedOn: null },
        ],
    };
    const paths = [
        { id: null, kind: 'beat', name: 'Beat first', steps: [] },
        { id: 3, kind: 'own', name: 'Humming', steps: [] },
    ];

    it('is changed for this page, and tells what is passed', async () => {
        const asked = serve({
            'GET /students/1': () => ({ opened: [{ id: 5, pieceId: 7, title: 'Blue Gate' }] }),
            'GET /learnings/5': () => learning,
            'GET /paths': () => paths,
            'PUT /learnings/5/path': () => ({}),
        });
        draw(<PagePath pieceId={7} path="Beat first" student="1" />);
        expect(await screen.findByText(/1 of 2 stages passed, look over on 5 May/)).toBeTruthy();
        await userEvent.click(screen.getByRole('combobox', { name: 'The path of this page' }));
        await userEvent.click(await screen.findByRole('option', { name: 'Humming' }));
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ path: 'beat', pathId: 3 }),
        );
    });

    it('asks for a student where there is none, and says when the page is not open', async () => {
        serve({ 'GET /students/1': () => ({ opened: [] }) });
        draw(<PagePath pieceId={7} path="Beat first" student={null} />);
        expect(screen.getByText(/Choose a student/)).toBeTruthy();
        draw(<PagePath pieceId={7} path="Beat first" student="1" />);
        expect(await screen.findByText(/not open for this student/)).toBeTruthy();
    });
});

describe('what is drawn', () => {
    it('marks keys with their fingers, and names middle C', () => {
        draw(
            <KeyMap
                title="At the start"
                signs={[
                    { midi: 61, text: '2', hand: 'R' },
                    { midi: 96, text: '5', hand: 'L' },
                ]}
            />,
        );
        const keys = screen.getByRole('img', { name: 'At the start' });
        expect(within(keys).getByText('2')).toBeTruthy();
        expect(within(keys).getByText('C4')).toBeTruthy();
        // From C3 up to the B above the highest key told of: five octaves.
        expect(keys.querySelectorAll('rect')).toHaveLength(60);
    });

    it('rings the heads that are meant, inside chords too', () => {
        const { report } = dataOf('R: @c4 q1 (13) 3 3 | (13) h.3\n');
        const ring = report.rings.find((one) => one.what === 'E');
        expect(ring?.times).toBe(5);
        expect(ring && heads(report, ring)).toHaveLength(5);
        expect(ring && heads(report, ring).filter((id) => id.endsWith('.1'))).toHaveLength(2);
    });
});
