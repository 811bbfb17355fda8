import { Anchor, Button, Group, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, at, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import styles from './Look.module.css';

/** Photos that are kept with a page, for the teacher alone. */
export function KeptPhotos({ page }: { page: number }) {
    const client = useQueryClient();
    const kept = useQuery(api.queryOptions('get', '/pages/{page}/kept-photos', at({ page })));
    const erase = useMutation({
        mutationFn: (keptPhoto: number) => ask('delete', '/kept-photos/{keptPhoto}', at({ keptPhoto })),
        onSettled: () => client.invalidateQueries({ queryKey: keyOf('/pages/{page}/kept-photos') }),
    });
    if (kept.error) return <Trouble error={kept.error} again={() => kept.refetch()} />;
    if (kept.data === undefined || kept.data.length === 0) return null;
    return (
        <section aria-label={t('Kept with this page')}>
            <Title order={2} fz="lg">
                {t('Kept with this page')}
            </Title>
            <Trouble error={erase.error} />
            <Group align="flex-start">
                {kept.data.map(({ id }, i) => (
                    <div key={id}>
                        <Anchor href={`/api/kept-photos/${id}`} target="_blank">
                            <img
                                className={styles.kept}
                                src={`/api/kept-photos/${id}`}
                                alt={t('Photo {{number}} of this page', { number: i + 1 })}
                            />
                        </Anchor>
                        <div>
                            <Button
                                size="compact-sm"
                                variant="subtle"
                                c="var(--thorn)"
                                onClick={() => erase.mutate(id)}
                                aria-label={t('Delete photo {{number}}', { number: i + 1 })}
                            >
                                {t('Delete')}
                            </Button>
                        </div>
                    </div>
                ))}
            </Group>
        </section>
    );
}
