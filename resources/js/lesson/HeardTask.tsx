import { Button, Group, Text, TextInput } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { Api, LessonTask } from '../api';
import { HandMark } from '../shared/HandMark';
import { barsWords } from '../shared/words';
import styles from './HeardTask.module.css';

const MARKS = [
    { mark: 'pass', label: 'pass', sign: '✓' },
    { mark: 'again', label: 'again', sign: '↻' },
    { mark: 'stop', label: 'stop', sign: '■' },
] as const;

const FEELINGS = { easy: 'easy', fine: 'fine', hard: 'hard' };

interface Props {
    task: LessonTask;
    slips: Api['SlipResource'][];
    chosen: boolean;
    choose: () => void;
    mark: (mark: 'pass' | 'again' | 'stop' | null) => void;
    /** A rung up or down from the tempo that was reached; null while another task is chosen. */
    climb: ((by: number) => void) | null;
    note: (note: string) => void;
    dropSlip: (slip: Api['SlipResource']) => void;
}

/** One task of last week: what home reported, the mark, the slips. */
export function HeardTask({ task, slips, chosen, choose, mark, climb, note, dropSlip }: Props) {
    const row = useRef<HTMLLIElement>(null);
    useEffect(() => {
        if (chosen) row.current?.scrollIntoView({ block: 'nearest' });
    }, [chosen]);
    const last = task.practices.at(-1);
    const notes = task.practices.filter((practice) => practice.note !== '');
    return (
        <li ref={row} className={`sheet ${styles.task}`} data-chosen={chosen ? 'yes' : undefined}>
            <Group justify="space-between" wrap="nowrap" gap="xs">
                <button type="button" className={`finding ${styles.choose}`} aria-pressed={chosen} onClick={choose}>
                    <b>{task.title}</b> {task.piece !== null && <HandMark hand={task.hand} />}
                    <br />
                    <span className={styles.where}>
                        {task.piece} {task.bars.length > 3 ? '' : barsWords(task.bars)}
                    </span>
                </button>
                <MarkButtons task={task} mark={mark} />
            </Group>
            <Text size="sm" className="faint">
                {task.practices.length === 0
                    ? task.days === 0
                        ? 'had no day'
                        : 'not practised'
                    : `practised ${task.practices.length} of ${task.days} days, ${last && FEELINGS[last.feeling]} at the end`}
            </Text>
            {notes.map((practice) => (
                <Text key={practice.id} size="sm">
                    From home: “{practice.note}”
                </Text>
            ))}
            {(chosen || task.tempoReached !== null || task.heardNote !== '') && (
                <HeardMore task={task} climb={climb} note={note} />
            )}
            {slips.map((slip) => (
                <SlipNoted key={slip.clientKey ?? slip.id} slip={slip} drop={() => dropSlip(slip)} />
            ))}
        </li>
    );
}

/** The tempo that was reached, and a word of the teacher's. */
function HeardMore({ task, climb, note }: Pick<Props, 'task' | 'climb' | 'note'>) {
    const [words, setWords] = useState(task.heardNote);
    return (
        <Group gap="xs" wrap="nowrap" mt={4}>
            {task.tempo !== null && (
                <Group gap={2} wrap="nowrap">
                    <Button
                        size="compact-xs"
                        variant="default"
                        disabled={climb === null}
                        aria-label="A slower tempo (,)"
                        onClick={() => climb?.(-1)}
                    >
                        −
                    </Button>
                    <Text size="sm" className={styles.tempo}>
                        {task.tempoReached === null ? `at ${task.tempo}` : `reached ${task.tempoReached}`}
                    </Text>
                    <Button
                        size="compact-xs"
                        variant="default"
                        disabled={climb === null}
                        aria-label="A faster tempo (.)"
                        onClick={() => climb?.(1)}
                    >
                        +
                    </Button>
                </Group>
            )}
            <TextInput
                size="xs"
                aria-label={`A note on ${task.title}`}
                placeholder="a note"
                maxLength={240}
                value={words}
                onChange={(event) => setWords(event.currentTarget.value)}
                onBlur={() => words !== task.heardNote && note(words)}
                className={styles.note}
            />
        </Group>
    );
}

/** A slip of this task, and the way back. */
function SlipNoted({ slip, drop }: { slip: Api['SlipResource']; drop: () => void }) {
    return (
        <Group gap="xs">
            <Text size="sm" className="thorn">
                ▲ {slip.place}: {slip.words}
            </Text>
            <Button
                size="compact-xs"
                variant="subtle"
                c="var(--ink)"
                onClick={drop}
                aria-label={`Take back: ${slip.words}, ${slip.place}`}
            >
                take back
            </Button>
        </Group>
    );
}

/** Pass, again, stop; the same once more takes it back. */
function MarkButtons({ task, mark }: { task: LessonTask; mark: Props['mark'] }) {
    return (
        <Group gap={4} wrap="nowrap">
            {MARKS.map((one) => (
                <Button
                    key={one.mark}
                    size="compact-sm"
                    variant={task.mark === one.mark ? 'filled' : 'default'}
                    aria-pressed={task.mark === one.mark}
                    aria-label={`${task.title}${task.piece === null ? '' : `, ${task.piece}`}: ${one.label}`}
                    onClick={() => mark(task.mark === one.mark ? null : one.mark)}
                >
                    <span aria-hidden="true">{one.sign}&nbsp;</span>
                    {one.label}
                </Button>
            ))}
        </Group>
    );
}
