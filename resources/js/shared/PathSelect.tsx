import { Select, type SelectProps } from '@mantine/core';
import { type Api, api } from '../api';

/** A path that ships, or one of the studio over it. */
export interface PathChoice {
    path: 'beat' | 'notes' | 'sound';
    pathId: number | null;
}

interface Props extends Omit<SelectProps, 'value' | 'onChange' | 'data'> {
    value: PathChoice;
    onChange: (choice: PathChoice) => void;
}

export function usePaths() {
    return api.useQuery('get', '/paths');
}

/** Chooses among the paths that ship and those of the studio. */
export function PathSelect({ value, onChange, ...rest }: Props) {
    const paths = usePaths();
    const named = (path: Api['PathResource']) => (path.id === null ? path.kind : `own ${path.id}`);
    return (
        <Select
            {...rest}
            allowDeselect={false}
            value={value.pathId === null ? value.path : `own ${value.pathId}`}
            data={(paths.data ?? []).map((path) => ({ value: named(path), label: path.name }))}
            onChange={(name) => {
                const path = paths.data?.find((one) => named(one) === name);
                if (path === undefined) return;
                onChange(
                    path.kind === 'own'
                        ? { path: value.path, pathId: path.id ?? null }
                        : { path: path.kind, pathId: null },
                );
            }}
        />
    );
}
