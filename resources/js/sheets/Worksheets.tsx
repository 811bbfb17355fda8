import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, choices, keyOf } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import { KeptSheets } from './KeptSheets';
import { COUNTS, SheetForm } from './SheetForm';
import { SheetItems } from './SheetItems';
import styles from './Sheets.module.css';
import { usePreview, type Wanted } from './useSheet';

const MOST_SEED = 1_000_000_000;
const anySeed = () => 1 + Math.floor(Math.random() * (MOST_SEED - 1));

const kindIn = (name: string | null) => choices.SheetKind.find((one) => one.value === name)?.value ?? 'name';

/** Worksheets: made and seen at once, kept, given and marked. */
export function Worksheets() {
    const [search] = useSearchParams();
    const navigate = useNavigate();
    const client = useQueryClient();
    const [wanted, setWanted] = useState<Wanted>(() => ({
        kind: kindIn(search.get('kind')),
        count: COUNTS[kindIn(search.get('kind'))] ?? 12,
        hard: 2,
        clefs: ['treble', 'bass'],
        seed: anySeed(),
        studentId: Number(search.get('student')) || null,
        pieceId: Number(search.get('piece')) || null,
        notes: null,
    }));
    const { items, error } = usePreview(wanted);
    const keep = api.useMutation('post', '/worksheets', {
        onSuccess: (sheet) => {
            client.invalidateQueries({ queryKey: keyOf('/worksheets') });
            navigate(`/worksheets/print?ids=${sheet.id}&student=${wanted.studentId ?? ''}`);
        },
    });
    return (
        <Stack gap="lg">
            <Group justify="space-between">
                <Title order={1}>{t('Worksheets')}</Title>
                {wanted.studentId !== null && (
                    <Button variant="default" component={Link} to={`/students/${wanted.studentId}/practice`}>
                        ← {t('Practice room')}
                    </Button>
                )}
            </Group>
            <div className={styles.rooms}>
                <Stack className="sheet" gap="md">
                    <SheetForm wanted={wanted} change={setWanted} />
                    <Group>
                        <Button
                            onClick={() => keep.mutate({ body: wanted })}
                            loading={keep.isPending}
                            disabled={items?.length === 0}
                        >
                            {t('Keep and print')}
                        </Button>
                        <Button variant="default" onClick={() => setWanted({ ...wanted, seed: anySeed() })}>
                            {t('Other questions')}
                        </Button>
                    </Group>
                    <Trouble error={keep.error} />
                </Stack>
                <Preview wanted={wanted} items={items} error={error} />
            </div>
            <KeptSheets />
        </Stack>
    );
}

/** The sheet as it would be, a moment after the last change. */
function Preview({ wanted, items, error }: { wanted: Wanted } & ReturnType<typeof usePreview>) {
    return (
        <section className={`sheet ${styles.preview}`} aria-label={t('How it will be')}>
            <Trouble error={error} />
            {items === null && error === null && <Waiting what={t('One moment…')} />}
            {items?.length === 0 && (
                <Text>{t('There is nothing to make these questions of. Choose other notes or another page.')}</Text>
            )}
            {items !== null && items.length > 0 && items.length < wanted.count && (
                <Text size="sm" className="faint">
                    {t('These are all there are: {{count}}.', { count: items.length })}
                </Text>
            )}
            {items !== null && items.length > 0 && <SheetItems items={items} />}
        </section>
    );
}
