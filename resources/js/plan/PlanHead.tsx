import { Anchor, Button, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import type { Week } from '../api';
import { FromFamily } from '../shared/FromFamily';
import { Leaf } from '../shared/Leaf';
import { dateOf, listed, longDate, shortDate } from '../shared/words';
import styles from './PlanHead.module.css';
import { movedWords } from './planning';
import type { WeekInHand } from './useWeek';
import { WeekMenu } from './WeekMenu';

export type PlanDialog = 'add' | 'change' | 'word' | 'patterns' | 'others' | 'nobody' | 'changes';

interface Props {
    data: Week;
    today: string | undefined;
    hand: WeekInHand;
    open: (dialog: PlanDialog) => void;
    send: () => void;
}

/** Whose week it is, how it stands, and what can be done with it as a whole. */
export function PlanHead({ data, today, hand, open, send: sendIt }: Props) {
    const { undo, canUndo, again, send, moved } = hand;
    const state = [
        `Next lesson ${longDate(data.endsOn)}.`,
        data.sentAt === null
            ? `Not sent yet: the family does not see it.${data.receivers.length > 0 ? ` It goes to ${listed(data.receivers)}.` : ''}`
            : `Sent ${shortDate(dateOf(data.sentAt))}${data.changes.length > 0 ? ', and changed since' : ''}.`,
        data.share < 100 ? 'A light week: half the minutes.' : '',
        data.plannedOn !== null && data.plannedOn > data.startsOn
            ? `What was left was planned again on ${longDate(data.plannedOn)}.`
            : '',
    ];
    return (
        <>
            <Group justify="space-between" wrap="nowrap">
                <Group gap="md" wrap="nowrap">
                    <Leaf days={data.days} today={today} size={62} />
                    <div>
                        <Title order={1} fz={26}>
                            <Anchor component={Link} to={`/students/${data.studentId}`} inherit c="inherit">
                                {data.student}
                            </Anchor>
                            , {shortDate(data.startsOn)} to {shortDate(data.endsOn)}
                        </Title>
                        <Text size="sm" className="faint">
                            {state.filter((words) => words !== '').join(' ')}
                        </Text>
                        {data.message !== '' && <Text size="sm">To the family: “{data.message}”</Text>}
                        <FromFamily words={data.familyWords} />
                        {data.lessonNote !== '' && <Text size="sm">From the lesson: “{data.lessonNote}”</Text>}
                    </div>
                </Group>
                <Group gap="xs" wrap="nowrap">
                    <Button variant="default" onClick={undo} disabled={!canUndo}>
                        Undo (u)
                    </Button>
                    {data.sentAt === null && (
                        <Button variant="default" onClick={() => again.mutate()} loading={again.isPending}>
                            Propose again
                        </Button>
                    )}
                    <Button variant="default" onClick={() => open('add')}>
                        Add (a)
                    </Button>
                    <WeekMenu data={data} hand={hand} open={open} />
                    <Button
                        onClick={sendIt}
                        disabled={data.sentAt !== null && data.changes.length === 0}
                        loading={send.isPending}
                    >
                        {data.changes.length > 0 ? 'Send the changes (s)' : 'Send (s)'}
                    </Button>
                </Group>
            </Group>
            <Text size="sm" role="status" className={styles.news}>
                {moved.length > 0 && `Moved: ${moved.map(movedWords).join('; ')}.`}
            </Text>
        </>
    );
}
