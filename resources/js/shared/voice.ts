import { useEffect, useState } from 'react';

const SLOWLY = 0.9;

/** Voices come late in some browsers; null where there is none for English. */
export function useVoice(): SpeechSynthesisVoice | null {
    const [voice, setVoice] = useState<SpeechSynthesisVoice | null>(null);
    useEffect(() => {
        const speech = globalThis.speechSynthesis;
        if (speech === undefined) return;
        const look = () => setVoice(speech.getVoices().find((one) => one.lang.startsWith('en')) ?? null);
        look();
        speech.addEventListener?.('voiceschanged', look);
        return () => speech.removeEventListener?.('voiceschanged', look);
    }, []);
    return voice;
}

export function utterance(words: string, voice: SpeechSynthesisVoice): SpeechSynthesisUtterance {
    const said = new SpeechSynthesisUtterance(words);
    said.voice = voice;
    said.rate = SLOWLY;
    return said;
}
