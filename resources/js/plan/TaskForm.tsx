import { Button, Checkbox, Group, NumberInput, SegmentedControl, Stack, Text, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { ApiError, type Task } from '../api';
import { Trouble } from '../shared/Notes';
import type { PlannedTask } from './planning';

interface Props {
    task: Task;
    error: unknown;
    save: (change: Partial<PlannedTask>, sure: boolean) => void;
    remove: () => void;
}

/** Repetitions, tempo and minutes of a task; the time follows unless it is set. */
export function TaskForm({ task, error, save, remove }: Props) {
    const [repetitions, setRepetitions] = useState(task.repetitions);
    const [tempo, setTempo] = useState(task.tempo);
    const [minutes, setMinutes] = useState<number | null>(null);
    const [starred, setStarred] = useState(task.starred);
    const [instruction, setInstruction] = useState(task.instruction);
    const [mostDays, setMostDays] = useState(task.mostDays);
    const jumps = error instanceof ApiError && error.errors.tempo !== undefined;
    const give = (sure: boolean) =>
        save(
            {
                starred,
                instruction,
                mostDays,
                ...(repetitions !== task.repetitions ? { repetitions } : {}),
                ...(tempo !== task.tempo ? { tempo } : {}),
                ...(minutes !== null ? { minutes } : {}),
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
                    Here because: {task.why}.
                </Text>
            )}
            <TextInput
                label="What to do"
                maxLength={240}
                value={instruction}
                onChange={(event) => setInstruction(event.currentTarget.value)}
                data-autofocus
            />
            <Group grow>
                <NumberInput
                    label="Times"
                    min={1}
                    max={99}
                    value={repetitions}
                    onChange={(value) => setRepetitions(Number(value))}
                />
                {task.tempo !== null && (
                    <NumberInput
                        label="Tempo"
                        min={20}
                        max={400}
                        value={tempo ?? ''}
                        onChange={(value) => setTempo(value === '' ? null : Number(value))}
                    />
                )}
                <NumberInput
                    label="Minutes"
                    min={0.5}
                    max={120}
                    step={0.5}
                    value={minutes ?? ''}
                    placeholder={`${task.minutes}, reckoned`}
                    onChange={(value) => setMinutes(value === '' ? null : Number(value))}
                />
            </Group>
            <div>
                <Text size="sm" fw={500} id="most-days">
                    On how many days
                </Text>
                <SegmentedControl
                    aria-labelledby="most-days"
                    value={String(mostDays)}
                    onChange={(days) => setMostDays(Number(days))}
                    data={[
                        { value: '1', label: 'one' },
                        { value: '2', label: 'two' },
                        { value: '3', label: 'as many as help' },
                    ]}
                />
            </div>
            <Checkbox
                label="Star it: twice as important"
                checked={starred}
                onChange={(event) => setStarred(event.currentTarget.checked)}
            />
            <Trouble error={error} />
            <Group justify="space-between">
                <Group gap="xs">
                    <Button type="submit">Save</Button>
                    {jumps && (
                        <Button variant="default" onClick={() => give(true)}>
                            Jump all the same
                        </Button>
                    )}
                </Group>
                <Button variant="subtle" c="var(--thorn)" onClick={remove}>
                    Remove from the week
                </Button>
            </Group>
        </Stack>
    );
}
