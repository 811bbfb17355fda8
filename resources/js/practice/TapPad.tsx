import { Button } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { t } from '../text';
import type { FaceProps } from './CardFace';
import { latency } from './latency';
import styles from './Practice.module.css';
import type { Counting } from './sound';
import { judge } from './taps';
import type { CardData, Verdict } from './useSession';

/** How long after the last strike somebody may still tap, in beats. */
const GRACE = 2;

type Props = Pick<FaceProps, 'card' | 'verdict' | 'listen'> & { answer: (verdict: Verdict, took: number) => void };

type State = 'still' | 'counting' | 'silent';

/** A count-in, then a rhythm is tapped: by touch, by the space key, or on any key of a MIDI keyboard. */
export function TapPad({ card, verdict, answer, listen }: Props) {
    const { state, start, tap, struck, counted } = useTapping(card, answer);
    const latest = useRef({ start, tap, state });
    latest.current = { start, tap, state };
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if (event.key !== ' ' || event.repeat) return;
            event.preventDefault();
            if (latest.current.state === 'counting') latest.current.tap(event.timeStamp);
            else latest.current.start();
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    }, []);
    useEffect(() => {
        if (verdict !== null) return;
        return listen((_key, at) => {
            if (latest.current.state === 'counting') latest.current.tap(at);
            else latest.current.start();
        });
    }, [listen, verdict]);
    if (verdict !== null) return null;
    return (
        <>
            {state !== 'counting' && (
                <Button size="xl" onClick={start}>
                    {t('Count me in')}
                </Button>
            )}
            {state === 'silent' && <p role="alert">{t('This device gives no sound. Turn it on and press again.')}</p>}
            {state === 'counting' && (
                <button
                    type="button"
                    className={styles.pad}
                    onPointerDown={(event) => {
                        event.preventDefault();
                        tap(event.timeStamp);
                    }}
                >
                    <span className={styles.counted}>{counted ?? t('Tap')}</span>
                    <span aria-hidden="true">{'•'.repeat(struck)}</span>
                </button>
            )}
        </>
    );
}

/** Clicks the count, gathers taps by the audio clock, and judges them when the rhythm is over. */
function useTapping(card: CardData, answer: Props['answer']) {
    const [state, setState] = useState<State>('still');
    const [struck, setStruck] = useState(0);
    const [counted, setCounted] = useState<string | null>(null);
    const taps = useRef<number[]>([]);
    const clock = useRef<Counting | null>(null);
    const timers = useRef<ReturnType<typeof setTimeout>[]>([]);
    const latest = useRef(answer);
    latest.current = answer;
    useEffect(() => () => timers.current.forEach(clearTimeout), []);
    const rhythm = card.taps;
    const start = async () => {
        if (rhythm === null) return;
        try {
            const { count } = await import('./sound');
            clock.current = await count(rhythm.beat, rhythm.countIn.length);
        } catch {
            setState('silent');
            return;
        }
        const { until } = clock.current;
        taps.current = [];
        setStruck(0);
        setState('counting');
        const lasts = (rhythm.at.at(-1) ?? 0) + GRACE * rhythm.beat;
        const later = (run: () => void, at: number) => timers.current.push(setTimeout(run, at));
        rhythm.countIn.forEach((word, i) => {
            later(() => setCounted(word), until - (rhythm.countIn.length - i) * rhythm.beat);
        });
        later(() => setCounted(null), until - rhythm.beat / 8);
        later(() => {
            const { result, off } = judge(rhythm, taps.current);
            const early = off.filter((by) => by !== 0).length;
            setState('still');
            latest.current(
                {
                    right: result === 'steady',
                    given: early > 0 ? `${result} ${early}` : result,
                    words: rhythm.said.find((one) => one.id === result)?.label ?? '',
                },
                lasts,
            );
        }, until + lasts);
    };
    const tap = (timeStamp: number) => {
        const at = (clock.current?.since(timeStamp) ?? 0) - (latency() ?? 0);
        // Whoever taps along with the count finds the beat.
        if (rhythm === null || at < -rhythm.beat / 2) return;
        taps.current.push(at);
        setStruck(taps.current.length);
    };
    return { state, start, tap, struck, counted };
}
