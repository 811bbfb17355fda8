import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { t } from '../../text';
import { Gatherer } from '../midi/messages';

interface Props {
    /** MIDI numbers of the lowest and the highest key; both white. */
    from: number;
    to: number;
    onChord: (keys: number[]) => void;
    /** Keys that are marked, such as the last that was struck. */
    marked?: readonly number[];
}

const LETTERS = ['C', 'C sharp', 'D', 'D sharp', 'E', 'F', 'F sharp', 'G', 'G sharp', 'A', 'A sharp', 'B'];
const isBlack = (key: number): boolean => LETTERS[key % 12]?.includes('sharp') ?? false;
const nameOf = (key: number): string => `${LETTERS[key % 12]} ${Math.floor(key / 12) - 1}`;

/** Keys to play on the screen: by touch, several at once; by arrows and Enter. */
export function Piano({ from, to, onChord, marked = [] }: Props) {
    const [at, setAt] = useState(Math.max(from, Math.min(to, 60)));
    const keys = useRef(new Map<number, HTMLButtonElement>());
    const latest = useRef(onChord);
    latest.current = onChord;
    const [gatherer] = useState(() => new Gatherer((chord) => latest.current(chord)));
    useEffect(() => () => gatherer.stop(), [gatherer]);
    const all = Array.from({ length: to - from + 1 }, (_, i) => from + i);
    const whites = all.filter((key) => !isBlack(key));
    const width = 100 / whites.length;
    const move = (event: KeyboardEvent) => {
        const step = { ArrowRight: 1, ArrowLeft: -1, ArrowUp: 12, ArrowDown: -12 }[event.key];
        const next = step === undefined ? { Home: from, End: to }[event.key] : Math.max(from, Math.min(to, at + step));
        if (next === undefined) return;
        event.preventDefault();
        setAt(next);
        keys.current.get(next)?.focus();
    };
    return (
        // biome-ignore lint/a11y/useSemanticElements: a fieldset would draw a frame around the keys
        <div className="piano" role="group" aria-label={t('Piano keys')} onKeyDown={move}>
            {all.map((key) => {
                const before = whites.filter((white) => white < key).length;
                const black = isBlack(key);
                return (
                    <button
                        key={key}
                        ref={(element) => {
                            if (element !== null) keys.current.set(key, element);
                        }}
                        type="button"
                        className={black ? 'piano-black' : 'piano-white'}
                        style={{
                            left: `${black ? before * width - width * 0.3 : before * width}%`,
                            width: `${black ? width * 0.6 : width}%`,
                        }}
                        tabIndex={key === at ? 0 : -1}
                        aria-label={nameOf(key)}
                        data-letter={key % 12}
                        data-marked={marked.includes(key) ? 'yes' : undefined}
                        onPointerDown={(event) => {
                            event.preventDefault();
                            setAt(key);
                            gatherer.take({ key, down: true });
                        }}
                        onClick={(event) => event.detail === 0 && gatherer.take({ key, down: true })}
                    >
                        {key % 12 === 0 && <span aria-hidden="true">{key === 60 ? 'C4' : `C${key / 12 - 1}`}</span>}
                    </button>
                );
            })}
        </div>
    );
}
