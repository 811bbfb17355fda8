import { Button, Group, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { type Api, ask, type Task } from '../shared/api';
import { useKeys } from '../shared/keys';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { longDate } from '../shared/words';
import { firstBar, lastBar } from './bars';
import { HeardTask } from './HeardTask';
import { SlipBoard } from './SlipBoard';

type LessonData = Api['LessonResource'];
type Mark = 'pass' | 'again' | 'stop' | null;

const SLIP_KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', '-'];

export function Lesson() {
    const id = Number(useParams().lesson);
    const client = useQueryClient();
    const navigate = useNavigate();
    const key = ['lesson', id];
    const lesson = useQuery({ queryKey: key, queryFn: () => ask<LessonData>('GET', `/lessons/${id}`) });
    const [at, setAt] = useState(0);
    const [bar, setBar] = useState(0);
    const tasks = lesson.data?.week?.tasks ?? [];
    const task = tasks[at] ?? null;
    const edit = (change: (data: LessonData) => LessonData) =>
        client.setQueryData<LessonData>(key, (data) => data && change(data));
    const mark = useMutation({
        mutationFn: ({ of, to }: { of: Task; to: Mark }) =>
            ask<Task>('PUT', `/lessons/${id}/marks/${of.id}`, { mark: to }),
        onSuccess: (marked) =>
            edit((data) => ({
                ...data,
                week: data.week && {
                    ...data.week,
                    tasks: data.week.tasks.map((one) => (one.id === marked.id ? { ...one, mark: marked.mark } : one)),
                },
            })),
    });
    const addSlip = useMutation({
        mutationFn: (kind: string) =>
            ask<Api['SlipResource']>('POST', `/lessons/${id}/slips`, {
                taskId: task?.id,
                kind,
                measure: firstBar(task) + bar,
                hand: task?.hand ?? null,
            }),
        onSuccess: (slip) => edit((data) => ({ ...data, slips: [...data.slips, slip] })),
    });
    const dropSlip = useMutation({
        mutationFn: (slip: number) => ask('DELETE', `/slips/${slip}`),
        onSuccess: (_, slip) => edit((data) => ({ ...data, slips: data.slips.filter((one) => one.id !== slip) })),
    });
    const finish = useMutation({
        mutationFn: () => ask<LessonData>('PUT', `/lessons/${id}/finished`),
        onSuccess: (finished) => {
            client.invalidateQueries();
            if (finished.nextWeekId !== null) navigate(`/weeks/${finished.nextWeekId}`);
        },
    });
    const bars = task === null || task.bars.length === 0 ? 0 : lastBar(task) - firstBar(task) + 1;
    const step = (by: number) => {
        if (tasks.length === 0) return;
        setAt((before) => (before + by + tasks.length) % tasks.length);
        setBar(0);
    };
    const give = (to: Mark) => {
        if (task === null) return;
        mark.mutate({ of: task, to });
        // A pass goes on to the next task; after "again" and "stop" there may be a slip to note.
        if (to === 'pass' && at < tasks.length - 1) step(1);
    };
    const kinds = lesson.data?.slipKinds ?? [];
    const lastSlip = lesson.data?.slips.at(-1);
    useKeys([
        { key: 'j', does: 'next task', run: () => step(1) },
        { key: 'k', does: 'task before', run: () => step(-1) },
        { key: 'p', does: 'pass, and on to the next', run: () => give('pass') },
        { key: 'a', does: 'again', run: () => give('again') },
        { key: 's', does: 'stop: let it rest', run: () => give('stop') },
        { key: 'c', does: 'clear the mark', run: () => give(null) },
        { key: 'ArrowRight', does: 'next bar', run: () => setBar((before) => Math.min(bars - 1, before + 1)) },
        { key: 'ArrowLeft', does: 'bar before', run: () => setBar((before) => Math.max(0, before - 1)) },
        ...kinds.map((kind, i) => ({
            key: SLIP_KEYS[i] ?? '',
            does: `slip here: ${kind.words}`,
            run: () => bars > 0 && addSlip.mutate(kind.kind),
        })),
        { key: 'u', does: 'take back the last slip', run: () => lastSlip && dropSlip.mutate(lastSlip.id) },
        { key: 'Enter', does: 'finish, and see next week', run: () => finish.mutate() },
    ]);
    if (lesson.isPending) return <Waiting what="Opening the lesson…" />;
    if (lesson.error) return <Trouble error={lesson.error} again={() => lesson.refetch()} />;
    const data = lesson.data;
    const marked = tasks.filter((one) => one.mark !== null).length;
    return (
        <>
            <Group justify="space-between" mb="sm" wrap="nowrap">
                <div>
                    <Title order={1} fz={26}>
                        {data.student}, {longDate(data.heldOn)}
                    </Title>
                    <Text size="sm" className="faint">
                        {marked} of {tasks.length} heard
                        {data.finishedAt !== null && '; finished before, finishing again proposes anew'}
                    </Text>
                </div>
                <Button onClick={() => finish.mutate()} loading={finish.isPending}>
                    Finish, and see next week (Enter)
                </Button>
            </Group>
            <Trouble error={mark.error ?? addSlip.error ?? dropSlip.error ?? finish.error} />
            {tasks.length === 0 ? (
                <Empty title="No week leads to this lesson">
                    <Text>Open a page for the student, then finish: the first week is proposed from it.</Text>
                </Empty>
            ) : (
                <div
                    style={{
                        display: 'grid',
                        gridTemplateColumns: 'minmax(21rem, 5fr) 7fr',
                        gap: '1rem',
                        alignItems: 'start',
                    }}
                >
                    <ol className="plain-list" aria-label="What was assigned" style={{ display: 'grid', gap: 6 }}>
                        {tasks.map((one, i) => (
                            <HeardTask
                                key={one.id}
                                task={one}
                                slips={data.slips.filter((slip) => slip.taskId === one.id)}
                                chosen={i === at}
                                choose={() => {
                                    setAt(i);
                                    setBar(0);
                                }}
                                mark={(to) => mark.mutate({ of: one, to })}
                                dropSlip={(slip) => dropSlip.mutate(slip)}
                            />
                        ))}
                    </ol>
                    {task !== null && (
                        <SlipBoard
                            task={task}
                            bar={bar}
                            chooseBar={setBar}
                            kinds={kinds}
                            keys={SLIP_KEYS}
                            slips={data.slips.filter((slip) => slip.taskId === task.id)}
                            add={(kind) => addSlip.mutate(kind)}
                        />
                    )}
                </div>
            )}
        </>
    );
}
