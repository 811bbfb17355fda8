import { describe, expect, it } from 'vitest';
import { filled } from './Leaf';

describe('a sector of the leaf', () => {
    it.each([
        ['nothing practised', { planned: 10, practised: 0 }, 0],
        ['half', { planned: 10, practised: 5 }, 0.5],
        ['all', { planned: 10, practised: 10 }, 1],
        ['more than planned', { planned: 10, practised: 20 }, 1],
        ['a free day', { planned: 0, practised: 0 }, 0],
        ['practised on a free day', { planned: 0, practised: 3 }, 1],
    ])('%s', (_, day, part) => {
        expect(filled(day)).toBe(part);
    });
});
