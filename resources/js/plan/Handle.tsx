import { Button, Group } from '@mantine/core';
import type { Task } from '../api';
import { dayName, weekdayOf } from '../shared/words';
import { t } from '../text';
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
                    <Button {...small} aria-label={t('A day back')} onClick={() => card.step(-1)}>
                        ←
                    </Button>
                    <Button {...small} aria-label={t('A day on')} onClick={() => card.step(1)}>
                        →
                    </Button>
                    <Button {...small} onClick={card.lock}>
                        {task.locked.includes(taken.date ?? '')
                            ? t('Let it move (l)')
                            : t('Keep on {{day}} (l)', { day })}
                    </Button>
                    <Button {...small} onClick={card.takeOff}>
                        {t('Remove from {{day}} (x)', { day })}
                    </Button>
                </>
            )}
            <Button {...small} onClick={card.also}>
                {t('One more day (d)')}
            </Button>
            <Button {...small} onClick={card.star}>
                {task.starred ? t('No star (*)') : t('Star (*)')}
            </Button>
            <Button {...small} onClick={edit}>
                {t('Change (Enter)')}
            </Button>
            <Button {...small} onClick={card.remove}>
                {t('Remove from the plan (Del)')}
            </Button>
        </Group>
    );
}
