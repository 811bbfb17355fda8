import { Anchor, Button, Group, SegmentedControl, Text } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { OneByOne } from '../shared/OneByOne';
import { Questions } from '../shared/Questions';
import { t } from '../text';
import styles from './Desk.module.css';

type Way = 'list' | 'cards';

const WAYS = [
    { value: 'list', label: t('All five') },
    { value: 'cards', label: t('One by one') },
];

interface Props {
    piece: number;
    /** Chooses a bar on the music, by its number. */
    toBar: (number: number) => void;
}

/** Five questions about this page, to ask the student; an answer lights its place. */
export function Ask({ piece, toBar }: Props) {
    const [seed, setSeed] = useState<number | null>(null);
    const [way, setWay] = useState<Way>('list');
    const asked = api.useQuery(
        'get',
        '/pieces/{piece}/questions',
        { params: { path: { piece }, query: { seed: seed ?? 1 } } },
        { enabled: seed !== null },
    );
    const light = ([first]: number[]) => first !== undefined && toBar(first);
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
            {asked.data !== undefined && asked.data.length > 0 && (
                <>
                    <Group gap="xs" my={6}>
                        <SegmentedControl
                            size="xs"
                            aria-label={t('How they are asked')}
                            value={way}
                            onChange={(next) => setWay(next as Way)}
                            data={WAYS}
                        />
                        <Anchor component={Link} size="sm" to={`/worksheets?kind=recall&piece=${piece}`}>
                            {t('As a sheet')}
                        </Anchor>
                    </Group>
                    {way === 'list' ? (
                        <Questions key={seed} questions={asked.data} onAnswer={light} />
                    ) : (
                        <OneByOne key={seed} questions={asked.data} onAnswer={light} />
                    )}
                </>
            )}
        </section>
    );
}
