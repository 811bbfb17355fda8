import { Button, Group, NumberInput, Select, SimpleGrid, Stack, Text, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { Trouble } from '../shared/Notes';
import { dayName } from '../shared/words';
import type { StudentDraft } from './draft';
import { Ways } from './Ways';

const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7];

interface Props {
    start: StudentDraft;
    save: (draft: StudentDraft) => void;
    saving: boolean;
    error: unknown;
    verb: string;
}

/** A student as the teacher describes them. */
export function StudentForm({ start, save, saving, error, verb }: Props) {
    const [draft, setDraft] = useState(start);
    const set = (change: Partial<StudentDraft>) => setDraft((before) => ({ ...before, ...change }));
    const minutesOn = (weekday: number) => draft.practiceDays.find((day) => day.weekday === weekday)?.minutes ?? 0;
    const setMinutes = (weekday: number, minutes: number) =>
        set({ practiceDays: [...draft.practiceDays.filter((day) => day.weekday !== weekday), { weekday, minutes }] });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save(draft);
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <Group grow align="flex-start">
                <TextInput
                    label="First name"
                    required
                    value={draft.firstName}
                    onChange={(event) => set({ firstName: event.currentTarget.value })}
                    data-autofocus
                />
                <TextInput
                    label="Initial"
                    required
                    maxLength={2}
                    value={draft.initial}
                    onChange={(event) => set({ initial: event.currentTarget.value })}
                />
                <NumberInput
                    label="Age"
                    required
                    min={3}
                    max={110}
                    value={draft.age}
                    onChange={(age) => set({ age: Number(age) })}
                />
            </Group>
            <Group grow align="flex-start">
                <Select
                    label="Lesson day"
                    allowDeselect={false}
                    value={String(draft.lessonWeekday)}
                    onChange={(day) => set({ lessonWeekday: Number(day) })}
                    data={WEEKDAYS.map((day) => ({ value: String(day), label: dayName(day) }))}
                />
                <TextInput
                    label="Time"
                    type="time"
                    required
                    value={draft.lessonTime}
                    onChange={(event) => set({ lessonTime: event.currentTarget.value })}
                />
                <NumberInput
                    label="Minutes"
                    min={10}
                    max={180}
                    step={15}
                    value={draft.lessonMinutes}
                    onChange={(minutes) => set({ lessonMinutes: Number(minutes) })}
                />
            </Group>
            <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
                <Text component="legend" size="sm" fw={700}>
                    Minutes at home
                </Text>
                <SimpleGrid cols={7} spacing={6}>
                    {WEEKDAYS.map((day) => (
                        <NumberInput
                            key={day}
                            label={dayName(day).slice(0, 3)}
                            aria-label={`Minutes on ${dayName(day)}`}
                            min={0}
                            max={240}
                            step={5}
                            hideControls
                            value={minutesOn(day)}
                            onChange={(minutes) => setMinutes(day, Number(minutes))}
                        />
                    ))}
                </SimpleGrid>
            </fieldset>
            <Ways draft={draft} set={set} />
            <Trouble error={error} />
            <Group>
                <Button type="submit" loading={saving}>
                    {verb}
                </Button>
            </Group>
        </Stack>
    );
}
