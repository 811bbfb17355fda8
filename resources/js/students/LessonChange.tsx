import { Button, Group, NumberInput, SegmentedControl, Select, Stack, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, ask, at, type Choice, choices } from '../api';
import { Trouble } from '../shared/Notes';
import { longDate } from '../shared/words';
import { t } from '../text';
import { Together } from './Together';

type LessonDay = Api['LessonDayResource'];
type State = Exclude<Api['LessonState'], 'held'>;

const STATES = choices.LessonState.filter((state): state is Choice<State> => state.value !== 'held');

interface Props {
    studentId: number;
    lessons: LessonDay[];
    done: () => void;
}

/** A lesson is moved or cancelled, or there is one besides the timetable. */
export function LessonChange({ studentId, lessons, done }: Props) {
    const slots = lessons.filter((lesson) => lesson.state !== 'make-up').map((lesson) => lesson.slotOn ?? lesson.date);
    const [state, setState] = useState<State>('moved');
    const [slotOn, setSlotOn] = useState<string | null>(slots[0] ?? null);
    const [instead, setInstead] = useState<Instead>({ heldOn: '', time: '', minutes: null });
    const [together, setTogether] = useState(false);
    const save = useMutation({
        mutationFn: () =>
            ask('post', '/students/{student}/lesson-changes', {
                ...at({ student: studentId }),
                body: {
                    state,
                    slotOn: state === 'make-up' ? null : slotOn,
                    heldOn: state === 'cancelled' ? null : instead.heldOn || null,
                    at: instead.time || null,
                    minutes: instead.minutes,
                    together,
                },
            }),
        onSuccess: done,
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <SegmentedControl
                aria-label={t('What becomes of the lesson')}
                value={state}
                onChange={(value) => setState(value as State)}
                data={STATES}
            />
            {state !== 'make-up' && (
                <Select
                    label={t('Which lesson')}
                    allowDeselect={false}
                    value={slotOn}
                    onChange={setSlotOn}
                    data={[...new Set(slots)].map((date) => ({ value: date, label: longDate(date) }))}
                />
            )}
            {state !== 'cancelled' && (
                <WhenInstead toward={state === 'moved' ? t('To') : t('On')} instead={instead} set={setInstead} />
            )}
            <Trouble error={save.error} />
            <Together error={save.error} on={together} set={setTogether} />
            <Group>
                <Button type="submit" loading={save.isPending}>
                    {t('Save')}
                </Button>
            </Group>
        </Stack>
    );
}

/** The day, the time and the length of the lesson instead; what is empty is as always. */
interface Instead {
    heldOn: string;
    time: string;
    minutes: number | null;
}

function WhenInstead({ toward, instead, set }: { toward: string; instead: Instead; set: (instead: Instead) => void }) {
    return (
        <Group grow align="flex-start">
            <TextInput
                label={toward}
                type="date"
                required
                value={instead.heldOn}
                onChange={(event) => set({ ...instead, heldOn: event.currentTarget.value })}
            />
            <TextInput
                label={t('At')}
                type="time"
                value={instead.time}
                onChange={(event) => set({ ...instead, time: event.currentTarget.value })}
            />
            <NumberInput
                label={t('Minutes')}
                placeholder={t('as always')}
                min={10}
                max={180}
                value={instead.minutes ?? ''}
                onChange={(value) => set({ ...instead, minutes: value === '' ? null : Number(value) })}
            />
        </Group>
    );
}
