import { useCallback, useEffect, useRef, useState } from 'react';
import { type NoDevice, whyNot } from '../shared/device';
import { isSounding } from '../shared/sound/own';
import { type OpenMicrophone, openMicrophone } from './microphone';
import { Strikes } from './strikes';

/** Hears single keys of a piano in the room, for answers; nothing is kept. */
export function useEar(onKey: (key: number, at: number) => void) {
    const [isOn, setOn] = useState(false);
    const [trouble, setTrouble] = useState<NoDevice | 'lost' | null>(null);
    const opened = useRef<OpenMicrophone | null>(null);
    const latest = useRef(onKey);
    latest.current = onKey;
    const close = useCallback(() => {
        opened.current?.close();
        opened.current = null;
        setOn(false);
    }, []);
    useEffect(() => close, [close]);
    const open = async () => {
        setTrouble(null);
        const strikes = new Strikes();
        try {
            opened.current = await openMicrophone(
                (now) => {
                    const struck = strikes.take(now, performance.now());
                    if (struck !== null && !isSounding()) latest.current(struck.key, struck.at);
                    // Nothing of it is looked at later.
                    opened.current?.forget();
                },
                () => {
                    setTrouble('lost');
                    close();
                },
            );
            setOn(true);
        } catch (reason) {
            setTrouble(whyNot(reason));
        }
    };
    return { isOn, trouble, toggle: () => (isOn ? close() : open()) };
}
