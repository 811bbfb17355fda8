// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { draw, drawRoom, serve } from '../../../tests/screen';
import type { Api } from '../api';
import { NoteMap } from '../shared/score/NoteMap';
import { drawn } from './Charts';
import { daysOf, Overview } from './Overview';
import { StudentProgress } from './StudentProgress';
import { TermReport } from './TermReport';

/** A drawing in which E4 alone stands, 10 pixels wide. */
vi.mock('../shared/score/Score', () => ({
    Score: ({ title, overlay }: { title: string; overlay: (places: unknown) => ReactNode }) => (
        <>
            <div role="img" aria-label={title} />
            {overlay({ notes: new Map([['treble-E4', { x: 40, y: 30, width: 10, height: 8 }]]) })}
        </>
    ),
}));

const SESSION = { 'GET /session': () => ({ name: 'Odile', studio: { name: 'A Studio', today: '2031-05-05' } }) };

const NOTES: Api['KnownNoteResource'][] = [
    { id: 'bass-C3', clef: 'bass', pitch: 'C3', place: 'space 2', midi: 48, status: 'secure' },
    { id: 'treble-E4', clef: 'treble', pitch: 'E4', place: 'line 1', midi: 64, status: 'shaky' },
];

const PROGRESS = {
    studentId: 1,
    student: 'Ida T.',
    from: '2031-02-10',
    to: '2031-05-05',
    words: ['Ida practised on 4 of 5 planned days, 31 minutes in all. That is steady work.'],
    notes: NOTES,
    chart: '<score-partwise/>',
    weeks: [
        {
            startsOn: '2031-04-28',
            planned: 40,
            practised: 31,
            daysPlanned: 5,
            daysPractised: 4,
            secure: 9,
            shaky: 1,
            proposed: 12,
            added: 1,
            removed: 2,
            kept: 3,
        },
    ],
    tempi: [{ piece: 'Blue Gate', points: [{ date: '2031-04-29', tempo: 60, atLesson: false }] }],
    takes: [{ piece: 'Blue Gate', days: [{ date: '2031-04-30', takes: 4, clean: 3, tempo: 58, steady: 91 }] }],
    slips: [{ kind: 'cut-short', words: 'rest skipped', recent: 1, before: 3 }],
    places: [{ piece: 'Blue Gate', place: 'bar 2', words: 'rest skipped', times: 3 }],
    pace: [{ book: 'Made-up Book', left: 6, perWeek: '1/2', from: '2031-06-02', to: null }],
};

const ASKED = { 'GET /students/1/progress?from=2031-02-10&to=2031-05-05': () => PROGRESS };

describe('the lines of the tempo', () => {
    it('are those of the pieces played on most days, in the order they were begun', () => {
        const played = (piece: string, days: number) => ({
            piece,
            points: [...Array(days)].map((_, day) => ({ date: `2031-05-1${day}`, tempo: 60, atLesson: false })),
        });
        const tempi = [played('a', 2), played('b', 1), played('c', 5), played('d', 3), played('e', 4)];
        expect(drawn(tempi).map((one) => one.piece)).toEqual(['a', 'c', 'd', 'e']);
        expect(drawn(tempi.slice(0, 2))).toEqual(tempi.slice(0, 2));
    });
});

describe('how a student gets on', () => {
    it('is told in sentences, with a table behind each picture', async () => {
        serve({ ...SESSION, ...ASKED });
        drawRoom('/students/:student/progress', '/students/1/progress', <StudentProgress />);
        expect(await screen.findByText(/Ida practised on 4 of 5 planned days/)).toBeTruthy();
        const table = within(screen.getByRole('table', { name: 'Minutes and days, week by week', hidden: true }));
        expect(table.getAllByRole('cell', { hidden: true }).map((cell) => cell.textContent)).toEqual([
            '28 Apr',
            '40 min',
            '31 min',
            '5',
            '4',
        ]);
        expect(screen.getByText(/3 before, 1 lately/)).toBeTruthy();
        expect(screen.getByText(/Blue Gate, bar 2 \(rest skipped, 3 times\)/)).toBeTruthy();
        expect(screen.getByText(/At the earliest 2 Jun 2031/)).toBeTruthy();
        expect(screen.getByText(/you removed 2 and added 1 of/)).toBeTruthy();
    });

    it('has no picture where there was no week', async () => {
        serve({
            ...SESSION,
            'GET /students/1/progress?from=2031-02-10&to=2031-05-05': () => ({ ...PROGRESS, weeks: [] }),
        });
        drawRoom('/students/:student/progress', '/students/1/progress', <StudentProgress />);
        expect(await screen.findByText('No week in this time')).toBeTruthy();
    });
});

