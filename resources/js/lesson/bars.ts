import type { Task } from '../shared/api';

export function firstBar(task: Task | null): number {
    return Math.min(...(task?.bars ?? []).map((of) => of.first), Number.MAX_SAFE_INTEGER);
}

export function lastBar(task: Task | null): number {
    return Math.max(...(task?.bars ?? []).map((of) => of.last), 0);
}
