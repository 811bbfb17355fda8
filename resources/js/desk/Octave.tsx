import { Select } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type Api, ask, at, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import styles from './Octave.module.css';

const OCTAVES = [
    { value: '2', label: t('two octaves higher') },
    { value: '1', label: t('an octave higher') },
    { value: '0', label: t('where it is written') },
    { value: '-1', label: t('an octave lower') },
    { value: '-2', label: t('two octaves lower') },
];

/** In a duet the student may play away from where it is written; positions and keys follow. */
export function Octave({ piece }: { piece: Api['PieceResource'] }) {
    const client = useQueryClient();
    const save = useMutation({
        mutationFn: (octave: number) =>
            ask('put', '/pieces/{piece}/octave', { ...at({ piece: piece.id }), body: { octave } }),
        onSuccess: () =>
            client.invalidateQueries({ queryKey: keyOf('/pieces/{piece}/breakdown', at({ piece: piece.id })) }),
    });
    return (
        <div className={styles.octave}>
            <Select
                size="xs"
                label={t('The student plays it')}
                allowDeselect={false}
                value={String(piece.octave)}
                onChange={(octave) => save.mutate(Number(octave))}
                data={OCTAVES}
            />
            <Trouble error={save.error} />
        </div>
    );
}
