import { Checkbox, Group, NumberInput, SegmentedControl, Select, Text } from '@mantine/core';
import { api, choices } from '../api';
import { isHere } from '../shared/students';
import { t } from '../text';
import type { Wanted } from './useSheet';

interface Props {
    wanted: Wanted;
    change: (wanted: Wanted) => void;
}

const HARD = [
    { value: '1', label: t('Easy') },
    { value: '2', label: t('Middle') },
    { value: '3', label: t('All of it') },
];

/** Of what a sheet is made, how many questions, how hard, on which staves. */
export function SheetForm({ wanted, change }: Props) {
    const students = api.useQuery('get', '/students');
    const books = api.useQuery('get', '/books');
    const set = (part: Partial<Wanted>) => change({ ...wanted, ...part });
    const pieces = (books.data ?? []).flatMap((book) =>
        book.pages.flatMap((page) => page.pieces.map((piece) => ({ value: String(piece.id), label: piece.title }))),
    );
    return (
        <>
            <Select
                label={t('Kind')}
                allowDeselect={false}
                value={wanted.kind}
                onChange={(kind) => kind !== null && set({ kind: kind as Wanted['kind'] })}
                data={choices.SheetKind}
            />
            <Select
                label={t('For a student')}
                placeholder={t('Nobody in particular')}
                clearable
                value={wanted.studentId === null ? null : String(wanted.studentId)}
                onChange={(id) => set({ studentId: id === null ? null : Number(id) })}
                data={(students.data ?? []).filter(isHere).map((one) => ({ value: String(one.id), label: one.name }))}
            />
            <Select
                label={t('From a page')}
                placeholder={t('All notes that are known')}
                clearable
                value={wanted.pieceId === null ? null : String(wanted.pieceId)}
                onChange={(id) => set({ pieceId: id === null ? null : Number(id) })}
                data={pieces}
            />
            <NumberInput
                label={t('Questions')}
                min={1}
                max={24}
                value={wanted.count}
                onChange={(count) => Number(count) > 0 && set({ count: Math.min(24, Number(count)) })}
            />
            <div>
                <Text size="sm" fw={500}>
                    {t('How hard')}
                </Text>
                <SegmentedControl
                    fullWidth
                    aria-label={t('How hard')}
                    value={String(wanted.hard)}
                    onChange={(hard) => set({ hard: Number(hard) })}
                    data={HARD}
                />
            </div>
            <Checkbox.Group
                label={t('Staves')}
                value={wanted.clefs}
                onChange={(clefs) => clefs.length > 0 && set({ clefs: clefs as Wanted['clefs'] })}
            >
                <Group mt={6}>
                    <Checkbox value="treble" label={t('Treble staff')} />
                    <Checkbox value="bass" label={t('Bass staff')} />
                </Group>
            </Checkbox.Group>
        </>
    );
}
