import { useEffect, useRef } from 'react';
import type { Task } from '../api';
import { HandMark } from '../shared/HandMark';
import { barsWords, minutes } from '../shared/words';
import styles from './TaskCard.module.css';

interface Props {
    task: Task;
    /** It stays on this day. */
    locked: boolean;
    /** The plan has just brought it here. */
    isNews: boolean;
    taken: boolean;
    take: () => void;
    edit: () => void;
}

/** A task on a day: what, on which bars, how long. */
export function TaskCard({ task, locked, isNews, taken, take, edit }: Props) {
    const card = useRef<HTMLButtonElement>(null);
    useEffect(() => {
        if (taken) card.current?.focus();
    }, [taken]);
    return (
        <button
            ref={card}
            type="button"
            className={styles.card}
            draggable
            data-task={task.id}
            data-hand={task.hand ?? ''}
            data-news={isNews ? 'yes' : 'no'}
            aria-pressed={taken}
            onClick={take}
            onDoubleClick={edit}
        >
            <span className={styles.head}>
                <b className={styles.title}>
                    {locked && <Pin />}
                    {task.starred && '★ '}
                    {task.title}
                </b>
                {task.piece !== null && <HandMark hand={task.hand} />}
            </span>
            {task.piece !== null && <span className={styles.piece}>{task.piece}</span>}
            <span className={`faint ${styles.what}`}>
                {detail(task)}
                {task.practices.length > 0 && (
                    <b
                        title={`practised ${task.practices.length} of ${task.dates.length} days`}
                        className={styles.time}
                    >
                        {' '}
                        ✓{task.practices.length}
                    </b>
                )}
            </span>
            {task.leftWhy !== null && <span className={styles.why}>{task.leftWhy}</span>}
        </button>
    );
}

/** A tack: the card stays on its day. */
function Pin() {
    return (
        <svg role="img" aria-label="kept on this day" viewBox="0 0 10 14" className={styles.lock}>
            <title>kept on this day</title>
            <path d="M2 0h6v1L7 2v4l2 2v1H5.6L5 14l-.6-5H1V8l2-2V2L2 1z" />
        </svg>
    );
}

/** `bars 1–4 ×3 at 60, 2 min` */
function detail(task: Task): string {
    const bars = task.bars.length > 3 ? '' : barsWords(task.bars);
    const times = task.repetitions > 1 ? `×${task.repetitions}` : '';
    const tempo = task.tempo === null ? '' : `at ${task.tempo}`;
    return [[bars, times, tempo].filter(Boolean).join(' '), minutes(task.minutes)].filter(Boolean).join(', ');
}
