import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { api } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { Questions } from '../shared/Questions';
import { t } from '../text';
import styles from './Desk.module.css';

interface Props {
    piece: number;
    /** Chooses a bar on the music, by its number. */
    toBar: (number: number) => void;
}

/** Five questions about this page, to ask the student; an answer lights its place. */
export function Ask({ piece, toBar }: Props) {
    const [seed, setSeed] = useState<number | null>(null);
    const asked = api.useQuery(
        'get',
        '/pieces/{piece}/questions',
        { params: { path: { piece }, query: { seed: seed ?? 1 } } },
        { enabled: seed !== null },
    );
    if (seed === null) {
        return (
            <Button size="compact-sm" variant="default" m={6} onClick={() => setSeed(1)}>
                {t('Ask about this page')}
            </Button>
        );
    }
    return (
        <section aria-label={t('Ask')} className={styles.part}>
            <Group justify="space-between">
                <b>{t('Ask')}</b>
                <Button size="compact-sm" variant="default" onClick={() => setSeed(seed + 1)}>
                    {t('Other questions')}
                </Button>
            </Group>
            <Trouble error={asked.error} again={() => asked.refetch()} />
            {asked.isPending && <Waiting what={t('One moment…')} />}
            {asked.data?.length === 0 && <Text>{t('There is nothing to ask about this page.')}</Text>}
            {asked.data !== undefined && (
                <Questions
                    key={seed}
                    questions={asked.data}
                    onAnswer={([first]) => first !== undefined && toBar(first)}
                />
            )}
        </section>
    );
}
