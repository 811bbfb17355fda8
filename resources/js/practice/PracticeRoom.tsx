import { Button, Group, Text, Title } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { type Api, choices } from '../api';
import { useMidi } from '../shared/midi/devices';
import { t } from '../text';
import { useEngravings } from './engraving';
import { Latency } from './Latency';
import { latency } from './latency';
import { MidiChoice } from './MidiChoice';
import styles from './Practice.module.css';
import { Race } from './Race';
import { Session } from './Session';
import type { Answers, Deck } from './useSession';

type Kind = Deck['kind'];

const GROUPS: { title: string; kinds: Kind[] }[] = [
    { title: t('Notes'), kinds: ['name', 'find', 'place', 'way', 'point', 'finger', 'spell'] },
    { title: t('Rhythm'), kinds: ['count', 'tap'] },
    { title: t('Looking'), kinds: ['same', 'say'] },
    { title: t('Ears and hands'), kinds: ['echo', 'sound', 'race'] },
];

interface Props {
    room: Api['RoomResource'];
    /** Today, where the student is. */
    date: string;
    save: (answers: Answers) => void;
    /** A drill of the week, which is opened at once. */
    task?: number | undefined;
    /** Told when a session has come to its end. */
    onEnd?: (() => void) | undefined;
    back: ReactNode;
}

/** The practice room: what can be trained, and a session of it. */
export function PracticeRoom({ room, date, save, task, onEnd, back }: Props) {
    const [kind, setKind] = useState<Kind | null>(null);
    const [turn, setTurn] = useState(0);
    const [isMeasured, setMeasured] = useState(() => latency() !== null);
    const { listen, midi } = useKeyboard();
    useEngravings(room, date);
    const deck = room.decks.find((one) =>
        task === undefined ? one.taskId === null && one.kind === kind : one.taskId === task,
    );
    if (deck === undefined) return <Choice room={room} open={setKind} back={back} midi={midi} />;
    const leave =
        task !== undefined ? (
            back
        ) : (
            <Button variant="default" size="md" onClick={() => setKind(null)}>
                ← {t('Practice room')}
            </Button>
        );
    return (
        <>
            <Group justify="space-between" mb="sm">
                {leave}
                <Title order={1} fz="lg">
                    {labelOf(deck.kind)}
                </Title>
            </Group>
            {deck.kind === 'race' ? (
                <Race deck={deck} best={room.best} studentId={room.studentId} save={save} listen={listen} />
            ) : deck.kind === 'tap' && !isMeasured ? (
                <Latency done={() => setMeasured(true)} />
            ) : (
                <Session
                    key={turn}
                    deck={deck}
                    date={date}
                    studentId={room.studentId}
                    save={save}
                    listen={listen}
                    again={() => setTurn(turn + 1)}
                    onEnd={onEnd}
                    back={leave}
                />
            )}
        </>
    );
}

const labelOf = (kind: Kind) => choices.DrillKind.find((one) => one.value === kind)?.label ?? '';

interface ChoiceProps {
    room: Props['room'];
    open: (kind: Kind) => void;
    back: ReactNode;
    midi: ReturnType<typeof useMidi>;
}

/** What there is to train, large. */
function Choice({ room, open, back, midi }: ChoiceProps) {
    return (
        <>
            {back}
            <Title order={1} fz={30} mt="sm">
                {t('Practice room')}
            </Title>
            <Text>
                {room.minutes === 1
                    ? t('A minute at a time. What shall it be?')
                    : t('{{minutes}} minutes at a time. What shall it be?', { minutes: room.minutes })}
            </Text>
            {GROUPS.map(({ title, kinds }) => {
                const decks = room.decks.filter((deck) => deck.taskId === null && kinds.includes(deck.kind));
                if (decks.length === 0) return null;
                return (
                    <section key={title} aria-label={title}>
                        <Title order={2} fz="lg" mt="md" mb={6}>
                            {title}
                        </Title>
                        <div className={styles.kinds}>
                            {decks.map(({ kind, words }) => (
                                <button
                                    key={kind}
                                    type="button"
                                    className={`sheet ${styles.kind}`}
                                    onClick={() => open(kind)}
                                >
                                    <span className={styles.name}>{labelOf(kind)}</span>{' '}
                                    <span className="faint">
                                        {kind === 'race' && room.best > 0
                                            ? t('Your best: {{mine}}', { mine: room.best })
                                            : words}
                                    </span>
                                </button>
                            ))}
                        </div>
                    </section>
                );
            })}
            <MidiChoice midi={midi} />
        </>
    );
}

/** Whoever wants to hear the MIDI keyboard is told its keys. */
function useKeyboard() {
    const [takers] = useState(() => new Set<(key: number) => void>());
    const midi = useMidi((keys) => {
        const [key] = keys;
        if (key !== undefined) for (const take of takers) take(key);
    });
    const [listen] = useState(() => (take: (key: number) => void) => {
        takers.add(take);
        return () => {
            takers.delete(take);
        };
    });
    return { listen, midi };
}
