import { Button, Group, Text, Title } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { type Api, choices } from '../api';
import { useMidi } from '../shared/midi/devices';
import { t } from '../text';
import type { FaceProps } from './CardFace';
import { useEngravings } from './engraving';
import { Latency } from './Latency';
import { latency } from './latency';
import { MidiChoice } from './MidiChoice';
import styles from './Practice.module.css';
import { Race } from './Race';
import { Session } from './Session';
import { SightLine, type Went } from './SightLine';
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
    /** Keeps how the line at sight of the day went. */
    tell: (went: Went) => void;
    /** A drill of the week, which is opened at once. */
    task?: number | undefined;
    /** Told when a session has come to its end. */
    onEnd?: (() => void) | undefined;
    back: ReactNode;
}

/** The practice room: what can be trained, and a session of it. */
export function PracticeRoom(props: Props) {
    const { room, date, task, back } = props;
    const [kind, setKind] = useState<Kind | 'sight' | null>(null);
    const { listen, midi } = useKeyboard();
    useEngravings(room, date);
    const deck = room.decks.find((one) =>
        task === undefined ? one.taskId === null && one.kind === kind : one.taskId === task,
    );
    const line = kind === 'sight' ? lineOf(room, date) : undefined;
    if (deck === undefined && line === undefined) {
        return <Choice room={room} line={lineOf(room, date)} open={setKind} back={back} midi={midi} />;
    }
    const toRoom = (
        <Button variant="default" size="md" onClick={() => setKind(null)}>
            ← {t('Practice room')}
        </Button>
    );
    const leave = task === undefined ? toRoom : back;
    return (
        <>
            <Group justify="space-between" mb="sm">
                {leave}
                <Title order={1} fz="lg">
                    {deck === undefined ? t('A line at sight') : labelOf(deck.kind)}
                </Title>
            </Group>
            {line !== undefined && <SightLine line={line} keep={props.tell} />}
            {deck !== undefined && <Drill {...props} deck={deck} listen={listen} leave={leave} />}
        </>
    );
}

const lineOf = (room: Props['room'], date: string) => room.lines.find((one) => one.date === date);

/** One kind of drill, as often as it is wanted. */
function Drill({
    room,
    date,
    save,
    onEnd,
    deck,
    listen,
    leave,
}: Props & { deck: Deck; listen: FaceProps['listen']; leave: ReactNode }) {
    const [turn, setTurn] = useState(0);
    const [isMeasured, setMeasured] = useState(() => latency() !== null);
    const { studentId, best } = room;
    if (deck.kind === 'race') return <Race {...{ deck, best, studentId, save, listen }} />;
    if (deck.kind === 'tap' && !isMeasured) return <Latency done={() => setMeasured(true)} />;
    return (
        <Session
            key={turn}
            {...{ deck, date, studentId, save, listen, onEnd }}
            again={() => setTurn(turn + 1)}
            back={leave}
        />
    );
}

const labelOf = (kind: Kind) => choices.DrillKind.find((one) => one.value === kind)?.label ?? '';

interface ChoiceProps {
    room: Props['room'];
    /** The line at sight of the day. */
    line: ReturnType<typeof lineOf>;
    open: (kind: Kind | 'sight') => void;
    back: ReactNode;
    midi: ReturnType<typeof useMidi>;
}

/** What there is to train, large. */
function Choice({ room, line, open, back, midi }: ChoiceProps) {
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
            {line !== undefined && (
                <button type="button" className={`sheet ${styles.kind} ${styles.first}`} onClick={() => open('sight')}>
                    <span className={styles.name}>{t('A line at sight')}</span>{' '}
                    <span className="faint">
                        {line.went === null ? t('New today: nobody has played it yet.') : t('Played today.')}
                    </span>
                </button>
            )}
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
