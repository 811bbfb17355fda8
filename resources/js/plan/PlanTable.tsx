import { Text } from '@mantine/core';
import { type DragEvent, Fragment, useState } from 'react';
import type { Task, Week } from '../api';
import { t } from '../text';
import { DayHead } from './DayHead';
import { MarkCell } from './MarkCell';
import styles from './PlanTable.module.css';
import type { Moved } from './planning';
import { groupsOf, leftOf } from './rows';
import { TaskName } from './TaskName';
import { CARD, cardUnder, type Taken, takenFrom } from './taking';

interface Props {
    week: Week;
    today: string | undefined;
    taken: Taken | null;
    take: (card: Taken) => void;
    edit: (card: Taken) => void;
    drop: (card: Taken, to: string | null) => void;
    makeRoom: (id: number) => void;
    openDay: (date: string) => void;
    moved: Moved[];
}

/** The plan as a page of an assignment book: what is to be done in rows, by piece; the days in columns, a mark where it stands. */
export function PlanTable({ week, today, taken, take, edit, drop, makeRoom, openDay, moved }: Props) {
    const left = leftOf(week);
    const { over, handlers } = useDragging(drop);
    const news = new Map(moved.map((one) => [one.id, one]));
    const row = (task: Task) => (
        <tr key={task.id}>
            <TaskName task={task} edit={() => edit({ id: task.id, date: null })} />
            {week.days.map((day) => (
                <MarkCell
                    key={day.date}
                    task={task}
                    day={day}
                    past={day.date < (today ?? '')}
                    over={over === day.date}
                    isNews={news.get(task.id)?.to.includes(day.date) ?? false}
                    taken={taken?.id === task.id && taken.date === day.date}
                    take={() => take({ id: task.id, date: day.date })}
                    set={() => drop({ id: task.id, date: null }, day.date)}
                    edit={() => edit({ id: task.id, date: day.date })}
                />
            ))}
        </tr>
    );
    return (
        <>
            <div className={`sheet ${styles.sheet}`}>
                <table className={styles.table} {...handlers}>
                    <Heads week={week} today={today} openDay={openDay} />
                    <tbody>
                        {groupsOf(week).map((group) => (
                            <Fragment key={group.key}>
                                {group.piece !== null && (
                                    <tr className={styles.piece}>
                                        <th scope="rowgroup" colSpan={week.days.length + 1}>
                                            {group.piece}
                                        </th>
                                    </tr>
                                )}
                                {group.tasks.map(row)}
                            </Fragment>
                        ))}
                    </tbody>
                </table>
            </div>
            <WithoutDay
                title={t('Didn’t fit')}
                tasks={left.filter((task) => !task.later)}
                {...{ taken, take, makeRoom }}
            />
            <WithoutDay title={t('Later')} tasks={left.filter((task) => task.later)} {...{ taken, take, makeRoom }} />
        </>
    );
}

interface LeftProps extends Pick<Props, 'taken' | 'take' | 'makeRoom'> {
    title: string;
    tasks: Task[];
}

/** What has no day, each with its reason and a way to make room. */
function WithoutDay({ title, tasks, taken, take, makeRoom }: LeftProps) {
    if (tasks.length === 0) return null;
    return (
        <section aria-label={title} className={`sheet ${styles.left}`}>
            <Text fw={700}>
                {title} ({tasks.length})
            </Text>
            <ul className="plain-list">
                {tasks.map((task) => (
                    <li key={task.id}>
                        <button
                            type="button"
                            className={styles.leftTask}
                            data-task={task.id}
                            aria-pressed={taken?.id === task.id}
                            onClick={() => take({ id: task.id, date: null })}
                        >
                            <b>{task.title}</b>
                            {task.piece !== null && `, ${task.piece}`}
                        </button>{' '}
                        <span className="faint">{task.leftWhy}</span>{' '}
                        <button type="button" className={styles.room} onClick={() => makeRoom(task.id)}>
                            {t('Make room')}
                        </button>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** The days, each with its gauge. */
function Heads({ week, today, openDay }: { week: Week; today: string | undefined; openDay: Props['openDay'] }) {
    return (
        <thead>
            <tr>
                <th scope="col" className={styles.what}>
                    {t('What')}
                </th>
                {week.days.map((day) => (
                    <DayHead key={day.date} day={day} today={today} open={() => openDay(day.date)} />
                ))}
            </tr>
        </thead>
    );
}

/** A mark that is dragged: over which day it hangs, and where it falls. */
function useDragging(drop: Props['drop']) {
    const [over, setOver] = useState<string | null>(null);
    const dateUnder = (event: DragEvent) =>
        (event.target as HTMLElement).closest<HTMLElement>('[data-date]')?.dataset.date ?? null;
    const handlers = {
        onDragStart: (event: DragEvent) => {
            const card = cardUnder(event.target);
            if (card !== null) event.dataTransfer.setData(CARD, JSON.stringify(card));
        },
        onDragOver: (event: DragEvent) => {
            if (!event.dataTransfer.types.includes(CARD)) return;
            event.preventDefault();
            setOver(dateUnder(event));
        },
        onDragLeave: () => setOver(null),
        onDrop: (event: DragEvent) => {
            // Whatever falls here, the browser does not open it in the place of the plan.
            event.preventDefault();
            setOver(null);
            const card = takenFrom(event.dataTransfer.getData(CARD));
            const to = dateUnder(event);
            if (card !== null && to !== null) drop(card, to);
        },
    };
    return { over, handlers };
}
