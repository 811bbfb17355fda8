import { Anchor, Table, Text, Title } from '@mantine/core';
import { dayName, minutes, shortDate, weekdayOf } from '../shared/words';
import { t } from '../text';
import { tasksOn } from './day';
import type { HomeTaskData, HomeWeek } from './useHome';
import { type WordOfToday, WordToTeacher } from './WordToTeacher';

interface Props {
    week: HomeWeek;
    today: string;
    isDone: (task: HomeTaskData, date: string) => boolean;
    /** Opens a day: one that was missed is filled in there. */
    openDay: (date: string) => void;
    word: WordOfToday;
}

/** The same link for a parent: the week at a glance, and what the words of the teacher mean. */
export function ForParents({ week, today, isDone, openDay, word }: Props) {
    return (
        <details className="sheet">
            <summary>{t('For parents')}</summary>
            <Title order={2} fz="lg" mt="sm">
                {t('The week at a glance')}
            </Title>
            <Table aria-label={t('The week at a glance')}>
                <Table.Thead>
                    <Table.Tr>
                        <Table.Th>{t('Day')}</Table.Th>
                        <Table.Th>{t('Planned')}</Table.Th>
                        <Table.Th>{t('Done')}</Table.Th>
                    </Table.Tr>
                </Table.Thead>
                <Table.Tbody>
                    {week.days.map((day) => (
                        <DayLine key={day.date} week={week} day={day} today={today} isDone={isDone} openDay={openDay} />
                    ))}
                </Table.Tbody>
            </Table>
            <Text size="sm" className="faint" mb="sm">
                {t('Press a day to see it, or to tick what was practised then.')}
            </Text>
            <WordToTeacher key={`${week.studentId} ${today}`} word={word} />
            <Words />
            {isOnApple() && <OnApple />}
        </details>
    );
}

type LineProps = Omit<Props, 'word'> & { day: HomeWeek['days'][number] };

function DayLine({ week, day, today, isDone, openDay }: LineProps) {
    const tasks = tasksOn(week, day.date);
    const planned = tasks.reduce((sum, task) => sum + task.minutes, 0);
    const done = tasks.filter((task) => isDone(task, day.date)).length;
    return (
        <Table.Tr aria-current={day.date === today ? 'date' : undefined} fw={day.date === today ? 700 : undefined}>
            <Table.Td>
                <Anchor component="button" type="button" onClick={() => openDay(day.date)} py={6}>
                    {dayName(weekdayOf(day.date)).slice(0, 3)} {shortDate(day.date)}
                </Anchor>
            </Table.Td>
            <Table.Td>{tasks.length === 0 ? t('free') : minutes(planned)}</Table.Td>
            <Table.Td>{tasks.length === 0 ? '' : t('{{done}} of {{tasks}}', { done, tasks: tasks.length })}</Table.Td>
        </Table.Tr>
    );
}

const MEANS = [
    [
        t('Slow'),
        t(
            'so slow that nothing goes wrong. The number beside ♩ is how fast: press Play with Only the beat to hear it.',
        ),
    ],
    [t('Three in a row'), t('three good ones, one after the other. After a slip the counting begins anew.')],
    [
        t('One hand'),
        t('the round note with its stem up is the right hand, the square one with its stem down the left.'),
    ],
    [
        t('After a missed day'),
        t('do not make it up at once. Go on with today; what did not fit comes again by itself.'),
    ],
    [t('A word to the teacher'), t('write it above, or with a tick. The teacher reads it before the next lesson.')],
];

/** What the teacher's words mean at home. */
function Words() {
    return (
        <dl>
            {MEANS.map(([word, means]) => (
                <div key={word}>
                    <Text component="dt" fw={700} mt="xs">
                        {word}
                    </Text>
                    <Text component="dd" m={0}>
                        {means}
                    </Text>
                </div>
            ))}
        </dl>
    );
}

/** An iPad says that it is a Mac, but a Mac has no touch. */
function isOnApple(): boolean {
    return (
        /iPhone|iPad/.test(navigator.userAgent) ||
        (/Macintosh/.test(navigator.userAgent) && navigator.maxTouchPoints > 1)
    );
}

/** What these devices do not do, and what helps. */
function OnApple() {
    return (
        <Text mt="sm">
            {t(
                'On an iPhone or iPad: choose Share, then Add to Home Screen, and open this page from there. Otherwise what is kept for a day without a connection is deleted after a week without a visit; ticks that were sent are safe. A MIDI keyboard cannot be connected in this browser.',
            )}
        </Text>
    );
}
