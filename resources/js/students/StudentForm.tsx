import { Button, Group, NumberInput, SimpleGrid, Stack, Text, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { Trouble } from '../shared/Notes';
import { dayName } from '../shared/words';
import { t } from '../text';
import type { StudentDraft } from './draft';
import { LessonTimes, WEEKDAYS } from './LessonTimes';
import styles from './StudentForm.module.css';
import { Together } from './Together';
import { Ways } from './Ways';

interface Props {
    start: StudentDraft;
    save: (draft: StudentDraft) => void;
    saving: boolean;
    error: unknown;
    verb: string;
    /** Percent of the estimated times, as it was measured at home. */
    measuredPace?: number | null;
}

/** A student as the teacher describes them. */
export function StudentForm({ start, save, saving, error, verb, measuredPace = null }: Props) {
    const [draft, setDraft] = useState(start);
    const set = (change: Partial<StudentDraft>) => setDraft((before) => ({ ...before, ...change }));
    const submit = (event: FormEvent) => {
        event.preventDefault();
        // Pressed twice, it is sent once.
        if (!saving) save(draft);
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <Group grow align="flex-start">
                <TextInput
                    label={t('First name')}
                    required
                    value={draft.firstName}
                    onChange={(event) => set({ firstName: event.currentTarget.value })}
                    data-autofocus
                />
                <TextInput
                    label={t('Initial')}
                    required
                    maxLength={2}
                    value={draft.initial}
                    onChange={(event) => set({ initial: event.currentTarget.value })}
                />
                <NumberInput
                    label={t('Age')}
                    required
                    min={3}
                    max={110}
                    value={draft.age}
                    onChange={(age) => set({ age: Number(age) })}
                />
            </Group>
            <LessonTimes draft={draft} set={set} />
            <PracticeMinutes draft={draft} set={set} />
            <Pace draft={draft} set={set} measured={measuredPace} />
            <Ways draft={draft} set={set} />
            <Trouble error={error} />
            <Together error={error} on={draft.together ?? false} set={(together) => set({ together })} />
            <Group>
                <Button type="submit" loading={saving}>
                    {verb}
                </Button>
            </Group>
        </Stack>
    );
}

/** The minutes at home, by day. */
function PracticeMinutes({ draft, set }: { draft: StudentDraft; set: (change: Partial<StudentDraft>) => void }) {
    const minutesOn = (weekday: number) => draft.practiceDays.find((day) => day.weekday === weekday)?.minutes ?? 0;
    const setMinutes = (weekday: number, minutes: number) =>
        set({ practiceDays: [...draft.practiceDays.filter((day) => day.weekday !== weekday), { weekday, minutes }] });
    return (
        <fieldset className={styles.minutes}>
            <Text component="legend" size="sm" fw={700}>
                {t('Minutes at home')}
            </Text>
            <SimpleGrid cols={7} spacing={6}>
                {WEEKDAYS.map((day) => (
                    <NumberInput
                        key={day}
                        label={dayName(day).slice(0, 3)}
                        aria-label={t('Minutes on {{dayName}}', { dayName: dayName(day) })}
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
    );
}

interface PaceProps {
    draft: StudentDraft;
    set: (change: Partial<StudentDraft>) => void;
    measured: number | null;
}

/** How long the student takes beside what is estimated: measured, or as the teacher says. */
function Pace({ draft, set, measured }: PaceProps) {
    return (
        <NumberInput
            label={t('Time needed, percent of the estimate')}
            description={
                measured === null
                    ? t('Leave it empty: after eight tasks at home it is measured.')
                    : t('Leave it empty to go by what was measured at home: {{measured}} %.', { measured })
            }
            placeholder={`${measured ?? 100}`}
            min={50}
            max={300}
            step={10}
            allowDecimal={false}
            suffix=" %"
            value={draft.pace ?? ''}
            onChange={(pace) => set({ pace: pace === '' ? null : Number(pace) })}
        />
    );
}
