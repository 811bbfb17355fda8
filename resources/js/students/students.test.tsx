// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, drawRoom, serve } from '../../../tests/screen';
import { type Api, ApiError } from '../api';
import { NEW_STUDENT, type StudentDraft } from './draft';
import { FamilyLinks } from './FamilyLinks';
import { LearningCard } from './LearningCard';
import { OpenPage } from './OpenPage';
import { StudentForm } from './StudentForm';
import { StudentPage } from './StudentPage';

const PATHS = [
    { id: null, kind: 'beat', name: 'Beat first', steps: [] },
    { id: null, kind: 'notes', name: 'Notes first', steps: [] },
    { id: 3, kind: 'own', name: 'Humming', steps: [] },
];

const choose = async (label: string, option: string) => {
    await userEvent.click(screen.getByRole('combobox', { name: label }));
    await userEvent.click(await screen.findByRole('option', { name: option }));
};

describe('a student as the teacher describes them', () => {
    function form(start: StudentDraft = { ...NEW_STUDENT, firstName: 'Otto', initial: 'V' }) {
        serve({ 'GET /paths': () => PATHS });
        const saved: StudentDraft[] = [];
        draw(<StudentForm start={start} save={(draft) => saved.push(draft)} saving={false} error={null} verb="Add" />);
        return saved;
    }

    it('counts, reads and learns in ways of their own', async () => {
        const saved = form();
        await choose('What is said', 'ta, ti-ti');
        await choose('Of a long note', 'only those after it starts');
        await choose('6/8 and similar', 'in two: 1 la li 2 la li');
        await choose('Reading', 'By a sentence');
        await userEvent.click(screen.getByLabelText(/D3/));
        fireEvent.change(screen.getByLabelText('The count-in ends with'), { target: { value: 'ready go' } });
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(saved[0]).toMatchObject({
            counting: 'time-names',
            longNotes: 'after',
            compoundBeats: 'dotted-quarters',
            school: 'phrase',
            landmarkMiddle: true,
            heardPasses: false,
            countReady: 'ready go',
        });
    });

    it('may be on a path of the studio, and back on one that ships', async () => {
        const saved = form({ ...NEW_STUDENT, firstName: 'Otto', initial: 'V', path: 'notes' });
        await choose('Path', 'Humming');
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(saved[0]).toMatchObject({ path: 'notes', pathId: 3 });
        await choose('Path', 'Beat first');
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(saved[1]).toMatchObject({ path: 'beat', pathId: null });
    });

    it('says “&” only where moments of the bar are said', async () => {
        form();
        const and = () => screen.getByRole('combobox', { name: 'Say “&”' });
        expect(and()).toHaveProperty('disabled', false);
        await choose('What is said', 'Each note by its length');
        expect(and()).toHaveProperty('disabled', true);
        await choose('What is said', 'du, du-de');
        expect(and()).toHaveProperty('disabled', false);
    });

    it('has minutes for each day', async () => {
        const saved = form();
        fireEvent.change(screen.getByLabelText('Minutes on Saturday'), { target: { value: '25' } });
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(saved[0]?.practiceDays.find((day) => day.weekday === 6)).toEqual({ weekday: 6, minutes: 25 });
    });
});

