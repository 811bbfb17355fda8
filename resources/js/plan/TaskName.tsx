import type { Task } from '../api';
import { HandMark } from '../shared/HandMark';
import { barsWords, taskMinutes, tempoWords } from '../shared/words';
import { t } from '../text';
import styles from './TaskName.module.css';

/** What a row is: the task, its hand, bars, times, tempo and minutes, and what came from home. A press changes it. */
export function TaskName({ task, edit }: { task: Task; edit: () => void }) {
    const words = task.practices.filter((practice) => practice.note !== '');
    return (
        <th scope="row" className={styles.name}>
            <button
                type="button"
                className={styles.button}
                onClick={edit}
                aria-label={t('Change {{task}}', { task: [task.title, task.piece].filter(Boolean).join(', ') })}
            >
                <b>
                    {task.starred && '★ '}
                    {task.title}
                </b>{' '}
                {task.bars.length > 0 && <HandMark hand={task.hand} />}{' '}
                <span className={styles.detail}>{detail(task)}</span>
            </button>
            {words.map((practice) => (
                <div key={practice.id} className={styles.detail}>
                    {t('From home: “{{note}}”', { note: practice.note })}
                </div>
            ))}
        </th>
    );
}

/** `bars 1–4, 3 times, ♩ = 60, 2 min` */
function detail(task: Task): string {
    const bars = task.bars.length > 3 ? '' : barsWords(task.bars);
    const times = task.repetitions > 1 ? t('{{repetitions}} times', { repetitions: task.repetitions }) : '';
    const tempo = task.tempo === null ? '' : tempoWords(task.tempo);
    return [bars, times, tempo, task.kind === 'choice' ? '' : taskMinutes(task)].filter(Boolean).join(', ');
}
