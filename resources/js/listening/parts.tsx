import { Button, Group, Progress, SegmentedControl, Text } from '@mantine/core';
import type { Playback } from '../api';
import type { useMidi } from '../shared/midi/devices';
import { MidiChoice } from '../shared/midi/MidiChoice';
import { Piano } from '../shared/piano/Piano';
import { t } from '../text';
import styles from './Listen.module.css';
import { standInTakes } from './standInTakes';
import type { Source, useListening } from './useListening';

const OCTAVE = 12;

interface SourcesProps {
    source: Source;
    setSource: (source: Source) => void;
    midi: ReturnType<typeof useMidi>;
}

/** By what it is heard; it is kept for the next time. */
export function Sources({ source, setSource, midi }: SourcesProps) {
    return (
        <div className={styles.sources}>
            <SegmentedControl
                aria-label={t('What do you play on?')}
                value={source}
                onChange={(value) => setSource(value as Source)}
                data={[
                    { value: 'microphone', label: t('A piano in the room') },
                    { value: 'keyboard', label: t('Keyboard or screen') },
                ]}
            />
            {source === 'keyboard' ? (
                <MidiChoice midi={midi} label={t('Keyboard')} always />
            ) : (
                <Text size="sm" className="faint">
                    {t(
                        'Your browser asks for the microphone once. The sound stays on this device; only the keys that were played are sent.',
                    )}
                </Text>
            )}
        </div>
    );
}

interface ScreenKeysProps {
    sounds: Playback['sounds'];
    lit: readonly number[];
    down: (key: number, at: number) => void;
}

function ScreenKeys({ sounds, lit, down }: ScreenKeysProps) {
    const keys = sounds.flatMap((sound) => sound.keys);
    return (
        <div className={styles.keys}>
            <Piano
                from={Math.floor(Math.min(...keys) / OCTAVE) * OCTAVE}
                to={Math.floor(Math.max(...keys) / OCTAVE) * OCTAVE + OCTAVE - 1}
                marked={lit}
                onChord={(struck) => {
                    for (const key of struck) down(key, performance.now());
                }}
            />
        </div>
    );
}

/** What the stand-in plays in the place of a child. */
function Takes({ sounds, midi }: { sounds: Playback['sounds'] } & Pick<SourcesProps, 'midi'>) {
    return (
        <Group mt="sm">
            {standInTakes(sounds).map((take) => (
                <Button key={take.name} variant="default" onClick={() => midi.standIn.play(take)}>
                    {take.name}
                </Button>
            ))}
        </Group>
    );
}

const LETTERS = ['C', 'C♯', 'D', 'E♭', 'E', 'F', 'F♯', 'G', 'A♭', 'A', 'B♭', 'B'];

/** How loud it is, and the key that is heard best now. */
function Hears({ now }: { now: ReturnType<typeof useListening>['now'] }) {
    return (
        <div className={styles.hears}>
            <meter className={styles.level} aria-label={t('How loud it is')} value={now.level} />
            <span className={styles.key} aria-hidden="true">
                {now.key === null ? '·' : LETTERS[now.key % OCTAVE]}
            </span>
            {now.noisy && (
                <Text size="sm" role="status">
                    {t('It is loud in this room. Soft keys may not be heard; go on all the same.')}
                </Text>
            )}
        </div>
    );
}

interface WhileProps extends Pick<SourcesProps, 'source' | 'midi'> {
    sounds: Playback['sounds'];
    of: ReturnType<typeof useListening>;
}

/** What is seen while it listens: the level and the key that is heard, or keys to play on. */
export function WhileItListens({ source, sounds, of, midi }: WhileProps) {
    if (source === 'microphone') return <Hears now={of.now} />;
    return (
        <>
            <ScreenKeys sounds={sounds} lit={of.lit} down={of.down} />
            {midi.chosen === midi.standIn.id && <Takes sounds={sounds} midi={midi} />}
            {midi.trouble !== null && midi.chosen !== midi.standIn.id && (
                <Text size="sm" role="status">
                    {midi.trouble}
                </Text>
            )}
        </>
    );
}

/** What is going on, and what to do where something did not go. */
export function WhatNow({ of }: { of: ReturnType<typeof useListening> }) {
    const { state, trouble, looked, stop } = of;
    return (
        <>
            {state === 'looking' && (
                <div className={styles.looking}>
                    <Text role="status">{t('One moment: finding the keys in what you played…')}</Text>
                    <Progress value={Math.round(100 * looked)} aria-label={t('How much is done')} />
                    <Button variant="default" size="xs" mt={6} onClick={stop}>
                        {t('Stop looking')}
                    </Button>
                </div>
            )}
            {state === 'silent' && (
                <Text role="status">{t('Nothing was heard. Play louder, or come closer to the piano.')}</Text>
            )}
            {state === 'kept' && (
                <Text role="status">
                    {t('It is kept here, and looked at when there is a connection. Play it again, or go on.')}
                </Text>
            )}
            {trouble !== null && <Text role="status">{troubleWords(trouble)}</Text>}
        </>
    );
}

export function troubleWords(trouble: NonNullable<ReturnType<typeof useListening>['trouble']>): string {
    const words = {
        refused: t(
            'The microphone is not allowed. Allow it in the settings of this page, or play on a keyboard or the screen.',
        ),
        none: t('This device has no microphone. Play on a keyboard with a cable, or on the screen.'),
        failed: t('The microphone did not start. Close other apps that use it, and try again.'),
        'no ear': t('It could not be looked at. Check the connection and play it again.'),
        lost: t('The microphone went away. What was heard until then is looked at.'),
    };
    return words[trouble];
}
