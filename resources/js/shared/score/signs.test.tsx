// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { draw } from '../../../../tests/screen';
import { SignWords } from './SignWords';
import { readSigns } from './signs';

const WORDS = [
    { sign: 'dynamic', text: 'mf', says: 'medium loud' },
    { sign: 'word', text: 'Andante', says: 'andante: at a walking pace' },
    { sign: 'staccato', text: '', says: 'short and light' },
    { sign: 'repeat', text: '', says: 'play it again' },
    { sign: 'tie', text: '', says: 'hold the second one' },
];

const glyph = (code: string) => `<use href="#${code}-x1"></use>`;

function drawing() {
    const held = document.createElement('div');
    held.innerHTML = `<svg>
        <g class="tempo"><text>Andante
            = 80</text></g>
        <g class="dynam">${glyph('E521')}${glyph('E522')}</g>
        <g class="dynam">${glyph('E52D')}</g>
        <g class="dynam">${glyph('E520')}</g>
        <g class="artic">${glyph('E4A3')}</g>
        <g class="artic">${glyph('E4A0')}</g>
        <g class="barLine"><path d=""></path></g>
        <g class="barLine">${glyph('E044')}</g>
        <g class="tie"><path d=""></path></g>
        <g class="slur"><path d=""></path></g>
    </svg>`;
    return held;
}

describe('signs on a page', () => {
    it('are found by what the music font draws, or by their words; those without words are left out', () => {
        expect(readSigns(drawing(), WORDS).map(({ word }) => word.text || word.sign)).toEqual([
            'Andante',
            'mf',
            'mf',
            'staccato',
            'repeat',
            'tie',
        ]);
    });

    it('say at a touch what they mean; the first of each is reached by keys', async () => {
        const held = { current: drawing() };
        draw(<SignWords words={WORDS} drawing={held} places={held} />);
        const loud = screen.getAllByRole('button', { name: 'What does mf say?' });
        expect(loud.map((one) => one.tabIndex)).toEqual([0, -1]);
        await userEvent.click(loud[1] as HTMLElement);
        expect((await screen.findByRole('status')).textContent).toBe('mf: medium loud');
        await userEvent.click(screen.getByRole('button', { name: 'What does the staccato dot say?' }));
        expect(await screen.findByText(/short and light/)).toBeTruthy();
    });
});
