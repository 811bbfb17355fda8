import type { Api, Task, Week } from '../api';
import { dayName, weekdayOf } from '../shared/words';
import { t } from '../text';

/** A task as it is sent back: what the teacher may change, with its days; `locked` of them it stays on, to `off` it does not come back. */
export type PlannedTask = Required<Api['WeekRequest']['tasks'][number]>;

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
        mostDays: task.mostDays,
        dates: task.dates,
        locked: task.locked,
        off: task.off,
    };
}

export function plannedWeek(week: Week): PlannedTask[] {
    return week.tasks.map(planned);
}

const onTask =
    (id: number, change: (task: PlannedTask) => PlannedTask): Change =>
    (tasks) =>
        tasks.map((task) => (task.id === id ? change(task) : task));

const without = (dates: string[], date: string | null) => dates.filter((one) => one !== date);
const withDate = (dates: string[], date: string | null) =>
    date === null || dates.includes(date) ? dates : [...dates, date].sort();

/** From one day to another, where it stays; from null it is added, to null it is taken off that day and does not come back. */
export function move(id: number, from: string | null, to: string | null): Change {
    return onTask(id, (task) => ({
        ...task,
        dates: withDate(without(task.dates, from), to),
        locked: withDate(without(task.locked, from), to),
        off: without(withDate(task.off, from), to),
    }));
}

/** Keeps a task on a day, or lets it go where the plan has it. */
export function lock(id: number, date: string): Change {
    return onTask(id, (task) => ({
        ...task,
        locked: task.locked.includes(date) ? without(task.locked, date) : withDate(task.locked, date),
    }));
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

/** A card that has come to a day, or lost all its days, since the week before. */
export interface Moved {
    id: number;
    title: string;
    /** The days it has come to; none when it has found no room. */
    to: string[];
    from: string[];
}

/** What another plan has moved; tasks that were added or removed are no news. */
export function movedBetween(before: Week, after: Week): Moved[] {
    return after.tasks.flatMap((task) => {
        const was = before.tasks.find((one) => one.id === task.id)?.dates;
        if (was === undefined) return [];
        const to = task.dates.filter((date) => !was.includes(date));
        const from = was.filter((date) => !task.dates.includes(date));
        return to.length + from.length > 0 ? [{ id: task.id, title: task.title, to, from }] : [];
    });
}

/** `Right hand: Tuesday to Wednesday` */
export function movedWords({ title, to, from }: Moved): string {
    const days = (dates: string[]) => dates.map((date) => dayName(weekdayOf(date))).join(', ');
    if (to.length === 0) return t('{{title}}: off {{days}}', { title, days: days(from) });
    return from.length === 0
        ? t('{{title}}: also {{days}}', { title, days: days(to) })
        : t('{{title}}: {{days}} to {{days2}}', { title, days: days(from), days2: days(to) });
}
