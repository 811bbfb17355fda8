import { Badge, Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { QUIET } from '../shared/quiet';
import { longDate, shortDate } from '../shared/words';
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
        <section className="sheet" aria-label="Lessons ahead">
            <Group justify="space-between">
                <Title order={2} fz="lg">
                    Lessons ahead
                </Title>
                <Group gap="xs">
                    <Button size="compact-sm" variant="default" onClick={() => setDialog('lesson')}>
                        Move a lesson
                    </Button>
                    <Button size="compact-sm" variant="default" onClick={() => setDialog('holiday')}>
                        Enter a holiday
                    </Button>
                </Group>
            </Group>
            <Trouble error={takeBack.error ?? drop.error} />
            <LessonBadges lessons={lessons} />
            <Changes lessons={lessons} holidays={holidays} takeBack={takeBack.mutate} drop={drop.mutate} />
            <Dialog opened={dialog === 'lesson'} onClose={() => setDialog(null)} title="Move a lesson">
                <LessonChange studentId={studentId} lessons={lessons} done={fresh} />
            </Dialog>
            <Dialog opened={dialog === 'holiday'} onClose={() => setDialog(null)} title="Enter a holiday">
                <HolidayForm studentId={studentId} done={fresh} />
            </Dialog>
        </section>
    );
}

function changeWords(lesson: LessonDay): string {
    if (lesson.state === 'cancelled') return `${longDate(lesson.date)} is cancelled.`;
    if (lesson.state === 'make-up') return `${longDate(lesson.date)}, ${lesson.time}: a make-up lesson.`;
    return `${longDate(lesson.slotOn ?? lesson.date)} is moved to ${longDate(lesson.date)}, ${lesson.time}.`;
}

function rests(holiday: Api['HolidayResource']): string {
    if (!holiday.lessons && !holiday.practice) return 'no lessons, no practice';
    return holiday.lessons ? 'no practice' : 'no lessons';
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
                                take back
                            </Button>
                        )}
                    </Group>
                ))}
            {holidays.map((holiday) => (
                <Group key={holiday.id} gap="xs">
                    <Text size="sm">
                        {holiday.label}, {shortDate(holiday.from)} to {shortDate(holiday.to)}: {rests(holiday)}
                        {holiday.studentId === null && ', for everybody'}
                    </Text>
                    <Button {...QUIET} onClick={() => drop(holiday.id)} aria-label={`Remove ${holiday.label}`}>
                        remove
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
                    title={`${lesson.time}, ${lesson.minutes} min`}
                >
                    {shortDate(lesson.date)}
                </Badge>
            ))}
        </Group>
    );
}
