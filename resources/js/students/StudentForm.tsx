import { Button, Group, NumberInput, Select, SimpleGrid, Stack, Text, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import type { Student } from '../shared/api';
import { Trouble } from '../shared/Notes';
import { dayName } from '../shared/words';

export type StudentDraft = Omit<Student, 'id' | 'name'>;

export const NEW_STUDENT: StudentDraft = {
    firstName: '',
    initial: '',
    age: 8,
    lessonWeekday: 1,
    lessonTime: '16:00',
    lessonMinutes: 30,
    path: 'beat',
    school: 'landmark',
    landmarkLevel: 1,
    counting: 'numbers',
    countStyle: 'bar',
    handSpan: 6,
    practiceDays: [2, 3, 4, 5, 6].map((weekday) => ({ weekday, minutes: 15 })),
};

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
            <Group grow align="flex-start">
                <Select
                    label="Path"
                    allowDeselect={false}
                    value={draft.path}
                    onChange={(path) => set({ path: (path ?? 'beat') as StudentDraft['path'] })}
                    data={[
                        { value: 'beat', label: 'Beat first' },
                        { value: 'notes', label: 'Notes first' },
                        { value: 'sound', label: 'Sound first' },
                    ]}
                />
                <Select
                    label="Reading"
                    allowDeselect={false}
                    value={draft.school}
                    onChange={(school) => set({ school: (school ?? 'landmark') as StudentDraft['school'] })}
                    data={[
                        { value: 'landmark', label: 'From landmarks' },
                        { value: 'alphabet', label: 'By the alphabet' },
                        { value: 'phrase', label: 'By a sentence' },
                    ]}
                />
                <Select
                    label="Landmarks known"
                    allowDeselect={false}
                    value={String(draft.landmarkLevel)}
                    onChange={(level) => set({ landmarkLevel: Number(level) })}
                    data={[
                        { value: '1', label: 'C4 G4 F3' },
                        { value: '2', label: 'and C5 C3' },
                        { value: '3', label: 'and F5 G2 C6 C2' },
                    ]}
                />
            </Group>
            <Group grow align="flex-start">
                <Select
                    label="Counting"
                    allowDeselect={false}
                    value={draft.counting}
                    onChange={(counting) => set({ counting: (counting ?? 'numbers') as StudentDraft['counting'] })}
                    data={[
                        { value: 'numbers', label: '1 & 2 &' },
                        { value: 'units', label: 'Each note by its length' },
                    ]}
                />
                <Select
                    label="Say “&”"
                    allowDeselect={false}
                    disabled={draft.counting !== 'numbers'}
                    value={draft.countStyle}
                    onChange={(style) => set({ countStyle: (style ?? 'bar') as StudentDraft['countStyle'] })}
                    data={[
                        { value: 'bar', label: 'through a bar with eighths' },
                        { value: 'beats', label: 'only in beats that divide' },
                    ]}
                />
                <NumberInput
                    label="Hand span, white keys"
                    min={4}
                    max={12}
                    value={draft.handSpan}
                    onChange={(span) => set({ handSpan: Number(span) })}
                />
            </Group>
            <Trouble error={error} />
            <Group>
                <Button type="submit" loading={saving}>
                    {verb}
                </Button>
            </Group>
        </Stack>
    );
}
