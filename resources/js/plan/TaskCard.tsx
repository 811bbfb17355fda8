import { useEffect, useRef } from 'react';
import type { Task } from '../api';
import { HandMark } from '../shared/HandMark';
import { barsWords, minutes } from '../shared/words';

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
            className="card"
            draggable
            data-task={task.id}
            data-hand={task.hand ?? ''}
            data-news={isNews ? 'yes' : 'no'}
            aria-pressed={taken}
            onClick={take}
            onDoubleClick={edit}
        >
            <span style={{ display: 'flex', justifyContent: 'space-between', gap: 4 }}>
                <b style={{ fontSize: '0.9rem' }}>
                    {locked && <Pin />}
                    {task.starred && '★ '}
                    {task.title}
                </b>
                {task.piece !== null && <HandMark hand={task.hand} />}
            </span>
            {task.piece !== null && <span style={{ display: 'block', fontSize: '0.82rem' }}>{task.piece}</span>}
            <span className="faint" style={{ display: 'block', fontSize: '0.78rem', lineHeight: 1.3 }}>
                {detail(task)}
                {task.practices.length > 0 && (
                    <b
                        title={`practised ${task.practices.length} of ${task.dates.length} days`}
                        style={{ color: 'var(--ink)' }}
                    >
                        {' '}
                        ✓{task.practices.length}
                    </b>
                )}
            </span>
            {task.leftWhy !== null && <span style={{ display: 'block', fontSize: '0.8rem' }}>{task.leftWhy}</span>}
        </button>
    );
}

/** A tack: the card stays on its day. */
function Pin() {
    return (
        <svg
            role="img"
            aria-label="kept on this day"
            viewBox="0 0 10 14"
            style={{ width: 10, height: 14, marginRight: 5, verticalAlign: '-2px', fill: 'var(--ink)' }}
        >
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
