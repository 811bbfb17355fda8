import { Anchor, Checkbox, Group, NumberInput, SegmentedControl, Select, Text } from '@mantine/core';
import { Link } from 'react-router';
import { api, choices } from '../api';
import { NotesChoice } from '../shared/NotesChoice';
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

/** Of most kinds a dozen fill a page; what is long, or asked of one page, less. */
export const COUNTS: Partial<Record<Wanted['kind'], number>> = {
    sight: 4,
    recall: 5,
    'bar-lines': 6,
    'page-names': 24,
    'page-counts': 24,
};

/** Of what a sheet is made, how many questions, how hard, on which staves. */
export function SheetForm({ wanted, change }: Props) {
    const set = (part: Partial<Wanted>) => change({ ...wanted, ...part });
    return (
        <>
            <Select
                label={t('Kind')}
                allowDeselect={false}
                value={wanted.kind}
                onChange={(kind) =>
                    kind !== null && set({ kind: kind as Wanted['kind'], count: COUNTS[kind as Wanted['kind']] ?? 12 })
                }
                data={choices.SheetKind}
            />
            <MadeOf wanted={wanted} set={set} />
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

/** For whom, of which page, or of which notes. */
function MadeOf({ wanted, set }: { wanted: Wanted; set: (part: Partial<Wanted>) => void }) {
    const students = api.useQuery('get', '/students');
    const books = api.useQuery('get', '/books');
    const pieces = (books.data ?? []).flatMap((book) =>
        book.pages.flatMap((page) => page.pieces.map((piece) => ({ value: String(piece.id), label: piece.title }))),
    );
    return (
        <>
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
            <NotesChoice
                notes={wanted.notes ?? []}
                choose={(notes) => set({ notes: notes.length === 0 ? null : notes })}
                none={t('All that are known')}
            />
            {wanted.pieceId !== null && (
                <Anchor component={Link} to={`/pieces/${wanted.pieceId}/sheet?lens=notes&kind=blank`} size="sm">
                    {t('Or the page itself, to write or ring on')}
                </Anchor>
            )}
        </>
    );
}
