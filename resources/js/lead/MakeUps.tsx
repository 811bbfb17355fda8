import { Button, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { api, at } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';

/** Lessons in the place of those that were missed; they are led at home. */
export function MakeUps({ studentId }: { studentId: number }) {
    const lessons = api.useQuery('get', '/students/{student}/led-lessons', at({ student: studentId }));
    return (
        <section className="sheet" aria-label={t('Make-up lessons')}>
            <Group justify="space-between">
                <Title order={2} fz="lg">
                    {t('Make-up lessons')}
                </Title>
                <Button size="compact-sm" variant="default" component={Link} to={`/students/${studentId}/make-up`}>
                    {t('Put one together (m)')}
                </Button>
            </Group>
            <Trouble error={lessons.error} again={() => lessons.refetch()} />
            {lessons.data?.length === 0 && (
                <Text size="sm" className="faint" mt={4}>
                    {t('None yet. When a lesson is missed, home can be led through one that you put together.')}
                </Text>
            )}
            <ul className="plain-list">
                {lessons.data?.map((lesson) => (
                    <li key={lesson.id}>
                        <Text size="sm">
                            <Link to={`/students/${studentId}/make-up/${lesson.id}`}>{lesson.title}</Link>,{' '}
                            {stateOf(lesson.sentAt, lesson.doneAt)}
                        </Text>
                    </li>
                ))}
            </ul>
        </section>
    );
}

function stateOf(sentAt: string | null, doneAt: string | null): string {
    if (doneAt !== null) return t('done at home');
    return sentAt === null ? t('not sent yet') : t('sent');
}
