import { Badge, Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { QUIET } from '../shared/quiet';
import { clockTime, longDate, shortDate } from '../shared/words';
import { t } from '../text';
import { HolidayForm } from './HolidayForm';
import { LessonChange } from './LessonChange';

type LessonDay = Api['LessonDayResource'];

interface Props {
    studentId: number;
    lessons: LessonDay[];
    holidays: Api['HolidayResource'][];
}

/** Lessons in sight that are not as always, and holidays; whatever changes here, the week under way follows. */
export function Timetable({ studentId, lessons, holidays }: Props) {
    const client = useQueryClient();
    const [dialog, setDialog] = useState<'lesson' | 'holiday' | null>(null);
    const fresh = () => {
        setDialog(null);
        client.invalidateQueries();
    };
    const takeBack = useMutation({
        mutationFn: (lesson: number) => ask('delete', '/lessons/{lesson}/change', at({ lesson })),
        onSuccess: fresh,
    });
    const drop = useMutation({
        mutationFn: (holiday: number) => ask('delete', '/holidays/{holiday}', at({ holiday })),
        onSuccess: fresh,
    });
    return (
        <section className="sheet" aria-label={t('Lessons ahead')}>
            <Group justify="space-between">
                <Title order={2} fz="lg">
                    {t('Lessons ahead')}
                </Title>
                <Group gap="xs">
                    <Button size="compact-sm" variant="default" onClick={() => setDialog('lesson')}>
                        {t('Move a lesson')}
                    </Button>
                    <Button size="compact-sm" variant="default" onClick={() => setDialog('holiday')}>
                        {t('Enter a holiday')}
                    </Button>
                </Group>
            </Group>
            <Trouble error={takeBack.error ?? drop.error} />
            <LessonBadges lessons={lessons} />
            <Changes lessons={lessons} holidays={holidays} takeBack={takeBack.mutate} drop={drop.mutate} />
            <Dialog opened={dialog === 'lesson'} onClose={() => setDialog(null)} title={t('Move a lesson')}>
                <LessonChange studentId={studentId} lessons={lessons} done={fresh} />
            </Dialog>
            <Dialog opened={dialog === 'holiday'} onClose={() => setDialog(null)} title={t('Enter a holiday')}>
                <HolidayForm studentId={studentId} done={fresh} />
            </Dialog>
        </section>
    );
}

function changeWords(lesson: LessonDay): string {
    if (lesson.state === 'cancelled') return t('{{longDate}} is cancelled.', { longDate: longDate(lesson.date) });
    if (lesson.state === 'make-up')
        return t('{{longDate}}, {{time}}: a make-up lesson.', {
            longDate: longDate(lesson.date),
            time: clockTime(lesson.time),
        });
    return t('{{longDate}} is moved to {{longDate2}}, {{time}}.', {
        longDate: longDate(lesson.slotOn ?? lesson.date),
        longDate2: longDate(lesson.date),
        time: clockTime(lesson.time),
    });
}

function rests(holiday: Api['HolidayResource']): string {
    if (!holiday.lessons && !holiday.practice) return t('no lessons, no practice');
    return holiday.lessons ? t('no practice') : t('no lessons');
}

/** What is not as always, each with the way back. */
function Changes({
    lessons,
    holidays,
    takeBack,
    drop,
}: {
    lessons: LessonDay[];
    holidays: Props['holidays'];
    takeBack: (lesson: number) => void;
    drop: (holiday: number) => void;
}) {
    return (
        <Stack gap={4} mt="xs">
            {lessons
                .filter((lesson) => lesson.state !== 'held')
                .map((lesson) => (
                    <Group key={`${lesson.date} ${lesson.state}`} gap="xs">
                        <Text size="sm">{changeWords(lesson)}</Text>
                        {lesson.lessonId !== null && (
                            <Button {...QUIET} onClick={() => takeBack(lesson.lessonId ?? 0)}>
                                {t('take back')}
                            </Button>
                        )}
                    </Group>
                ))}
            {holidays.map((holiday) => (
                <Group key={holiday.id} gap="xs">
                    <Text size="sm">
                        {t('{{label}}, {{shortDate}} to {{shortDate2}}: {{rests}}', {
                            label: holiday.label,
                            shortDate: shortDate(holiday.from),
                            shortDate2: shortDate(holiday.to),
                            rests: rests(holiday),
                        })}
                        {holiday.studentId === null && t(', for everybody')}
                    </Text>
                    <Button
                        {...QUIET}
                        onClick={() => drop(holiday.id)}
                        aria-label={t('Remove {{label}}', { label: holiday.label })}
                    >
                        {t('remove')}
                    </Button>
                </Group>
            ))}
        </Stack>
    );
}

/** The lessons in sight, by day. */
function LessonBadges({ lessons }: { lessons: LessonDay[] }) {
    return (
        <Group gap={6} mt="xs">
            {lessons.map((lesson) => (
                <Badge
                    key={`${lesson.date} ${lesson.state}`}
                    variant={lesson.state === 'held' ? 'default' : 'light'}
                    c="var(--ink)"
                    tt="none"
                    size="lg"
                    td={lesson.state === 'cancelled' ? 'line-through' : undefined}
                    title={t('{{time}}, {{minutes}} min', { time: clockTime(lesson.time), minutes: lesson.minutes })}
                >
                    {shortDate(lesson.date)}
                </Badge>
            ))}
        </Group>
    );
}
