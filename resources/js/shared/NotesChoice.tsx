import { MultiSelect } from '@mantine/core';
import { t } from '../text';

/** White keys of both staves with two ledger lines, from low to high. */
const NOTES = [
    { group: t('Treble staff'), items: notesOf('treble', 'A3', 'C6') },
    { group: t('Bass staff'), items: notesOf('bass', 'C2', 'E4') },
];

function notesOf(clef: 'treble' | 'bass', from: string, to: string) {
    const all = [1, 2, 3, 4, 5, 6].flatMap((octave) =>
        ['C', 'D', 'E', 'F', 'G', 'A', 'B'].map((letter) => letter + octave),
    );
    return all.slice(all.indexOf(from), all.indexOf(to) + 1).map((note) => ({
        value: `${clef}:${note}`,
        label: clef === 'treble' ? t('{{note}} treble', { note }) : t('{{note}} bass', { note }),
    }));
}

interface Props {
    /** As `treble:C4`. */
    notes: string[];
    choose: (notes: string[]) => void;
    /** What is taken where none is chosen. */
    none: string;
}

/** Notes of both staves, several of them. */
export function NotesChoice({ notes, choose, none }: Props) {
    return (
        <MultiSelect
            label={t('Notes')}
            placeholder={notes.length === 0 ? none : ''}
            searchable
            clearable
            value={notes}
            onChange={choose}
            data={NOTES}
        />
    );
}
