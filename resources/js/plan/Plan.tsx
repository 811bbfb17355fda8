import { Anchor, Badge, Button, Group, Stack, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Task, Week } from '../shared/api';
import { Dialog } from '../shared/Dialog';
import { useKeys } from '../shared/keys';
import { Leaf } from '../shared/Leaf';
import { Trouble, Waiting } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { longDate, shortDate } from '../shared/words';
import { AddTask } from './AddTask';
import { DayColumn } from './DayColumn';
import { add, change, move, remove } from './planning';
import { TaskCard } from './TaskCard';
import { TaskForm } from './TaskForm';
import { useWeek } from './useWeek';

/** A card that is taken: a task on a day, or one that has none. */
interface Taken {
    id: number;
    date: string | null;
}

export function Plan() {
    const id = Number(useParams().week);
    const { week, save, send, again, apply, undo, canUndo } = useWeek(id);
    const session = useSession();
    const navigate = useNavigate();
    const [taken, setTaken] = useState<Taken | null>(null);
    const [dialog, setDialog] = useState<'add' | 'change' | null>(null);
    const days = week.data?.days ?? [];
    const open = days.filter((day) => day.minutes > 0);
    const task = week.data?.tasks.find((one) => one.id === taken?.id) ?? null;
    const place = (to: string | null) =>
        taken && apply(move(taken.id, taken.date, to), () => setTaken({ id: taken.id, date: to }));
    const step = (by: number) => {
        if (taken === null) return;
        const at = open.findIndex((day) => day.date === taken.date);
        const to = at < 0 ? open[by > 0 ? 0 : open.length - 1] : open[at + by];
        if (to !== undefined) place(to.date);
    };
    const takeNext = (by: number) => {
        const cards = cardsOf(week.data);
        const at = cards.findIndex((card) => card.id === taken?.id && card.date === taken?.date);
        setTaken(cards[(at + by + cards.length) % cards.length] ?? null);
    };
    const also = () => {
        const free = open.find((day) => !(task?.dates.includes(day.date) ?? true));
        if (taken !== null && free !== undefined) apply(move(taken.id, null, free.date));
    };
    useKeys([
        { key: 'j', does: 'take the next card', run: () => takeNext(1) },
        { key: 'k', does: 'take the card before', run: () => takeNext(-1) },
        { key: 'ArrowRight', does: 'move the card a day on', run: () => step(1) },
        { key: 'ArrowLeft', does: 'move the card a day back', run: () => step(-1) },
        { key: 'd', does: 'put the card on one more day', run: also },
        { key: 'x', does: 'take the card off its day', run: () => taken?.date != null && place(null) },
        {
            key: 'Delete',
            does: 'remove the task from the week',
            run: () => taken && apply(remove(taken.id), () => setTaken(null)),
        },
        { key: 'Enter', does: 'change repetitions, tempo, minutes', run: () => taken && setDialog('change') },
        { key: '*', does: 'star the task', run: () => task && apply(change(task.id, { starred: !task.starred })) },
        { key: 'a', does: 'add a task', run: () => setDialog('add') },
        { key: 'u', does: 'undo', run: undo },
        { key: 's', does: 'send the week', run: () => week.data?.sentAt === null && send.mutate() },
    ]);
    if (week.isPending) return <Waiting what="Fetching the week…" />;
    if (week.error) return <Trouble error={week.error} again={() => week.refetch()} />;
    const data = week.data;
    const left = data.tasks.filter((one) => one.dates.length === 0);
    const byId = new Map(data.tasks.map((one) => [one.id, one]));
    const card = (one: Task, date: string | null) => (
        <TaskCard
            key={`${one.id} ${date}`}
            task={one}
            taken={taken?.id === one.id && taken.date === date}
            take={() => setTaken({ id: one.id, date })}
            edit={() => {
                setTaken({ id: one.id, date });
                setDialog('change');
            }}
        />
    );
    const drop = (dropped: Taken, to: string | null) => {
        setTaken(dropped);
        apply(move(dropped.id, dropped.date, to), () => setTaken({ id: dropped.id, date: to }));
    };
    return (
        <Stack gap="sm">
            <Group justify="space-between" wrap="nowrap">
                <Group gap="md" wrap="nowrap">
                    <Leaf days={data.days} today={session.data?.studio.today} size={62} />
                    <div>
                        <Title order={1} fz={26}>
                            <Anchor component={Link} to={`/students/${data.studentId}`} inherit c="inherit">
                                {data.student}
                            </Anchor>
                            , {shortDate(data.startsOn)} to {shortDate(data.endsOn)}
                        </Title>
                        <Text size="sm" className="faint">
                            Next lesson {longDate(data.endsOn)}.{' '}
                            {data.sentAt === null
                                ? 'Not sent yet: the family does not see it.'
                                : `Sent ${shortDate(data.sentAt.slice(0, 10))}.`}
                        </Text>
                    </div>
                </Group>
                <Group gap="xs" wrap="nowrap">
                    <Button variant="default" onClick={undo} disabled={!canUndo}>
                        Undo (u)
                    </Button>
                    {data.sentAt === null && (
                        <Button variant="default" onClick={() => again.mutate()} loading={again.isPending}>
                            Propose again
                        </Button>
                    )}
                    <Button variant="default" onClick={() => setDialog('add')}>
                        Add (a)
                    </Button>
                    <Button variant="default" onClick={() => navigate(`/weeks/${id}/sheet`)}>
                        Print
                    </Button>
                    <Button onClick={() => send.mutate()} disabled={data.sentAt !== null} loading={send.isPending}>
                        Send (s)
                    </Button>
                </Group>
            </Group>
            <Trouble error={save.error ?? send.error ?? again.error} />
            {/* biome-ignore lint/a11y/noStaticElementInteractions: cards are moved by keys as well */}
            <div
                style={{
                    display: 'grid',
                    gridTemplateColumns: `repeat(${Math.max(1, days.length)}, minmax(0, 1fr))`,
                    gap: 8,
                }}
                onDragStart={(event) =>
                    event.dataTransfer.setData('text/plain', JSON.stringify(cardUnder(event.target)))
                }
            >
                {days.map((day) => (
                    <DayColumn key={day.date} day={day} today={session.data?.studio.today} drop={drop}>
                        {day.taskIds
                            .map((one) => byId.get(one))
                            .filter((one) => one !== undefined)
                            .map((one) => card(one, day.date))}
                    </DayColumn>
                ))}
            </div>
            {left.length > 0 && (
                <section
                    aria-label="Found no room"
                    className="sheet"
                    style={{ borderStyle: 'dashed' }}
                    onDragStart={(event) =>
                        event.dataTransfer.setData('text/plain', JSON.stringify(cardUnder(event.target)))
                    }
                >
                    <Group gap="xs" mb={6}>
                        <Text fw={700}>Found no room</Text>
                        <Badge variant="light" c="var(--ink)" tt="none">
                            {left.length}
                        </Badge>
                    </Group>
                    <div
                        style={{
                            display: 'grid',
                            gridTemplateColumns: 'repeat(auto-fill, minmax(11rem, 1fr))',
                            gap: 8,
                        }}
                    >
                        {left.map((one) => card(one, null))}
                    </div>
                </section>
            )}
            <Dialog opened={dialog === 'change' && task !== null} onClose={() => setDialog(null)} title={task?.title}>
                {task !== null && (
                    <TaskForm
                        task={task}
                        error={save.error}
                        save={(to) => apply(change(task.id, to), () => setDialog(null))}
                        remove={() =>
                            apply(remove(task.id), () => {
                                setDialog(null);
                                setTaken(null);
                            })
                        }
                    />
                )}
            </Dialog>
            <Dialog opened={dialog === 'add'} onClose={() => setDialog(null)} title="A task of your own">
                <AddTask
                    studentId={data.studentId}
                    days={open.map((day) => day.date)}
                    error={save.error}
                    add={(one) => apply(add(one), () => setDialog(null))}
                />
            </Dialog>
        </Stack>
    );
}

function cardsOf(week: Week | undefined): Taken[] {
    if (week === undefined) return [];
    const placed = week.days.flatMap((day) => day.taskIds.map((id) => ({ id, date: day.date })));
    return [
        ...placed,
        ...week.tasks.filter((task) => task.dates.length === 0).map((task) => ({ id: task.id, date: null })),
    ];
}

function cardUnder(target: EventTarget): Taken {
    const card = (target as HTMLElement).closest<HTMLElement>('[data-task]');
    return { id: Number(card?.dataset.task), date: card?.closest<HTMLElement>('[data-date]')?.dataset.date ?? null };
}
