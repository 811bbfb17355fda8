import { Anchor, Badge, Button, Group, SegmentedControl, Stack, Text, Title } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { type Api, api, ask, at } from '../api';
import { useFind } from '../shared/FindStudent';
import { useKeys } from '../shared/keys';
import { Leaf } from '../shared/Leaf';
import { nextOf, useOpenLesson } from '../shared/lessons';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { useSession, useTeaches } from '../shared/Shell';
import { mine } from '../shared/studios';
import { clockTime, longDate, minutes } from '../shared/words';
import { t } from '../text';
import { FirstSteps } from './FirstSteps';
import { RefusedLetters } from './RefusedLetters';
import styles from './ThisWeek.module.css';

type Row = Api['ThisWeekResource'];

export function ThisWeek() {
    const session = useSession();
    const isTeacher = useTeaches();
    const navigate = useNavigate();
    const week = api.useQuery('get', '/this-week');
    const lesson = useOpenLesson();
    const propose = usePropose();
    const next = nextOf(week.data, session.data);
    const [everyone, setEveryone] = useState(false);
    const own = mine(week.data ?? [], session.data);
    const others = (week.data ?? []).length - own.length;
    useKeys([
        {
            key: 'p',
            does: t('open the plan of the next student'),
            run: () => next?.weekId && navigate(`/weeks/${next.weekId}`),
        },
    ]);
    const [found, find] = useFind(everyone ? (week.data ?? []) : own, (row) => row.student);
    if (week.isPending) return <Waiting what={t('Looking at the week…')} />;
    if (week.error) return <Trouble error={week.error} again={() => week.refetch()} />;
    if (week.data.length === 0) return <NoStudents />;
    const today = session.data?.studio.today;
    return (
        <Stack gap="sm">
            <Group justify="space-between" align="baseline">
                <Title order={1} fz={28}>
                    {t('This week')}
                </Title>
                <Text className="faint">{today && longDate(today)}</Text>
            </Group>
            {isTeacher && <RefusedLetters />}
            <FirstSteps rows={week.data} />
            {others > 0 && <Whose everyone={everyone} set={setEveryone} />}
            {find}
            <Trouble error={lesson.error ?? propose.error} />
            <ol className={`plain-list ${styles.list}`}>
                {found.map((row) => (
                    <StudentRow
                        key={row.studentId}
                        row={row}
                        today={today}
                        next={row === next}
                        teach={() => lesson.mutate(row)}
                        propose={() => propose.mutate(row)}
                    />
                ))}
            </ol>
        </Stack>
    );
}

function NoStudents() {
    const isTeacher = useTeaches();
    return (
        <Stack gap="sm">
            <Title order={1} fz={28}>
                {t('This week')}
            </Title>
            {isTeacher && <FirstSteps rows={[]} />}
            <Empty part title={t('No students yet')}>
                {isTeacher ? (
                    <>
                        <Text>{t('Add the first one, with a lesson day and the minutes at home.')}</Text>
                        <Button component={Link} to="/students">
                            {t('Add a student')}
                        </Button>
                    </>
                ) : (
                    <Text>{t('A teacher of the studio gives you the first one.')}</Text>
                )}
            </Empty>
        </Stack>
    );
}

/** Her own students, or everybody’s, where several teach. */
function Whose({ everyone, set }: { everyone: boolean; set: (everyone: boolean) => void }) {
    return (
        <SegmentedControl
            maw={320}
            aria-label={t('Whose students')}
            value={everyone ? 'all' : 'mine'}
            onChange={(value) => set(value === 'all')}
            data={[
                { value: 'mine', label: t('My students') },
                { value: 'all', label: t('Everyone’s') },
            ]}
        />
    );
}

interface RowProps {
    row: Row;
    today: string | undefined;
    next: boolean;
    teach: () => void;
    propose: () => void;
}

function StudentRow({ row, today, next, teach, propose }: RowProps) {
    const planned = row.leaf.reduce((sum, day) => sum + day.planned, 0);
    const practised = row.leaf.reduce((sum, day) => sum + day.practised, 0);
    const days = row.leaf.filter((day) => day.practised > 0).length;
    return (
        <li className={`sheet ${styles.row}`} data-next={next ? 'yes' : undefined}>
            <div>
                <Text fw={700} size="sm">
                    {row.lessonOn === today ? t('Today') : longDate(row.lessonOn)}
                </Text>
                <Text className="faint" size="sm">
                    {clockTime(row.lessonTime)}
                    {row.held && t(' ✓ held')}
                </Text>
            </div>
            <Leaf days={row.leaf} today={today} size={80} />
            <div>
                <Anchor component={Link} to={`/students/${row.studentId}`} c="var(--ink)" ff="heading" fz="xl" fw={600}>
                    {row.student}
                </Anchor>
                <Text size="sm" className="faint">
                    {t('{{age}} years', { age: row.age })}
                    {row.pieces.length > 0 && ` · ${row.pieces.join(', ')}`}
                </Text>
                <Text size="sm">
                    {planned > 0
                        ? days === 1
                            ? t('1 day, {{minutes}} of {{minutes2}}', {
                                  minutes: minutes(practised),
                                  minutes2: minutes(planned),
                              })
                            : t('{{days}} days, {{minutes}} of {{minutes2}}', {
                                  minutes: minutes(practised),
                                  minutes2: minutes(planned),
                                  days,
                              })
                        : t('nothing planned')}
                </Text>
            </div>
            <WhatWaits row={row} />
            <RowButtons row={row} next={next} teach={teach} propose={propose} />
        </li>
    );
}

/** The plan and the lesson of one student. */
function RowButtons({
    row,
    next,
    teach,
    propose,
}: {
    row: Row;
    next: boolean;
    teach: () => void;
    propose: () => void;
}) {
    return (
        <Group gap="xs" wrap="nowrap" justify="flex-end">
            {row.weekId === null ? (
                <Button
                    variant="default"
                    onClick={propose}
                    aria-label={t('Plan a week for {{student}}', { student: row.student })}
                >
                    {t('Plan')}
                </Button>
            ) : (
                <Button
                    variant="default"
                    component={Link}
                    to={`/weeks/${row.weekId}`}
                    aria-label={t('Plan of {{student}}', { student: row.student })}
                >
                    {t('Plan')}
                </Button>
            )}
            <Button
                variant={next ? 'filled' : 'light'}
                onClick={teach}
                aria-label={t('Lesson of {{student}}', { student: row.student })}
            >
                {t('Lesson')}
                {next && ' (n)'}
            </Button>
        </Group>
    );
}

/** What a student is stuck on, and what the teacher has yet to do. */
function WhatWaits({ row }: { row: Row }) {
    return (
        <Stack gap={4} align="flex-start">
            {row.stuck.map((text) => (
                <Text key={text} size="sm" className="thorn" fw={700}>
                    {t('▲ Stuck: {{text}}', { text })}
                </Text>
            ))}
            {row.waiting.map((text) => (
                <Badge key={text} variant="light" color="flower" tt="none" c="var(--ink)" fw={400}>
                    {text}
                </Badge>
            ))}
            {row.stuck.length + row.waiting.length === 0 && (
                <Text size="sm" className="faint">
                    {t('All set')}
                </Text>
            )}
        </Stack>
    );
}

/** Plans a week, and goes there. */
function usePropose() {
    const navigate = useNavigate();
    return useMutation({
        mutationFn: (row: Row) =>
            ask('post', '/students/{student}/weeks', { ...at({ student: row.studentId }), body: {} }),
        onSuccess: (proposed) => navigate(`/weeks/${proposed.id}`),
    });
}
