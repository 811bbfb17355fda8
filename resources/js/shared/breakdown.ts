import { api } from '../api';

/** For nobody, a page is asked for without a student. */
export const forStudent = (student: number | string | null) => (student === null ? {} : { student: Number(student) });

/** The report of a piece, as a student has it where one is named: asked for once, whoever needs it. */
export const breakdownOf = (piece: number, student: number | null) =>
    api.queryOptions('get', '/pieces/{piece}/breakdown', {
        params: { path: { piece }, query: forStudent(student) },
    });

/** The student that an address names. */
export function studentIn(search: URLSearchParams): number | null {
    const student = Number(search.get('student') ?? '');
    return Number.isInteger(student) && student > 0 ? student : null;
}
