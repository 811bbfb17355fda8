import { describe, expect, it } from 'vitest';
import { isMeant } from './FindStudent';

describe('a name that is typed', () => {
    it.each([
        ['Ada R.', '', true],
        ['Ada R.', '   ', true],
        ['Ada R.', 'a', true],
        ['Ada R.', 'AD', true],
        ['Ada R.', 'r', true],
        ['Ada R.', 'r ad', true],
        ['Ada R.', 'da', false],
        ['Ada R.', 'ada k', false],
        ['Zoë K.', 'zoe', true],
        ['Zoe K.', 'zoë', true],
        ['Anne-Lise M.', 'anne', true],
        ['Åse B.', 'as', true],
    ])('%s by "%s": %s', (name, typed, meant) => {
        expect(isMeant(name, typed)).toBe(meant);
    });
});
