import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { ApiError } from '../shared/api';
import { HandMark } from '../shared/HandMark';
import { Leaf } from '../shared/Leaf';
import { Trouble, Waiting } from '../shared/Notes';
import { barsWords, longDate, minutes } from '../shared/words';
import { HomeTask } from './HomeTask';
import { useHome } from './useHome';

/** The home side: today only, large, for a child and a parent at the piano. */
export function Home() {
    const token = useParams().token ?? '';
    const { day, ticks, refused, tick, untick } = useHome(token);
    const [open, setOpen] = useState<number | null>(null);
    if (day.error instanceof ApiError && day.error.status === 401) {
        return (
            <main style={{ padding: '2rem 1.2rem', maxWidth: 560, margin: '0 auto' }}>
                <Title order={1}>This link is closed</Title>
                <Text mt="sm">It was withdrawn, or its time is over. Ask the teacher for a new one.</Text>
            </main>
        );
    }
    if (day.data === undefined) {
        return (
            <main style={{ padding: '1rem' }}>
                {day.error ? <Trouble error={day.error} again={() => day.refetch()} /> : <Waiting what="One moment…" />}
            </main>
        );
    }
    const { student, date, tasks, leaf, lessonOn } = day.data;
    const isDone = (id: number) =>
        ticks.some((one) => one.taskId === id && one.date === date) ||
        tasks.some((task) => task.id === id && task.done !== null);
    const done = tasks.filter((task) => isDone(task.id)).length;
    const task = tasks.find((one) => one.id === open);
    return (
        <main style={{ padding: '1rem 1rem 4rem', maxWidth: 760, margin: '0 auto' }}>
            {task === undefined ? (
                <Stack gap="md">
                    <Group justify="space-between" wrap="nowrap">
                        <div>
                            <Text className="faint">{longDate(date)}</Text>
                            <Title order={1} fz={34}>
                                Hello {student}
                            </Title>
                            <Text>
                                {tasks.length === 0 ? 'Nothing to practise today.' : `${done} of ${tasks.length} done`}
                            </Text>
                        </div>
                        <Leaf days={leaf} today={date} size={104} />
                    </Group>
                    {ticks.length > 0 && (
                        <Text role="status" className="sheet" p="xs">
                            {ticks.length === 1 ? 'One tick is' : `${ticks.length} ticks are`} kept here and will be
                            sent when there is a connection.
                        </Text>
                    )}
                    {refused > 0 && <Text role="alert">A tick could not be taken: its week is over.</Text>}
                    {tasks.length === 0 && (
                        <Text className="sheet">
                            {lessonOn === null
                                ? 'No week has been sent yet.'
                                : `A free day. The next lesson is ${longDate(lessonOn)}.`}
                        </Text>
                    )}
                    <ol className="plain-list" style={{ display: 'grid', gap: 10 }}>
                        {tasks.map((one) => (
                            <li key={one.id}>
                                <button
                                    type="button"
                                    className="sheet"
                                    style={{
                                        width: '100%',
                                        textAlign: 'left',
                                        font: 'inherit',
                                        color: 'inherit',
                                        cursor: 'pointer',
                                        display: 'flex',
                                        gap: 14,
                                        alignItems: 'center',
                                        padding: '0.8rem 1rem',
                                    }}
                                    onClick={() => setOpen(one.id)}
                                >
                                    <span
                                        aria-hidden="true"
                                        style={{
                                            width: 34,
                                            height: 34,
                                            flex: 'none',
                                            borderRadius: '50%',
                                            border: '3px solid var(--leaf)',
                                            background: isDone(one.id) ? 'var(--leaf)' : 'transparent',
                                            color: 'var(--sheet)',
                                            display: 'grid',
                                            placeItems: 'center',
                                            fontWeight: 700,
                                        }}
                                    >
                                        {isDone(one.id) && '✓'}
                                    </span>
                                    <span style={{ flex: 1 }}>
                                        <b style={{ fontSize: '1.15rem' }}>{one.title}</b>{' '}
                                        {one.piece !== null && <HandMark hand={one.hand} />}
                                        <br />
                                        {one.piece !== null && (
                                            <span>
                                                {one.piece}, {barsWords(one.bars)}
                                            </span>
                                        )}
                                    </span>
                                    <span className="faint" style={{ whiteSpace: 'nowrap' }}>
                                        {isDone(one.id) ? 'done' : minutes(one.minutes)}
                                    </span>
                                </button>
                            </li>
                        ))}
                    </ol>
                </Stack>
            ) : (
                <HomeTask
                    key={task.id}
                    token={token}
                    task={task}
                    done={isDone(task.id)}
                    tick={(how) => {
                        tick({ taskId: task.id, date, ...how });
                        setOpen(null);
                    }}
                    untick={() => untick(task.id, date)}
                    back={
                        <Button variant="default" size="md" onClick={() => setOpen(null)}>
                            ← Today
                        </Button>
                    }
                />
            )}
        </main>
    );
}
