import { Checkbox, Group, NumberInput, Select, Text, TextInput } from '@mantine/core';
import { choices } from '../api';
import { PathSelect } from '../shared/PathSelect';
import { t } from '../text';
import type { StudentDraft } from './draft';

interface Props {
    draft: StudentDraft;
    set: (change: Partial<StudentDraft>) => void;
}

/** How a student reads, counts and learns. */
export function Ways(props: Props) {
    return (
        <>
            <ReadingWays {...props} />
            <CountingWays {...props} />
        </>
    );
}

function ReadingWays({ draft, set }: Props) {
    return (
        <>
            <Text size="sm" fw={700}>
                {t('Reading and learning')}
            </Text>
            <Group grow align="flex-start">
                <PathSelect
                    label={t('Path')}
                    value={{ path: draft.path, pathId: draft.pathId ?? null }}
                    onChange={(choice) => set(choice)}
                />
                <Select
                    label={t('Reading')}
                    allowDeselect={false}
                    value={draft.school}
                    onChange={(school) => school !== null && set({ school })}
                    data={choices.School}
                />
                <Select
                    label={t('Landmarks known')}
                    allowDeselect={false}
                    value={draft.landmarkLevel}
                    onChange={(landmarkLevel) => landmarkLevel !== null && set({ landmarkLevel })}
                    data={choices.LandmarkLevel}
                />
            </Group>
            <Group grow align="center">
                <Checkbox
                    label={t('The bass staff’s middle line (D3) is a landmark too')}
                    checked={draft.landmarkMiddle}
                    onChange={(event) => set({ landmarkMiddle: event.currentTarget.checked })}
                />
                <NumberInput
                    label={t('Hand span, white keys')}
                    min={4}
                    max={12}
                    value={draft.handSpan}
                    onChange={(span) => set({ handSpan: Number(span) })}
                />
            </Group>
            <Checkbox
                label={t('Three clean takes in a row, heard at home, pass a stage')}
                checked={draft.heardPasses ?? false}
                onChange={(event) => set({ heardPasses: event.currentTarget.checked })}
            />
        </>
    );
}

function CountingWays({ draft, set }: Props) {
    return (
        <>
            <Text size="sm" fw={700}>
                {t('Counting')}
            </Text>
            <Group grow align="flex-start">
                <Select
                    label={t('What is said')}
                    allowDeselect={false}
                    value={draft.counting}
                    onChange={(counting) => counting !== null && set({ counting })}
                    data={choices.CountingSystem}
                />
                <Select
                    label={t('Say “&”')}
                    allowDeselect={false}
                    disabled={!choices.CountingSystem.some((one) => one.value === draft.counting && one.isByBeat)}
                    value={draft.countStyle}
                    onChange={(countStyle) => countStyle !== null && set({ countStyle })}
                    data={choices.CountStyle}
                />
                <Select
                    label={t('Of a long note')}
                    allowDeselect={false}
                    value={draft.longNotes}
                    onChange={(longNotes) => longNotes !== null && set({ longNotes })}
                    data={choices.LongNotes}
                />
            </Group>
            <Group grow align="flex-start">
                <Select
                    label={t('6/8 and similar')}
                    allowDeselect={false}
                    value={draft.compoundBeats}
                    onChange={(compoundBeats) => compoundBeats !== null && set({ compoundBeats })}
                    data={choices.CompoundBeats}
                />
                <TextInput
                    label={t('The count-in ends with')}
                    placeholder={t('the last numbers')}
                    maxLength={40}
                    value={draft.countReady}
                    onChange={(event) => set({ countReady: event.currentTarget.value })}
                />
            </Group>
        </>
    );
}
