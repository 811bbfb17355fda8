import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../api';
import { useMidi } from '../shared/midi/devices';
import { MidiChoice } from '../shared/midi/MidiChoice';
import { Trouble } from '../shared/Notes';
import { Piano } from '../shared/piano/Piano';
import { t } from '../text';
import styles from './Listen.module.css';
import { standInTakes } from './standInTakes';
import type { TakeHeard } from './useHome';
import { type Hear, useListening } from './useListening';

interface Props {
    part: number;
    /** What is to be played. */
    sounds: readonly Api['SoundResource'][];
    hear: Hear;
    heard: TakeHeard | null;
    told: (heard: TakeHeard | null) => void;
}

const OCTAVE = 12;

/** The bars are played, and heard: by a MIDI keyboard, its stand-in, or the keys on the screen. */
export function Listen({ part, sounds, hear, heard, told }: Props) {
    const { state, error, lit, start, end, down, up } = useListening({ part, hear, told });
    const midi = useMidi({ onKey: down, onUp: up });
    const keys = sounds.flatMap((sound) => sound.keys);
    if (keys.length === 0) return null;
    return (
        <section className="sheet" aria-label={t('Listen to me')}>
            {state === 'listening' ? (
                <Group>
                    <Text role="status">{t('Play now. It ends by itself when you are silent for five seconds.')}</Text>
                    <Button onClick={end}>{t('That was it')}</Button>
                </Group>
            ) : (
                <Group>
                    <Button size="lg" onClick={start} loading={state === 'judging'}>
                        {heard === null && state !== 'kept' ? t('Listen to me') : t('Again')}
                    </Button>
                    <Sources midi={midi} />
                </Group>
            )}
            {state === 'listening' && (
                <>
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
                    {midi.chosen === midi.standIn.id && <Takes sounds={sounds} midi={midi} />}
                </>
            )}
            {state === 'silent' && (
                <Text role="status">{t('Nothing was heard. Play louder, or choose another keyboard.')}</Text>
            )}
            {state === 'kept' && (
                <Text role="status">
                    {t('It is kept here, and looked at when there is a connection. Play it again, or go on.')}
                </Text>
            )}
            <Trouble error={error} />
            {heard !== null && state === 'still' && <Told heard={heard} />}
        </section>
    );
}

function Sources({ midi }: { midi: ReturnType<typeof useMidi> }) {
    const [isOpen, setOpen] = useState(false);
    if (!isOpen) {
        return (
            <Button variant="default" onClick={() => setOpen(true)}>
                {t('By which keyboard?')}
            </Button>
        );
    }
    return <MidiChoice midi={midi} label={t('Keyboard')} always />;
}

/** What the stand-in plays in the place of a child. */
function Takes({ sounds, midi }: Pick<Props, 'sounds'> & { midi: ReturnType<typeof useMidi> }) {
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

/** What went well first, then one thing. */
function Told({ heard }: { heard: TakeHeard }) {
    return (
        <div role="status" className={styles.told}>
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
    );
}
