import { Button, Stack, Text } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { t } from '../text';
import { Keys } from './Keys';
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
    const race = useRace(deck.cards, (count) => {
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
            <Keys around={MIDDLE} marked={found} struck={strike} />
        </>
    );
}

/** The keys of a name that can be reached on the screen, or on the keyboard that is played. */
function useRace(cards: CardData[], over: (count: number) => void) {
    const [left, setLeft] = useState<number | null>(null);
    const [at, setAt] = useState(0);
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
        setAt(Math.floor(Math.random() * cards.length));
        setFound([]);
        setLeft(SECONDS);
    };
    const card = cards[at % Math.max(1, cards.length)];
    const stand = useRef({ card, found, isRunning });
    stand.current = { card, found, isRunning };
    const [strike] = useState(() => (key: number) => {
        const now = stand.current;
        if (!now.isRunning || now.found.includes(key) || now.card?.right.includes(String(key)) !== true) return;
        total.current++;
        // As many as stand on the screen; then comes the next name.
        const reached = document.querySelectorAll(`[data-letter="${key % 12}"]`).length;
        if (now.found.length + 1 >= Math.max(1, reached)) {
            setFound([]);
            setAt((before) => before + 1);
        } else setFound([...now.found, key]);
    });
    return { card, left, found, count, start, strike };
}
