import { Button, Group, SegmentedControl, Stack, Text, Textarea, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { type Api, ask } from '../shared/api';
import { Trouble, Waiting } from '../shared/Notes';
import { Score } from '../shared/score/Score';
import { Player } from '../shared/sound/Player';
import { handWords } from '../shared/words';
import type { Tick } from './outbox';

interface Props {
    token: string;
    task: Api['HomeTaskResource'];
    done: boolean;
    tick: (how: Pick<Tick, 'repetitions' | 'feeling' | 'note'>) => void;
    untick: () => void;
    back: ReactNode;
}

/** One task: its bars, how they sound, and the tick. */
export function HomeTask({ token, task, done, tick, untick, back }: Props) {
    const music = useQuery({
        queryKey: ['home-music', token, task.id],
        queryFn: () => ask<Api['HomeMusicResource']>('GET', `/home/tasks/${task.id}`, undefined, token),
        staleTime: Number.POSITIVE_INFINITY,
    });
    const [part, setPart] = useState(0);
    const [lit, setLit] = useState<ReadonlyMap<string, 'yes' | 'left'>>(new Map());
    const [times, setTimes] = useState(0);
    const [feeling, setFeeling] = useState<Tick['feeling']>('fine');
    const [note, setNote] = useState('');
    const parts = music.data?.parts ?? [];
    const shown = parts[part];
    return (
        <Stack gap="md">
            <Group justify="space-between">
                {back}
                <Text className="faint">
                    {task.piece !== null && handWords(task.hand)}
                    {task.tempo !== null && `, tempo ${task.tempo}`}
                </Text>
            </Group>
            <div>
                <Title order={1} fz={28}>
                    {task.title}
                </Title>
                {task.piece !== null && <Text fz="lg">{task.piece}</Text>}
            </div>
            <Text fz="lg">{task.instruction}</Text>
            {music.isPending && <Waiting what="Fetching the bars…" />}
            <Trouble error={music.error} again={() => music.refetch()} />
            {parts.length > 1 && (
                <SegmentedControl
                    fullWidth
                    aria-label="Which bars"
                    value={String(part)}
                    onChange={(value) => setPart(Number(value))}
                    data={parts.map((one, i) => ({ value: String(i), label: one.bars.label }))}
                />
            )}
            {shown !== undefined && music.data?.music != null && (
                <>
                    <div className="sheet" style={{ padding: 8 }}>
                        <Score
                            music={music.data.music}
                            title={`${task.piece}, ${shown.bars.label}`}
                            scale={46}
                            lines="free"
                            range={[shown.bars.first, shown.bars.last]}
                            lit={lit}
                        />
                    </div>
                    <Player
                        key={part}
                        playback={shown.playback}
                        tempo={task.tempo ?? 60}
                        hand={task.hand}
                        onLit={setLit}
                        large
                    />
                </>
            )}
            <section className="sheet" aria-label="When it is done">
                {done ? (
                    <Group justify="space-between">
                        <Text fw={700} fz="lg">
                            ✓ Done today
                        </Text>
                        <Button variant="default" onClick={untick}>
                            Take the tick back
                        </Button>
                    </Group>
                ) : (
                    <Stack gap="sm">
                        <Group justify="space-between">
                            <Text>
                                Played <b>{times}</b> of {task.repetitions}
                            </Text>
                            <Group gap="xs">
                                <Button
                                    variant="default"
                                    size="md"
                                    aria-label="One less"
                                    onClick={() => setTimes(Math.max(0, times - 1))}
                                >
                                    −
                                </Button>
                                <Button variant="light" size="md" onClick={() => setTimes(times + 1)}>
                                    Once more
                                </Button>
                            </Group>
                        </Group>
                        <SegmentedControl
                            fullWidth
                            size="md"
                            aria-label="How it went"
                            value={feeling}
                            onChange={(value) => setFeeling(value as Tick['feeling'])}
                            data={[
                                { value: 'easy', label: 'Easy' },
                                { value: 'fine', label: 'Fine' },
                                { value: 'hard', label: 'Hard' },
                            ]}
                        />
                        <Textarea
                            label="A word to the teacher"
                            autosize
                            minRows={1}
                            maxLength={240}
                            value={note}
                            onChange={(event) => setNote(event.currentTarget.value)}
                        />
                        <Button
                            size="lg"
                            onClick={() => tick({ repetitions: times === 0 ? task.repetitions : times, feeling, note })}
                        >
                            Done
                        </Button>
                    </Stack>
                )}
            </section>
        </Stack>
    );
}
