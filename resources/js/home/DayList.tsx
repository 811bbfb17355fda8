import { Text } from '@mantine/core';
import { Fragment } from 'react';
import { HandMark } from '../shared/HandMark';
import { barsWords, minutes } from '../shared/words';
import styles from './DayList.module.css';
import type { HomeTaskData } from './useHome';

interface Props {
    tasks: HomeTaskData[];
    /** Minutes after which a break does good. */
    breakAfter: number;
    isDone: (task: HomeTaskData) => boolean;
    open: (id: number) => void;
}

/** The tasks of a day in their order, with a break where it does good. */
export function DayList({ tasks, breakAfter, isDone, open }: Props) {
    const breaks = breaksIn(tasks, breakAfter);
    return (
        <ol className={`plain-list ${styles.list}`}>
            {tasks.map((task, i) => (
                <Fragment key={task.id}>
                    <li>
                        <button type="button" className={`sheet ${styles.task}`} onClick={() => open(task.id)}>
                            <span aria-hidden="true" className={styles.dot} data-done={isDone(task) ? 'yes' : 'no'}>
                                {isDone(task) && '✓'}
                            </span>
                            <span className={styles.words}>
                                <b className={styles.title}>{task.title}</b>{' '}
                                {task.piece !== null && <HandMark hand={task.hand} />}
                                <br />
                                {task.piece !== null && (
                                    <span>
                                        {task.piece}, {barsWords(task.bars)}
                                    </span>
                                )}
                            </span>
                            <span className={`faint ${styles.minutes}`}>
                                {isDone(task) ? 'done' : minutes(task.minutes)}
                            </span>
                        </button>
                    </li>
                    {breaks.has(i) && (
                        <li>
                            <Text size="sm" className="faint" ta="center">
                                A good moment for a break: stand up, shake your hands, look out of the window.
                            </Text>
                        </li>
                    )}
                </Fragment>
            ))}
        </ol>
    );
}

/** After which tasks the time for a break has come; none after the last. */
export function breaksIn(tasks: readonly { minutes: number }[], after: number): Set<number> {
    const breaks = new Set<number>();
    let since = 0;
    tasks.forEach((task, i) => {
        since += task.minutes;
        if (since >= after && i < tasks.length - 1) {
            breaks.add(i);
            since = 0;
        }
    });
    return breaks;
}
