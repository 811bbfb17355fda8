import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { t } from '../text';
import { useVoice, utterance } from './voice';

/** Reads the task to a child, where the browser has a voice for English; there is no button where it has none. */
export function ReadAloud({ words }: { words: string }) {
    const [reads, setReads] = useState(false);
    const voice = useVoice();
    useEffect(() => () => globalThis.speechSynthesis?.cancel(), []);
    if (voice === null) return null;
    const toggle = () => {
        speechSynthesis.cancel();
        setReads(!reads);
        if (reads) return;
        const said = utterance(words, voice);
        said.onend = () => setReads(false);
        said.onerror = () => setReads(false);
        speechSynthesis.speak(said);
    };
    return (
        <Button variant="light" size="md" onClick={toggle} aria-pressed={reads}>
            {reads ? t('Stop reading') : t('Read it to me')}
        </Button>
    );
}
