import type { HomeTaskData, HomeWeek } from './useHome';

/** The tasks of a day in their order, with what each takes on it. A week that an older release has kept knows only what a task takes on any day. */
export function tasksOn(week: HomeWeek, date: string): HomeTaskData[] {
    const day = week.days.find((one) => one.date === date);
    const each: HomeWeek['days'][number]['each'] = day?.each ?? [];
    return (day?.taskIds ?? []).flatMap((id) => {
        const on = each.find((one) => one.id === id);
        return week.tasks
            .filter((task) => task.id === id)
            .map((task) => (on === undefined ? task : { ...task, minutes: on.minutes + on.more }));
    });
}
