import { Anchor, Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, keyOf, type Student } from '../api';
import { Dialog } from '../shared/Dialog';
import { useFind } from '../shared/FindStudent';
import { useKeys } from '../shared/keys';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { useTeaches } from '../shared/Shell';
import { isHere } from '../shared/students';
import { clockTime, dayName, fullDate, minutes } from '../shared/words';
import { t } from '../text';
import { NEW_STUDENT, type StudentDraft } from './draft';
import { StudentForm } from './StudentForm';
import styles from './Students.module.css';

const PATHS = { beat: t('beat first'), notes: t('notes first'), sound: t('sound first') };

export function Students() {
    const client = useQueryClient();
    const [adding, setAdding] = useState(false);
    const students = api.useQuery('get', '/students');
    const isTeacher = useTeaches();
    const add = useMutation({
        mutationFn: (draft: StudentDraft) => ask('post', '/students', { body: draft }),
        onSuccess: () => {
            setAdding(false);
            client.invalidateQueries({ queryKey: keyOf('/students') });
            client.invalidateQueries({ queryKey: keyOf('/this-week') });
        },
    });
    useKeys([{ key: 'a', does: t('add a student'), run: () => setAdding(isTeacher) }]);
    const [found, find] = useFind(students.data ?? [], (student) => student.name);
    const former = found.filter((student) => !isHere(student));
    if (students.isPending) return <Waiting what={t('Fetching the students…')} />;
    if (students.error) return <Trouble error={students.error} again={() => students.refetch()} />;
    return (
        <Stack maw={1000}>
            <Group justify="space-between">
                <Title order={1} fz={28}>
                    {t('Students')}
                </Title>
                {isTeacher && <Button onClick={() => setAdding(true)}>{t('Add a student (a)')}</Button>}
            </Group>
            {find}
            {students.data.length === 0 && <Empty part title={t('No students yet')} />}
            <ul className={`plain-list ${styles.list}`}>
                {found.filter(isHere).map((student) => (
                    <StudentRow key={student.id} student={student} />
                ))}
            </ul>
            {former.length > 0 && (
                <section aria-labelledby="former-students">
                    <Title order={2} fz="lg" mb="xs" id="former-students">
                        {t('Former students')}
                    </Title>
                    <ul className={`plain-list ${styles.left}`}>
                        {former.map((student) => (
                            <StudentRow key={student.id} student={student} />
                        ))}
                    </ul>
                </section>
            )}
            <Dialog opened={adding} onClose={() => setAdding(false)} title={t('A new student')} size="lg">
                <StudentForm
                    start={NEW_STUDENT}
                    save={(draft) => add.mutate(draft)}
                    saving={add.isPending}
                    error={add.error}
                    verb={t('Add')}
                />
            </Dialog>
        </Stack>
    );
}

function StudentRow({ student }: { student: Student }) {
    return (
        <li className={`sheet ${styles.student}`}>
            <Group justify="space-between">
                <div>
                    <Anchor
                        component={Link}
                        to={`/students/${student.id}`}
                        c="var(--ink)"
                        ff="heading"
                        fz="lg"
                        fw={600}
                    >
                        {student.name}
                    </Anchor>
                    <Text size="sm" className="faint">
                        {t('{{age}} years · {{paths}}', { age: student.age, paths: PATHS[student.path] })}
                    </Text>
                </div>
                {student.leftOn === null ? (
                    <div className={styles.lesson}>
                        <Text size="sm">
                            {t('{{dayName}} {{lessonTime}}, {{lessonMinutes}} min', {
                                dayName: dayName(student.lessonWeekday),
                                lessonTime: clockTime(student.lessonTime),
                                lessonMinutes: student.lessonMinutes,
                            })}
                        </Text>
                        <Text size="sm" className="faint">
                            {t('at home:')}{' '}
                            {student.practiceDays
                                .map((day) => `${dayName(day.weekday).slice(0, 2)} ${minutes(day.minutes)}`)
                                .join(', ') || t('no days yet')}
                        </Text>
                    </div>
                ) : (
                    <Text size="sm">{t('left on {{fullDate}}', { fullDate: fullDate(student.leftOn) })}</Text>
                )}
            </Group>
        </li>
    );
}
