import { Button, Group, SegmentedControl, Stack, Text, Textarea, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { choices } from '../api';
import type { Hear } from '../listening/take';
import { Trouble, Waiting } from '../shared/Notes';
import { Questions } from '../shared/Questions';
import { ReadAloud } from '../shared/ReadAloud';
import { TaskPicture } from '../shared/TaskPicture';
import { handWords, tempoWords } from '../shared/words';
import { t } from '../text';
import { HeardLater } from './HeardLater';
import { HomeMusic } from './HomeMusic';
import { InARow, type Row, useRow } from './InARow';
import type { Tick } from './outbox';
import { useAwake } from './useAwake';
import { type HomeTaskData, musicOf } from './useHome';
import { useTimeSpent } from './useTimeSpent';

interface Props {
    token: string;
    task: HomeTaskData;
    done: boolean;
    /** Judges a take; null where there is no connection. */
    hear: Hear;
    /** Days from today: what is to come can be looked at, what was yesterday filled in. */
    day: number;
    /** `yesterday`, or `on Monday`. */
    when: string;
    /** Seconds without a touch that still count as practice. */
    longestPause: number;
    tick: (how: Pick<Tick, 'repetitions' | 'tempo' | 'seconds' | 'feeling' | 'note'>) => void;
    untick: () => void;
    /** Opens the practice room, where it is done or begun. */
    drill: (() => void) | null;
    back: ReactNode;
}

/** One task: its bars, how they sound, and the tick. */
export function HomeTask({ token, task, done, hear, day, when, longestPause, tick, untick, drill, back }: Props) {
    const music = useQuery({ ...musicOf(token, task.id), enabled: task.piece !== null });
    const [tempo, setTempo] = useState(task.tempo ?? 60);
    const spent = useTimeSpent(longestPause);
    const row = useRow();
    useAwake();
    return (
        <Stack gap="md">
            <Group justify="space-between">
                {back}
                <Text className="faint">
                    {task.bars.length > 0 && handWords(task.hand)}
                    {task.tempo !== null && `, ${tempoWords(task.tempo)}`}
                </Text>
            </Group>
            <WhatToDo task={task} />
            <ReadAloud words={`${task.title}. ${task.instruction}`} />
            {drill !== null && day <= 0 && (
                <Button size="xl" onClick={drill}>
                    {task.kind === 'remedy' ? t('First: name these notes') : t('Start')}
                </Button>
            )}
            <HeardLater token={token} taskId={task.id} />
            {task.bars.length > 0 && music.isPending && <Waiting what={t('Fetching the bars…')} />}
            <Trouble error={music.error} again={() => music.refetch()} />
            {music.data !== undefined && (
                <HomeMusic
                    {...{ task, tempo, setTempo }}
                    music={music.data}
                    hear={day <= 0 && task.isPlayed ? hear : null}
                    onHeard={row.play}
                />
            )}
            <Remember questions={music.data?.questions ?? []} />
            {day > 0 ? (
                <Text className="sheet">{t('To look at already. It can be ticked when its day has come.')}</Text>
            ) : (
                <section className="sheet" aria-label={t('When it is done')}>
                    {done ? (
                        <IsDone when={when} untick={untick} />
                    ) : (
                        <TickForm
                            task={task}
                            verb={day === 0 ? t('Done') : t('Done {{when}}', { when })}
                            // What is filled in for another day was not practised now.
                            tick={(how) => tick({ ...how, seconds: day === 0 ? spent() : null })}
                            {...{ row, tempo, setTempo }}
                            rungs={music.data?.rungs ?? []}
                        />
                    )}
                </section>
            )}
        </Stack>
    );
}

function WhatToDo({ task }: { task: HomeTaskData }) {
    return (
        <>
            <div>
                <Title order={1} fz={28}>
                    {task.title}
                </Title>
                {task.piece !== null && (
                    <Text fz="lg">
                        {task.piece} {task.page && <span className="faint">{task.page}</span>}
                    </Text>
                )}
            </div>
            <Group gap="md" wrap="nowrap" align="center">
                <TaskPicture sign={task.sign} size={48} />
                <Text fz="lg">{task.instruction}</Text>
            </Group>
        </>
    );
}

/** After a page was looked over: what is remembered of it. */
function Remember({ questions }: { questions: Parameters<typeof Questions>[0]['questions'] }) {
    if (questions.length === 0) return null;
    return (
        <section className="sheet" aria-label={t('Do you remember?')}>
            <Text fw={700}>{t('Do you remember? Look away first, then look it up.')}</Text>
            <Questions questions={questions} />
        </section>
    );
}

function IsDone({ when, untick }: Pick<Props, 'when' | 'untick'>) {
    return (
        <Group justify="space-between">
            <Text fw={700} fz="lg">
                {t('✓ Done {{when}}', { when })}
            </Text>
            <Button variant="default" onClick={untick}>
                {t('Take the tick back')}
            </Button>
        </Group>
    );
}

/** How often it was played, how it went, a word to the teacher, and the tick. */
function TickForm({
    task,
    verb,
    tick,
    row,
    tempo,
    setTempo,
    rungs,
}: {
    task: HomeTaskData;
    verb: string;
    tick: (how: Omit<Parameters<Props['tick']>[0], 'seconds'>) => void;
    row: Row;
    tempo: number;
    setTempo: (tempo: number) => void;
    rungs: readonly number[];
}) {
    const [feeling, setFeeling] = useState<Tick['feeling']>('fine');
    const [note, setNote] = useState('');
    return (
        <Stack gap="sm">
            <InARow
                row={row}
                wanted={task.repetitions}
                rungUp={rungs.find((rung) => rung > tempo) ?? null}
                climb={setTempo}
            />
            <SegmentedControl
                fullWidth
                size="md"
                aria-label={t('How it went')}
                value={feeling}
                onChange={setFeeling}
                data={choices.Feeling}
            />
            <Textarea
                label={t('A word to the teacher')}
                autosize
                minRows={1}
                maxLength={240}
                value={note}
                onChange={(event) => setNote(event.currentTarget.value)}
            />
            <Button
                size="lg"
                onClick={() =>
                    tick({
                        repetitions: row.times === 0 ? task.repetitions : row.times,
                        tempo: task.tempo === null ? null : tempo,
                        feeling,
                        note,
                    })
                }
            >
                {verb}
            </Button>
        </Stack>
    );
}
