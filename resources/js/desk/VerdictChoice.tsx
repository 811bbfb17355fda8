import { Button, Group } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type Api, ask, at, keyOf } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import styles from './Desk.module.css';

type Breakdown = Api['BreakdownResource'];

const VERDICTS = [
    { verdict: 'easy', label: t('Easy for this student'), key: 'y' },
    { verdict: null, label: t('Let the program judge'), key: '0' },
    { verdict: 'hard', label: t('Hard for this student'), key: 'x' },
] as const;

/** The teacher’s word on a bar, over what was reckoned. */
export function VerdictChoice({ data, measure }: { data: Breakdown; measure: number }) {
    const client = useQueryClient();
    const save = useMutation({
        mutationFn: (verdict: Api['Verdict'] | null) =>
            ask('put', '/pieces/{piece}/verdict', { ...at({ piece: data.piece.id }), body: { measure, verdict } }),
        onSuccess: () =>
            client.invalidateQueries({ queryKey: keyOf('/pieces/{piece}/breakdown', at({ piece: data.piece.id })) }),
    });
    const point = data.report.sticking.find((one) => one.measure === measure);
    useKeys(
        VERDICTS.map((one) => ({
            key: one.key,
            does: t('this bar: {{label}}', { label: one.label.toLowerCase() }),
            run: () => save.mutate(one.verdict),
        })),
    );
    if (point === undefined) return null;
    return (
        <section aria-label={t('Your word on bar {{measure}}', { measure })} className={styles.part}>
            <b>{t('Bar {{measure}} is', { measure })}</b>
            <Group gap={4} mt={2}>
                {VERDICTS.map((one) => (
                    <Button
                        key={one.label}
                        size="compact-sm"
                        variant={point.teacher === one.verdict ? 'filled' : 'default'}
                        aria-pressed={point.teacher === one.verdict}
                        onClick={() => save.mutate(one.verdict)}
                    >
                        {one.label} ({one.key})
                    </Button>
                ))}
            </Group>
            <Trouble error={save.error} />
        </section>
    );
}
