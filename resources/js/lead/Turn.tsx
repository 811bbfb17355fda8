import { Text } from '@mantine/core';
import { type RefObject, useEffect, useRef } from 'react';
import { type Playback, wordsOf } from '../api';
import { troubleWords, WhatNow, WhileItListens } from '../listening/parts';
import { countInFor, soundsOf } from '../listening/playBack';
import type { Hear, TakeHeard } from '../listening/take';
import { useFollowed } from '../listening/useFollowed';
import { type Source, useListening } from '../listening/useListening';
import type { useMidi } from '../shared/midi/devices';
import { t } from '../text';
import type { Step } from './steps';

/** What hears the keys of a keyboard. */
export interface Ears {
    down: (key: number, at: number) => void;
    up: (key: number, at: number) => void;
}

interface Props {
    step: Step;
    playback: Playback;
    source: Source;
    midi: ReturnType<typeof useMidi>;
    ears: RefObject<Ears | null>;
    /** It listens; else it waits as long as the phrase takes. */
    listens: boolean;
    hear: Hear;
    /** What was heard; null where nobody could tell, with the reason. */
    heard: (of: TakeHeard | null, why?: string) => void;
    /** Lights the notes as they are heard. */
    lit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void;
}

/** Milliseconds without a key after which a phrase is over. */
const SILENCE = 2_500;

/** Milliseconds, besides thrice the phrase, after which nobody plays any more. */
const PATIENCE = 15_000;

/** Your turn: counts in, then listens to the phrase, or waits for as long as it takes. */
export function Turn({ step, playback, source, listens, midi, ears, hear, heard, lit }: Props) {
    const tempo = step.tempo ?? 60;
    const told = (of: TakeHeard | null) => of !== null && heard(of);
    const of = useListening({
        part: 0,
        source,
        hear,
        told,
        countIn: (broken) => countInFor(playback, tempo, broken),
        silence: SILENCE,
    });
    ears.current = of;
    const latest = useRef({ start: of.start, playback, tempo, listens, heard });
    latest.current.heard = heard;
    useEffect(() => {
        const { start, playback, tempo, listens } = latest.current;
        if (listens) {
            start();
            return;
        }
        let timer: ReturnType<typeof setTimeout> | undefined;
        const broken = new AbortController();
        countInFor(playback, tempo, broken.signal).then(() => {
            const over = () => latest.current.heard(null);
            if (!broken.signal.aborted) timer = setTimeout(over, (playback.beats * 60_000) / tempo);
        });
        return () => {
            broken.abort();
            clearTimeout(timer);
        };
    }, []);
    const ends = useRef(of.end);
    ends.current = of.end;
    const isListening = of.state === 'listening';
    useEffect(() => {
        if (!isListening) return;
        const { playback, tempo } = latest.current;
        const timer = setTimeout(() => ends.current(), PATIENCE + (3 * playback.beats * 60_000) / tempo);
        return () => clearTimeout(timer);
    }, [isListening]);
    const why = whyUntold(of);
    const untold = useRef(false);
    useEffect(() => {
        if (why === null || untold.current) return;
        untold.current = true;
        heard(null, why);
    }, [why, heard]);
    const sounds = soundsOf(playback, step.hand);
    useFollowed(isListening, of.lit, sounds, lit);
    return (
        <section aria-label={t('Your turn')}>
            <Text role="status" fw={700} fz="lg">
                {of.state === 'counting' ? t('Listen to the count, then play.') : t('Play!')}
            </Text>
            {of.state === 'listening' && <WhileItListens {...{ source, sounds, of, midi }} />}
            <WhatNow of={of} />
        </section>
    );
}

/** Why nothing can be told of a turn; null as long as it goes on. */
function whyUntold({ state, trouble, error }: ReturnType<typeof useListening>): string | null {
    if (error !== null) return wordsOf(error).join(' ');
    if (trouble !== null) return trouble === 'lost' ? null : troubleWords(trouble);
    if (state === 'silent') return t('Nothing was heard. Play louder, or come closer to the piano.');
    return state === 'kept' ? t('There is no connection. You say how it was; it is looked at later.') : null;
}
