import type { Student } from '../api';

/** Not one of those who left. */
export const isHere = (student: Student) => student.leftOn === null;
