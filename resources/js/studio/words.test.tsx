// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw, serve } from '../../../tests/screen';
import { Studio } from './Studio';

const STUDIO = {
    id: 2,
    name: 'Windowsill',
    words: 'us',
    paper: 'a4',
    timezone: 'UTC',
    consentAge: 16,
    keepDrafts: 180,
    keepMails: 365,
    today: '2031-05-05',
    phrases: [
        {
            at: 'treble space',
            label: 'treble space',
            words: 'Foxes Arrive Carrying Eggs',
            choices: ['Foxes Arrive Carrying Eggs', 'Find A Crooked Elbow'],
            letters: 'FACE',
        },
    ],
    countWords: [{ at: 'half', label: 'minim', words: '', choices: ['ta-a'], letters: '' }],
};

describe('the words of the studio', () => {
    it('are sent with all else that is set', async () => {
        const asked = serve({
            'GET /calendars': () => [],
            'GET /mails': () => [],
            'GET /studios/2/archives': () => [],
            'GET /members': () => [],
            'GET /session': () => ({ name: 'Odile', studio: STUDIO }),
            'PATCH /studios/2': () => STUDIO,
        });
        draw(<Studio />);
        const space = await screen.findByRole('combobox', { name: 'Treble spaces: F A C E' });
        await userEvent.clear(space);
        await userEvent.click(space);
        await userEvent.paste('Fat Ants Can Eat');
        await userEvent.click(screen.getByRole('combobox', { name: 'Minim' }));
        await userEvent.paste('glide');
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await waitFor(() => expect(asked.some((one) => one.method === 'PATCH')).toBe(true));
        expect(asked.find((one) => one.method === 'PATCH')?.body).toMatchObject({
            name: 'Windowsill',
            phrases: { 'treble space': 'Fat Ants Can Eat' },
            countWords: { half: 'glide' },
        });
    });

    it('stay as typed when they are refused', async () => {
        serve({
            'GET /calendars': () => [],
            'GET /mails': () => [],
            'GET /studios/2/archives': () => [],
            'GET /members': () => [],
            'GET /session': () => ({ name: 'Odile', studio: STUDIO }),
            'PATCH /studios/2': () =>
                Response.json({ message: 'x', errors: { phrases: ['The sentence is too short.'] } }, { status: 422 }),
        });
        draw(<Studio />);
        const space = await screen.findByRole('combobox', { name: 'Treble spaces: F A C E' });
        await userEvent.clear(space);
        await userEvent.click(space);
        await userEvent.paste('Fat');
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect((await screen.findByRole('alert')).textContent).toContain('The sentence is too short.');
        expect(space).toHaveProperty('value', 'Fat');
    });
});
