import { Button } from '@mantine/core';
import { useCallback, useEffect, useState } from 'react';
import { t } from '../text';
import type { CardData } from './useSession';

/** What sounds for a card: once by itself, then as often as it is wanted. */
export function useHeard(card: CardData, onOver: () => void) {
    const [trouble, setTrouble] = useState(false);
    const play = useCallback(async () => {
        try {
            const { hear } = await import('./sound');
            const lasts = await hear(card.hear);
            return setTimeout(onOver, lasts);
        } catch {
            setTrouble(true);
            return setTimeout(onOver, 0);
        }
    }, [card, onOver]);
    useEffect(() => {
        let timer: ReturnType<typeof setTimeout> | undefined;
        let gone = false;
        play().then((one) => {
            timer = one;
            if (gone) clearTimeout(one);
        });
        return () => {
            gone = true;
            clearTimeout(timer);
        };
    }, [play]);
    return { play, trouble };
}

export function HearAgain({ heard }: { heard: ReturnType<typeof useHeard> }) {
    return (
        <>
            <Button size="lg" variant="default" onClick={() => heard.play()}>
                {t('Hear it again')}
            </Button>
            {heard.trouble && <p role="alert">{t('This device gives no sound. Turn it on and press again.')}</p>}
        </>
    );
}
