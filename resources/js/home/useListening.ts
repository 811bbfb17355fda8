import { useCallback, useEffect, useRef, useState } from 'react';
import type { Api } from '../api';
import type { TakeHeard } from './useHome';

/** Judges a take; null where there is no connection, and it waits. */
export type Hear = (take: Api['TakeRequest']) => Promise<TakeHeard | null>;

type State = 'still' | 'listening' | 'judging' | 'kept' | 'silent';

/** So many milliseconds without a key, and it is over. */
const SILENCE = 5_000;

/** Four minutes of quick notes; it ends by itself then. */
const MOST = 1_200;

/** What a key lasts that nobody let go, in milliseconds. */
const LASTS = 600;

interface Note {
    pitch: number;
    at: number;
    off: number | null;
}

interface Props {
    part: number;
    hear: Hear;
    told: (heard: TakeHeard | null) => void;
}

/** Gathers what is played, and has it judged when five seconds have been silent or it is ended. */
export function useListening({ part, hear, told }: Props) {
    const [state, setState] = useState<State>('still');
    const [error, setError] = useState<unknown>(null);
    const [lit, setLit] = useState<number[]>([]);
    const notes = useRef<Note[]>([]);
    const began = useRef(0);
    const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
    const isOn = state === 'listening';

    const end = useCallback(async () => {
        clearTimeout(timer.current);
        setLit([]);
        if (notes.current.length === 0) {
            setState('silent');
            return;
        }
        setState('judging');
        try {
            const heard = await hear(takeOf(notes.current, part, began.current));
            told(heard);
            setState(heard === null ? 'kept' : 'still');
        } catch (reason) {
            setError(reason);
            setState('still');
        }
    }, [hear, part, told]);
    const latest = useRef(end);
    latest.current = end;
    useEffect(() => () => clearTimeout(timer.current), []);

    const start = () => {
        notes.current = [];
        began.current = Date.now() - performance.now();
        setError(null);
        told(null);
        setState('listening');
    };
    const down = (pitch: number, at: number) => {
        if (!isOn) return;
        notes.current.push({ pitch, at, off: null });
        setLit((before) => [...before.filter((key) => key !== pitch), pitch]);
        clearTimeout(timer.current);
        if (notes.current.length >= MOST) latest.current();
        else timer.current = setTimeout(() => latest.current(), SILENCE);
    };
    const up = (pitch: number, at: number) => {
        const held = notes.current.findLast((note) => note.pitch === pitch && note.off === null);
        if (held !== undefined) held.off = Math.max(at, held.at);
        setLit((before) => before.filter((key) => key !== pitch));
    };
    return { state, error, lit, start, end, down, up };
}

/** Seconds from the first key; a key that nobody let go lasts until the next, or a moment. */
export function takeOf(notes: readonly Note[], part: number, began: number): Api['TakeRequest'] {
    const first = notes[0]?.at ?? 0;
    return {
        clientKey: crypto.randomUUID(),
        part,
        source: 'keyboard',
        at: new Date(began + first).toISOString(),
        notes: notes.map(({ pitch, at, off }) => {
            const next = notes.find((other) => other.at > at)?.at ?? at + LASTS;
            return { t: seconds(at - first), off: seconds((off ?? next) - first), pitch };
        }),
    };
}

const seconds = (milliseconds: number) => Math.round(milliseconds) / 1_000;
