import { Button, Checkbox, Group, ScrollArea, Stack, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, ask, at, type Week } from '../api';
import { Trouble } from '../shared/Notes';
import { isHere } from '../shared/students';
import { t } from '../text';

/** Tasks of this week for other students as well; each gets them planned into their own days. */
export function ForOthers({ week, taken }: { week: Week; taken: number | null }) {
    const students = api.useQuery('get', '/students');
    const [tasks, setTasks] = useState<string[]>(taken === null ? [] : [String(taken)]);
    const [chosen, setChosen] = useState<string[]>([]);
    const give = useMutation({
        mutationFn: () =>
            ask('post', '/weeks/{week}/copies', {
                ...at({ week: week.id }),
                body: { taskIds: tasks.map(Number), studentIds: chosen.map(Number) },
            }),
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        give.mutate();
    };
    const others = students.data?.filter((student) => student.id !== week.studentId && isHere(student)) ?? [];
    const outcome = new Map(give.data?.map((copy) => [copy.studentId, copy.outcome]));
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <Group align="flex-start" grow>
                <Checkbox.Group label={t('Tasks')} value={tasks} onChange={setTasks}>
                    <ScrollArea.Autosize mah={300}>
                        <Stack gap={6} mt={6}>
                            {week.tasks.map((task) => (
                                <Checkbox
                                    key={task.id}
                                    value={String(task.id)}
                                    label={task.piece === null ? task.title : `${task.title}, ${task.piece}`}
                                />
                            ))}
                        </Stack>
                    </ScrollArea.Autosize>
                </Checkbox.Group>
                <Checkbox.Group label={t('For')} value={chosen} onChange={setChosen}>
                    <Stack gap={6} mt={6}>
                        {others.map((student) => (
                            <div key={student.id}>
                                <Checkbox value={String(student.id)} label={student.name} />
                                {outcome.has(student.id) && (
                                    <Text size="xs" ml={30}>
                                        {outcome.get(student.id)}
                                    </Text>
                                )}
                            </div>
                        ))}
                        {others.length === 0 && !students.isPending && (
                            <Text size="sm">{t('There is no other student yet.')}</Text>
                        )}
                    </Stack>
                </Checkbox.Group>
            </Group>
            <Trouble error={students.error ?? give.error} />
            <Group>
                <Button type="submit" disabled={tasks.length === 0 || chosen.length === 0} loading={give.isPending}>
                    {t('Give it to them')}
                </Button>
            </Group>
        </Stack>
    );
}
