import { useEffect, useRef, useState } from 'react';
import type { Recording } from './playBack';
import { type Hear, heardTakeOf, type TakeHeard, takeOf } from './take';
import { useKeyboard } from './useKeyboard';
import { type Trouble, useMicrophone } from './useMicrophone';

type State = 'still' | 'counting' | 'listening' | 'looking' | 'judging' | 'kept' | 'silent';

export type Source = 'microphone' | 'keyboard';

/** So many milliseconds without a key, and it is over, where nothing else is said. */
const SILENCE = 5_000;

interface Props {
    part: number;
    source: Source;
    hear: Hear;
    told: (heard: TakeHeard | null) => void;
    /** Counts in; null where it begins at once. */
    countIn: ((broken: AbortSignal) => Promise<void>) | null;
    /** So many milliseconds without a key, and it is over. */
    silence?: number;
}

/** A count-in, which whoever stops or leaves breaks off. */
function useCount() {
    const counting = useRef<AbortController | null>(null);
    useEffect(() => () => counting.current?.abort(), []);
    /** Whether it was counted to its end. */
    const whole = async (countIn: NonNullable<Props['countIn']>) => {
        counting.current = new AbortController();
        const { signal } = counting.current;
        await countIn(signal);
        return !signal.aborted;
    };
    return { whole, breakOff: () => counting.current?.abort() };
}

/** Gathers what is played, and has it judged when five seconds have been silent or it is ended. */
export function useListening({ part, source, hear, told, countIn, silence = SILENCE }: Props) {
    const [state, setState] = useState<State>('still');
    const [error, setError] = useState<unknown>(null);
    const [trouble, setTrouble] = useState<Trouble | null>(null);
    const [recording, setRecording] = useState<Recording | null>(null);
    const count = useCount();

    /** Has a take judged; without a key there is none. */
    const judge = async (take: Parameters<Hear>[0], sound?: Omit<Recording, 'notes'>) => {
        if (take.notes.length === 0) {
            setState('silent');
            return;
        }
        setRecording({ ...sound, notes: take.notes });
        setState('judging');
        try {
            const heard = await hear(take);
            told(heard);
            setState(heard === null ? 'kept' : 'still');
        } catch (reason) {
            setError(reason);
            setState('still');
        }
    };
    const keyboard = useKeyboard({
        isOn: state === 'listening' && source === 'keyboard',
        silence,
        over: (notes, began) => judge(takeOf(notes, part, began)),
    });
    const microphone = useMicrophone({
        silence,
        over: () => setState('looking'),
        lost: () => setTrouble('lost'),
        none: (why) => {
            setTrouble(why);
            setState('still');
        },
        looked: (keys, began, samples, rate) => judge(heardTakeOf(keys, part, began), { samples, rate }),
    });
    const start = async () => {
        setError(null);
        setTrouble(null);
        setRecording(null);
        told(null);
        if (source === 'microphone' && !(await microphone.open())) return;
        if (countIn !== null) {
            setState('counting');
            if (!(await count.whole(countIn))) return;
        }
        if (source === 'microphone') microphone.begin();
        else keyboard.begin();
        setState('listening');
    };
    const stop = () => {
        count.breakOff();
        microphone.stop();
        keyboard.stop();
        setState('still');
    };
    const { lit, end } = source === 'microphone' ? microphone : keyboard;
    const { now, part: looked } = microphone;
    const { down, up } = keyboard;
    return { state, error, trouble, recording, lit, now, looked, start, end, stop, down, up };
}
