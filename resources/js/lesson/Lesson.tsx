import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { type Api, api, at, type LessonTask } from '../api';
import { useKeys } from '../shared/keys';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { longDate } from '../shared/words';
import { HeardTask } from './HeardTask';
import { NextWeek, useNextPage } from './NextWeek';
import { atBar, firstBar, type Pointed, step, stretch } from './pointed';
import { Record } from './Record';
import { SlipBoard, usePage, wordsAt } from './SlipBoard';
import { type LessonData, type Mark, useLesson } from './useLesson';

export function Lesson() {
    const id = Number(useParams().lesson);
    const client = useQueryClient();
    const navigate = useNavigate();
    const hand = useLesson(id);
    const { lesson, finish } = hand;
    const data = lesson.data;
    const [chosen, setChosen] = useState(0);
    const [pointed, setPointed] = useState<Pointed | null>(null);
    const tasks = data?.week?.tasks ?? [];
    const task = tasks[chosen] ?? null;
    const page = usePage(task, data?.studentId);
    const rungs = useRungs(task);
    const open = useNextPage(data);
    const hasBars = task !== null && task.bars.length > 0;
    const at = pointed ?? atBar(hasBars ? firstBar(task) : 0);
    const choose = (index: number) => {
        setChosen(index);
        setPointed(null);
    };
    const go = (by: number) => tasks.length > 0 && choose((chosen + by + tasks.length) % tasks.length);
    const give = (mark: Mark) => {
        if (task === null) return;
        hand.heard(task, { mark });
        // A pass goes on to the next task; after "again" and "stop" there may be a slip to note.
        if (mark === 'pass' && chosen < tasks.length - 1) choose(chosen + 1);
    };
    const slip = (kind: Api['SlipKindResource'] | undefined) =>
        task && hasBars && kind && hand.addSlip(task, kind, at, wordsAt(page.data?.report, at));
    const climb = (by: number) => {
        if (task === null || task.tempo === null) return;
        const now = task.tempoReached ?? task.tempo;
        const next = by > 0 ? rungs.find((rung) => rung > now) : rungs.findLast((rung) => rung < now);
        if (next !== undefined) hand.heard(task, { tempoReached: next });
    };
    const end = () =>
        finish.mutate(undefined, {
            onSuccess: (finished) => {
                client.invalidateQueries();
                if (finished.nextWeekId !== null) navigate(`/weeks/${finished.nextWeekId}`);
            },
        });
    const kinds = data?.slipKinds ?? [];
    const next = data?.nextPages[0];
    useKeys([
        { key: 'j', does: 'next task', run: () => go(1) },
        { key: 'k', does: 'task before', run: () => go(-1) },
        { key: 'p', does: 'pass, and on to the next', run: () => give('pass') },
        { key: 'a', does: 'again', run: () => give('again') },
        { key: 's', does: 'stop: let it rest', run: () => give('stop') },
        { key: 'c', does: 'clear the mark', run: () => give(null) },
        { key: '.', does: 'reached a faster tempo', run: () => climb(1) },
        { key: ',', does: 'reached a slower tempo', run: () => climb(-1) },
        { key: 'ArrowRight', does: 'next bar', run: () => hasBars && setPointed(step(at, 1, task)) },
        { key: 'ArrowLeft', does: 'bar before', run: () => hasBars && setPointed(step(at, -1, task)) },
        ...([1, -1] as const).map((by) => ({
            key: by > 0 ? 'Shift+ArrowRight' : 'Shift+ArrowLeft',
            does: by > 0 ? 'a beat more' : 'a beat less',
            run: () => hasBars && page.data && setPointed(stretch(at, by, page.data.report)),
        })),
        ...kinds.map((kind) => ({
            key: kind.key,
            does: `slip here: ${kind.words}`,
            run: () => slip(kind),
        })),
        { key: 'u', does: 'take back what was done last', run: hand.undo },
        { key: 'n', does: 'open the next page', run: () => next && open.mutate(next.pieceId) },
        { key: 'Enter', does: 'finish, and see next week', run: end },
    ]);
    if (lesson.isPending) return <Waiting what="Opening the lesson…" />;
    if (data === undefined) return <Trouble error={lesson.error} again={() => lesson.refetch()} />;
    return (
        <>
            <Head data={data} tasks={tasks} waiting={hand.waiting} canUndo={hand.canUndo} undo={hand.undo}>
                <Button onClick={end} loading={finish.isPending}>
                    Finish, and see next week (Enter)
                </Button>
            </Head>
            <Trouble error={finish.error ?? open.error} />
            {hand.refused > 0 && (
                <Text role="alert" className="thorn">
                    {hand.refused === 1 ? 'One step was' : `${hand.refused} steps were`} not taken by the server. Look
                    over what stands below.
                </Text>
            )}
            {tasks.length === 0 ? (
                <Stack gap="sm">
                    <Empty title="No week leads to this lesson">
                        <Text>Open a page for the student, then finish: the first week is proposed from it.</Text>
                    </Empty>
                    <NextWeek data={data} />
                </Stack>
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
                                slips={data.slips.filter((of) => of.taskId === one.id)}
                                chosen={i === chosen}
                                choose={() => choose(i)}
                                mark={(mark) => hand.heard(one, { mark })}
                                climb={i === chosen ? climb : null}
                                note={(note) => hand.heard(one, { note })}
                                dropSlip={hand.dropSlip}
                            />
                        ))}
                    </ol>
                    <Stack gap="sm" className="lesson-side">
                        {task !== null && (
                            <SlipBoard
                                task={task}
                                page={page.data}
                                error={page.error}
                                at={at}
                                point={setPointed}
                                kinds={kinds}
                                slips={data.slips.filter((of) => of.taskId === task.id)}
                                add={slip}
                            />
                        )}
                        <NextWeek data={data} />
                        <Record key={data.id} data={data} record={hand.record} />
                    </Stack>
                </div>
            )}
        </>
    );
}

interface HeadProps {
    data: LessonData;
    tasks: LessonTask[];
    waiting: number;
    canUndo: boolean;
    undo: () => void;
    children: React.ReactNode;
}

function Head({ data, tasks, waiting, canUndo, undo, children }: HeadProps) {
    const marked = tasks.filter((one) => one.mark !== null).length;
    return (
        <Group justify="space-between" mb="sm" wrap="nowrap">
            <div>
                <Title order={1} fz={26}>
                    {data.student}, {longDate(data.heldOn)}
                </Title>
                <Text size="sm" className="faint" role="status">
                    {marked} of {tasks.length} heard
                    {data.finishedAt !== null && '; finished before, finishing again proposes anew'}
                    {waiting > 0 && `; ${waiting} not sent yet, kept until there is a connection`}
                </Text>
            </div>
            <Group gap="xs" wrap="nowrap">
                <Button variant="default" onClick={undo} disabled={!canUndo}>
                    Undo (u)
                </Button>
                {children}
            </Group>
        </Group>
    );
}

/** The tempi of the task's ladder, and those below it. */
function useRungs(task: LessonTask | null): number[] {
    const ladders = api.useQuery('get', '/learnings/{learning}/ladders', at({ learning: task?.learningId ?? 0 }), {
        enabled: task !== null && task.learningId !== null,
        staleTime: 60_000,
    });
    return ladders.data?.find((ladder) => ladder.hand === (task?.hand ?? ''))?.marks ?? [];
}
