import { Badge, Group, Text } from '@mantine/core';
import type { CSSProperties, ReactNode } from 'react';
import type { Task, Week } from '../api';
import styles from './Board.module.css';
import { DayColumn } from './DayColumn';
import type { Moved } from './planning';
import { TaskCard } from './TaskCard';
import { CARD, cardUnder, type Taken } from './taking';

interface Props {
    week: Week;
    today: string | undefined;
    taken: Taken | null;
    take: (card: Taken) => void;
    edit: (card: Taken) => void;
    drop: (card: Taken, to: string | null) => void;
    moved: Moved[];
}

/** The week: a column for each day with its cards, and below them what found no room. */
export function Board({ week, today, taken, take, edit, drop, moved }: Props) {
    const byId = new Map(week.tasks.map((one) => [one.id, one]));
    const left = week.tasks.filter((one) => one.dates.length === 0);
    const news = new Map(moved.map((one) => [one.id, one]));
    const card = (one: Task, date: string | null) => (
        <TaskCard
            key={`${one.id} ${date}`}
            task={one}
            locked={date !== null && one.locked.includes(date)}
            isNews={date === null ? news.has(one.id) : (news.get(one.id)?.to.includes(date) ?? false)}
            taken={taken?.id === one.id && taken.date === date}
            take={() => take({ id: one.id, date })}
            edit={() => edit({ id: one.id, date })}
        />
    );
    const drag = (event: React.DragEvent) => {
        const card = cardUnder(event.target);
        if (card !== null) event.dataTransfer.setData(CARD, JSON.stringify(card));
    };
    return (
        <>
            {/* biome-ignore lint/a11y/noStaticElementInteractions: cards are moved by keys as well */}
            <div
                className={styles.days}
                style={{ '--days': Math.max(1, Math.min(7, week.days.length)) } as CSSProperties}
                onDragStart={drag}
            >
                {week.days.map((day) => (
                    <DayColumn key={day.date} day={day} today={today} drop={drop}>
                        {day.taskIds
                            .map((one) => byId.get(one))
                            .filter((one) => one !== undefined)
                            .map((one) => card(one, day.date))}
                    </DayColumn>
                ))}
            </div>
            {left.length > 0 && (
                <Leftover count={left.length} drag={drag}>
                    {left.map((one) => card(one, null))}
                </Leftover>
            )}
        </>
    );
}

/** The tasks without a day. */
function Leftover({
    count,
    drag,
    children,
}: {
    count: number;
    drag: (event: React.DragEvent) => void;
    children: ReactNode;
}) {
    return (
        <section aria-label="Found no room" className={`sheet ${styles.leftover}`} onDragStart={drag}>
            <Group gap="xs" mb={6}>
                <Text fw={700}>Found no room</Text>
                <Badge variant="light" c="var(--ink)" tt="none">
                    {count}
                </Badge>
            </Group>
            <div className={styles.cards}>{children}</div>
        </section>
    );
}
