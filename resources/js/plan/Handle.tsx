import { Button, Group } from '@mantine/core';
import type { Task } from '../api';
import { dayName, weekdayOf } from '../shared/words';
import type { handling, Taken } from './taking';

interface Props {
    task: Task | null;
    taken: Taken | null;
    card: Pick<ReturnType<typeof handling>, 'step' | 'lock' | 'also' | 'takeOff' | 'star' | 'remove'>;
    edit: () => void;
}

/** What the keys do with the mark in the hand, for the mouse; each says what it is done to. */
export function Handle({ task, taken, card, edit }: Props) {
    if (task === null || taken === null) return null;
    const day = taken.date === null ? null : dayName(weekdayOf(taken.date));
    const small = { size: 'compact-sm', variant: 'default' } as const;
    return (
        <Group gap={6} role="toolbar" aria-label={`${task.title}${day === null ? '' : `, ${day}`}`}>
            <b>
                {task.title}
                {day !== null && `, ${day}`}
            </b>
            {day !== null && (
                <>
                    <Button {...small} aria-label="A day back" onClick={() => card.step(-1)}>
                        ←
                    </Button>
                    <Button {...small} aria-label="A day on" onClick={() => card.step(1)}>
                        →
                    </Button>
                    <Button {...small} onClick={card.lock}>
                        {task.locked.includes(taken.date ?? '') ? 'Let it move (l)' : `Keep on ${day} (l)`}
                    </Button>
                    <Button {...small} onClick={card.takeOff}>
                        Remove from {day} (x)
                    </Button>
                </>
            )}
            <Button {...small} onClick={card.also}>
                One more day (d)
            </Button>
            <Button {...small} onClick={card.star}>
                {task.starred ? 'No star (*)' : 'Star (*)'}
            </Button>
            <Button {...small} onClick={edit}>
                Change (Enter)
            </Button>
            <Button {...small} onClick={card.remove}>
                Remove from the plan (Del)
            </Button>
        </Group>
    );
}
