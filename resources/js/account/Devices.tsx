import { Button, Group, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type Api, api, ask, at, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { dateOf, shortDate, timeOf } from '../shared/words';
import { t } from '../text';
import styles from './Devices.module.css';

/** Where the account is signed in; each other device can be signed out, or all at once. */
export function Devices() {
    const client = useQueryClient();
    const sessions = api.useQuery('get', '/account/sessions');
    const onSuccess = (left: Api['OpenSessionResource'][]) => client.setQueryData(keyOf('/account/sessions'), left);
    const end = useMutation({
        mutationFn: (token: string) => ask('delete', '/account/sessions/{token}', at({ token })),
        onSuccess,
    });
    const endAll = useMutation({ mutationFn: () => ask('delete', '/account/sessions'), onSuccess });
    const rows = sessions.data ?? [];
    return (
        <section className="sheet" aria-label={t('Devices')}>
            <Title order={2} fz="lg" mb="xs">
                {t('Devices')}
            </Title>
            <ul className={`plain-list ${styles.list}`}>
                {rows.map((row) => (
                    <li key={row.token}>
                        <Group justify="space-between">
                            <Text>
                                {row.device}
                                <span className="faint">
                                    {row.isThis
                                        ? t(', this one')
                                        : t(', used {{shortDate}}, {{timeOf}}', {
                                              shortDate: shortDate(dateOf(row.usedAt)),
                                              timeOf: timeOf(row.usedAt),
                                          })}
                                </span>
                            </Text>
                            {!row.isThis && (
                                <Button size="compact-sm" variant="default" onClick={() => end.mutate(row.token)}>
                                    {t('Sign out')}
                                </Button>
                            )}
                        </Group>
                    </li>
                ))}
            </ul>
            {rows.length > 2 && (
                <Button mt="sm" variant="default" loading={endAll.isPending} onClick={() => endAll.mutate()}>
                    {t('Sign out everywhere else')}
                </Button>
            )}
            <Trouble error={sessions.error ?? end.error ?? endAll.error} />
        </section>
    );
}
