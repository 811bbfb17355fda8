// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { drawRoom, serve } from '../../../tests/screen';
import { SheetPrint } from './SheetPrint';
import { Worksheets } from './Worksheets';

vi.mock('../shared/score/engraved', () => ({ engraved: () => Promise.resolve('<svg></svg>') }));

const item = (answer: string, change: object = {}) => ({
    ask: 'Which key is marked?',
    answer,
    music: null,
    sign: null,
    options: [],
    key: 60,
    ...change,
});
const SHEET = {
    id: 9,
    number: 4,
    kind: 'keys',
    questions: 6,
    madeOn: '2031-05-01',
    given: [{ studentId: 1, student: 'Ida K.', givenOn: '2031-05-01', right: null }],
};
const STUDENTS = [
    { id: 1, name: 'Ida K.', leftOn: null },
    { id: 2, name: 'Otto T.', leftOn: null },
    { id: 3, name: 'Gone', leftOn: '2030-01-01' },
];

function open(answers: Parameters<typeof serve>[0] = {}, address = '/worksheets?student=1') {
    const asked = serve({
        'POST /worksheets/preview': () => [item('C'), item('D', { key: 62 })],
        'GET /worksheets': () => [SHEET],
        'GET /students': () => STUDENTS,
        'GET /books': () => [],
        ...answers,
    });
    drawRoom('/worksheets', address, <Worksheets />);
    return asked;
}

describe('a worksheet of a page or of chosen notes', () => {
    const last = (asked: ReturnType<typeof open>) => asked.filter((one) => one.method === 'POST').at(-1)?.body;

    it('opens as it was asked for at the desk, with as many questions as its kind has', async () => {
        const asked = open({}, '/worksheets?kind=recall&piece=7');
        await waitFor(() => expect(last(asked)).toMatchObject({ kind: 'recall', pieceId: 7, count: 5 }));
        const page = screen.getByRole('link', { name: 'Or the page itself, to write or ring on' });
        expect(page.getAttribute('href')).toBe('/pieces/7/sheet?lens=notes&kind=blank');
        await userEvent.click(screen.getByRole('combobox', { name: 'Kind' }));
        await userEvent.click(await screen.findByRole('option', { name: 'Lines at sight' }));
        await waitFor(() => expect(last(asked)).toMatchObject({ kind: 'sight', count: 4 }));
    });

    it('is made of notes that were chosen', async () => {
        const asked = open();
        await userEvent.type(screen.getByRole('combobox', { name: 'Notes' }), 'F3');
        await userEvent.click(await screen.findByRole('option', { name: 'F3 bass' }));
        await waitFor(() => expect(last(asked)).toMatchObject({ notes: ['bass:F3'] }));
    });
});

describe('a worksheet', () => {
    it('is seen while it is chosen, with what was chosen', async () => {
        const asked = open();
        const preview = await screen.findByRole('region', { name: 'How it will be' });
        expect(await within(preview).findByText('Which key is marked?')).toBeTruthy();
        expect(within(preview).getByText('These are all there are: 2.')).toBeTruthy();
        expect(within(preview).getAllByRole('img', { name: 'A keyboard with a mark' })).toHaveLength(2);
        await userEvent.click(screen.getByRole('radio', { name: 'Easy' }));
        await userEvent.click(screen.getByRole('checkbox', { name: 'Bass staff' }));
        await waitFor(() =>
            expect(asked.filter((one) => one.method === 'POST').at(-1)?.body).toMatchObject({
                hard: 1,
                clefs: ['treble'],
                studentId: 1,
            }),
        );
    });

    it('says that there is nothing to make it of', async () => {
        open({ 'POST /worksheets/preview': () => [] });
        expect(await screen.findByText(/There is nothing to make these questions of/)).toBeTruthy();
        expect((screen.getByRole('button', { name: 'Keep and print' }) as HTMLButtonElement).disabled).toBe(true);
    });

    it('is kept, and goes to the printer', async () => {
        open({ 'POST /worksheets': () => SHEET });
        await screen.findByText('Which key is marked?');
        await userEvent.click(screen.getByRole('button', { name: 'Keep and print' }));
        expect(await screen.findByText('gone to /worksheets/print')).toBeTruthy();
    });

    it('is given to another student and marked, so many of so many', async () => {
        const asked = open({
            'PUT /worksheets/9/students/1': () => SHEET,
            'PUT /worksheets/9/students/2': () => SHEET,
        });
        const right = await screen.findByRole('textbox', { name: 'Right answers of Ida K., sheet 4' });
        await userEvent.type(right, '5');
        await userEvent.tab();
        await waitFor(() => expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ right: 5 }));
        await userEvent.click(screen.getByRole('combobox', { name: 'Give sheet 4 to' }));
        expect(screen.queryByRole('option', { name: 'Gone' })).toBeNull();
        await userEvent.click(screen.getByRole('option', { name: 'Otto T.' }));
        await waitFor(() => expect(asked.filter((one) => one.method === 'PUT').at(-1)?.body).toEqual({ right: null }));
    });
});