describe('a page of a student', () => {
    const stage = (id: number, name: string, change: object = {}) => ({
        id,
        name,
        hand: null,
        tempo: null,
        passedOn: null,
        misses: 0,
        ...change,
    });
    const LEARNING = {
        id: 5,
        pieceId: 7,
        title: 'Blue Gate',
        page: 'A Book, p. 3',
        state: 'current',
        path: 'beat',
        pathId: null,
        openedOn: '2031-05-05',
        finishedOn: null,
        petals: [],
        stages: [
            stage(1, 'look over', { passedOn: '2031-05-05' }),
            stage(2, 'right hand', { hand: 'R', tempo: 60, misses: 2 }),
        ],
    } as unknown as Api['LearningResource'];

    it('has its stages to tick, and what was heard again', async () => {
        const asked = serve({ 'GET /paths': () => PATHS, 'PATCH /stages/2': () => ({}) });
        draw(<LearningCard learning={LEARNING} studentId={1} />);
        const card = within(screen.getByRole('region', { name: 'Blue Gate' }));
        expect(card.getByRole('checkbox', { name: 'look over' })).toHaveProperty('checked', true);
        expect(card.getByText('again 2 times')).toBeTruthy();
        await userEvent.click(card.getByRole('checkbox', { name: 'right hand' }));
        await waitFor(() => expect(asked.find((one) => one.method === 'PATCH')?.body).toEqual({ passed: true }));
    });

    it('shows the stages of one that is signed off when they are wanted', async () => {
        const asked = serve({
            'GET /paths': () => PATHS,
            'GET /learnings/5': () => ({ ...LEARNING, state: 'finished' }),
            'PATCH /stages/1': () => ({}),
        });
        const finished = { ...LEARNING, state: 'finished', finishedOn: '2031-06-02', stages: [] } as typeof LEARNING;
        draw(<LearningCard learning={finished} studentId={1} />);
        const card = within(screen.getByRole('region', { name: 'Blue Gate' }));
        expect(card.getByText('signed off 2 Jun')).toBeTruthy();
        expect(card.queryByRole('checkbox')).toBeNull();
        expect(asked).toEqual([]);
        await userEvent.click(card.getByRole('button', { name: 'Stages of Blue Gate' }));
        await userEvent.click(await card.findByRole('checkbox', { name: 'look over' }));
        await waitFor(() => expect(asked.find((one) => one.method === 'PATCH')?.body).toEqual({ passed: false }));
        await userEvent.click(card.getByRole('button', { name: 'Stages of Blue Gate' }));
        expect(card.queryByRole('checkbox')).toBeNull();
    });

    it('rests, and goes over to another path', async () => {
        const asked = serve({
            'GET /paths': () => PATHS,
            'PATCH /learnings/5': () => ({}),
            'PUT /learnings/5/path': () => ({}),
        });
        draw(<LearningCard learning={LEARNING} studentId={1} />);
        await userEvent.click(screen.getByRole('button', { name: 'Pause this page' }));
        await choose('Path of Blue Gate', 'Humming');
        await waitFor(() =>
            expect(asked.filter((one) => one.method !== 'GET').map((one) => [one.path, one.body])).toEqual([
                ['/learnings/5', { state: 'resting' }],
                ['/learnings/5/path', { path: 'beat', pathId: 3 }],
            ]),
        );
    });

    it('is opened from the books, but not twice', async () => {
        let done = 0;
        const asked = serve({
            'GET /books': () => [
                {
                    id: 1,
                    title: 'A Book',
                    pages: [
                        {
                            number: 3,
                            pieces: [
                                { id: 7, title: 'Blue Gate', label: '' },
                                { id: 8, title: 'Red Gate', label: 'b' },
                            ],
                        },
                        { id: 5, number: 4, title: 'Lines and spaces', kind: 'theory', pieces: [] },
                    ],
                },
            ],
            'POST /students/1/learnings': () => ({}),
        });
        draw(<OpenPage studentId={1} open={[7]} books={[]} done={() => done++} />);
        expect(await screen.findByRole('checkbox', { name: /Blue Gate.*open already/ })).toHaveProperty(
            'disabled',
            true,
        );
        expect(screen.getByRole('button', { name: 'Open' })).toHaveProperty('disabled', true);
        // The one after the last that is open has the focus.
        expect(document.activeElement).toBe(screen.getByRole('checkbox', { name: /Red Gate, p. 3b/ }));
        await userEvent.keyboard(' ');
        await userEvent.click(screen.getByRole('checkbox', { name: 'Lines and spaces, theory' }));
        await userEvent.keyboard('{Enter}');
        await waitFor(() => expect(done).toBe(1));
        expect(asked.filter((one) => one.method === 'POST').map((one) => one.body)).toEqual([
            { pieceId: 8 },
            { pageId: 5 },
        ]);
    });

    it('tells where to begin when there is no book', async () => {
        serve({ 'GET /books': () => [] });
        draw(<OpenPage studentId={1} open={[]} books={[]} done={() => {}} />);
        expect(await screen.findByRole('link', { name: 'Add one first.' })).toBeTruthy();
    });
});

