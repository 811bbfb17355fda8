import { Button, Checkbox, Group, Select, Text } from '@mantine/core';
import { memo, useEffect, useRef, useState } from 'react';
import { type Api, ask, wordsOf } from '../api';
import { useMidi } from '../shared/midi/devices';
import { TAKES } from '../shared/midi/standIn';
import { Piano } from '../shared/piano/Piano';
import { useSession } from '../shared/Shell';
import { t } from '../text';
import styles from './Keyboard.module.css';

interface Props {
    /** The text up to the cursor. */
    before: () => string;
    /** Types a token there; joined to what stands before it, or after a space. */
    type: (token: string, joined?: boolean) => void;
}

const LENGTHS = {
    us: { w: 'Whole', h: 'Half', q: 'Quarter', v: 'Eighth', x: 'Sixteenth' },
    uk: { w: 'Semibreve', h: 'Minim', q: 'Crotchet', v: 'Quaver', x: 'Semiquaver' },
};
const OTHERS: [string, string][] = [
    ['.', t('Dot')],
    ['r', t('Rest')],
    ['~', t('Tie')],
    ['|', t('Bar line')],
    ['%', t('Bar before again')],
];
/** These belong to the note or the length before them. */
const JOINED = new Set(['.', '~']);

/** Notes by a piano on the screen or a MIDI keyboard; both type at the cursor. */
export const Keyboard = memo(function Keyboard({ before, type }: Props) {
    const words = useSession().data?.studio.words ?? 'us';
    const [struck, setStruck] = useState<number[]>([]);
    const [heard, setHeard] = useState(false);
    const [trouble, setTrouble] = useState<string | null>(null);
    const queue = useRef<Promise<void>>(Promise.resolve());
    const alive = useRef(true);
    useEffect(() => {
        alive.current = true;
        return () => {
            alive.current = false;
        };
    }, []);
    const onChord = (keys: number[]) => {
        setStruck(keys);
        // Without a connection the keys are silent until there is one; what is typed counts.
        if (heard) {
            import('../shared/sound/strike').then(({ strike }) => strike(keys)).catch(() => undefined);
        }
        // Each waits for the one before it: what it means depends on where that one left the cursor.
        queue.current = queue.current.then(async () => {
            if (!alive.current) return;
            try {
                const { token } = await ask('post', '/shorthand/keys', { body: { text: before(), keys } });
                type(token);
                setTrouble(null);
            } catch (error) {
                setTrouble(wordsOf(error).join(' '));
            }
        });
    };
    const midi = useMidi({ onChord });
    return (
        <section aria-label={t('Piano')} className={`sheet ${styles.piano}`}>
            <Group justify="space-between" mb={8} gap="xs">
                <LengthBar words={words} type={type} />
                <HeardBy heard={heard} setHeard={setHeard} midi={midi} />
            </Group>
            <Piano from={36} to={84} onChord={onChord} marked={struck} />
            {(trouble ?? midi.trouble) !== null && (
                <Text size="sm" mt={6} role="status">
                    {trouble ?? midi.trouble}
                </Text>
            )}
        </section>
    );
});

/** Whether the keys sound, and the MIDI keyboard that is listened to. */
function HeardBy({
    heard,
    setHeard,
    midi,
}: {
    heard: boolean;
    setHeard: (heard: boolean) => void;
    midi: ReturnType<typeof useMidi>;
}) {
    const [take, setTake] = useState(TAKES[0]?.name ?? '');
    return (
        <Group gap="xs">
            <Checkbox
                size="sm"
                label={t('Hear the keys')}
                checked={heard}
                onChange={(event) => setHeard(event.currentTarget.checked)}
            />
            <Select
                aria-label={t('MIDI keyboard')}
                placeholder={t('MIDI keyboard')}
                size="xs"
                w={190}
                clearable
                value={midi.chosen}
                onChange={midi.choose}
                onDropdownOpen={() => void midi.look()}
                data={midi.sources.map((source) => ({ value: source.id, label: source.name }))}
            />
            {midi.chosen === midi.standIn.id && (
                <>
                    <Select
                        aria-label={t('Recorded take')}
                        size="xs"
                        w={190}
                        allowDeselect={false}
                        value={take}
                        onChange={(name) => setTake(name ?? take)}
                        data={TAKES.map((one) => one.name)}
                    />
                    <Button
                        size="compact-sm"
                        onClick={() => {
                            const chosen = TAKES.find((one) => one.name === take);
                            if (chosen !== undefined) midi.standIn.play(chosen);
                        }}
                    >
                        {t('Play the take')}
                    </Button>
                </>
            )}
        </Group>
    );
}

/** Lengths and signs by a press. */
function LengthBar({ words, type }: { words: Api['NoteWords']; type: Props['type'] }) {
    return (
        <div className={styles.lengths} role="toolbar" aria-label={t('Lengths and signs')}>
            {Object.entries(LENGTHS[words]).map(([token, name]) => (
                <Button key={token} size="compact-sm" variant="default" onClick={() => type(token)}>
                    {name}
                </Button>
            ))}
            {OTHERS.map(([token, name]) => (
                <Button key={token} size="compact-sm" variant="default" onClick={() => type(token, JOINED.has(token))}>
                    {name}
                </Button>
            ))}
        </div>
    );
}
