import { useQuery } from '@tanstack/react-query';
import { breakdownOf } from '../shared/breakdown';

export function useBreakdown(id: number, student: number | null) {
    return useQuery({
        ...breakdownOf(id, student),
        // Another student's reading of the same page takes its place; the lens stays.
        placeholderData: (before) => (before?.piece.id === id ? before : undefined),
    });
}
