import { Button, Stack, Text } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { t } from '../text';
import { Keys, useKeyRange } from './Keys';
import styles from './Practice.module.css';
import type { Answers, CardData, Deck } from './useSession';

const SECONDS = 10;
const MIDDLE = 60;

interface Props {
    deck: Deck;
    best: number;
    studentId: number;
    save: (answers: Answers) => void;
    listen: (take: (key: number) => void) => () => void;
}

/** Ten seconds: all keys of a name, name after name. One’s own best is kept, and nobody else’s. */
export function Race({ deck, best, studentId, save, listen }: Props) {
    const [mine, setMine] = useState(best);
    const range = useKeyRange(MIDDLE);
    const race = useRace(inOrder(deck), range, (count) => {
        setMine((before) => Math.max(before, count));
        save({
            studentId,
            session: crypto.randomUUID(),
            kind: deck.kind,
            answers: [
                {
                    card: 'race',
                    right: true,
                    milliseconds: SECONDS * 1_000,
                    given: String(count),
                    at: new Date().toISOString(),
                },
            ],
        });
    });
    const { card, left, found, strike } = race;
    useEffect(() => listen(strike), [listen, strike]);
    if (left === null || card === undefined) {
        return (
            <Stack align="center" gap="md">
                {race.count !== null && (
                    <Text fz="xl" role="status">
                        {race.count === 1
                            ? t('You found one key.')
                            : t('You found {{count}} keys.', { count: race.count })}
                    </Text>
                )}
                {mine > 0 && <Text>{t('Your best: {{mine}}', { mine })}</Text>}
                <Button size="xl" onClick={race.start}>
                    {race.count === null ? t('Start') : t('Once more')}
                </Button>
            </Stack>
        );
    }
    return (
        <>
            <Text component="h2" className={styles.ask}>
                {card.ask}
            </Text>
            <p className={styles.sign}>{card.sign}</p>
            <Text ta="center">{t('{{left}} seconds left', { left })}</Text>
            <Keys range={range} around={MIDDLE} marked={found} struck={strike} />
        </>
    );
}

/** The names in the order of the session. */
function inOrder({ cards, sessions }: Deck): CardData[] {
    const session = sessions[0];
    const ids = [...(session?.learning ?? []), ...(session?.joining ?? []), ...(session?.known ?? [])];
    return ids.flatMap((id) => cards.find((card) => card.id === id) ?? []);
}

/** All keys of a name that stand on the screen are found, or all of the keyboard that is played beyond it; then comes the next name. */
function useRace(cards: CardData[], [from, to]: [number, number], over: (count: number) => void) {
    const [left, setLeft] = useState<number | null>(null);
    const [at, setAt] = useState(-1);
    const [found, setFound] = useState<number[]>([]);
    const [count, setCount] = useState<number | null>(null);
    const total = useRef(0);
    const latest = useRef(over);
    latest.current = over;
    const isRunning = left !== null;
    useEffect(() => {
        if (!isRunning) return;
        const timer = setInterval(() => setLeft((before) => (before === null ? null : before - 1)), 1_000);
        return () => clearInterval(timer);
    }, [isRunning]);
    useEffect(() => {
        if (left !== 0) return;
        setLeft(null);
        setCount(total.current);
        latest.current(total.current);
    }, [left]);
    const start = () => {
        total.current = 0;
        setAt((before) => before + 1);
        setFound([]);
        setLeft(SECONDS);
    };
    const card = cards[Math.max(0, at) % Math.max(1, cards.length)];
    const stand = useRef({ card, found, isRunning, from, to });
    stand.current = { card, found, isRunning, from, to };
    const [strike] = useState(() => (key: number) => {
        const now = stand.current;
        if (!now.isRunning || now.found.includes(key) || now.card?.right.includes(String(key)) !== true) return;
        total.current++;
        const all = [...now.found, key];
        const isOnScreen = (one: number) => one >= now.from && one <= now.to;
        const wanted = now.card.right.map(Number).filter((one) => isOnScreen(one) || !all.every(isOnScreen));
        if (all.length >= wanted.length) {
            setFound([]);
            setAt((before) => before + 1);
        } else setFound(all);
    });
    return { card, left, found, count, start, strike };
}
