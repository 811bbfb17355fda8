import { useEffect, useRef, useState } from 'react';
import { t } from '../../text';
import { Gatherer, readMessage } from './messages';
import type { MidiSource } from './source';
import { StandIn } from './standIn';

const standIn = new StandIn();

function fromInput(input: MIDIInput): MidiSource {
    return {
        id: input.id,
        name: input.name ?? t('MIDI keyboard'),
        listen: (listener) => {
            const take = (event: MIDIMessageEvent) => event.data !== null && listener(event.data, event.timeStamp);
            input.addEventListener('midimessage', take as EventListener);
            return () => input.removeEventListener('midimessage', take as EventListener);
        },
    };
}

interface Heard {
    /** Keys that went down together, a moment after. */
    onChord?: (keys: number[]) => void;
    /** Each key as it goes down, and when, in milliseconds of the page's clock. */
    onKey?: (key: number, at: number) => void;
    /** Each key as it is let go. */
    onUp?: (key: number, at: number) => void;
}

/** The MIDI keyboards of this device and the stand-in, and what comes from the chosen one. */
export function useMidi(heard: Heard) {
    const [sources, setSources] = useState<MidiSource[]>([standIn]);
    const [chosen, setChosen] = useState<string | null>(null);
    const [trouble, setTrouble] = useState<string | null>(null);
    const latest = useRef(heard);
    latest.current = heard;
    const inHand = useRef(chosen);
    inHand.current = chosen;

    /** Asks the browser for the keyboards; it may ask the teacher in turn. */
    const look = async () => {
        if (navigator.requestMIDIAccess === undefined) {
            setTrouble(
                t(
                    'This browser cannot hear MIDI keyboards. The stand-in and the keys on the screen work all the same.',
                ),
            );
            return;
        }
        try {
            const access = await navigator.requestMIDIAccess();
            const read = () => {
                const found = [...access.inputs.values()].map(fromInput);
                setSources([...found, standIn]);
                const before = inHand.current;
                const isGone = before !== null && before !== standIn.id && !found.some((one) => one.id === before);
                if (isGone)
                    setTrouble(
                        t('The keyboard was unplugged. Plug it in again, or go on with the keys on the screen.'),
                    );
                else if (found.length > 0) setTrouble(null);
                else setTrouble(t('No MIDI keyboard is connected. Plug one in, and it appears here.'));
                setChosen(isGone ? null : (before ?? found[0]?.id ?? null));
            };
            access.onstatechange = read;
            read();
        } catch {
            setTrouble(
                t('The browser was told not to listen to MIDI keyboards. Allow it in the settings of this page.'),
            );
        }
    };
    useEffect(() => {
        const source = sources.find((one) => one.id === chosen);
        if (source === undefined) return;
        const gatherer = new Gatherer((keys) => latest.current.onChord?.(keys));
        const stop = source.listen((bytes, at) => {
            const struck = readMessage(bytes);
            gatherer.take(struck);
            if (struck?.down === true) latest.current.onKey?.(struck.key, at);
            if (struck?.down === false) latest.current.onUp?.(struck.key, at);
        });
        return () => {
            stop();
            gatherer.stop();
        };
    }, [sources, chosen]);
    return { sources, chosen, choose: setChosen, look, trouble, standIn };
}
