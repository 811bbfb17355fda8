import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { t } from '../text';
import styles from './InARow.module.css';

const ROW = 3;

/** How often it was played, and how many good ones stand in a row; what is listened to counts by itself. */
export interface Row {
    times: number;
    inARow: number;
    play: (good: boolean) => void;
    /** Begins to count three anew. */
    begin: () => void;
}

export function useRow(): Row {
    const [{ times, inARow }, setRow] = useState({ times: 0, inARow: 0 });
    const play = (good: boolean) =>
        setRow((before) => ({ times: before.times + 1, inARow: good ? Math.min(ROW, before.inARow + 1) : 0 }));
    return { times, inARow, play, begin: () => setRow((before) => ({ ...before, inARow: 0 })) };
}

interface Props {
    row: Row;
    wanted: number;
    /** The next tempo, when there is one. */
    rungUp: number | null;
    climb: (tempo: number) => void;
}

/** Three good ones in a row: each fills a bud, a slip begins anew, and three lead a rung up. */
export function InARow({ row: { times, inARow: row, play, begin }, wanted, rungUp, climb }: Props) {
    return (
        <div>
            <Group justify="space-between" wrap="nowrap">
                <Text>
                    {t('Played')} <b>{times}</b> {t('of {{wanted}}', { wanted })}
                </Text>
                <span
                    role="img"
                    aria-label={t('{{row}} of {{row2}} in a row', { row, row2: ROW })}
                    className={styles.row}
                >
                    {[1, 2, 3].map((nth) => (
                        <span key={nth} className={styles.bud} data-open={nth <= row ? 'yes' : 'no'} />
                    ))}
                </span>
            </Group>
            <Group gap="xs" mt={8} grow>
                <Button variant="light" size="md" onClick={() => play(true)}>
                    {t('That was good')}
                </Button>
                <Button variant="default" size="md" onClick={() => play(false)}>
                    {t('Not yet')}
                </Button>
            </Group>
            {row === ROW && (
                <Group mt={8} gap="xs" role="status">
                    <Text fw={700}>{t('Three in a row!')}</Text>
                    {rungUp !== null && (
                        <Button
                            size="compact-md"
                            onClick={() => {
                                climb(rungUp);
                                begin();
                            }}
                        >
                            {t('A rung up: {{rungUp}}', { rungUp })}
                        </Button>
                    )}
                </Group>
            )}
        </div>
    );
}
