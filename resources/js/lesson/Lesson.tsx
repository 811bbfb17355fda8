import { Button, Group, Select, Stack, Text, Title } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { choices } from '../api';
import { FromFamily } from '../shared/FromFamily';
import { useKeys } from '../shared/keys';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { clockTime, longDate } from '../shared/words';
import { t } from '../text';
import { HeardAtHome } from './HeardAtHome';
import styles from './Lesson.module.css';
import { LessonCardRow } from './LessonCardRow';
import { ListenNow } from './ListenNow';
import { type NextPage, NextWeek, useNextPage } from './NextWeek';
import { Record } from './Record';
import { SlipBoard } from './SlipBoard';
import { type Hearing, taskOf, useHearing } from './useHearing';
import { type LessonData, type LessonInHand, useLesson } from './useLesson';

/** A lesson: what was set is heard page by page, and next week grows beside it. */
export function Lesson() {
    const id = Number(useParams().lesson);
    const client = useQueryClient();
    const navigate = useNavigate();
    const hand = useLesson(id);
    const { lesson, finish } = hand;
    const data = lesson.data;
    const hearing = useHearing(hand);
    const open = useNextPage(data);
    const end = () =>
        finish.mutate(undefined, {
            onSuccess: (finished) => {
                client.invalidateQueries();
                if (finished.nextWeekId !== null) navigate(`/weeks/${finished.nextWeekId}`);
            },
        });
    const openPage = (next: NextPage | undefined) =>
        next !== undefined && open.mutate(next, { onSuccess: (learning) => hearing.choose(`page ${learning.id}`) });
    useLessonKeys(hearing, hand, {
        end,
        openNext: () => openPage(data?.nextPages[0]),
        train: () => data !== undefined && navigate(`/students/${data.studentId}/practice`),
    });
    if (lesson.isPending) return <Waiting what={t('Opening the lesson…')} />;
    if (data === undefined) return <Trouble error={lesson.error} again={() => lesson.refetch()} />;
    return (
        <>
            <Head data={data} hand={hand} hearing={hearing}>
                <Button onClick={end} loading={finish.isPending}>
                    {t('Finish, and see next week (Enter)')}
                </Button>
            </Head>
            <Trouble error={finish.error ?? open.error} />
            {hand.refused > 0 && (
                <Text role="alert" className="thorn">
                    {hand.refused === 1
                        ? t('One step was not taken by the server. Look over what stands below.')
                        : t('{{refused}} steps were not taken by the server. Look over what stands below.', {
                              refused: hand.refused,
                          })}
                </Text>
            )}
            {hearing.cards.length === 0 && (
                <Empty part title={t('No plan leads to this lesson')}>
                    <Text>{t('Open a page for the student, then finish: the first plan is proposed from it.')}</Text>
                </Empty>
            )}
            <Heard data={data} hand={hand} hearing={hearing} openPage={openPage} />
        </>
    );
}

