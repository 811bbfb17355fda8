import { Button, Group, Stack, Title } from '@mantine/core';
import { CalendarLink } from '../shared/CalendarLink';
import { t } from '../text';
import { Archives } from './Archives';

/** What leaves the studio as open files, and a studio that comes back. */
export function OutAndIn({ studioId, leads }: { studioId: number; leads: boolean }) {
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
                <Archives studioId={studioId} leads={leads} />
            </Stack>
        </section>
    );
}
