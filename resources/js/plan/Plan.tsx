import { Button, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Week } from '../api';
import { Dialog } from '../shared/Dialog';
import { useKeys } from '../shared/keys';
import { Trouble, Waiting } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { longDate } from '../shared/words';
import { t } from '../text';
import { AddTask } from './AddTask';
import { Changes } from './Changes';
import { DayAsSeen } from './DayAsSeen';
import { FamilyWord } from './FamilyWord';
import { ForOthers } from './ForOthers';
import { Handle } from './Handle';
import { Patterns } from './Patterns';
import { type PlanDialog, PlanHead } from './PlanHead';
import { PlanTable } from './PlanTable';
import { add, change } from './planning';
import { TaskForm } from './TaskForm';
import { handling, type Taken } from './taking';
import { useWeek, type WeekInHand } from './useWeek';

const TITLES: Partial<Record<PlanDialog, string>> = {
    add: t('A task of your own'),
    word: t('A word to the family'),
    patterns: t('Templates'),
    nobody: t('Nobody would get it yet'),
    others: t('For other students too'),
    changes: t('What has changed since it was sent'),
};

export function Plan() {
    const id = Number(useParams().week);
    const hand = useWeek(id);
    const { week, save, send, again, fill, apply } = hand;
    const today = useSession().data?.studio.today;
    const [taken, setTaken] = useState<Taken | null>(null);
    const [dialog, setDialog] = useState<PlanDialog | null>(null);
    const [day, setDay] = useState<string | null>(null);
    const { task, drop, ...card } = handling(hand, today ?? '', taken, setTaken);
    usePlanKeys(card, hand, setDialog, taken !== null);
    if (week.isPending) return <Waiting what={t('Fetching the plan…')} />;
    if (week.error) return <Trouble error={week.error} again={() => week.refetch()} />;
    const data = week.data;
    const close = () => setDialog(null);
    return (
        <Stack gap="sm">
            <PlanHead data={data} today={today} hand={hand} open={setDialog} send={() => sendOrAsk(hand, setDialog)} />
            <Trouble error={save.error ?? send.error ?? again.error ?? fill.error} />
            <Handle task={task} taken={taken} card={card} edit={() => setDialog('change')} />
            <PlanTable
                week={data}
                today={today}
                taken={taken}
                take={setTaken}
                edit={(one) => {
                    setTaken(one);
                    setDialog('change');
                }}
                drop={drop}
                makeRoom={card.makeRoom}
                openDay={setDay}
                moved={hand.moved}
            />
            <Dialog
                opened={day !== null}
                onClose={() => setDay(null)}
                title={
                    day === null
                        ? ''
                        : t('{{longDate}}, as {{student}} sees it', { longDate: longDate(day), student: data.student })
                }
            >
                {day !== null && <DayAsSeen week={data} date={day} />}
            </Dialog>
            <Dialog opened={dialog === 'change' && task !== null} onClose={close} title={task?.title}>
                {task !== null && (
                    <TaskForm
                        task={task}
                        error={save.error}
                        save={(to, sure) => apply(change(task.id, to), close, { sure })}
                        remove={() => {
                            card.remove();
                            close();
                        }}
                    />
                )}
            </Dialog>
            <OtherDialogs dialog={dialog} close={close} data={data} today={today} hand={hand} taken={taken} />
        </Stack>
    );
}

/** What is opened beside the board: a task, a word to the family, patterns, other students. */
function OtherDialogs({
    dialog,
    close,
    data,
    today,
    hand,
    taken,
}: {
    dialog: PlanDialog | null;
    close: () => void;
    data: Week;
    today: string | undefined;
    hand: WeekInHand;
    taken: Taken | null;
}) {
    return (
        <Dialog
            opened={dialog !== null && dialog !== 'change'}
            onClose={close}
            title={dialog === null ? '' : TITLES[dialog]}
            size={dialog === 'others' ? 'lg' : 'md'}
        >
            {dialog === 'add' && (
                <AddTask
                    studentId={data.studentId}
                    days={data.days
                        .filter((day) => day.minutes > 0 && day.date >= (today ?? ''))
                        .map((day) => day.date)}
                    error={hand.save.error}
                    add={(one) => hand.apply(add(one), close)}
                />
            )}
            {dialog === 'word' && (
                <FamilyWord
                    week={data}
                    error={hand.send.error}
                    sending={hand.send.isPending}
                    send={(message) => hand.send.mutate(message, { onSuccess: close })}
                />
            )}
            {dialog === 'changes' && (
                <Changes data={data} send={() => hand.send.mutate(undefined, { onSuccess: close })} hand={hand} />
            )}
            {dialog === 'nobody' && (
                <Nobody data={data} send={() => hand.send.mutate(undefined, { onSuccess: close })} />
            )}
            {dialog === 'patterns' && <Patterns week={data} hand={hand} done={close} />}
            {dialog === 'others' && <ForOthers week={data} taken={taken?.id ?? null} />}
        </Dialog>
    );
}

/** The keys of the plan. */
function usePlanKeys(
    card: Omit<ReturnType<typeof handling>, 'task' | 'drop'>,
    hand: WeekInHand,
    open: (dialog: PlanDialog) => void,
    isTaken: boolean,
) {
    useKeys([
        { key: 'j', does: t('the next mark'), run: () => card.next(1) },
        { key: 'k', does: t('the mark before'), run: () => card.next(-1) },
        { key: 'ArrowRight', does: t('move the mark a day on'), run: () => card.step(1) },
        { key: 'ArrowLeft', does: t('move the mark a day back'), run: () => card.step(-1) },
        { key: 'l', does: t('keep it on its day, or let it move'), run: card.lock },
        { key: 'd', does: t('one more day'), run: card.also },
        { key: 'x', does: t('remove it from its day'), run: card.takeOff },
        { key: 'Delete', does: t('remove the task from the plan'), run: card.remove },
        { key: 'Enter', does: t('change repetitions, tempo, minutes, days'), run: () => isTaken && open('change') },
        { key: '*', does: t('star the task'), run: card.star },
        { key: 'a', does: t('add a task'), run: () => open('add') },
        { key: 'm', does: t('a word to the family'), run: () => open('word') },
        { key: 'u', does: t('undo'), run: hand.undo },
        { key: 'r', does: t('make room for what did not fit'), run: card.roomForNext },
        { key: 's', does: t('send the plan'), run: () => sendOrAsk(hand, open) },
    ]);
}

/** Sends the plan, once; where nobody would get it, that is asked about first. */
function sendOrAsk({ week, send }: WeekInHand, open: (dialog: PlanDialog) => void) {
    if (week.data === undefined || send.isPending) return;
    if (week.data.changes.length > 0) return open('changes');
    if (week.data.sentAt !== null) return;
    if (week.data.receivers.length === 0) open('nobody');
    else send.mutate(undefined);
}

/** No home link and no mail: the ways to reach the family, or the plan goes on paper. */
function Nobody({ data, send }: { data: Week; send: () => void }) {
    return (
        <Stack gap="sm">
            <Text>
                {t(
                    '{{student}} has no home link and no family email. Make a link on the student’s page, or print the plan.',
                    { student: data.student },
                )}
            </Text>
            <Group gap="xs">
                <Button component={Link} to={`/students/${data.studentId}`}>
                    {t('To the student’s page')}
                </Button>
                <Button variant="default" component={Link} to={`/weeks/${data.id}/sheet`}>
                    {t('Print it')}
                </Button>
                <Button variant="default" onClick={send}>
                    {t('Send it all the same')}
                </Button>
            </Group>
        </Stack>
    );
}
