import { Button, Checkbox, Group, NumberInput, Select, Stack, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { api, at, choices } from '../api';
import { Trouble } from '../shared/Notes';
import { longDate } from '../shared/words';
import { t } from '../text';
import type { PlannedTask } from './planning';

/** A remedy comes from a slip alone. */
const KINDS = choices.TaskKind.filter((kind) => kind.value !== 'remedy');

const NEW_TASK: PlannedTask = {
    id: null,
    kind: 'theory',
    title: '',
    instruction: '',
    learningId: null,
    hand: null,
    first: null,
    last: null,
    repetitions: 1,
    tempo: null,
    minutes: 3,
    starred: false,
    mostDays: 3,
    dates: [],
    locked: [],
    off: [],
};

interface Props {
    studentId: number;
    days: string[];
    error: unknown;
    add: (task: PlannedTask) => void;
}

/** A task of the teacher's own, on a piece or not, put on days at once. */
export function AddTask({ studentId, days, error, add }: Props) {
    const [draft, setDraft] = useState(NEW_TASK);
    const set = (change: Partial<PlannedTask>) => setDraft({ ...draft, ...change });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        // Days that are chosen are meant; without any the plan finds them.
        add(draft.locked.length === 0 ? draft : { ...draft, mostDays: draft.locked.length });
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <Group grow>
                <Select
                    label={t('Kind')}
                    allowDeselect={false}
                    value={draft.kind}
                    onChange={(kind) => kind !== null && set({ kind })}
                    data={KINDS}
                />
                <OnPiece studentId={studentId} draft={draft} set={set} />
            </Group>
            <TextInput
                label={t('Title')}
                required
                maxLength={120}
                value={draft.title}
                onChange={(event) => set({ title: event.currentTarget.value })}
                data-autofocus
            />
            <TextInput
                label={t('What to do')}
                maxLength={240}
                value={draft.instruction ?? ''}
                onChange={(event) => set({ instruction: event.currentTarget.value })}
            />
            <HowMuch draft={draft} set={set} />
            <Checkbox.Group
                label={t('Days')}
                description={t('None: the plan finds them.')}
                value={draft.locked}
                onChange={(locked) => set({ locked: locked.sort() })}
            >
                <Group gap="sm" mt={4}>
                    {days.map((date) => (
                        <Checkbox key={date} value={date} label={longDate(date)} />
                    ))}
                </Group>
            </Checkbox.Group>
            <Trouble error={error} />
            <Group>
                <Button type="submit">{t('Add')}</Button>
            </Group>
        </Stack>
    );
}

interface HowMuchProps {
    draft: PlannedTask;
    set: (change: Partial<PlannedTask>) => void;
}

/** On a piece: which bars, how fast, how often. Else how long. */
function HowMuch({ draft, set }: HowMuchProps) {
    const onPiece = draft.learningId !== null;
    return (
        <Group grow>
            {onPiece && (
                <>
                    <NumberInput
                        label={t('From bar')}
                        min={1}
                        value={(draft.first ?? 0) + 1}
                        onChange={(bar) => set({ first: Math.max(0, Number(bar) - 1) })}
                    />
                    <NumberInput
                        label={t('To bar')}
                        min={1}
                        value={(draft.last ?? 0) + 1}
                        onChange={(bar) => set({ last: Math.max(0, Number(bar) - 1) })}
                    />
                    <NumberInput
                        label={t('Tempo')}
                        min={20}
                        max={400}
                        value={draft.tempo ?? 60}
                        onChange={(tempo) => set({ tempo: Number(tempo) })}
                    />
                </>
            )}
            <NumberInput
                label={t('Times')}
                min={1}
                max={99}
                value={draft.repetitions}
                onChange={(times) => set({ repetitions: Number(times) })}
            />
            {!onPiece && (
                <NumberInput
                    label={t('Minutes')}
                    min={0.5}
                    max={120}
                    step={0.5}
                    value={draft.minutes ?? 3}
                    onChange={(minutes) => set({ minutes: Number(minutes) })}
                />
            )}
        </Group>
    );
}

function OnPiece({ studentId, draft, set }: HowMuchProps & { studentId: number }) {
    const student = api.useQuery('get', '/students/{student}', at({ student: studentId }));
    const opened = student.data?.opened ?? [];
    return (
        <Select
            label={t('On a piece')}
            clearable
            value={draft.learningId === null ? null : String(draft.learningId)}
            onChange={(id) =>
                set(
                    id === null
                        ? { learningId: null, first: null, last: null, tempo: null }
                        : { learningId: Number(id), first: 0, last: 0, tempo: 60, minutes: null },
                )
            }
            data={opened.map((one) => ({ value: String(one.id), label: one.title }))}
        />
    );
}
