import { Button, CloseButton, Group, Text } from '@mantine/core';
import { useState } from 'react';
import type { Playback } from '../api';
import { t } from '../text';
import styles from './Listen.module.css';
import { playTake, playWritten, type Recording } from './playBack';
import type { TakeHeard } from './take';
import { usePlayBack } from './usePlayBack';

interface Props {
    heard: TakeHeard;
    recording: Recording | null;
    playback: Playback;
    hand: 'R' | 'L' | null;
    tempo: number;
    onLit?: ((notes: ReadonlyMap<string, 'yes' | 'left'>) => void) | undefined;
}

/** What went well first, then one thing; then what was played beside how it is written. */
export function HeardTake({ heard, recording, playback, hand, tempo, onLit }: Props) {
    const { plays, play } = usePlayBack();
    const [gone, setGone] = useState<readonly string[]>([]);
    const unsure = heard.again.filter((one) => !gone.includes(one.id));
    return (
        <div className={styles.told}>
            <div role="status">
                <Text fw={700} fz="lg">
                    {heard.well}
                </Text>
                {heard.thing !== null && <Text fz="lg">{heard.thing}</Text>}
                {heard.notes.length > 0 && (
                    <Text size="sm" className="faint">
                        {t('On the music: × another key, ○ a key that was missed.')}
                    </Text>
                )}
            </div>
            <Group mt="sm">
                {recording !== null && (
                    <Button
                        variant="default"
                        aria-pressed={plays === 'take'}
                        onClick={() => play('take', (ended) => playTake(recording, ended))}
                    >
                        {plays === 'take' ? t('Stop') : t('What I played')}
                    </Button>
                )}
                <Button
                    variant="default"
                    aria-pressed={plays === 'written'}
                    onClick={() =>
                        play('written', (ended) =>
                            playWritten({ playback, tempo: heard.tempo ?? tempo, hand }, ended, onLit),
                        )
                    }
                >
                    {plays === 'written' ? t('Stop') : t('As it is written')}
                </Button>
            </Group>
            {unsure.length > 0 && (
                <ul className={`plain-list ${styles.again}`} aria-label={t('Listen here again')}>
                    {unsure.map((one) => (
                        <li key={one.id}>
                            <Text size="sm">{t('Listen here again: bar {{bar}}', { bar: one.bar })}</Text>
                            {recording !== null && one.at !== null && (
                                <Button
                                    size="compact-sm"
                                    variant="light"
                                    onClick={() => play(one.id, (ended) => playTake(recording, ended, one.at))}
                                >
                                    {t('Play this place')}
                                </Button>
                            )}
                            <CloseButton
                                aria-label={t('It was right: bar {{bar}}', { bar: one.bar })}
                                onClick={() => setGone([...gone, one.id])}
                            />
                        </li>
                    ))}
                </ul>
            )}
        </div>
    );
}
