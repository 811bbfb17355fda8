import { useState } from 'react';
import type { Source } from './useListening';

const NAME = 'nasturtium.listens-by';

/** By what this device listens: as it was chosen last, else by the microphone where there is one to ask for. */
export function useSource(): [Source, (source: Source) => void] {
    const [source, setSource] = useState<Source>(() => {
        const kept = localStorage.getItem(NAME);
        if (kept === 'microphone' || kept === 'keyboard') return kept;
        return navigator.mediaDevices?.getUserMedia === undefined ? 'keyboard' : 'microphone';
    });
    const choose = (next: Source) => {
        localStorage.setItem(NAME, next);
        setSource(next);
    };
    return [source, choose];
}