describe('the form of a student', () => {
    const form = (saving: boolean) => {
        const saved: StudentDraft[] = [];
        serve({ 'GET /session': () => ({ studio: { timezone: 'UTC' } }), 'GET /paths': () => PATHS });
        draw(
            <StudentForm
                start={{ ...NEW_STUDENT, firstName: 'Ida', initial: 'T' }}
                save={(draft) => saved.push(draft)}
                saving={saving}
                error={null}
                verb="Add"
            />,
        );
        return saved;
    };

    it('keeps a figure that cannot be as it was typed, for the server to refuse', async () => {
        const saved = form(false);
        const age = screen.getByLabelText(/^Age/);
        await userEvent.clear(age);
        await userEvent.type(age, '9999');
        await userEvent.tab();
        expect(age).toHaveProperty('value', '9999');
        await userEvent.type(screen.getByLabelText(/First name/), '{Enter}');
        expect(saved.map((draft) => draft.age)).toEqual([9999]);
    });

    it('takes typed letters in its select boxes', async () => {
        const saved = form(false);
        await userEvent.click(screen.getByRole('combobox', { name: 'Lesson day' }));
        await userEvent.keyboard('thu');
        expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual(['Thursday']);
        await userEvent.keyboard('{Enter}');
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(saved.map((draft) => draft.lessonWeekday)).toEqual([4]);
    });

    it('is sent once, however often Enter is pressed', async () => {
        const saved = form(true);
        await userEvent.type(screen.getByLabelText(/First name/), '{Enter}{Enter}');
        expect(saved).toEqual([]);
    });
});

describe('the page of a student of many years', () => {
    const page = (id: number, state: 'current' | 'finished') => ({
        id,
        pieceId: id,
        title: `Page ${id}`,
        page: 'A Book, p. 3',
        path: 'beat',
        pathId: null,
        openedOn: '2031-05-05',
        petals: [],
        state,
        finishedOn: state === 'finished' ? '2031-06-02' : null,
        stages: [],
    });

    it('has the newest pages that are signed off, and all when they are wanted', async () => {
        const student = { ...NEW_STUDENT, id: 1, name: 'Ida T.', teacherId: null, leftOn: null, consentedOn: null };
        serve({
            'GET /session': () => ({ role: 'owner', studio: { timezone: 'UTC' } }),
            'GET /students/1': () => ({
                student,
                learnings: [page(5, 'current'), page(4, 'finished')],
                performances: [],
                measuredPace: null,
                opened: [5, 4, 3, 2].map((id) => ({
                    id,
                    pieceId: id,
                    title: `Page ${id}`,
                    signedOff: id < 5,
                    isPlayed: true,
                })),
                books: [],
                links: [],
                weekId: null,
                lessons: [],
                holidays: [],
            }),
            'GET /students/1/signed-off': () => [page(4, 'finished'), page(3, 'finished'), page(2, 'finished')],
        });
        drawRoom('/students/:student', '/students/1', <StudentPage />);
        await screen.findByText('Page 4');
        expect(screen.queryByText('Page 2')).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: 'Show all 3 pages that are signed off' }));
        await screen.findByText('Page 2');
        expect(screen.getAllByText(/^Page \d$/).map((title) => title.textContent)).toEqual([
            'Page 5',
            'Page 4',
            'Page 3',
            'Page 2',
        ]);
        expect(screen.queryByRole('button', { name: /Show all/ })).toBeNull();
    });
});

describe('two lessons at one time', () => {
    it('are asked about where the server found another one, and sent when they come together', async () => {
        const saved: StudentDraft[] = [];
        serve({ 'GET /session': () => ({ studio: { timezone: 'UTC' } }), 'GET /paths': () => PATHS });
        const form = (error: unknown) => (
            <StudentForm
                start={{ ...NEW_STUDENT, firstName: 'Ida', initial: 'T' }}
                save={(draft) => saved.push(draft)}
                saving={false}
                error={error}
                verb="Add"
            />
        );
        draw(form(new ApiError(422, 'x', { together: ['Theo B. has a lesson then: Mondays, 16:00 to 16:30.'] })));
        expect(screen.getByRole('alert').textContent).toContain('Theo B. has a lesson then');
        await userEvent.click(screen.getByRole('checkbox', { name: 'They come together, as a pair or a group' }));
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(saved.map((draft) => draft.together)).toEqual([true]);
        cleanup();
        draw(form(new ApiError(422, 'x', { age: ['Enter an age from 3 to 110.'] })));
        expect(screen.queryByRole('checkbox', { name: /together/ })).toBeNull();
    });
});