describe('the notes of a student', () => {
    it('are engraved and ringed by status, and named for those who do not see them', () => {
        draw(<NoteMap notes={NOTES} chart="<score-partwise/>" />);
        expect(screen.getByRole('img', { name: 'Notes on the staff. secure: C3; shaky: E4' })).toBeTruthy();
        const shaky = screen.getByTitle('E4, line 1: shaky');
        expect(shaky.dataset.status).toBe('shaky');
        // Four pixels around the head that stands at 40, 30.
        expect([shaky.style.left, shaky.style.top, shaky.style.width]).toEqual(['36px', '26px', '18px']);
        // What is not in the drawing has no ring.
        expect(screen.queryByTitle(/^C3/)).toBeNull();
    });
});

describe('a term report', () => {
    it('prints the words as the teacher leaves them', async () => {
        serve({ ...SESSION, ...ASKED });
        drawRoom('/students/:student/report', '/students/1/report?from=2031-02-10&to=2031-05-05', <TermReport />);
        const words = await screen.findByLabelText('Sentences');
        await userEvent.clear(words);
        await userEvent.type(words, 'Ida sings.{Enter}And plays.');
        const report = within(screen.getByRole('article', { name: 'The report' }));
        expect(report.getByText('Ida sings.')).toBeTruthy();
        expect(report.getByText('And plays.')).toBeTruthy();
        expect(report.getByRole('heading', { name: 'Ida T., 10 Feb to 5 May' })).toBeTruthy();
    });

    it('is of the last twelve weeks where its address says no time, and of twelve before the day it says', async () => {
        const asked: string[] = [];
        const of = (from: string, to: string) => ({
            [`GET /students/1/progress?from=${from}&to=${to}`]: () => {
                asked.push(`${from} ${to}`);
                return PROGRESS;
            },
        });
        serve({ ...SESSION, ...of('2031-02-10', '2031-05-05'), ...of('2031-01-06', '2031-03-31') });
        for (const query of ['', '?to=2031-03-31']) {
            const room = drawRoom('/students/:student/report', `/students/1/report${query}`, <TermReport />);
            await screen.findByLabelText('Sentences');
            room.unmount();
        }
        expect(asked).toEqual(['2031-02-10 2031-05-05', '2031-01-06 2031-03-31']);
    });
});

describe('the whole studio', () => {
    const day = (date: string, planned: number, practised: number) => ({
        date,
        minutes: 15,
        planned,
        practised,
        taskIds: [],
        each: [],
    });
    const row = (change: object) => ({
        studentId: 1,
        student: 'Ida T.',
        leaf: [],
        stuck: [],
        waiting: [],
        pieces: [],
        reviewsDue: [],
        left: [],
        ...change,
    });

    it('says whether thorns stand where it goes wrong', async () => {
        serve({
            'GET /session': () => ({
                name: 'Odile',
                role: 'owner',
                studio: { name: 'A Studio', today: '2031-05-05' },
            }),
            'GET /this-week': () => [row({})],
            'GET /progress/thorns': () => ({ words: 'Where a thorn stands, something went wrong 3 times as often.' }),
        });
        drawRoom('/progress', '/progress', <Overview />);
        expect((await screen.findByRole('region', { name: 'Trouble spots' })).textContent).toContain(
            '3 times as often',
        );
    });

    it('shows who practised, who is stuck, what does not fit and what is due', async () => {
        serve({
            ...SESSION,
            'GET /progress/thorns': () => ({ words: 'Too little was heard yet.' }),
            'GET /this-week': () => [
                row({ leaf: [day('2031-05-04', 9, 9), day('2031-05-05', 9, 0)], reviewsDue: ['Thaw'] }),
                row({
                    studentId: 2,
                    student: 'Otto V.',
                    stuck: ['Blue Gate: left hand, 3 lessons'],
                    left: ['Theory: no room before Monday; 2 min short'],
                }),
            ],
        });
        drawRoom('/progress', '/progress', <Overview />);
        expect(await screen.findByText('1 of 2 days so far')).toBeTruthy();
        expect(
            within(screen.getByRole('region', { name: 'Stuck' })).getByText('Blue Gate: left hand, 3 lessons'),
        ).toBeTruthy();
        expect(
            within(screen.getByRole('region', { name: 'The plan does not fit' })).getByText(/2 min short/),
        ).toBeTruthy();
        expect(within(screen.getByRole('region', { name: 'Review is due' })).getByText('Thaw')).toBeTruthy();
    });

    it('counts no day that is to come', () => {
        const leaf = [day('2031-05-04', 9, 9), day('2031-05-05', 9, 0), day('2031-05-06', 9, 0)];
        expect(daysOf({ leaf }, '2031-05-05')).toEqual({ planned: 2, practised: 1 });
    });
});
