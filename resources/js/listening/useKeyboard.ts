import { useEffect, useRef, useState } from 'react';
import { MOST, type Note } from './take';

interface KeyboardProps {
    isOn: boolean;
    silence: number;
    over: (notes: Note[], began: number) => void;
}

/** Gathers the keys of a keyboard until it has been silent, or it is ended. */
export function useKeyboard({ isOn, silence, over }: KeyboardProps) {
    const [lit, setLit] = useState<number[]>([]);
    const notes = useRef<Note[]>([]);
    const began = useRef(0);
    const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
    const end = () => {
        clearTimeout(timer.current);
        setLit([]);
        over(notes.current, began.current);
    };
    const latest = useRef(end);
    latest.current = end;
    useEffect(() => () => clearTimeout(timer.current), []);
    const stop = () => {
        clearTimeout(timer.current);
        setLit([]);
    };
    const begin = () => {
        notes.current = [];
        began.current = Date.now() - performance.now();
    };
    const down = (pitch: number, at: number) => {
        if (!isOn) return;
        notes.current.push({ pitch, at, off: null });
        setLit((before) => [...before.filter((key) => key !== pitch), pitch]);
        clearTimeout(timer.current);
        if (notes.current.length >= MOST) latest.current();
        else timer.current = setTimeout(() => latest.current(), silence);
    };
    const up = (pitch: number, at: number) => {
        const held = notes.current.findLast((note) => note.pitch === pitch && note.off === null);
        if (held !== undefined) held.off = Math.max(at, held.at);
        setLit((before) => before.filter((key) => key !== pitch));
    };
    return { lit, begin, end, stop, down, up };
}
