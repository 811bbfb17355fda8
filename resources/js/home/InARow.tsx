import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { t } from '../text';
import styles from './InARow.module.css';

const ROW = 3;

interface Props {
    times: number;
    wanted: number;
    played: (times: number) => void;
    /** The next tempo, when there is one. */
    rungUp: number | null;
    climb: (tempo: number) => void;
}

/** Three good ones in a row: each fills a bud, a slip begins anew, and three lead a rung up. */
export function InARow({ times, wanted, played, rungUp, climb }: Props) {
    const [row, setRow] = useState(0);
    const play = (good: boolean) => {
        played(times + 1);
        setRow(good ? Math.min(ROW, row + 1) : 0);
    };
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
                                setRow(0);
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
