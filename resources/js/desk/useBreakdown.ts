import { useQuery } from '@tanstack/react-query';
import { type Api, ask } from '../shared/api';

/** The report of a piece, as a student has it where one is named. */
export function useBreakdown(id: number, student: string | null) {
    return useQuery({
        queryKey: ['breakdown', id, student],
        queryFn: () =>
            ask<Api['BreakdownResource']>(
                'GET',
                `/pieces/${id}/breakdown${student === null ? '' : `?student=${student}`}`,
            ),
        // Another student's reading of the same page takes its place; the lens stays.
        placeholderData: (before) => (before?.piece.id === id ? before : undefined),
    });
}
