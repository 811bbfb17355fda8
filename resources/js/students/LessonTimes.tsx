import { Group, NumberInput, Select, TextInput } from '@mantine/core';
import { useSession } from '../shared/Shell';
import { TimeZoneSelect } from '../shared/TimeZoneSelect';
import { dayName } from '../shared/words';
import { t } from '../text';
import type { StudentDraft } from './draft';

export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7];

const DAYS = WEEKDAYS.map((day) => ({ value: String(day), label: dayName(day) }));

interface Props {
    draft: StudentDraft;
    set: (change: Partial<StudentDraft>) => void;
}

/** The lesson each week, perhaps a second one, where the student is when that is elsewhere, and where the family is reached. */
export function LessonTimes({ draft, set }: Props) {
    const studio = useSession().data?.studio.timezone;
    return (
        <>
            <Group grow align="flex-start">
                <Select
                    label={t('Lesson day')}
                    allowDeselect={false}
                    value={String(draft.lessonWeekday)}
                    onChange={(day) => set({ lessonWeekday: Number(day) })}
                    data={DAYS}
                />
                <TextInput
                    label={t('Time')}
                    type="time"
                    required
                    value={draft.lessonTime}
                    onChange={(event) => set({ lessonTime: event.currentTarget.value })}
                />
                <NumberInput
                    label={t('Minutes')}
                    min={10}
                    max={180}
                    step={15}
                    value={draft.lessonMinutes}
                    onChange={(minutes) => set({ lessonMinutes: Number(minutes) })}
                />
            </Group>
            <SecondLesson draft={draft} set={set} studio={studio} />
            <TextInput
                label={t('Family email')}
                description={t('Weeks that are sent, and reports, go there too.')}
                type="email"
                maxLength={190}
                value={draft.familyMail ?? ''}
                onChange={(event) => set({ familyMail: event.currentTarget.value || null })}
            />
        </>
    );
}

/** A second lesson in the week, and where the student is. */
function SecondLesson({ draft, set, studio }: { draft: StudentDraft; set: Props['set']; studio: string | undefined }) {
    const second = (day: string | null) =>
        set(
            day === null
                ? { secondWeekday: null, secondTime: null, secondMinutes: null }
                : {
                      secondWeekday: Number(day),
                      secondTime: draft.secondTime ?? draft.lessonTime,
                      secondMinutes: draft.secondMinutes ?? draft.lessonMinutes,
                  },
        );
    return (
        <Group grow align="flex-start">
            <Select
                label={t('Second lesson')}
                placeholder={t('none')}
                clearable
                value={draft.secondWeekday === null ? null : String(draft.secondWeekday)}
                onChange={second}
                data={DAYS.filter((day) => day.value !== String(draft.lessonWeekday))}
            />
            {draft.secondWeekday !== null && (
                <>
                    <TextInput
                        label={t('Its time')}
                        type="time"
                        required
                        value={draft.secondTime ?? ''}
                        onChange={(event) => set({ secondTime: event.currentTarget.value })}
                    />
                    <NumberInput
                        label={t('Its minutes')}
                        min={10}
                        max={180}
                        step={15}
                        value={draft.secondMinutes ?? ''}
                        onChange={(minutes) => set({ secondMinutes: Number(minutes) })}
                    />
                </>
            )}
            <TimeZoneSelect
                placeholder={
                    studio === undefined ? t('that of the studio') : t('{{studio}}, as the studio', { studio })
                }
                clearable
                value={draft.timezone}
                onChange={(timezone) => set({ timezone })}
            />
        </Group>
    );
}
