import { Button, Group, Text } from '@mantine/core';
import { useMutation, useQueries } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { type Api, api, ask, at, type Task, type Week } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { PAPER } from '../shared/paper';
import { useSession } from '../shared/Shell';
import { Score } from '../shared/score/Score';
import {
    barsWords,
    dayFrom,
    dayName,
    handWords,
    longDate,
    shortDate,
    taskMinutes,
    tempoWords,
    weekdayOf,
} from '../shared/words';
import { t } from '../text';
import styles from './Sheet.module.css';

const MILLIMETRE = 96 / 25.4;

export function Sheet() {
    const id = Number(useParams().week);
    const week = api.useQuery('get', '/weeks/{week}', at({ week: id }));
    const session = useSession();
    const pieceIds = [
        ...new Set(
            (week.data?.tasks ?? []).flatMap((task) =>
                task.pieceId === null || task.dates.length === 0 ? [] : [task.pieceId],
            ),
        ),
    ];
    const pieces = useQueries({
        queries: pieceIds.map((piece) => api.queryOptions('get', '/pieces/{piece}', at({ piece }))),
    });
    if (week.error) return <Trouble error={week.error} />;
    if (week.data === undefined || session.data === undefined || pieces.some((piece) => piece.isPending))
        return <Waiting what={t('Laying out the sheet…')} />;
    return <Paper week={week.data} studio={session.data.studio} pieces={pieces.flatMap((piece) => piece.data ?? [])} />;
}

interface Props {
    week: Week;
    studio: Api['StudioResource'];
    pieces: Api['PieceResource'][];
}

/** The week on one sheet: what is done on which day, with the bars engraved. Shrunk until it fits. */
function Paper({ week, studio, pieces }: Props) {
    const navigate = useNavigate();
    const paper = PAPER[studio.paper];
    const { content, zoom } = useFit(paper.height);
    const link = useSheetLink(week);
    const days = week.days.filter((day) => day.minutes > 0);
    const tasks = week.tasks.filter((task) => task.dates.length + task.filled.length > 0);
    const loose = tasks.filter((task) => task.pieceId === null);
    return (
        <div className="on-paper">
            <style>{t('@page { size: {{size}}; margin: 10mm; }', { size: paper.size })}</style>
            <Group className={`no-print ${styles.tools}`} p="sm">
                <Button onClick={() => window.print()}>{t('Print')}</Button>
                <Button variant="default" onClick={() => navigate(`/weeks/${week.id}`)}>
                    {t('Back to the plan')}
                </Button>
                <Button variant="default" onClick={() => link.mutate()} loading={link.isPending}>
                    {t('With a home link to scan')}
                </Button>
                <Text c="var(--ink)">{studio.paper === 'a4' ? t('One A4 sheet') : t('One Letter sheet')}</Text>
            </Group>
            <div className={styles.sheet} style={{ width: `${paper.width}mm`, height: `${paper.height}mm` }}>
                <div
                    ref={content}
                    className={styles.content}
                    style={{ transform: `scale(${zoom})`, width: `${paper.width}mm` }}
                >
                    <SheetHead week={week} link={link.data?.url ?? null} />
                    {week.message !== '' && <p className={styles.word}>{week.message}</p>}
                    {week.lessonNote !== '' && (
                        <p className={styles.word}>
                            {t('From the lesson: {{lessonNote}}', { lessonNote: week.lessonNote })}
                        </p>
                    )}
                    {loose.length > 0 && <TaskTable tasks={loose} days={days} />}
                    {pieces.map((piece) => (
                        <PieceTasks
                            key={piece.id}
                            piece={piece}
                            tasks={tasks.filter((task) => task.pieceId === piece.id)}
                            days={days}
                        />
                    ))}
                </div>
            </div>
        </div>
    );
}

/** Whose week it is, and a code that leads to it. */
function SheetHead({ week, link }: { week: Week; link: string | null }) {
    return (
        <header className={styles.head}>
            <h1>{week.student}</h1>
            <span>
                {t('{{shortDate}} to {{shortDate2}}; next lesson {{longDate}}', {
                    shortDate: shortDate(week.startsOn),
                    shortDate2: shortDate(week.endsOn),
                    longDate: longDate(week.endsOn),
                })}
            </span>
            {link !== null && <QRCodeSVG value={link} size={84} title={t('The week on a phone: scan this')} />}
        </header>
    );
}

/** A piece: the bars that are practised, engraved, and its tasks. */
function PieceTasks({ piece, tasks, days }: { piece: Api['PieceResource']; tasks: Task[]; days: Week['days'] }) {
    const bars = tasks.flatMap((task) => task.bars);
    const range: [number, number] = [Math.min(...bars.map((of) => of.first)), Math.max(...bars.map((of) => of.last))];
    return (
        <section className={styles.piece}>
            <h2>
                {piece.title}{' '}
                <small>
                    {piece.book}, p. {piece.page}
                </small>
            </h2>
            {bars.length > 0 && (
                <Score
                    music={piece.music}
                    title={t('{{title}}, bars to practise', { title: piece.title })}
                    scale={36}
                    lines="free"
                    range={range}
                />
            )}
            <TaskTable tasks={tasks} days={days} />
        </section>
    );
}

/** The content is shrunk until it fits a height in millimetres. */
function useFit(height: number) {
    const content = useRef<HTMLDivElement>(null);
    const [zoom, setZoom] = useState(1);
    useEffect(() => {
        const element = content.current;
        if (element === null) return;
        const watch = new ResizeObserver(() => {
            const needed = element.scrollHeight;
            setZoom(Math.min(1, (height * MILLIMETRE) / needed));
        });
        watch.observe(element);
        return () => watch.disconnect();
    }, [height]);
    return { content, zoom };
}

/** Only hashes of links are kept, so a sheet that shows one gets its own; it closes by itself two weeks after. */
function useSheetLink(week: Week) {
    return useMutation({
        mutationFn: () =>
            ask('post', '/students/{student}/links', {
                ...at({ student: week.studentId }),
                body: {
                    label: t('Sheet of {{shortDate}}', { shortDate: shortDate(week.startsOn) }),
                    expiresOn: dayFrom(week.endsOn, 14),
                },
            }),
    });
}

function TaskTable({ tasks, days }: { tasks: Task[]; days: Week['days'] }) {
    return (
        <table className={styles.tasks}>
            <thead>
                <tr>
                    <th scope="col">{t('What')}</th>
                    {days.map((day) => (
                        <th key={day.date} scope="col">
                            {dayName(weekdayOf(day.date)).slice(0, 2)}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {tasks.map((task) => (
                    <tr key={task.id}>
                        <td>
                            <b>{task.title}</b>
                            {task.pieceId !== null && (
                                <>
                                    {', '}
                                    {handWords(task.hand)}, {barsWords(task.bars)}
                                    {task.repetitions > 1 &&
                                        t(', {{repetitions}} times', { repetitions: task.repetitions })}
                                    {task.tempo !== null && `, ${tempoWords(task.tempo)}`}
                                </>
                            )}
                            , {taskMinutes(task)}. {task.instruction}
                        </td>
                        {days.map((day) => (
                            <td key={day.date} className={styles.tick}>
                                {task.dates.includes(day.date) || task.filled.includes(day.date) ? '☐' : ''}
                            </td>
                        ))}
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
