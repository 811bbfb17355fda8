import { useEffect, useRef } from 'react';
import type { Api, Task } from '../api';
import { dayName, halves, minutes, weekdayOf } from '../shared/words';
import { t } from '../text';
import styles from './MarkCell.module.css';

interface Props {
    task: Task;
    day: Api['WeekDayResource'];
    /** The day is over: what stood there stays as it was. */
    past: boolean;
    /** Something is dragged over its day. */
    over: boolean;
    /** The plan has just brought it here. */
    isNews: boolean;
    taken: boolean;
    take: () => void;
    set: () => void;
    edit: () => void;
}

/** Where a task stands on a day, or may be put: a press sets it, or takes it into the hand. */
export function MarkCell({ task, day, past, over, isNews, taken, take, set, edit }: Props) {
    const mark = useRef<HTMLButtonElement>(null);
    useEffect(() => {
        if (taken) mark.current?.focus();
    }, [taken]);
    const isSet = task.dates.includes(day.date);
    const more = day.each.find((one) => one.id === task.id)?.more ?? 0;
    const locked = task.locked.includes(day.date);
    const practised = task.practices.some((practice) => practice.date === day.date);
    const can = isSet || (!past && day.minutes > 0);
    const states = [
        isSet ? t('set') : more > 0 ? t('to fill the day') : t('free'),
        more > 0 && t('{{minutes}} more', { minutes: minutes(more) }),
        locked && t('kept on this day'),
        practised && t('practised'),
        isNews && t('moved here'),
    ];
    return (
        <td className={styles.cell} data-over={over ? 'yes' : undefined} data-date={day.date}>
            {can && (
                <button
                    ref={mark}
                    type="button"
                    className={styles.mark}
                    draggable={isSet}
                    data-task={task.id}
                    data-date={day.date}
                    data-hand={task.hand ?? ''}
                    data-news={isNews ? 'yes' : undefined}
                    data-past={past ? 'yes' : undefined}
                    data-filled={!isSet && more > 0 ? 'yes' : undefined}
                    data-taken={taken ? 'yes' : undefined}
                    aria-pressed={isSet}
                    aria-label={`${task.title}${task.piece === null ? '' : `, ${task.piece}`}, ${dayName(weekdayOf(day.date))}: ${states.filter(Boolean).join(', ')}`}
                    onClick={isSet ? take : set}
                    onDoubleClick={edit}
                >
                    <Inside practised={practised} locked={locked} more={more} />
                </button>
            )}
        </td>
    );
}

/** What a mark says: that it was practised, that it stays, or how many minutes filling has added. */
function Inside({ practised, locked, more }: { practised: boolean; locked: boolean; more: number }) {
    if (practised) return '✓';
    if (locked) return <Tack />;
    return more > 0 ? <span className={styles.more}>+{halves(more)}</span> : '';
}

/** A tack: it stays on its day. */
function Tack() {
    return (
        <svg aria-hidden="true" viewBox="0 0 10 14" className={styles.tack}>
            <path d="M2 0h6v1L7 2v4l2 2v1H5.6L5 14l-.6-5H1V8l2-2V2L2 1z" />
        </svg>
    );
}
