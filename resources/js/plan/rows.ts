import type { Task, Week } from '../api';

/** Tasks that belong together: of one piece, or of none. */
export interface RowGroup {
    key: string;
    /** The piece; null for what is on none. */
    piece: string | null;
    tasks: Task[];
}

/** The rows of a plan: the warm-up first, then piece by piece as they were set, then what is on no piece. Tasks without a day stand below. */
export function groupsOf(week: Week): RowGroup[] {
    const groups: RowGroup[] = [];
    const into = (key: string, piece: string | null, task: Task) => {
        const group = groups.find((one) => one.key === key);
        if (group === undefined) groups.push({ key, piece, tasks: [task] });
        else group.tasks.push(task);
    };
    const set = week.tasks.filter((task) => task.dates.length + task.filled.length > 0);
    for (const task of set.filter((one) => one.kind === 'warm-up')) into('warm-up', null, task);
    for (const task of set.filter((one) => one.learningId !== null)) into(`piece ${task.learningId}`, task.piece, task);
    for (const task of set.filter((one) => one.learningId === null && one.kind !== 'warm-up'))
        into('other', null, task);
    return groups;
}

/** Every task with a day, row by row. */
export const rowsOf = (week: Week): Task[] => groupsOf(week).flatMap((group) => group.tasks);

/** The tasks that have no day: those that did not fit, then those that lie further on. */
export const leftOf = (week: Week): Task[] =>
    week.tasks
        .filter((task) => task.dates.length + task.filled.length === 0 && task.kind !== 'choice')
        .sort((a, b) => Number(a.later) - Number(b.later));
