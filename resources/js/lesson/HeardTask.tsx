import { Button, Group, Text } from '@mantine/core';
import type { Api, Task } from '../shared/api';
import { HandMark } from '../shared/HandMark';
import { barsWords } from '../shared/words';

const MARKS = [
    { mark: 'pass', label: 'pass', sign: '✓' },
    { mark: 'again', label: 'again', sign: '↻' },
    { mark: 'stop', label: 'stop', sign: '■' },
] as const;

const FEELINGS = { easy: 'easy', fine: 'fine', hard: 'hard' };

interface Props {
    task: Task;
    slips: Api['SlipResource'][];
    chosen: boolean;
    choose: () => void;
    mark: (mark: 'pass' | 'again' | 'stop' | null) => void;
    dropSlip: (id: number) => void;
}

/** One task of last week: what home reported, the mark, the slips. */
export function HeardTask({ task, slips, chosen, choose, mark, dropSlip }: Props) {
    const last = task.practices.at(-1);
    const notes = task.practices.filter((practice) => practice.note !== '');
    return (
        <li
            className="sheet"
            style={{
                padding: '0.45rem 0.7rem',
                borderColor: chosen ? 'var(--leaf)' : undefined,
                borderWidth: chosen ? 2 : 1,
            }}
        >
            <Group justify="space-between" wrap="nowrap" gap="xs">
                <button type="button" className="finding" style={{ padding: 0 }} aria-pressed={chosen} onClick={choose}>
                    <b>{task.title}</b> {task.piece !== null && <HandMark hand={task.hand} />}
                    <br />
                    <span style={{ fontSize: '0.9rem' }}>
                        {task.piece} {task.bars.length > 3 ? '' : barsWords(task.bars)}
                    </span>
                </button>
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
            </Group>
            <Text size="sm" className="faint">
                {task.practices.length === 0
                    ? task.dates.length === 0
                        ? 'had no day'
                        : 'not practised'
                    : `practised ${task.practices.length} of ${task.dates.length} days, ${last && FEELINGS[last.feeling]} at the end`}
            </Text>
            {notes.map((practice) => (
                <Text key={practice.id} size="sm">
                    From home: “{practice.note}”
                </Text>
            ))}
            {slips.map((slip) => (
                <Group key={slip.id} gap="xs">
                    <Text size="sm" className="thorn">
                        ▲ {slip.place}: {slip.words}
                    </Text>
                    <Button
                        size="compact-xs"
                        variant="subtle"
                        c="var(--ink)"
                        onClick={() => dropSlip(slip.id)}
                        aria-label={`Take back: ${slip.words}, ${slip.place}`}
                    >
                        take back
                    </Button>
                </Group>
            ))}
        </li>
    );
}
