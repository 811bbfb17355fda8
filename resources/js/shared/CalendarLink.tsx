import { Button, Group, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, at, keyOf } from '../api';
import { t } from '../text';
import { Trouble } from './Notes';
import { QUIET } from './quiet';
import { ShownOnce } from './ShownOnce';
import { dateOf, shortDate } from './words';

/** Calendars that other programs subscribe to: of one student, or of all lessons. Each is withdrawn by itself. */
export function CalendarLink({ studentId }: { studentId: number | null }) {
    const client = useQueryClient();
    const feeds = api.useQuery('get', '/calendars');
    const fresh = () => client.invalidateQueries({ queryKey: keyOf('/calendars') });
    const make = useMutation({
        mutationFn: () => ask('post', '/calendars', { body: { studentId } }),
        onSuccess: fresh,
    });
    const withdraw = useMutation({
        mutationFn: (calendar: number) => ask('delete', '/calendars/{calendar}', at({ calendar })),
        onSuccess: fresh,
    });
    const own = feeds.data?.filter((feed) => feed.studentId === studentId) ?? [];
    return (
        <div>
            {own.map((feed) => (
                <Group key={feed.id} gap="sm">
                    <Text size="sm">
                        {feed.usedAt === null
                            ? t('A calendar, not fetched yet')
                            : t('A calendar, fetched {{shortDate}}', { shortDate: shortDate(dateOf(feed.usedAt)) })}
                    </Text>
                    <Button {...QUIET} onClick={() => withdraw.mutate(feed.id)}>
                        {t('withdraw')}
                    </Button>
                </Group>
            ))}
            <Button size="compact-sm" variant="default" onClick={() => make.mutate()} loading={make.isPending}>
                {studentId === null ? t('A calendar of all lessons') : t('A calendar of lessons and practice')}
            </Button>
            {make.data?.url && (
                <ShownOnce url={make.data.url} about={t('Subscribe to this address in a calendar program.')} />
            )}
            <Trouble error={make.error ?? withdraw.error} />
        </div>
    );
}
