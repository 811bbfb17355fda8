// @vitest-environment jsdom
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { isTyping, KeysProvider, nameOf, useKeys, useListedKeys } from './keys';

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

    it('work beside a choice that was made by a press; its own arrows and the space key stay with it', () => {
        const radio = document.createElement('input');
        radio.type = 'radio';
        const at = (key: string) => isTyping(press(null, { target: radio, key }));
        expect(at('Enter')).toBe(false);
        expect(at('g')).toBe(false);
        expect(at('ArrowLeft')).toBe(true);
        expect(at(' ')).toBe(true);
        radio.type = 'text';
        expect(at('g')).toBe(true);
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

/** Doors with keys of their own, more of them after a press, around a room that wants one of these keys. */
function Doors({ said }: { said: (what: string) => void }) {
    const [many, setMany] = useState(false);
    const listed = useListedKeys();
    const doors = many ? ['1', '2', '3'] : ['1', '2'];
    useKeys([...doors.map((key) => ({ key, does: `door ${key}`, run: () => said(`door ${key}`) }))], 'everywhere');
    return (
        <>
            <button type="button" onClick={() => setMany(true)}>
                More doors
            </button>
            <button
                type="button"
                onClick={() =>
                    said(
                        listed()
                            .map((key) => key.does)
                            .join(', '),
                    )
                }
            >
                List
            </button>
            <Room said={said} />
        </>
    );
}

function Room({ said }: { said: (what: string) => void }) {
    useKeys([{ key: '3', does: 'third stage', run: () => said('third stage') }]);
    return null;
}

it('belong to the room that is open, also when the keys of every room come again after it', () => {
    const said: string[] = [];
    render(
        <KeysProvider>
            <Doors said={(what) => said.push(what)} />
        </KeysProvider>,
    );
    fireEvent.keyDown(window, { key: '3' });
    fireEvent.click(screen.getByText('More doors'));
    fireEvent.keyDown(document.body, { key: '3' });
    fireEvent.keyDown(document.body, { key: '2' });
    fireEvent.click(screen.getByText('List'));
    expect(said).toEqual(['third stage', 'third stage', 'door 2', 'door 1, door 2, third stage']);
});
