import { useEffect, useRef } from 'react';
import type { Task } from '../shared/api';
import { HandMark } from '../shared/HandMark';
import { barsWords, minutes } from '../shared/words';

interface Props {
    task: Task;
    taken: boolean;
    take: () => void;
    edit: () => void;
}

/** A task on a day: what, on which bars, how long. */
export function TaskCard({ task, taken, take, edit }: Props) {
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
            aria-pressed={taken}
            onClick={take}
            onDoubleClick={edit}
        >
            <span style={{ display: 'flex', justifyContent: 'space-between', gap: 4 }}>
                <b style={{ fontSize: '0.9rem' }}>
                    {task.starred && '★ '}
                    {task.title}
                </b>
                {task.piece !== null && <HandMark hand={task.hand} />}
            </span>
            {task.piece !== null && <span style={{ display: 'block', fontSize: '0.82rem' }}>{task.piece}</span>}
            <span className="faint" style={{ display: 'block', fontSize: '0.8rem' }}>
                {[
                    task.kind === 'stage' && task.bars.length > 3 ? '' : barsWords(task.bars),
                    task.repetitions > 1 ? `× ${task.repetitions}` : '',
                    task.tempo === null ? '' : `at ${task.tempo}`,
                    minutes(task.minutes),
                ]
                    .filter(Boolean)
                    .join(' · ')}
            </span>
            {task.leftWhy !== null && <span style={{ display: 'block', fontSize: '0.8rem' }}>{task.leftWhy}</span>}
            {task.practices.length > 0 && (
                <span style={{ display: 'block', fontSize: '0.8rem' }}>
                    <span aria-hidden="true">✓</span>{' '}
                    {task.practices.length === 1 ? 'practised once' : `practised ${task.practices.length} times`}
                </span>
            )}
        </button>
    );
}
