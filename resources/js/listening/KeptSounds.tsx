import { Button, Group, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { dateOf, shortDate, timeOf } from '../shared/words';
import { t } from '../text';
import { deleteSound, type KeptSound, keepSound, soundsOf } from './keptSounds';
import { playTake, type Recording } from './playBack';
import { usePlayBack } from './usePlayBack';
import { wavOf } from './wav';

interface Props {
    task: number;
    /** What was recorded just now; null where there is no sound of it. */
    recording: Recording | null;
}

/** Sound is kept where the family wishes it: on this device, for a week; it leaves it only by a press. */
export function KeptSounds({ task, recording }: Props) {
    const [sounds, setSounds] = useState<readonly KeptSound[]>([]);
    const [kept, setKept] = useState<Recording | null>(null);
    const { plays, play } = usePlayBack();
    const look = () => soundsOf(task).then(setSounds, () => setSounds([]));
    // biome-ignore lint/correctness/useExhaustiveDependencies: once a task
    useEffect(() => void look(), [task]);
    const { samples, rate } = recording ?? {};
    const keep = async () => {
        if (samples === undefined || rate === undefined) return;
        await keepSound({ task, at: new Date().toISOString(), rate, samples });
        setKept(recording);
        await look();
    };
    return (
        <>
            {samples !== undefined && kept !== recording && (
                <Button variant="subtle" size="compact-sm" onClick={keep}>
                    {t('Keep this sound on this device for a week')}
                </Button>
            )}
            {sounds.length > 0 && (
                <ul className="plain-list" aria-label={t('Kept sounds')}>
                    {sounds.map((sound) => (
                        <OneSound
                            key={sound.id}
                            {...{ sound, plays, play }}
                            remove={() => deleteSound(sound.id).then(look)}
                        />
                    ))}
                </ul>
            )}
        </>
    );
}

interface OneProps {
    sound: KeptSound;
    plays: string | null;
    play: ReturnType<typeof usePlayBack>['play'];
    remove: () => void;
}

function OneSound({ sound, plays, play, remove }: OneProps) {
    const name = `${shortDate(dateOf(sound.at))}, ${timeOf(sound.at)}`;
    const key = String(sound.id);
    return (
        <li>
            <Group gap="xs">
                <Text size="sm">{name}</Text>
                <Button
                    size="compact-sm"
                    variant="light"
                    aria-label={t('Play the sound of {{name}}', { name })}
                    onClick={() => play(key, (ended) => playTake({ notes: [], ...sound }, ended))}
                >
                    {plays === key ? t('Stop') : t('Play')}
                </Button>
                <Button
                    size="compact-sm"
                    variant="default"
                    aria-label={t('Download the sound of {{name}}', { name })}
                    onClick={() => download(sound, name)}
                >
                    {t('Download')}
                </Button>
                <Button
                    size="compact-sm"
                    variant="default"
                    aria-label={t('Delete the sound of {{name}}', { name })}
                    onClick={remove}
                >
                    {t('Delete')}
                </Button>
            </Group>
        </li>
    );
}

/** The sound as a file of its own. */
function download(sound: KeptSound, name: string): void {
    const wav = wavOf(sound.samples, sound.rate) as Uint8Array<ArrayBuffer>;
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([wav], { type: 'audio/wav' }));
    link.download = `${name.replaceAll(':', '.')}.wav`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
