import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { LessonTask } from '../api';
import { useKeys } from '../shared/keys';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { longDate } from '../shared/words';
import { HeardTask } from './HeardTask';
import styles from './Lesson.module.css';
import { NextWeek, useNextPage } from './NextWeek';
import { Record } from './Record';
import { SlipBoard } from './SlipBoard';
import { type Hearing, useHearing } from './useHearing';
import { type LessonData, type LessonInHand, useLesson } from './useLesson';

export function Lesson() {
    const id = Number(useParams().lesson);
    const client = useQueryClient();
    const navigate = useNavigate();
    const hand = useLesson(id);
    const { lesson, finish } = hand;
    const data = lesson.data;
    const hearing = useHearing(hand);
    const open = useNextPage(data);
    const end = () =>
        finish.mutate(undefined, {
            onSuccess: (finished) => {
                client.invalidateQueries();
                if (finished.nextWeekId !== null) navigate(`/weeks/${finished.nextWeekId}`);
            },
        });
    const next = data?.nextPages[0];
    useLessonKeys(hearing, hand, { end, openNext: () => next && open.mutate(next.pieceId) });
    if (lesson.isPending) return <Waiting what="Opening the lesson…" />;
    if (data === undefined) return <Trouble error={lesson.error} again={() => lesson.refetch()} />;
    return (
        <>
            <Head data={data} tasks={hearing.tasks} waiting={hand.waiting} canUndo={hand.canUndo} undo={hand.undo}>
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
            {hearing.tasks.length === 0 ? (
                <Stack gap="sm">
                    <Empty title="No week leads to this lesson">
                        <Text>Open a page for the student, then finish: the first week is proposed from it.</Text>
                    </Empty>
                    <NextWeek data={data} />
                </Stack>
            ) : (
                <Heard data={data} hand={hand} hearing={hearing} />
            )}
        </>
    );
}

/** What is done with a hand that stays on the keyboard. */
function useLessonKeys(hearing: Hearing, hand: LessonInHand, does: { end: () => void; openNext: () => void }) {
    useKeys([
        { key: 'j', does: 'next task', run: () => hearing.go(1) },
        { key: 'k', does: 'task before', run: () => hearing.go(-1) },
        { key: 'p', does: 'pass, and on to the next', run: () => hearing.give('pass') },
        { key: 'a', does: 'again', run: () => hearing.give('again') },
        { key: 's', does: 'stop: let it rest', run: () => hearing.give('stop') },
        { key: 'c', does: 'clear the mark', run: () => hearing.give(null) },
        { key: '.', does: 'reached a faster tempo', run: () => hearing.climb(1) },
        { key: ',', does: 'reached a slower tempo', run: () => hearing.climb(-1) },
        { key: 'ArrowRight', does: 'next bar', run: () => hearing.toBar(1) },
        { key: 'ArrowLeft', does: 'bar before', run: () => hearing.toBar(-1) },
        { key: 'Shift+ArrowRight', does: 'a beat more', run: () => hearing.toBeat(1) },
        { key: 'Shift+ArrowLeft', does: 'a beat less', run: () => hearing.toBeat(-1) },
        ...(hand.lesson.data?.slipKinds ?? []).map((kind) => ({
            key: kind.key,
            does: `slip here: ${kind.words}`,
            run: () => hearing.slip(kind),
        })),
        { key: 'u', does: 'take back what was done last', run: hand.undo },
        { key: 'n', does: 'open the next page', run: does.openNext },
        { key: 'Enter', does: 'finish, and see next week', run: does.end },
    ]);
}

/** The tasks on one side, the page of the chosen one with its slips on the other. */
function Heard({ data, hand, hearing }: { data: LessonData; hand: LessonInHand; hearing: Hearing }) {
    const { tasks, task, chosen, page } = hearing;
    return (
        <div className={styles.sides}>
            <ol className={`plain-list ${styles.tasks}`} aria-label="What was assigned">
                {tasks.map((one, i) => (
                    <HeardTask
                        key={one.id}
                        task={one}
                        slips={data.slips.filter((of) => of.taskId === one.id)}
                        chosen={i === chosen}
                        choose={() => hearing.choose(i)}
                        mark={(mark) => hand.heard(one, { mark })}
                        climb={i === chosen ? hearing.climb : null}
                        note={(note) => hand.heard(one, { note })}
                        dropSlip={hand.dropSlip}
                    />
                ))}
            </ol>
            <Stack gap="sm" className={styles.side}>
                {task !== null && (
                    <SlipBoard
                        task={task}
                        page={page.data}
                        error={page.error}
                        at={hearing.at}
                        point={hearing.point}
                        kinds={data.slipKinds}
                        slips={data.slips.filter((of) => of.taskId === task.id)}
                        add={hearing.slip}
                    />
                )}
                <NextWeek data={data} />
                <Record key={data.id} data={data} record={hand.record} />
            </Stack>
        </div>
    );
}

interface HeadProps {
    data: LessonData;
    tasks: LessonTask[];
    waiting: number;
    canUndo: boolean;
    undo: () => void;
    children: ReactNode;
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
