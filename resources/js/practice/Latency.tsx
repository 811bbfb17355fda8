import { Button, Stack, Text, Title } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { t } from '../text';
import { keepLatency, measured } from './latency';
import styles from './Practice.module.css';
import type { Counting } from './sound';

const CLICKS = 8;
const BEAT = 600;

/** Measures once how late this device tells a tap: tap along with eight clicks. */
export function Latency({ done }: { done: () => void }) {
    const { state, start, tap } = useMeasuring(done);
    return (
        <Stack gap="md" align="center">
            <Title order={2}>{t('Tap along with eight clicks')}</Title>
            <Text>{t('So that your taps are heard just when you tap. Only this once.')}</Text>
            {state === 'again' && <Text role="status">{t('That was not quite with the clicks. Once more?')}</Text>}
            {state === 'silent' && (
                <Text role="alert">{t('This device gives no sound. Turn it on and press again.')}</Text>
            )}
            {state === 'clicking' ? (
                <button
                    type="button"
                    className={styles.pad}
                    onPointerDown={(event) => {
                        event.preventDefault();
                        tap(event.timeStamp);
                    }}
                    onKeyDown={(event) => {
                        if (event.key === ' ' && !event.repeat) tap(event.timeStamp);
                    }}
                >
                    {t('Tap')}
                </button>
            ) : (
                <Button size="xl" onClick={start}>
                    {t('Start the clicks')}
                </Button>
            )}
            <Button
                variant="subtle"
                onClick={() => {
                    keepLatency(0);
                    done();
                }}
            >
                {t('Do without')}
            </Button>
        </Stack>
    );
}

/** Clicks, and what is tapped along with them. */
function useMeasuring(done: () => void) {
    const [state, setState] = useState<'still' | 'clicking' | 'again' | 'silent'>('still');
    const taps = useRef<number[]>([]);
    const clock = useRef<Counting | null>(null);
    const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
    useEffect(() => () => clearTimeout(timer.current), []);
    const start = async () => {
        try {
            const { count } = await import('./sound');
            clock.current = await count(BEAT, CLICKS);
        } catch {
            setState('silent');
            return;
        }
        taps.current = [];
        setState('clicking');
        timer.current = setTimeout(() => {
            const late = measured(taps.current, BEAT, CLICKS);
            if (late === null) {
                setState('again');
                return;
            }
            keepLatency(late);
            done();
        }, clock.current.until + BEAT);
    };
    // The first click is as many beats before the end of the count as there are clicks.
    const tap = (timeStamp: number) => taps.current.push((clock.current?.since(timeStamp) ?? 0) + CLICKS * BEAT);
    return { state, start, tap };
}
