import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { useKeys } from '../shared/keys';
import { Trouble, Waiting } from '../shared/Notes';
import { dayName, fullDate } from '../shared/words';
import { Consent } from './Consent';
import type { StudentDraft } from './draft';
import { FamilyLinks } from './FamilyLinks';
import { LearningCard } from './LearningCard';
import { OpenPage } from './OpenPage';
import { StudentForm } from './StudentForm';
import { Timetable } from './Timetable';

export function StudentPage() {
    const id = Number(useParams().student);
    const place = at({ student: id });
    const client = useQueryClient();
    const navigate = useNavigate();
    const [dialog, setDialog] = useState<'edit' | 'erase' | 'open' | null>(null);
    const query = api.useQuery('get', '/students/{student}', place);
    const fresh = () => {
        setDialog(null);
        client.invalidateQueries();
    };
    const save = useMutation({
        mutationFn: (draft: StudentDraft) => ask('put', '/students/{student}', { ...place, body: draft }),
        onSuccess: fresh,
    });
    const erase = useMutation({
        mutationFn: () => ask('delete', '/students/{student}', place),
        onSuccess: () => {
            navigate('/students');
            fresh();
        },
    });
    const leave = useMutation({
        mutationFn: (left: boolean) => ask('put', '/students/{student}/left', { ...place, body: { left } }),
        onSuccess: fresh,
    });
    const plan = useMutation({
        mutationFn: () => ask('post', '/students/{student}/weeks', { ...place, body: {} }),
        onSuccess: (week) => navigate(`/weeks/${week.id}`),
    });
    useKeys([
        { key: 'o', does: 'open a page for this student', run: () => setDialog('open') },
        { key: 'e', does: 'change the student', run: () => setDialog('edit') },
    ]);
    if (query.isPending) return <Waiting what="Fetching the student…" />;
    if (query.error) return <Trouble error={query.error} again={() => query.refetch()} />;
    const { student, learnings, links, weekId, lessons, holidays } = query.data;
    return (
        <Stack maw={1150}>
            <Group justify="space-between">
                <div>
                    <Title order={1} fz={30}>
                        {student.name}
                    </Title>
                    <Text className="faint">
                        {student.age} years · {dayName(student.lessonWeekday)} {student.lessonTime}
                        {student.secondWeekday !== null &&
                            ` and ${dayName(student.secondWeekday)} ${student.secondTime}`}
                    </Text>
                </div>
                <Group gap="xs">
                    <Button onClick={() => setDialog('open')}>Open a page (o)</Button>
                    {weekId === null ? (
                        <Button variant="default" onClick={() => plan.mutate()} loading={plan.isPending}>
                            Plan a week
                        </Button>
                    ) : (
                        <Button variant="default" component={Link} to={`/weeks/${weekId}`}>
                            The week
                        </Button>
                    )}
                    <Button variant="default" component={Link} to={`/students/${id}/progress`}>
                        How it goes
                    </Button>
                    <Button variant="default" onClick={() => setDialog('edit')}>
                        Change (e)
                    </Button>
                    <Button variant="subtle" c="var(--ink)" component="a" href={`/api/students/${id}/export`} download>
                        Export
                    </Button>
                    {student.leftOn === null && (
                        <Button
                            variant="subtle"
                            c="var(--ink)"
                            onClick={() => leave.mutate(true)}
                            loading={leave.isPending}
                        >
                            Has left
                        </Button>
                    )}
                    <Button variant="subtle" c="var(--thorn)" onClick={() => setDialog('erase')}>
                        Erase
                    </Button>
                </Group>
            </Group>
            <Trouble error={plan.error ?? leave.error} />
            {student.leftOn !== null && (
                <Group className="sheet" role="status" justify="space-between">
                    <Text>
                        {student.firstName} left on {fullDate(student.leftOn)}. Everything is kept; home links and
                        calendars are closed.
                    </Text>
                    <Button variant="light" onClick={() => leave.mutate(false)} loading={leave.isPending}>
                        Comes back
                    </Button>
                </Group>
            )}
            {learnings.length === 0 && (
                <Text className="sheet">
                    No page is open yet. Open the first one: it is broken into stages at once.
                </Text>
            )}
            <div
                style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(22rem, 1fr))', gap: '0.8rem' }}
            >
                {learnings.map((learning) => (
                    <LearningCard key={learning.id} learning={learning} studentId={id} />
                ))}
            </div>
            <Timetable studentId={id} lessons={lessons} holidays={holidays} />
            <FamilyLinks studentId={id} links={links} />
            <Consent student={student} />
            <Dialog
                opened={dialog === 'edit'}
                onClose={() => setDialog(null)}
                title={`Change ${student.name}`}
                size="lg"
            >
                <StudentForm
                    start={student}
                    save={(draft) => save.mutate(draft)}
                    saving={save.isPending}
                    error={save.error}
                    verb="Save"
                />
            </Dialog>
            <Dialog opened={dialog === 'open'} onClose={() => setDialog(null)} title="Open a page">
                <OpenPage studentId={id} open={learnings.map((learning) => learning.pieceId)} done={fresh} />
            </Dialog>
            <Dialog opened={dialog === 'erase'} onClose={() => setDialog(null)} title={`Erase ${student.name}?`}>
                <Text>
                    All weeks, practice, marks, links and mails of this student go, also templates and drafts with their
                    name. This cannot be undone. If they only stop for a while, choose “Has left”: then everything is
                    kept.
                </Text>
                <Trouble error={erase.error} />
                <Group mt="md">
                    <Button color="red" onClick={() => erase.mutate()} loading={erase.isPending}>
                        Erase everything
                    </Button>
                    <Button variant="default" onClick={() => setDialog(null)}>
                        Keep
                    </Button>
                </Group>
            </Dialog>
        </Stack>
    );
}
