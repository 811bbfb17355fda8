import { Text, Title } from '@mantine/core';
import { Fragment } from 'react';
import { HandMark } from '../shared/HandMark';
import { TaskPicture } from '../shared/TaskPicture';
import { barsWords, minutes } from '../shared/words';
import { t } from '../text';
import styles from './DayList.module.css';
import type { HomeTaskData } from './useHome';

interface Props {
    tasks: HomeTaskData[];
    /** Minutes after which a break does good. */
    breakAfter: number;
    isDone: (task: HomeTaskData) => boolean;
    open: (id: number) => void;
}

/** The tasks of a day in their order, piece by piece with book and page, with a break where it does good. */
export function DayList({ tasks, breakAfter, isDone, open }: Props) {
    const groups = groupsOf(tasks);
    const breaks = breaksIn(
        groups.flatMap((group) => group.tasks),
        breakAfter,
    );
    let nth = -1;
    return groups.map((group) => (
        <section key={group.name} aria-label={group.piece ?? group.tasks[0]?.title}>
            {group.piece !== null && (
                <Title order={2} fz="lg" mb={4}>
                    {group.piece} {group.page && <span className={`faint ${styles.page}`}>{group.page}</span>}
                </Title>
            )}
            <ol className={`plain-list ${styles.list}`}>
                {group.tasks.map((task) => {
                    nth++;
                    return (
                        <Fragment key={task.id}>
                            <TaskLine task={task} done={isDone(task)} open={() => open(task.id)} />
                            {breaks.has(nth) && (
                                <li>
                                    <Text size="sm" className="faint" ta="center">
                                        {t(
                                            'A good moment for a break: stand up, shake your hands, look out of the window.',
                                        )}
                                    </Text>
                                </li>
                            )}
                        </Fragment>
                    );
                })}
            </ol>
        </section>
    ));
}

/** A task in one line, and the big way in. */
function TaskLine({ task, done, open }: { task: HomeTaskData; done: boolean; open: () => void }) {
    return (
        <li>
            <button type="button" className={`sheet ${styles.task}`} onClick={open}>
                <span aria-hidden="true" className={styles.dot} data-done={done ? 'yes' : 'no'}>
                    {done && '✓'}
                </span>
                <TaskPicture sign={task.sign} />
                <span className={styles.words}>
                    <b className={styles.title}>{task.title}</b> {task.bars.length > 0 && <HandMark hand={task.hand} />}
                    {task.bars.length > 0 && <span className={`faint ${styles.bars}`}> {barsWords(task.bars)}</span>}
                    <br />
                    <span className={styles.what}>{task.instruction}</span>
                </span>
                <span className={`faint ${styles.minutes}`}>{done ? t('done') : minutes(task.minutes)}</span>
            </button>
        </li>
    );
}

interface Group {
    name: string;
    piece: string | null;
    page: string;
    tasks: HomeTaskData[];
}

/** Tasks of one piece stand together, where the first of them stands; what is on none stands alone. */
export function groupsOf(tasks: readonly HomeTaskData[]): Group[] {
    const groups: Group[] = [];
    for (const task of tasks) {
        const name = task.piece === null ? `task ${task.id}` : `${task.piece} ${task.page ?? ''}`;
        const group = groups.find((one) => one.name === name);
        if (group === undefined) groups.push({ name, piece: task.piece, page: task.page ?? '', tasks: [task] });
        else group.tasks.push(task);
    }
    return groups;
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