describe('the lessons of a student', () => {
    it('are one a week, or two, wherever the student is', async () => {
        const saved: StudentDraft[] = [];
        serve({ 'GET /session': () => ({ studio: { timezone: 'UTC' } }), 'GET /paths': () => PATHS });
        draw(
            <StudentForm
                start={NEW_STUDENT}
                save={(draft) => saved.push(draft)}
                saving={false}
                error={null}
                verb="Add"
            />,
        );
        await userEvent.type(screen.getByLabelText(/First name/), 'Ida');
        await userEvent.type(screen.getByLabelText(/Initial/), 'T');
        await userEvent.click(screen.getByRole('combobox', { name: 'Second lesson' }));
        expect(screen.queryAllByRole('option', { name: 'Monday' })).toHaveLength(0);
        await userEvent.click(screen.getByRole('option', { name: 'Thursday' }));
        expect(screen.getByLabelText(/Its time/)).toHaveProperty('value', '16:00');
        await userEvent.type(screen.getByLabelText(/Family email/), 'home@family.example');
        await userEvent.click(screen.getByRole('button', { name: 'Add' }));
        expect(saved[0]).toMatchObject({
            secondWeekday: 4,
            secondTime: '16:00',
            secondMinutes: 30,
            familyMail: 'home@family.example',
            timezone: null,
        });
    });
});

describe('links to the home side', () => {
    const link = (id: number, change: object) =>
        ({ id, label: `Link ${id}`, withdrawn: false, usedAt: null, url: null, siblings: [], ...change }) as never;
    const around = {
        'GET /calendars': () => [],
        'GET /students': () => [
            { id: 1, name: 'Ida T.' },
            { id: 2, name: 'Mia T.', leftOn: null },
        ],
    };

    it('say when they were used, and are withdrawn one by one', async () => {
        const asked = serve({ ...around, 'DELETE /links/2': () => new Response(null, { status: 204 }) });
        draw(
            <FamilyLinks
                studentId={1}
                links={[link(1, { withdrawn: true }), link(2, { usedAt: '2031-05-06T10:00:00Z' }), link(3, {})]}
            />,
        );
        expect(screen.getByText('withdrawn')).toBeTruthy();
        expect(screen.getByText('used 6 May')).toBeTruthy();
        expect(screen.getByText('not used yet')).toBeTruthy();
        await userEvent.click(screen.getAllByRole('button', { name: 'Withdraw' })[0] as HTMLElement);
        await waitFor(() => expect(asked.find((one) => one.method === 'DELETE')?.path).toBe('/links/2'));
    });

    it('are shown once, when they are made', async () => {
        const asked = serve({ ...around, 'POST /students/1/links': () => link(4, { url: 'http://home.example/abc' }) });
        draw(<FamilyLinks studentId={1} links={[]} />);
        await userEvent.click(screen.getByRole('button', { name: 'Make a link' }));
        expect((await screen.findByRole('status')).textContent).toContain('http://home.example/abc');
        expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ label: 'Home', expiresOn: null });
    });

    it('are shared by brothers and sisters', async () => {
        const asked = serve({ ...around, 'PUT /links/3/siblings': () => link(3, {}) });
        draw(<FamilyLinks studentId={1} links={[link(3, {})]} />);
        await userEvent.click(await screen.findByRole('combobox', { name: 'Brothers and sisters on Link 3' }));
        expect(screen.queryByRole('option', { name: 'Ida T.' })).toBeNull();
        await userEvent.click(await screen.findByRole('option', { name: 'Mia T.' }));
        await waitFor(() => expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ studentIds: [2] }));
    });
});
