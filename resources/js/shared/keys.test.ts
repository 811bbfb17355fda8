import { describe, expect, it } from 'vitest';
import { isTyping } from './keys';

const press = (found: object | null, more: object = {}) =>
    ({
        target: { closest: () => found },
        ctrlKey: false,
        metaKey: false,
        altKey: false,
        ...more,
    }) as unknown as KeyboardEvent;

describe('keys of a screen', () => {
    it('work where nothing is typed', () => {
        expect(isTyping(press(null))).toBe(false);
    });

    it('stand back where something is typed, or a dialog is open', () => {
        expect(isTyping(press({}))).toBe(true);
    });

    it.each(['ctrlKey', 'metaKey', 'altKey'])('leave %s to the browser', (modifier) => {
        expect(isTyping(press(null, { [modifier]: true }))).toBe(true);
    });
});
