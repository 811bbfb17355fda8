import { Box, Button, Group, Text, Title } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { type Api, choices } from '../api';
import { troubleWords } from '../listening/parts';
import type { TakeRequest } from '../listening/take';
import { useEar } from '../listening/useEar';
import { useMidi } from '../shared/midi/devices';
import { MidiChoice } from '../shared/midi/MidiChoice';
import { t } from '../text';
import type { FaceProps, Take } from './CardFace';
import { useEngravings } from './engraving';
import { Latency } from './Latency';
import { latency } from './latency';
import styles from './Practice.module.css';
import { Race } from './Race';
import { Session } from './Session';
import { type SightHeard, SightLine, type Went } from './SightLine';
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
    /** Judges the line at sight as it was played; null where nothing is listened to. */
    hear: ((take: TakeRequest) => Promise<SightHeard>) | null;
    /** A drill of the week, which is opened at once. */
    task?: number | undefined;
    /** The line at sight of the day is opened at once. */
    sight?: boolean | undefined;
    /** Told when a session has come to its end, with the task of the week that it was for. */
    onEnd?: ((task: number | null) => void) | undefined;
    back: ReactNode;
}

/** The practice room: what can be trained, and a session of it. */
export function PracticeRoom(props: Props) {
    const { room, date, task, back } = props;
    const [chosen, choose] = useState<string | null>(props.sight === true ? SIGHT : null);
    const { listen, midi, ear } = useKeyboard();
    useEngravings(room, date);
    const deck = room.decks.find((one) => (task === undefined ? nameOf(one) === chosen : one.taskId === task));
    const line = chosen === SIGHT ? lineOf(room, date) : undefined;
    if (deck === undefined && line === undefined) {
        return <Choice room={room} line={lineOf(room, date)} open={choose} back={back} midi={midi} ear={ear} />;
    }
    const toRoom = (
        <Button variant="default" size="md" onClick={() => choose(null)}>
            ← {t('Practice room')}
        </Button>
    );
    const leave = task === undefined && props.sight !== true ? toRoom : back;
    return (
        <>
            <Group justify="space-between" mb="sm">
                {leave}
                <Title order={1} fz="lg">
                    {deck === undefined ? t('A line at sight') : titleOf(deck)}
                </Title>
            </Group>
            {line !== undefined && <SightLine line={line} keep={props.tell} hear={props.hear} />}
            {deck !== undefined && <Drill {...props} deck={deck} listen={listen} leave={leave} />}
        </>
    );
}

const SIGHT = 'sight';

/** What a deck is known by: one of the room has its kind alone. */
const nameOf = (deck: Deck) => [deck.kind, deck.taskId, deck.page].filter((one) => one !== null).join(' ');

const titleOf = (deck: Deck) =>
    deck.page === null ? labelOf(deck.kind) : t('{{kind}}: {{page}}', { kind: labelOf(deck.kind), page: deck.page });

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
            {...{ deck, date, studentId, save, listen }}
            onEnd={() => onEnd?.(deck.taskId)}
            again={() => setTurn(turn + 1)}
            back={leave}
        />
    );
}

const labelOf = (kind: Kind) => choices.DrillKind.find((one) => one.value === kind)?.label ?? '';

/** The notes of pages first, then the kinds; what has none is left out. */
function groupsOf(room: Props['room']) {
    const groups = GROUPS.map(({ title, kinds }) => ({
        title,
        decks: room.decks.filter((deck) => deck.page === null && kinds.includes(deck.kind)),
    }));
    const pages = { title: t('Before you play'), decks: room.decks.filter((deck) => deck.page !== null) };
    return [pages, ...groups].filter(({ decks }) => decks.length > 0);
}

interface ChoiceProps {
    room: Props['room'];
    /** The line at sight of the day. */
    line: ReturnType<typeof lineOf>;
    open: (name: string) => void;
    back: ReactNode;
    midi: ReturnType<typeof useMidi>;
    ear: ReturnType<typeof useEar>;
}

/** What there is to train, large. */
function Choice({ room, line, open, back, midi, ear }: ChoiceProps) {
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
                <button type="button" className={`sheet ${styles.kind} ${styles.first}`} onClick={() => open(SIGHT)}>
                    <span className={styles.name}>{t('A line at sight')}</span>{' '}
                    <span className="faint">
                        {line.went === null ? t('New today: nobody has played it yet.') : t('Played today.')}
                    </span>
                </button>
            )}
            {groupsOf(room).map(({ title, decks }) => (
                <section key={title} aria-label={title}>
                    <Title order={2} fz="lg" mt="md" mb={6}>
                        {title}
                    </Title>
                    <div className={styles.kinds}>
                        {decks.map((deck) => (
                            <button
                                key={nameOf(deck)}
                                type="button"
                                className={`sheet ${styles.kind}`}
                                onClick={() => open(nameOf(deck))}
                            >
                                <span className={styles.name}>{deck.page ?? labelOf(deck.kind)}</span>{' '}
                                <span className="faint">
                                    {deck.kind === 'race' && room.best > 0
                                        ? t('Your best: {{mine}}', { mine: room.best })
                                        : deck.words}
                                </span>
                            </button>
                        ))}
                    </div>
                </section>
            ))}
            <Box mt="lg">
                <MidiChoice midi={midi} label={t('Answer with')} />
                <ByEar ear={ear} />
            </Box>
        </>
    );
}

/** Answers by a piano in the room, one key after the other. */
function ByEar({ ear }: Pick<ChoiceProps, 'ear'>) {
    return (
        <Group mt="sm">
            <Button variant="default" aria-pressed={ear.isOn} onClick={ear.toggle}>
                {ear.isOn ? t('Stop listening to the piano') : t('Answer on a piano in the room')}
            </Button>
            <Text size="sm" className="faint" role="status">
                {ear.trouble !== null
                    ? troubleWords(ear.trouble)
                    : ear.isOn
                      ? t('It listens. The sound stays on this device.')
                      : ''}
            </Text>
        </Group>
    );
}

/** Whoever wants to hear the MIDI keyboard, or the piano in the room, is told its keys as they go down. */
function useKeyboard() {
    const [takers] = useState(() => new Set<Take>());
    const tell = (key: number, at: number, sounds: boolean) => {
        for (const take of takers) take(key, at, sounds);
    };
    const midi = useMidi({ onKey: (key, at) => tell(key, at, false) });
    const ear = useEar((key, at) => tell(key, at, true));
    const [listen] = useState(() => (take: Take) => {
        takers.add(take);
        return () => {
            takers.delete(take);
        };
    });
    return { listen, midi, ear };
}
