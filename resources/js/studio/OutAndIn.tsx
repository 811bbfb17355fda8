import { Button, FileButton, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { asForm, ask, at } from '../api';
import { CalendarLink } from '../shared/CalendarLink';
import { Trouble } from '../shared/Notes';
import { t } from '../text';

/** What leaves the studio as open files, and a studio that comes back. */
export function OutAndIn({ studioId, leads }: { studioId: number; leads: boolean }) {
    const client = useQueryClient();
    const restore = useMutation({
        mutationFn: (file: File) =>
            ask('post', '/studios/{studio}/restore', { ...at({ studio: studioId }), body: { file }, ...asForm }),
        onSuccess: () => client.invalidateQueries(),
    });
    return (
        <section className="sheet" aria-label={t('Export and import')}>
            <Title order={2} fz="lg" mb={6}>
                {t('Export and import')}
            </Title>
            <Stack gap="sm">
                <CalendarLink studentId={null} />
                <Group gap="xs">
                    <Button size="compact-sm" variant="default" component="a" href="/api/practice.csv" download>
                        {t('Practice as a table')}
                    </Button>
                    <Button size="compact-sm" variant="default" component="a" href="/api/marks.csv" download>
                        {t('Marks as a table')}
                    </Button>
                </Group>
                <Group gap="xs">
                    <Button
                        size="compact-sm"
                        variant="default"
                        component="a"
                        href={`/api/studios/${studioId}/backup`}
                        download
                    >
                        {t('Back up the whole studio')}
                    </Button>
                    {leads && (
                        <FileButton accept=".zip,application/zip" onChange={(file) => file && restore.mutate(file)}>
                            {(props) => (
                                <Button size="compact-sm" variant="subtle" loading={restore.isPending} {...props}>
                                    {t('Restore a backup')}
                                </Button>
                            )}
                        </FileButton>
                    )}
                </Group>
                {leads && (
                    <Text size="sm" className="faint">
                        {t(
                            'A backup is restored into a studio that has no students and no books yet. People who were in it are invited again.',
                        )}
                    </Text>
                )}
                <Trouble error={restore.error} />
                <span role="status">{restore.isSuccess && t('Everything is back.')}</span>
            </Stack>
        </section>
    );
}
