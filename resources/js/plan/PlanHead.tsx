import { Anchor, Button, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import type { Week } from '../api';
import { FromFamily } from '../shared/FromFamily';
import { Leaf } from '../shared/Leaf';
import { dateOf, listed, longDate, shortDate } from '../shared/words';
import { t } from '../text';
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

/** How the week stands, in words. */
function stateOf(data: Props['data']): string {
    return [
        t('Next lesson {{longDate}}.', { longDate: longDate(data.endsOn) }),
        data.sentAt === null
            ? data.receivers.length > 0
                ? t('Not sent yet: the family does not see it. It goes to {{listed}}.', {
                      listed: listed(data.receivers),
                  })
                : t('Not sent yet: the family does not see it.')
            : data.changes.length > 0
              ? t('Sent {{shortDate}}, and changed since.', { shortDate: shortDate(dateOf(data.sentAt)) })
              : t('Sent {{shortDate}}.', { shortDate: shortDate(dateOf(data.sentAt)) }),
        data.share < 100 ? t('A light week: half the minutes.') : '',
        data.plannedOn !== null && data.plannedOn > data.startsOn
            ? t('What was left was planned again on {{longDate}}.', { longDate: longDate(data.plannedOn) })
            : '',
    ]
        .filter((words) => words !== '')
        .join(' ');
}

/** Whose week it is, how it stands, and what can be done with it as a whole. */
export function PlanHead({ data, today, hand, open, send: sendIt }: Props) {
    const { undo, canUndo, again, send, moved } = hand;
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
                            {t(', {{shortDate}} to {{shortDate2}}', {
                                shortDate: shortDate(data.startsOn),
                                shortDate2: shortDate(data.endsOn),
                            })}
                        </Title>
                        <Text size="sm" className="faint">
                            {stateOf(data)}
                        </Text>
                        {data.message !== '' && (
                            <Text size="sm">{t('To the family: “{{message}}”', { message: data.message })}</Text>
                        )}
                        <FromFamily words={data.familyWords} />
                        {data.lessonNote !== '' && (
                            <Text size="sm">
                                {t('From the lesson: “{{lessonNote}}”', { lessonNote: data.lessonNote })}
                            </Text>
                        )}
                    </div>
                </Group>
                <Group gap="xs" wrap="nowrap">
                    <Button variant="default" onClick={undo} disabled={!canUndo}>
                        {t('Undo (u)')}
                    </Button>
                    {data.sentAt === null && (
                        <Button variant="default" onClick={() => again.mutate()} loading={again.isPending}>
                            {t('Propose again')}
                        </Button>
                    )}
                    <Button variant="default" onClick={() => open('add')}>
                        {t('Add (a)')}
                    </Button>
                    <WeekMenu data={data} hand={hand} open={open} />
                    <Button
                        onClick={sendIt}
                        disabled={data.sentAt !== null && data.changes.length === 0}
                        loading={send.isPending}
                    >
                        {data.changes.length > 0 ? t('Send the changes (s)') : t('Send (s)')}
                    </Button>
                </Group>
            </Group>
            <Text size="sm" role="status" className={styles.news}>
                {moved.length > 0 && t('Moved: {{moved}}.', { moved: moved.map(movedWords).join('; ') })}
            </Text>
        </>
    );
}
