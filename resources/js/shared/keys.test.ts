import { describe, expect, it } from 'vitest';
import { isTyping, nameOf } from './keys';

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

    it('tell an arrow with shift from one without, and leave letters as they are', () => {
        expect(nameOf({ key: 'ArrowRight', shiftKey: true })).toBe('Shift+ArrowRight');
        expect(nameOf({ key: 'ArrowRight', shiftKey: false })).toBe('ArrowRight');
        expect(nameOf({ key: '?', shiftKey: true })).toBe('?');
    });

    it.each(['ctrlKey', 'metaKey', 'altKey'])('leave %s to the browser', (modifier) => {
        expect(isTyping(press(null, { [modifier]: true }))).toBe(true);
    });
});