describe('a kept sheet', () => {
    it('is deleted only when that was meant, with the names of those who lose it', async () => {
        const asked = open({ 'DELETE /worksheets/9': () => new Response(null, { status: 204 }) });
        await userEvent.click(await screen.findByRole('button', { name: 'Delete sheet 4' }));
        const dialog = await screen.findByRole('dialog', { name: 'Delete sheet 4?' });
        expect(dialog.textContent).toContain('It is taken from Ida K., with what was marked.');
        await userEvent.click(within(dialog).getByRole('button', { name: 'Keep it' }));
        expect(asked.some((one) => one.method === 'DELETE')).toBe(false);
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        await userEvent.click(screen.getByRole('button', { name: 'Delete sheet 4' }));
        await userEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Delete' }));
        await waitFor(() => expect(asked.filter((one) => one.method === 'DELETE')).toHaveLength(1));
    });

    it('is taken back from a student', async () => {
        const asked = open({ 'DELETE /worksheets/9/students/1': () => new Response(null, { status: 204 }) });
        await userEvent.click(await screen.findByRole('button', { name: 'Take sheet 4 back from Ida K.' }));
        await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
    });

    it('is not marked anew when nothing was changed, and several are printed together', async () => {
        const asked = open({ 'GET /worksheets': () => [SHEET, { ...SHEET, id: 10, number: 5, given: [] }] });
        const right = await screen.findByRole('textbox', { name: 'Right answers of Ida K., sheet 4' });
        await userEvent.click(right);
        await userEvent.tab();
        expect(asked.some((one) => one.method === 'PUT')).toBe(false);
        expect(screen.queryByRole('link', { name: /together/ })).toBeNull();
        await userEvent.click(screen.getByRole('checkbox', { name: /^4: / }));
        await userEvent.click(screen.getByRole('checkbox', { name: /^5: / }));
        expect(screen.getByRole('link', { name: 'Print 2 together' }).getAttribute('href')).toBe(
            '/worksheets/print?ids=9,10',
        );
    });
});

describe('on paper', () => {
    it('several sheets stand one after the other, and their answers apart, at the end', async () => {
        serve({
            'GET /worksheets/9': () => ({ id: 9, number: 4, kind: 'keys', items: [item('C')] }),
            'GET /worksheets/8': () => ({
                id: 8,
                number: 3,
                kind: 'signs',
                items: [item('loud', { ask: 'What does this say?', sign: 'f', key: null, options: ['loud', 'soft'] })],
            }),
            'GET /session': () => ({ studio: { paper: 'letter' } }),
        });
        drawRoom('/worksheets/print', '/worksheets/print?ids=9,8', <SheetPrint />);
        expect(await screen.findByRole('heading', { name: 'Keys on the keyboard No. 4' })).toBeTruthy();
        const parts = [...document.querySelectorAll('article > section')].map((one) => one.textContent ?? '');
        expect(parts).toHaveLength(4);
        expect(parts[1]).toContain('loudsoft');
        expect(parts[2]).toBe('Answers to no. 4: Keys on the keyboardC');
        expect(parts[3]).toContain('Answers to no. 3: Signs and words');
        expect([...document.querySelectorAll('style')].some((one) => one.textContent?.includes('size: letter'))).toBe(
            true,
        );
    });
});
