import { Text } from '@mantine/core';
import type { Week } from '../api';
import { minutes } from '../shared/words';
import { t } from '../text';

/** A day in the order and the words that the child will see. */
export function DayAsSeen({ week, date }: { week: Week; date: string }) {
    const tasks = (week.days.find((day) => day.date === date)?.each ?? []).flatMap((of) =>
        week.tasks.filter((task) => task.id === of.id).map((task) => ({ ...task, minutes: of.minutes + of.more })),
    );
    if (tasks.length === 0) return <Text>{t('A free day.')}</Text>;
    return (
        <ol>
            {tasks.map((task) => (
                <li key={task.id}>
                    <Text>
                        <b>{task.title}</b>
                        {task.piece !== null && `, ${task.piece}`}, {minutes(task.minutes)}
                    </Text>
                    <Text size="sm">{task.instruction}</Text>
                </li>
            ))}
        </ol>
    );
}
