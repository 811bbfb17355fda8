import { Button, Checkbox, Group, NumberInput, SegmentedControl, Stack, Text, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { ApiError, type Task } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import type { PlannedTask } from './planning';

interface Props {
    task: Task;
    error: unknown;
    save: (change: Partial<PlannedTask>, sure: boolean) => void;
    remove: () => void;
}

/** What can be changed of a task; minutes are reckoned where none are said. */
type Draft = Pick<Task, 'starred' | 'instruction' | 'mostDays' | 'repetitions' | 'tempo'> & { minutes: number | null };

/** Repetitions, tempo and minutes of a task; the time follows unless it is set. */
export function TaskForm({ task, error, save, remove }: Props) {
    const { starred, instruction, mostDays, repetitions, tempo } = task;
    const [draft, setDraft] = useState<Draft>({ starred, instruction, mostDays, repetitions, tempo, minutes: null });
    const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
    const jumps = error instanceof ApiError && error.errors.tempo !== undefined;
    const give = (sure: boolean) =>
        save(
            {
                starred: draft.starred,
                instruction: draft.instruction,
                mostDays: draft.mostDays,
                // What was not changed is not sent: the time is reckoned from the rest.
                ...(draft.repetitions !== repetitions ? { repetitions: draft.repetitions } : {}),
                ...(draft.tempo !== tempo ? { tempo: draft.tempo } : {}),
                ...(draft.minutes !== null ? { minutes: draft.minutes } : {}),
            },
            sure,
        );
    const submit = (event: FormEvent) => {
        event.preventDefault();
        give(false);
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            {task.why !== '' && (
                <Text size="sm" className="faint">
                    {t('Here because: {{why}}.', { why: task.why })}
                </Text>
            )}
            <TextInput
                label={t('What to do')}
                maxLength={240}
                value={draft.instruction}
                onChange={(event) => set({ instruction: event.currentTarget.value })}
                data-autofocus
            />
            <HowMuch task={task} draft={draft} set={set} />
            <Checkbox
                label={t('Star it: twice as important')}
                checked={draft.starred}
                onChange={(event) => set({ starred: event.currentTarget.checked })}
            />
            <Trouble error={error} />
            <Group justify="space-between">
                <Group gap="xs">
                    <Button type="submit">{t('Save')}</Button>
                    {jumps && (
                        <Button variant="default" onClick={() => give(true)}>
                            {t('Jump all the same')}
                        </Button>
                    )}
                </Group>
                <Button variant="subtle" c="var(--thorn)" onClick={remove}>
                    {t('Remove from the plan')}
                </Button>
            </Group>
        </Stack>
    );
}

interface HowMuchProps {
    task: Task;
    draft: Draft;
    set: (change: Partial<Draft>) => void;
}

/** How often, how fast, how long, and on how many days. */
function HowMuch({ task, draft, set }: HowMuchProps) {
    return (
        <>
            <Group grow>
                <NumberInput
                    label={t('Times')}
                    min={1}
                    max={99}
                    value={draft.repetitions}
                    onChange={(value) => set({ repetitions: Number(value) })}
                />
                {task.tempo !== null && (
                    <NumberInput
                        label={t('Tempo')}
                        min={20}
                        max={400}
                        value={draft.tempo ?? ''}
                        onChange={(value) => set({ tempo: value === '' ? null : Number(value) })}
                    />
                )}
                <NumberInput
                    label={t('Minutes')}
                    min={0.5}
                    max={120}
                    step={0.5}
                    value={draft.minutes ?? ''}
                    placeholder={t('{{minutes}} (estimated)', { minutes: task.minutes })}
                    onChange={(value) => set({ minutes: value === '' ? null : Number(value) })}
                />
            </Group>
            <div>
                <Text size="sm" fw={500} id="most-days">
                    {t('On how many days')}
                </Text>
                <SegmentedControl
                    aria-labelledby="most-days"
                    value={String(draft.mostDays)}
                    onChange={(days) => set({ mostDays: Number(days) })}
                    data={[
                        { value: '1', label: t('one') },
                        { value: '2', label: t('two') },
                        { value: '3', label: t('as many as help') },
                    ]}
                />
            </div>
        </>
    );
}
