import { useCallback, useEffect, useRef, useState } from 'react';
import { keysIn } from './ear/ear';
import { LONGEST, type NoMicrophone, type Now, type OpenMicrophone, openMicrophone, whyNot } from './microphone';
import type { Recording } from './playBack';
import { type Hear, heardTakeOf, MOST, type Note, type TakeHeard, takeOf } from './take';

type State = 'still' | 'counting' | 'listening' | 'looking' | 'judging' | 'kept' | 'silent';

export type Source = 'microphone' | 'keyboard';

/** So many milliseconds without a key, and it is over, where nothing else is said. */
const SILENCE = 5_000;

/** What is wrong besides a refused take. */
export type Trouble = NoMicrophone | 'no ear' | 'lost';

interface Props {
    part: number;
    source: Source;
    hear: Hear;
    told: (heard: TakeHeard | null) => void;
    /** Counts in; null where it begins at once. */
    countIn: (() => Promise<void>) | null;
    /** So many milliseconds without a key, and it is over. */
    silence?: number;
}

/** Gathers what is played, and has it judged when five seconds have been silent or it is ended. */
export function useListening({ part, source, hear, told, countIn, silence = SILENCE }: Props) {
    const [state, setState] = useState<State>('still');
    const [error, setError] = useState<unknown>(null);
    const [trouble, setTrouble] = useState<Trouble | null>(null);
    const [recording, setRecording] = useState<Recording | null>(null);

    const judge = useCallback(
        async (take: Parameters<Hear>[0]) => {
            setState('judging');
            try {
                const heard = await hear(take);
                told(heard);
                setState(heard === null ? 'kept' : 'still');
            } catch (reason) {
                setError(reason);
                setState('still');
            }
        },
        [hear, told],
    );
    const keyboard = useKeyboard({
        isOn: state === 'listening' && source === 'keyboard',
        silence,
        over: (notes, began) => {
            if (notes.length === 0) setState('silent');
            else {
                const take = takeOf(notes, part, began);
                setRecording({ notes: take.notes });
                judge(take);
            }
        },
    });
    const microphone = useMicrophone({
        silence,
        over: () => setState('looking'),
        lost: () => setTrouble('lost'),
        none: (why) => {
            setTrouble(why);
            setState('still');
        },
        looked: (keys, began, samples, rate) => {
            if (keys.length === 0) setState('silent');
            else {
                const take = heardTakeOf(keys, part, began);
                setRecording({ samples, rate, notes: take.notes });
                judge(take);
            }
        },
    });
    const start = async () => {
        setError(null);
        setTrouble(null);
        setRecording(null);
        told(null);
        if (source === 'microphone' && !(await microphone.open())) return;
        if (countIn !== null) {
            setState('counting');
            await countIn();
        }
        if (source === 'microphone') microphone.begin();
        else keyboard.begin();
        setState('listening');
    };
    const end = source === 'microphone' ? microphone.end : keyboard.end;
    const stop = () => {
        microphone.stop();
        keyboard.stop();
        setState('still');
    };
    const lit = source === 'microphone' ? microphone.lit : keyboard.lit;
    const { now, part: looked } = microphone;
    return {
        state,
        error,
        trouble,
        recording,
        lit,
        now,
        looked,
        start,
        end,
        stop,
        down: keyboard.down,
        up: keyboard.up,
    };
}

interface KeyboardProps {
    isOn: boolean;
    silence: number;
    over: (notes: Note[], began: number) => void;
}

function useKeyboard({ isOn, silence, over }: KeyboardProps) {
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

interface MicrophoneProps {
    silence: number;
    /** It has ended, and is looked at. */
    over: () => void;
    /** The microphone went away; what was heard until then is looked at. */
    lost: () => void;
    none: (why: Trouble) => void;
    looked: (
        keys: Awaited<ReturnType<typeof keysIn>>['keys'],
        began: number,
        samples: Float32Array,
        rate: number,
    ) => void;
}

const SILENT: Now = { level: 0, key: null, noisy: false, silent: null };

function useMicrophone(props: MicrophoneProps) {
    const [now, setNow] = useState<Now>(SILENT);
    const [part, setPart] = useState(0);
    const opened = useRef<OpenMicrophone | null>(null);
    const began = useRef<number | null>(null);
    const looking = useRef<AbortController | null>(null);
    const latest = useRef(props);
    latest.current = props;
    const stop = useCallback(() => {
        opened.current?.close();
        opened.current = null;
        began.current = null;
        looking.current?.abort();
        setNow(SILENT);
    }, []);
    useEffect(() => stop, [stop]);

    const end = useCallback(async () => {
        const of = opened.current;
        const from = began.current;
        if (of === null || from === null) return;
        const samples = of.samples();
        stop();
        setPart(0);
        latest.current.over();
        const broken = new AbortController();
        looking.current = broken;
        try {
            const { keys } = await keysIn(samples, of.rate, setPart, broken.signal);
            latest.current.looked(keys, from, samples, of.rate);
        } catch {
            if (!broken.signal.aborted) latest.current.none('no ear');
        }
    }, [stop]);
    const open = async () => {
        stop();
        const told = (next: Now) => {
            setNow(next);
            if (began.current === null) return;
            const isLong = Date.now() - began.current >= 1_000 * LONGEST;
            if (isLong || (next.silent !== null && 1_000 * next.silent >= latest.current.silence)) end();
        };
        const lost = () => {
            latest.current.lost();
            end();
        };
        try {
            opened.current = await openMicrophone(told, lost);
            return true;
        } catch (reason) {
            latest.current.none(whyNot(reason));
            return false;
        }
    };
    const begin = () => {
        opened.current?.forget();
        began.current = Date.now();
    };
    return { now, lit: now.key === null ? [] : [now.key], part, open, begin, end, stop };
}
