// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { freeName, Paths } from './Paths';
import { moved, type Step } from './steps';

const step = (kind: Step['kind']): Step => ({
    kind,
    name: kind,
    sentence: `Do ${kind}.`,
    passMark: '',
    petal: null,
    hand: null,
    usually: 'once through' as const,
    chunks: 'line',
});

const SHIPPED = {
    id: null,
    kind: 'beat',
    name: 'Beat first',
    steps: (['look over', 'right hand', 'finish'] as const).map(step),
};
const OWN = { id: 3, kind: 'own', name: 'Humming', steps: [step('finish')] };

const stages = () =>
    within(screen.getByRole('list', { name: 'Stages in order' }))
        .getAllByRole('listitem')
        .map((row) => row.textContent?.replace(/^\d+\. /, '').split(' Do ')[0]);

describe('paths', () => {
    it('are copied, put in order, shortened and saved', async () => {
        const user = userEvent.setup();
        const asked = serve({ 'GET /paths': () => [SHIPPED, OWN], 'POST /paths': () => OWN });
        draw(<Paths />);
        const card = within(await screen.findByRole('region', { name: 'Beat first' }));
        await user.click(card.getByRole('button', { name: 'Copy' }));
        expect(screen.getByLabelText(/Name/)).toHaveProperty('value', 'Beat first, my way');
        await user.click(screen.getByRole('button', { name: 'finish earlier' }));
        expect(stages()).toEqual(['look over', 'finish', 'right hand']);
        await user.click(screen.getAllByRole('button', { name: 'Leave out' })[0] as HTMLElement);
        expect(stages()).toEqual(['finish', 'right hand']);
        await user.click(screen.getByRole('button', { name: 'Undo' }));
        expect(stages()).toEqual(['look over', 'finish', 'right hand']);
        await user.click(screen.getByRole('button', { name: 'Save the path' }));
        await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
        expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({
            name: 'Beat first, my way',
            steps: [{ kind: 'look over' }, { kind: 'finish' }, { kind: 'right hand' }],
        });
    });

    it('move a stage by Alt and an arrow, and the hand stays on it', async () => {
        serve({ 'GET /paths': () => [SHIPPED, OWN] });
        draw(<Paths />);
        await userEvent.click(
            within(await screen.findByRole('region', { name: 'Beat first' })).getByRole('button', { name: 'Copy' }),
        );
        screen.getByRole('button', { name: /^1\. look over/ }).focus();
        await userEvent.keyboard('{Alt>}{ArrowDown}{/Alt}');
        expect(stages()).toEqual(['right hand', 'look over', 'finish']);
        await waitFor(() => expect(document.activeElement?.textContent).toContain('look over'));
    });

    it('take a stage of the teacher’s own', async () => {
        const asked = serve({ 'GET /paths': () => [SHIPPED, OWN], 'PUT /paths/3': () => OWN });
        draw(<Paths />);
        await userEvent.click(
            within(await screen.findByRole('region', { name: 'Humming' })).getByRole('button', { name: 'Change' }),
        );
        await userEvent.click(screen.getByRole('button', { name: 'Add one of your own' }));
        const dialog = within(await screen.findByRole('dialog'));
        await userEvent.type(dialog.getByLabelText(/^Name/), 'Hum it');
        await userEvent.type(dialog.getByLabelText(/What the student does/), 'Hum the tune.');
        await userEvent.click(dialog.getByRole('button', { name: 'Add it' }));
        expect(stages()).toEqual(['finish', expect.stringContaining('Hum it')]);
        await userEvent.click(screen.getByRole('button', { name: 'Save the path' }));
        await waitFor(() =>
            expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({
                steps: [
                    { kind: 'finish' },
                    { kind: 'own', name: 'Hum it', sentence: 'Hum the tune.', usually: 'three in a row' },
                ],
            }),
        );
    });

    it('keep what was put together when it is refused, and say why', async () => {
        serve({
            'GET /paths': () => [SHIPPED, OWN],
            'POST /paths': () =>
                Response.json(
                    { message: 'x', errors: { name: ['There is a path of this name already.'] } },
                    { status: 422 },
                ),
        });
        draw(<Paths />);
        await userEvent.click(
            within(await screen.findByRole('region', { name: 'Beat first' })).getByRole('button', { name: 'Copy' }),
        );
        await userEvent.click(screen.getByRole('button', { name: 'Save the path' }));
        expect((await screen.findByRole('alert')).textContent).toContain('There is a path of this name already.');
        expect(stages()).toHaveLength(3);
    });

    it('are given up only after a question', async () => {
        const asked = serve({
            'GET /paths': () => [SHIPPED, OWN],
            'DELETE /paths/3': () => new Response(null, { status: 204 }),
        });
        draw(<Paths />);
        await userEvent.click(
            within(await screen.findByRole('region', { name: 'Humming' })).getByRole('button', { name: 'Give up' }),
        );
        expect(asked.some((one) => one.method === 'DELETE')).toBe(false);
        await userEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Give it up' }));
        await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
    });
});

describe('a list in order', () => {
    it('moves a step, and not over the edge', () => {
        const steps = (['own', 'whole, slow', 'finish'] as const).map(step);
        expect(moved(steps, 0, 1).map((one) => one.kind)).toEqual(['whole, slow', 'own', 'finish']);
        expect(moved(steps, 0, -1).map((one) => one.kind)).toEqual(['own', 'whole, slow', 'finish']);
        expect(moved(steps, 2, 1).map((one) => one.kind)).toEqual(['own', 'whole, slow', 'finish']);
    });

    it('finds a name that is free', () => {
        expect(freeName('Beat first', [])).toBe('Beat first, my way');
        expect(freeName('Beat first', ['Beat first, my way'])).toBe('Beat first, my way 2');
    });
});
