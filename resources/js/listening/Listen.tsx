import { Button, Checkbox, Group, Text } from '@mantine/core';
import { useState } from 'react';
import type { Playback } from '../api';
import { useMidi } from '../shared/midi/devices';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { HeardTake } from './HeardTake';
import { KeptSounds } from './KeptSounds';
import { Sources, WhatNow, WhileItListens } from './parts';
import { countInFor, soundsOf } from './playBack';
import type { Hear, TakeHeard } from './take';
import { useFollowed } from './useFollowed';
import { useListening } from './useListening';
import { useSource } from './useSource';

interface Props {
    part: number;
    /** What is to be played, and which hand. */
    playback: Playback;
    hand: 'R' | 'L' | null;
    tempo: number;
    hear: Hear;
    heard: TakeHeard | null;
    told: (heard: TakeHeard | null) => void;
    /** The task, where its sound may be kept on the device. */
    keeps?: number;
    /** What the button says; to a child `Listen to me`. */
    verb?: string;
    /** Lights the notes while it is played as it is written. */
    onLit?: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void;
}

/** The bars are played, and heard: by the microphone, a MIDI keyboard, its stand-in, or the keys on the screen. */
export function Listen({
    part,
    playback,
    hand,
    tempo,
    hear,
    heard,
    told,
    onLit,
    keeps,
    verb = t('Listen to me'),
}: Props) {
    const [source, setSource] = useSource();
    const [counts, setCounts] = useState(false);
    const countIn =
        counts && playback.counts.length > 0 ? (broken: AbortSignal) => countInFor(playback, tempo, broken) : null;
    const of = useListening({ part, source, hear, told, countIn });
    const midi = useMidi({ onKey: of.down, onUp: of.up });
    const sounds = soundsOf(playback, hand);
    useFollowed(of.state === 'listening', of.lit, sounds, onLit);
    if (sounds.length === 0) return null;
    const isOn = of.state === 'listening' || of.state === 'counting';
    return (
        <section className="sheet" aria-label={verb}>
            {isOn ? (
                <Group>
                    <Text role="status" fw={700}>
                        {of.state === 'counting'
                            ? t('Listen to the count, then play.')
                            : t('Play now. It ends by itself when you are silent for five seconds.')}
                    </Text>
                    <Button onClick={of.end} disabled={of.state === 'counting'}>
                        {t('That was it')}
                    </Button>
                </Group>
            ) : (
                <Group>
                    <Button
                        size="lg"
                        onClick={of.start}
                        loading={of.state === 'judging'}
                        disabled={of.state === 'looking'}
                    >
                        {heard === null && of.state !== 'kept' ? verb : t('Again')}
                    </Button>
                    <Checkbox
                        label={t('Count me in')}
                        checked={counts}
                        onChange={(event) => setCounts(event.currentTarget.checked)}
                    />
                </Group>
            )}
            {!isOn && of.state !== 'looking' && <Sources {...{ source, setSource, midi }} />}
            {of.state === 'listening' && <WhileItListens {...{ source, sounds, of, midi }} />}
            <WhatNow of={of} />
            <Trouble error={of.error} />
            {keeps !== undefined && of.state === 'still' && <KeptSounds task={keeps} recording={of.recording} />}
            {heard !== null && of.state === 'still' && (
                <HeardTake {...{ heard, playback, hand, tempo }} recording={of.recording} onLit={onLit} />
            )}
        </section>
    );
}
