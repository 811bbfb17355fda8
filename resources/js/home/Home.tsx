import { Button, Group, SegmentedControl, Stack, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { ApiError } from '../api';
import { useEngravings } from '../practice/engraving';
import { Leaf } from '../shared/Leaf';
import { Trouble, Waiting } from '../shared/Notes';
import { dayFrom, dayName, daysBetween, longDate, weekdayOf } from '../shared/words';
import { t } from '../text';
import { DayList } from './DayList';
import { tasksOn } from './day';
import { ForParents } from './ForParents';
import styles from './Home.module.css';
import { HomeTask } from './HomeTask';
import { keepHome } from './keep';
import { LedDay } from './LedDay';
import { LedLesson } from './LedLesson';
import { isLedDone, isTick, isWord, type Unsent } from './outbox';
import { Room } from './Room';
import { type HomeTaskData, type HomeWeek, roomOf, useHome } from './useHome';
import type { WordOfToday } from './WordToTeacher';

const DAYS = [
    { value: '-1', label: t('Yesterday') },
    { value: '0', label: t('Today') },
    { value: '1', label: t('Tomorrow') },
];

/** What can be chosen: these three, and a day of the week that was opened beside them. */
function daysWith(away: number, date: string) {
    if (Math.abs(away) <= 1) return DAYS;
    const other = { value: String(away), label: dayName(weekdayOf(date)) };
    return away < 0 ? [other, ...DAYS] : [...DAYS, other];
}

/** How a drill is ticked that was done in the practice room. */
const BY_ITSELF = { repetitions: 1, tempo: null, seconds: null, feeling: 'fine', note: '' } as const;

/** `Today`, `Yesterday`, or the name of a day farther off. */
const labelOf = (away: number, date: string) =>
    daysWith(away, date).find((day) => day.value === String(away))?.label ?? '';

/** `today`, `yesterday`, `on Monday` */
const whenOf = (away: number, date: string) =>
    Math.abs(away) > 1 ? t('on {{labelOf}}', { labelOf: labelOf(away, date) }) : labelOf(away, date).toLowerCase();

/** The home side: a day at a time, large, for a child and a parent at the piano. */
export function Home() {
    const token = useParams().token ?? '';
    const [child, setChild] = useState<number | null>(null);
    const [away, setAway] = useState(0);
    const [open, setOpen] = useState<number | null>(null);
    const [room, setRoom] = useState<'all' | number | null>(null);
    const [led, setLed] = useState<'today' | number | null>(null);
    const inHand = useHome(token, child);
    const { home, week, today, kept, refused, tick, untick, isDone, word, save, tell, hear } = inHand;
    useEffect(() => keepHome(token), [token]);
    useEngravings(useQuery({ ...roomOf(token, child), enabled: week !== undefined }).data, today);
    if (week === undefined || (home.error instanceof ApiError && home.error.status === 401)) {
        return <NoWeek error={home.error} again={() => home.refetch()} />;
    }
    const date = dayFrom(today, away);
    if (led !== null) return <Led {...{ token, child, led, inHand, today }} leave={() => setLed(null)} />;
    if (room !== null) {
        const done = (which: (one: HomeTaskData) => boolean) => {
            const task = week.tasks.find(which);
            if (task !== undefined && !isDone(task, date)) tick({ ...BY_ITSELF, taskId: task.id, date });
        };
        const task = week.tasks.find((one) => one.id === room);
        return <Room {...{ token, child, today, save, tell, task, done }} leave={() => setRoom(null)} />;
    }
    const task = week.tasks.find((one) => one.id === open);
    if (task !== undefined) {
        return (
            <main className={styles.home}>
                <HomeTask
                    key={task.id}
                    token={token}
                    task={task}
                    hear={(body) => hear(task.id, body)}
                    done={isDone(task, date)}
                    day={away}
                    when={whenOf(away, date)}
                    longestPause={week.longestPause}
                    tick={(how) => {
                        tick({ taskId: task.id, date, ...how });
                        setOpen(null);
                    }}
                    untick={() => untick(task.id, date)}
                    drill={task.inRoom ? () => setRoom(task.id) : null}
                    back={
                        <Button variant="default" size="md" onClick={() => setOpen(null)}>
                            ← {labelOf(away, date)}
                        </Button>
                    }
                />
            </main>
        );
    }
    return (
        <main className={styles.home}>
            <Day
                {...{ week, today, away, setAway, child, setChild, kept, refused, isDone, word }}
                open={setOpen}
                enterRoom={() => setRoom('all')}
                lead={setLed}
            />
        </main>
    );
}

interface LedProps {
    token: string;
    child: number | null;
    led: 'today' | number;
    today: string;
    inHand: ReturnType<typeof useHome>;
    leave: () => void;
}

/** Led through today, or through a lesson of the teacher’s. */
function Led({ token, child, led, today, inHand, leave }: LedProps) {
    const { hearStep, ledDone } = inHand;
    if (led !== 'today') {
        return <LedLesson {...{ token, leave }} lesson={led} hear={hearStep} done={() => ledDone(led)} />;
    }
    return <LedToday {...{ token, child, today, inHand, leave }} />;
}

/** The run of today; what is done in the practice room is done there, and the run waits. */
function LedToday({ token, child, today, inHand, leave }: Omit<LedProps, 'led'>) {
    const [room, setRoom] = useState<number | null>(null);
    const { week, tick, isDone, save, tell, hear } = inHand;
    const tasks = week?.tasks ?? [];
    const ticked = (taskId: number, plays: number) =>
        tick({ ...BY_ITSELF, repetitions: Math.min(99, plays), taskId, date: today });
    const done = (which: (one: HomeTaskData) => boolean) => {
        const task = tasks.find(which);
        if (task !== undefined && !isDone(task, today)) ticked(task.id, 1);
    };
    const opens = (id: number) => (tasks.some((one) => one.id === id && one.inRoom) ? () => setRoom(id) : null);
    const task = tasks.find((one) => one.id === room);
    return (
        <>
            <div hidden={room !== null}>
                <LedDay {...{ token, child, hear, leave, opens }} tick={ticked} />
            </div>
            {room !== null && <Room {...{ token, child, today, save, tell, task, done }} leave={() => setRoom(null)} />}
        </>
    );
}

/** Before there is a week to show: it comes, it cannot be fetched, or the link is closed. */
function NoWeek({ error, again }: { error: unknown; again: () => void }) {
    const isClosed = error instanceof ApiError && error.status === 401;
    return (
        <main className={styles.home}>
            {isClosed && (
                <>
                    <Title order={1}>{t('This link is closed')}</Title>
                    <Text mt="sm">{t('It was withdrawn, or its time is over. Ask the teacher for a new one.')}</Text>
                </>
            )}
            {!isClosed && (error ? <Trouble error={error} again={again} /> : <Waiting what={t('One moment…')} />)}
        </main>
    );
}

interface DayProps {
    week: HomeWeek;
    today: string;
    away: number;
    setAway: (away: number) => void;
    child: number | null;
    setChild: (child: number) => void;
    kept: Unsent[];
    refused: number;
    isDone: (task: HomeTaskData, date: string) => boolean;
    open: (task: number) => void;
    enterRoom: () => void;
    /** Leads through today, or through a lesson of the teacher’s. */
    lead: (what: 'today' | number) => void;
    word: WordOfToday;
}

/** A day: who practises, how far it is done, and its tasks. */
function Day({ week, today, away, setAway, child, setChild, kept, refused, isDone, open, ...rooms }: DayProps) {
    const date = dayFrom(today, away);
    const day = week.days.find((one) => one.date === date);
    const tasks = tasksOn(week, date);
    const done = tasks.filter((task) => isDone(task, date)).length;
    const { enterRoom, lead, word } = rooms;
    return (
        <Stack gap="md">
            <WhoPractises
                week={week}
                child={child}
                choose={(id) => {
                    setChild(id);
                    setAway(0);
                }}
            />
            <Group justify="space-between" wrap="nowrap">
                <div>
                    <Text className="faint">{longDate(date)}</Text>
                    <Title order={1} fz={34}>
                        {t('Hello {{student}}', { student: week.student })}
                    </Title>
                    <Text>{howItStands(tasks.length, done, away)}</Text>
                </div>
                <Leaf days={week.days} today={today} size={104} />
            </Group>
            <SegmentedControl
                fullWidth
                aria-label={t('Which day')}
                value={String(away)}
                onChange={(value) => setAway(Number(value))}
                data={daysWith(away, date)}
            />
            <OfTheBox kept={kept} refused={refused} />
            {away === 0 && <FromTheTeacher week={week} />}
            {tasks.length === 0 && <Text className="sheet">{nothing(week, day !== undefined)}</Text>}
            {away === 0 && <LedLessons week={week} kept={kept} lead={lead} />}
            {away === 0 && done < tasks.length && (
                <Button size="lg" onClick={() => lead('today')}>
                    {t('Lead me through today')}
                </Button>
            )}
            <DayList tasks={tasks} breakAfter={week.breakAfter} isDone={(one) => isDone(one, date)} open={open} />
            {away === 0 && (
                <Button variant="light" size="lg" onClick={enterRoom}>
                    {t('Practice room')}
                </Button>
            )}
            {away === 0 && tasks.length > 0 && <Care words={week.care} date={date} />}
            <ForParents
                week={week}
                today={today}
                isDone={isDone}
                openDay={(one) => {
                    setAway(daysBetween(today, one));
                    window.scrollTo(0, 0);
                }}
                word={word}
            />
            <WhatIsKept />
        </Stack>
    );
}

/** What waits for a connection, and what was refused. */
function OfTheBox({ kept, refused }: Pick<DayProps, 'kept' | 'refused'>) {
    return (
        <>
            {kept.length > 0 && (
                <Text role="status" className="sheet" p="xs">
                    {waits(kept)}
                </Text>
            )}
            {refused > 0 && <Text role="alert">{t('Something could not be taken: its week is over.')}</Text>}
        </>
    );
}

/** Lessons that the teacher put together; one that was done is gone before the server knows. */
function LedLessons({ week, kept, lead }: Pick<DayProps, 'week' | 'kept' | 'lead'>) {
    const done = kept.filter(isLedDone).map((one) => one.ledLesson);
    // A week that a phone has kept from before has no list of them.
    return (week.ledLessons ?? [])
        .filter((lesson) => !done.includes(lesson.id))
        .map((lesson) => (
            <Button key={lesson.id} size="lg" variant="light" className={styles.long} onClick={() => lead(lesson.id)}>
                {t('From your teacher: {{title}}', { title: lesson.title })}
            </Button>
        ));
}

interface WhoProps {
    week: HomeWeek;
    child: number | null;
    choose: (child: number) => void;
}

/** Brothers and sisters share a link. */
function WhoPractises({ week, child, choose }: WhoProps) {
    if (week.children.length < 2) return null;
    return (
        <SegmentedControl
            fullWidth
            aria-label={t('Who practises')}
            value={String(child ?? week.children[0]?.id)}
            onChange={(id) => choose(Number(id))}
            data={week.children.map((one) => ({ value: String(one.id), label: one.name }))}
        />
    );
}

function howItStands(count: number, done: number, away: number): string {
    if (count === 0) return away === 0 ? t('Nothing to practise today.') : t('Nothing to practise.');
    return away > 0
        ? count === 1
            ? t('One thing to look forward to')
            : t('{{count}} things to look forward to', { count })
        : t('{{done}} of {{count}} done', { done, count });
}

/** What is kept here until there is a connection. */
function waits(kept: Unsent[]): string {
    const count = kept.length;
    if (kept.every(isTick))
        return count === 1
            ? t('One tick is kept here and will be sent when there is a connection.')
            : t('{{count}} ticks are kept here and will be sent when there is a connection.', { count });
    if (kept.every(isWord))
        return count === 1
            ? t('One word is kept here and will be sent when there is a connection.')
            : t('{{count}} words are kept here and will be sent when there is a connection.', { count });
    return count === 1
        ? t('One change is kept here and will be sent when there is a connection.')
        : t('{{count}} changes are kept here and will be sent when there is a connection.', { count });
}

function nothing(week: HomeWeek, inWeek: boolean): string {
    if (week.lessonOn === null) return t('No plan has been sent yet.');
    return inWeek
        ? t('A free day. The next lesson is {{longDate}}.', { longDate: longDate(week.lessonOn) })
        : t('This day is not in the plan that was sent. The next lesson is {{longDate}}.', {
              longDate: longDate(week.lessonOn),
          });
}

function FromTheTeacher({ week }: { week: HomeWeek }) {
    if (week.message === '' && week.lessonNote === '') return null;
    return (
        <section className="sheet" aria-label={t('From the teacher')}>
            {week.message !== '' && <Text>{week.message}</Text>}
            {week.lessonNote !== '' && (
                <Text mt={week.message === '' ? 0 : 6}>
                    <span className="faint">{t('From the lesson:')}</span> {week.lessonNote}
                </Text>
            )}
        </section>
    );
}

/** For the parent: what is kept about the child, where, and who may see it. */
function WhatIsKept() {
    return (
        <Text component="details" size="sm" className="faint">
            <summary>{t('What is kept about us')}</summary>
            <p>
                {t(
                    'The teacher keeps your child’s first name and initial, the year of birth, the weekly plans, what you tick and write here, what is answered in the practice room, which keys were played when you let it listen (never sound), and notes from the lessons. Only the teachers of the studio and whoever has this link can see it. Nothing goes to anyone else, and there is no tracking.',
                )}
            </p>
            <p>
                {t(
                    'This device keeps a copy of the week, so that the page works without a connection. You can ask the teacher at any time to show you everything, to correct it, or to delete it.',
                )}
            </p>
        </Text>
    );
}

/** One quiet word a day. */
function Care({ words, date }: { words: string[]; date: string }) {
    return (
        <Text size="sm" className="faint">
            {words[Number(date.slice(-2)) % words.length]}
        </Text>
    );
}
