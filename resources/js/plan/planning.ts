import type { Task, Week } from '../shared/api';

/** A task as it is sent back: what the teacher may change, with its days. */
export interface PlannedTask {
    id: number | null;
    kind: string;
    title: string;
    instruction: string;
    learningId: number | null;
    hand: string | null;
    first: number | null;
    last: number | null;
    repetitions: number;
    tempo: number | null;
    minutes: number | null;
    starred: boolean;
    dates: string[];
}

export type Change = (tasks: PlannedTask[]) => PlannedTask[];

export function planned(task: Task): PlannedTask {
    return {
        id: task.id,
        kind: task.kind,
        title: task.title,
        instruction: task.instruction,
        learningId: task.learningId,
        hand: task.hand,
        first: task.bars[0]?.first ?? null,
        last: task.bars.at(-1)?.last ?? null,
        repetitions: task.repetitions,
        tempo: task.tempo,
        minutes: task.minutes,
        starred: task.starred,
        dates: task.dates,
    };
}

export function plannedWeek(week: Week): PlannedTask[] {
    return week.tasks.map(planned);
}

const onTask =
    (id: number, change: (task: PlannedTask) => PlannedTask): Change =>
    (tasks) =>
        tasks.map((task) => (task.id === id ? change(task) : task));

/** From one day to another; from null it is added, to null it is taken off that day. */
export function move(id: number, from: string | null, to: string | null): Change {
    return onTask(id, (task) => {
        const rest = task.dates.filter((date) => date !== from);
        return { ...task, dates: to === null || rest.includes(to) ? rest : [...rest, to].sort() };
    });
}

export function remove(id: number): Change {
    return (tasks) => tasks.filter((task) => task.id !== id);
}

/** New repetitions or tempo let the time be reckoned anew; given minutes stand. */
export function change(id: number, to: Partial<PlannedTask>): Change {
    const reckoned = ('repetitions' in to || 'tempo' in to) && !('minutes' in to) ? { minutes: null } : {};
    return onTask(id, (task) => ({ ...task, ...to, ...reckoned }));
}

export function add(task: PlannedTask): Change {
    return (tasks) => [...tasks, task];
}
