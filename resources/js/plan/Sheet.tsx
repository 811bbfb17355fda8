import { Button, Group, Text } from '@mantine/core';
import { useMutation, useQueries } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { type Api, api, ask, at, type Task, type Week } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { Score } from '../shared/score/Score';
import { barsWords, dayFrom, dayName, handWords, longDate, minutes, shortDate, weekdayOf } from '../shared/words';

/** Width and printable height in millimetres. */
const PAPER = { a4: { size: 'A4', width: 190, height: 276 }, letter: { size: 'letter', width: 196, height: 258 } };
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
        return <Waiting what="Laying out the sheet…" />;
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
    const content = useRef<HTMLDivElement>(null);
    const [zoom, setZoom] = useState(1);
    /** Only hashes of links are kept, so a sheet that shows one gets its own; it closes by itself two weeks after. */
    const link = useMutation({
        mutationFn: () =>
            ask('post', '/students/{student}/links', {
                ...at({ student: week.studentId }),
                body: { label: `Sheet of ${shortDate(week.startsOn)}`, expiresOn: dayFrom(week.endsOn, 14) },
            }),
    });
    useEffect(() => {
        const element = content.current;
        if (element === null) return;
        const watch = new ResizeObserver(() => {
            const needed = element.scrollHeight;
            setZoom(Math.min(1, (paper.height * MILLIMETRE) / needed));
        });
        watch.observe(element);
        return () => watch.disconnect();
    }, [paper.height]);
    const days = week.days.filter((day) => day.minutes > 0);
    const tasks = week.tasks.filter((task) => task.dates.length > 0);
    const loose = tasks.filter((task) => task.pieceId === null);
    return (
        <div className="on-paper">
            <style>{`@page { size: ${paper.size}; margin: 10mm; }`}</style>
            <Group className="no-print" p="sm" style={{ background: 'var(--paper)' }}>
                <Button onClick={() => window.print()}>Print</Button>
                <Button variant="default" onClick={() => navigate(`/weeks/${week.id}`)}>
                    Back to the plan
                </Button>
                <Button variant="default" onClick={() => link.mutate()} loading={link.isPending}>
                    With a home link to scan
                </Button>
                <Text c="var(--ink)">One {studio.paper === 'a4' ? 'A4' : 'Letter'} sheet</Text>
            </Group>
            <div
                style={{ width: `${paper.width}mm`, height: `${paper.height}mm`, margin: '0 auto', overflow: 'hidden' }}
            >
                <div
                    ref={content}
                    style={{ transform: `scale(${zoom})`, transformOrigin: 'top left', width: `${paper.width}mm` }}
                >
                    <header
                        style={{
                            display: 'flex',
                            justifyContent: 'space-between',
                            alignItems: 'baseline',
                            borderBottom: '2px solid currentColor',
                            padding: '2mm 0',
                        }}
                    >
                        <h1 style={{ fontFamily: "'Fraunces Variable', serif", fontSize: '20pt', margin: 0 }}>
                            {week.student}
                        </h1>
                        <span>
                            {shortDate(week.startsOn)} to {shortDate(week.endsOn)}; next lesson {longDate(week.endsOn)}
                        </span>
                        {link.data?.url && (
                            <QRCodeSVG value={link.data.url} size={84} title="The week on a phone: scan this" />
                        )}
                    </header>
                    {week.message !== '' && <p style={{ margin: '2mm 0 0' }}>{week.message}</p>}
                    {loose.length > 0 && <TaskTable tasks={loose} days={days} />}
                    {pieces.map((piece) => {
                        const own = tasks.filter((task) => task.pieceId === piece.id);
                        const bars = own.flatMap((task) => task.bars);
                        const range: [number, number] = [
                            Math.min(...bars.map((of) => of.first)),
                            Math.max(...bars.map((of) => of.last)),
                        ];
                        return (
                            <section key={piece.id} style={{ marginTop: '3mm', breakInside: 'avoid' }}>
                                <h2
                                    style={{
                                        fontFamily: "'Fraunces Variable', serif",
                                        fontSize: '13pt',
                                        margin: '0 0 1mm',
                                    }}
                                >
                                    {piece.title}{' '}
                                    <small style={{ fontWeight: 400 }}>
                                        {piece.book}, p. {piece.page}
                                    </small>
                                </h2>
                                {bars.length > 0 && (
                                    <Score
                                        music={piece.music}
                                        title={`${piece.title}, bars to practise`}
                                        scale={36}
                                        lines="free"
                                        range={range}
                                    />
                                )}
                                <TaskTable tasks={own} days={days} />
                            </section>
                        );
                    })}
                </div>
            </div>
        </div>
    );
}

function TaskTable({ tasks, days }: { tasks: Task[]; days: Week['days'] }) {
    const cell = {
        border: '1px solid GrayText',
        padding: '0.8mm 1.5mm',
        fontSize: '9.5pt',
        verticalAlign: 'top' as const,
    };
    return (
        <table style={{ width: '100%', borderCollapse: 'collapse', marginTop: '2mm' }}>
            <thead>
                <tr>
                    <th scope="col" style={{ ...cell, textAlign: 'left' }}>
                        What
                    </th>
                    {days.map((day) => (
                        <th key={day.date} scope="col" style={{ ...cell, width: '10mm' }}>
                            {dayName(weekdayOf(day.date)).slice(0, 2)}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {tasks.map((task) => (
                    <tr key={task.id}>
                        <td style={cell}>
                            <b>{task.title}</b>
                            {task.pieceId !== null && (
                                <>
                                    {', '}
                                    {handWords(task.hand)}, {barsWords(task.bars)}
                                    {task.repetitions > 1 && `, ${task.repetitions} times`}
                                    {task.tempo !== null && `, tempo ${task.tempo}`}
                                </>
                            )}
                            , {minutes(task.minutes)}. {task.instruction}
                        </td>
                        {days.map((day) => (
                            <td
                                key={day.date}
                                style={{ ...cell, textAlign: 'center', fontSize: '13pt', lineHeight: 1 }}
                            >
                                {task.dates.includes(day.date) ? '☐' : ''}
                            </td>
                        ))}
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
