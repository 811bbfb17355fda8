import { Checkbox, Group, NumberInput, Select, Text, TextInput } from '@mantine/core';
import { PathSelect } from '../shared/PathSelect';
import type { StudentDraft } from './draft';

interface Props {
    draft: StudentDraft;
    set: (change: Partial<StudentDraft>) => void;
}

/** Systems in which moments of the bar are said, so that "&" and held counts have a place. */
const BY_BEAT: readonly string[] = ['numbers', 'du-de'];

/** How a student reads, counts and learns. */
export function Ways({ draft, set }: Props) {
    return (
        <>
            <Text size="sm" fw={700}>
                Reading and learning
            </Text>
            <Group grow align="flex-start">
                <PathSelect
                    label="Path"
                    value={{ path: draft.path, pathId: draft.pathId ?? null }}
                    onChange={(choice) => set(choice)}
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
            <Group grow align="center">
                <Checkbox
                    label="The bass staff’s middle line (D3) is a landmark too"
                    checked={draft.landmarkMiddle}
                    onChange={(event) => set({ landmarkMiddle: event.currentTarget.checked })}
                />
                <NumberInput
                    label="Hand span, white keys"
                    min={4}
                    max={12}
                    value={draft.handSpan}
                    onChange={(span) => set({ handSpan: Number(span) })}
                />
            </Group>
            <Text size="sm" fw={700}>
                Counting
            </Text>
            <Group grow align="flex-start">
                <Select
                    label="What is said"
                    allowDeselect={false}
                    value={draft.counting}
                    onChange={(counting) => set({ counting: (counting ?? 'numbers') as StudentDraft['counting'] })}
                    data={[
                        { value: 'numbers', label: '1 & 2 &' },
                        { value: 'units', label: 'Each note by its length' },
                        { value: 'time-names', label: 'ta, ti-ti' },
                        { value: 'du-de', label: 'du, du-de' },
                        { value: 'note-names', label: 'Names of the notes' },
                        { value: 'own-words', label: 'Words of the studio' },
                        { value: 'lyrics', label: 'The words of the song' },
                    ]}
                />
                <Select
                    label="Say “&”"
                    allowDeselect={false}
                    disabled={!BY_BEAT.includes(draft.counting)}
                    value={draft.countStyle}
                    onChange={(style) => set({ countStyle: (style ?? 'bar') as StudentDraft['countStyle'] })}
                    data={[
                        { value: 'bar', label: 'all through a bar that divides a beat' },
                        { value: 'beats', label: 'only in beats that divide' },
                    ]}
                />
                <Select
                    label="Of a long note"
                    allowDeselect={false}
                    value={draft.longNotes}
                    onChange={(long) => set({ longNotes: (long ?? 'all') as StudentDraft['longNotes'] })}
                    data={[
                        { value: 'all', label: 'say all its counts' },
                        { value: 'after', label: 'only those after it starts' },
                    ]}
                />
            </Group>
            <Group grow align="flex-start">
                <Select
                    label="6/8 and its kin"
                    allowDeselect={false}
                    value={draft.compoundBeats}
                    onChange={(beats) => set({ compoundBeats: (beats ?? 'eighths') as StudentDraft['compoundBeats'] })}
                    data={[
                        { value: 'eighths', label: 'in six: 1 2 3 4 5 6' },
                        { value: 'dotted-quarters', label: 'in two: 1 la li 2 la li' },
                    ]}
                />
                <TextInput
                    label="The count-in ends with"
                    placeholder="the last numbers"
                    maxLength={40}
                    value={draft.countReady}
                    onChange={(event) => set({ countReady: event.currentTarget.value })}
                />
            </Group>
        </>
    );
}
