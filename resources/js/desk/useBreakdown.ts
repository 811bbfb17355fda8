import { useQuery } from '@tanstack/react-query';
import { breakdownOf } from '../shared/breakdown';

export function useBreakdown(id: number, student: number | null) {
    return useQuery({
        ...breakdownOf(id, student),
        // Another student's reading of the same page takes its place; the lens stays.
        placeholderData: (before) => (before?.piece.id === id ? before : undefined),
    });
}

/** The student that an address names. */
export function studentIn(search: URLSearchParams): number | null {
    const student = Number(search.get('student') ?? '');
    return Number.isInteger(student) && student > 0 ? student : null;
}