/** What is done with a hand that stays on the keyboard. */
function useLessonKeys(hearing: Hearing, hand: LessonInHand, does: Record<'end' | 'openNext' | 'train', () => void>) {
    const { chosen } = hearing;
    useKeys([
        { key: 'j', does: t('next page'), run: () => hearing.go(1) },
        { key: 'k', does: t('page before'), run: () => hearing.go(-1) },
        { key: 'p', does: t('pass to the stage that was heard, and on'), run: () => hearing.give(chosen, 'pass') },
        { key: 'a', does: t('again, and on'), run: () => hearing.give(chosen, 'again') },
        { key: 'x', does: t('stop: pause this page, and on'), run: () => hearing.give(chosen, 'stop') },
        { key: 'c', does: t('clear the mark'), run: () => hearing.give(hearing.target, null) },
        {
            key: 'd',
            does: t('a new page was looked over and prepared together'),
            run: () => chosen?.togetherId != null && hearing.give(chosen, 'pass', chosen.togetherId),
        },
        ...[1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((nth) => ({
            key: String(nth % 10),
            does: t('stage {{nth}} was heard', { nth }),
            run: () => hearing.toStep(chosen, nth - 1),
        })),
        { key: '.', does: t('reached a faster tempo'), run: () => hearing.climb(1) },
        { key: ',', does: t('reached a slower tempo'), run: () => hearing.climb(-1) },
        { key: 'ArrowRight', does: t('next bar'), run: () => hearing.toBar(1) },
        { key: 'ArrowLeft', does: t('bar before'), run: () => hearing.toBar(-1) },
        { key: 'Shift+ArrowRight', does: t('a beat more'), run: () => hearing.toBeat(1) },
        { key: 'Shift+ArrowLeft', does: t('a beat less'), run: () => hearing.toBeat(-1) },
        ...(hand.lesson.data?.slipKinds ?? []).map((kind) => ({
            key: kind.key,
            does: t('slip here: {{said}}', { said: kind.words }),
            run: () => hearing.slip(kind),
        })),
        { key: 'u', does: t('undo'), run: hand.undo },
        { key: 'o', does: t('open the next page'), run: does.openNext },
        { key: 'g', does: t('go to the practice room'), run: does.train },
        { key: 'Enter', does: t('finish, and see next week'), run: does.end },
    ]);
}

interface HeardProps {
    data: LessonData;
    hand: LessonInHand;
    hearing: Hearing;
    openPage: (next: NextPage) => void;
}

/** A card for each page on one side, the music of the one at hand with its slips on the other. */
function Heard({ data, hand, hearing, openPage }: HeardProps) {
    const { board, page } = hearing;
    const slipsOf = (tasks: { id: number }[]) => slipsIn(data, tasks);
    return (
        <div className={styles.sides}>
            <Stack gap={6}>
                <ol className={`plain-list ${styles.tasks}`} aria-label={t('What was set')}>
                    {hearing.cards.map((card) => (
                        <LessonCardRow
                            key={card.key}
                            card={card}
                            task={taskOf(card, hearing.heardOf(card))}
                            heardId={hearing.heardOf(card)}
                            slips={slipsOf(card.tasks)}
                            kinds={data.slipKinds}
                            chosen={card.key === hearing.chosen?.key}
                            target={card.key === hearing.target?.key && card.mark !== null}
                            choose={() => hearing.choose(card.key)}
                            give={(mark, stageId) => hearing.give(card, mark, stageId)}
                            toStep={(index) => hearing.toStep(card, index)}
                            climb={card.key === board?.key ? hearing.climb : null}
                            reached={hand.reached}
                            dropSlip={hand.dropSlip}
                        />
                    ))}
                </ol>
                <Folded hearing={hearing} />
                <NextWeek data={data} openPage={openPage} />
            </Stack>
            <Stack gap="sm" className={styles.side}>
                {board !== null && (
                    <SlipBoard
                        card={board}
                        task={hearing.task}
                        page={page.data}
                        error={page.error}
                        at={hearing.at}
                        point={hearing.point}
                        kinds={data.slipKinds}
                        slips={slipsOf(board.tasks)}
                        add={hearing.slip}
                    />
                )}
                <WhatIsHeard data={data} hearing={hearing} />
                <Record key={data.id} data={data} record={hand.record} />
            </Stack>
        </div>
    );
}

const slipsIn = (data: LessonData, tasks: { id: number }[]) =>
    data.slips.filter((slip) => tasks.some((task) => task.id === slip.taskId));

/** What is played now, and what was heard at home, of the page on the board. */
function WhatIsHeard({ data, hearing }: { data: LessonData; hearing: Hearing }) {
    const { board, task } = hearing;
    if (board === null) return null;
    return (
        <>
            {board.pieceId !== null && task !== null && task.bars.length > 0 && (
                <ListenNow
                    key={task.id}
                    lesson={data.id}
                    student={data.studentId}
                    pieceId={board.pieceId}
                    task={task}
                />
            )}
            <HeardAtHome
                lesson={data.id}
                tasks={board.tasks}
                noted={slipsIn(data, board.tasks)}
                note={hearing.noteAt}
            />
        </>
    );
}

/** What had no day and was not practised is not asked for; it is named, so that nobody misses it. */
function Folded({ hearing }: { hearing: Hearing }) {
    if (hearing.folded.length === 0) return null;
    return (
        <Text size="sm" className="faint">
            {t('Not set this week:')} {hearing.folded.map((card) => card.title).join(', ')}.
        </Text>
    );
}

interface HeadProps {
    data: LessonData;
    hand: LessonInHand;
    hearing: Hearing;
    children: ReactNode;
}

function Head({ data, hand, hearing, children }: HeadProps) {
    const marked = hearing.cards.filter((card) => card.mark !== null).length;
    return (
        <Group justify="space-between" mb="sm" wrap="nowrap">
            <div>
                <Title order={1} fz={26}>
                    {data.student}, {longDate(data.heldOn)}, {clockTime(data.time)}
                </Title>
                <Text size="sm" className="faint" role="status">
                    {t('{{marked}} of {{cards}} heard', { marked, cards: hearing.cards.length })}
                    {data.finishedAt !== null && t('; finished before, finishing again proposes anew')}
                    {hand.waiting > 0 &&
                        t('; {{waiting}} not saved yet, kept until there is a connection', { waiting: hand.waiting })}
                </Text>
                <FromFamily words={data.familyWords} />
            </div>
            <Group gap="xs" wrap="nowrap">
                <Select
                    aria-label={t('Attendance')}
                    w={180}
                    allowDeselect={false}
                    value={data.attendance}
                    onChange={(attendance) => attendance !== null && hand.record({ attendance })}
                    data={choices.Attendance}
                />
                <Button variant="default" component={Link} to={`/students/${data.studentId}/practice`}>
                    {t('Practice room (g)')}
                </Button>
                <Button variant="default" onClick={hand.undo} disabled={!hand.canUndo}>
                    {t('Undo (u)')}
                </Button>
                {children}
            </Group>
        </Group>
    );
}
