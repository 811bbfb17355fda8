import { useCallback, useEffect, useRef, useState } from 'react';
import { type NoDevice, whyNot } from '../shared/device';
import { keysIn, prepare } from './ear/ear';
import { LONGEST, type Now, type OpenMicrophone, openMicrophone } from './microphone';

/** What is wrong besides a refused take. */
export type Trouble = NoDevice | 'no ear' | 'lost';

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

/** Records what the microphone hears until it has been silent, then looks for the keys in it. */
export function useMicrophone(props: MicrophoneProps) {
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
        // What looks at it is fetched while it is played.
        prepare();
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
