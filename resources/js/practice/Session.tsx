import { Button, Progress, Text } from '@mantine/core';
import { type ReactNode, useEffect, useState } from 'react';
import { useKeys } from '../shared/keys';
import { t } from '../text';
import { CardFace, type FaceProps } from './CardFace';
import { gained } from './gained';
import styles from './Practice.module.css';
import { type Answers, type Deck, useSession, type Verdict } from './useSession';

interface Props {
    deck: Deck;
    date: string;
    studentId: number;
    save: (answers: Answers) => void;
    listen: FaceProps['listen'];
    again: () => void;
    /** Told when it has come to its end. */
    onEnd?: (() => void) | undefined;
    back: ReactNode;
}

/** A session: one card after another, and what was gained. */
export function Session({ deck, date, studentId, save, listen, again, onEnd, back }: Props) {
    const { run, card, verdict, answer, go, isDrawn, spent } = useSession({ deck, date, studentId, save });
    useKeys(verdict === null ? [] : [{ key: 'Enter', does: t('go on to the next card'), run: go }]);
    const isOver = card === null;
    // biome-ignore lint/correctness/useExhaustiveDependencies: told once, when it is over
    useEffect(() => {
        if (isOver) onEnd?.();
    }, [isOver]);
    if (card === null) {
        return (
            <div className={styles.ended}>
                <Text fz={28} ff="heading" role="status">
                    {gained(deck, run)}
                </Text>
                <div className={styles.buttons}>
                    <Button size="lg" onClick={again}>
                        {t('Once more')}
                    </Button>
                    {back}
                </div>
            </div>
        );
    }
    return (
        <div className={styles.session}>
            <TimeSpent spent={spent} />
            <CardFace key={card.id} card={card} verdict={verdict} answer={answer} onDrawn={isDrawn} listen={listen} />
            <Said verdict={verdict} way={card.way} go={go} />
        </div>
    );
}

/** Right or not, at once, with the way to find it. */
function Said({ verdict, way, go }: { verdict: Verdict | null; way: string; go: () => void }) {
    return (
        <div className={styles.said} aria-live="polite">
            {verdict?.right === true && <Text className={styles.yes}>✓ {verdict.words ?? t('Yes!')}</Text>}
            {verdict?.right === false && (
                <>
                    <Text fw={700} fz="lg">
                        {verdict.words ?? t('Not yet. This is how to find it:')}
                    </Text>
                    <Text fz="lg">{way}</Text>
                    <Button size="lg" mt="xs" onClick={go}>
                        {t('Go on')}
                    </Button>
                </>
            )}
        </div>
    );
}

/** How much of the session is over, in words for those who do not see it. */
function TimeSpent({ spent }: { spent: () => number }) {
    const [part, setPart] = useState(0);
    useEffect(() => {
        const timer = setInterval(() => setPart(spent()), 500);
        return () => clearInterval(timer);
    }, [spent]);
    return <Progress value={100 * part} color="leaf" size="sm" aria-label={t('How much of the time is over')} />;
}
