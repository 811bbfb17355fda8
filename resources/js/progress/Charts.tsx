import '@mantine/charts/styles.css';
import { BarChart, LineChart } from '@mantine/charts';
import { Text } from '@mantine/core';
import type { Api } from '../api';
import { shortDate } from '../shared/words';
import { t } from '../text';
import { Behind } from './Behind';

type Progress = Api['ProgressResource'];

const HEIGHT = 200;

interface WeekBarsProps<Row> {
    about: string;
    data: Row[];
    /** `name` is the field of the data. */
    series: { name: keyof Row & string; label: string; color: string }[];
    stacked?: boolean;
    unit?: string;
}

/** Bars for each week. */
function WeekBars<Row extends Record<string, string | number>>({
    about,
    data,
    series,
    stacked = false,
    unit = '',
}: WeekBarsProps<Row>) {
    return (
        <div role="img" aria-label={t('{{about}}, week by week; the numbers are below', { about })}>
            <BarChart
                h={HEIGHT}
                type={stacked ? 'stacked' : 'default'}
                data={data}
                dataKey="week"
                series={series}
                withLegend
                barProps={{ isAnimationActive: false }}
                unit={unit}
            />
        </div>
    );
}

/** Minutes practised beside those planned, week by week. */
export function PracticeChart({ weeks }: { weeks: Progress['weeks'] }) {
    return (
        <>
            <WeekBars
                about={t('Minutes practised and planned')}
                data={weeks.map(({ startsOn, planned, practised }) => ({
                    week: shortDate(startsOn),
                    planned,
                    practised,
                }))}
                series={[
                    { name: 'planned', label: t('planned'), color: 'var(--rule)' },
                    { name: 'practised', label: t('practised'), color: 'var(--leaf)' },
                ]}
                unit={t(' min')}
            />
            <Behind
                what={t('Minutes and days, week by week')}
                head={[t('week of'), t('planned'), t('practised'), t('days planned'), t('days practised')]}
                rows={weeks.map((week) => [
                    shortDate(week.startsOn),
                    t('{{planned}} min', { planned: week.planned }),
                    t('{{practised}} min', { practised: week.practised }),
                    week.daysPlanned,
                    week.daysPractised,
                ])}
            />
        </>
    );
}

/** Notes that are secure and shaky at the end of each week. */
export function KnowledgeChart({ weeks }: { weeks: Progress['weeks'] }) {
    return (
        <>
            <WeekBars
                about={t('Secure and shaky notes')}
                data={weeks.map(({ startsOn, secure, shaky }) => ({ week: shortDate(startsOn), secure, shaky }))}
                series={[
                    { name: 'secure', label: t('secure'), color: 'var(--leaf)' },
                    { name: 'shaky', label: t('shaky'), color: 'var(--thorn)' },
                ]}
                stacked
            />
            <Behind
                what={t('Notes, week by week')}
                head={[t('week of'), t('secure'), t('shaky')]}
                rows={weeks.map((week) => [shortDate(week.startsOn), week.secure, week.shaky])}
            />
        </>
    );
}

/** The lines that can be told apart by colour and by dashes. */
const LINES = [
    { color: 'var(--leaf)', strokeDasharray: '0' },
    { color: 'var(--ink)', strokeDasharray: '6 3' },
    { color: 'var(--thorn)', strokeDasharray: '2 3' },
    { color: 'var(--faint)', strokeDasharray: '8 3 2 3' },
];

interface Line {
    piece: string;
    points: { date: string; value: number }[];
}

/** Those of which a picture tells most: worked on longest, in the order they were begun. */
export function drawn<Of extends { points: readonly unknown[] }>(pieces: readonly Of[]): Of[] {
    const longest = pieces.toSorted((a, b) => b.points.length - a.points.length).slice(0, LINES.length);
    return pieces.filter((piece) => longest.includes(piece));
}

/** A line for each piece over the days. */
function PieceLines({ about, pieces, most }: { about: string; pieces: readonly Line[]; most?: number }) {
    const lines = drawn(pieces);
    const days = [...new Set(lines.flatMap((piece) => piece.points.map((point) => point.date)))].sort();
    const data = days.map((date) => ({
        date: shortDate(date),
        ...Object.fromEntries(
            lines.map((piece) => [piece.piece, piece.points.findLast((point) => point.date === date)?.value ?? null]),
        ),
    }));
    return (
        <>
            <div role="img" aria-label={t('{{about}} of each piece over time; the numbers are below', { about })}>
                <LineChart
                    h={HEIGHT}
                    data={data}
                    dataKey="date"
                    series={lines.map((piece, i) => ({ name: piece.piece, color: 'var(--ink)', ...LINES[i] }))}
                    connectNulls
                    withLegend
                    curveType="linear"
                    lineProps={{ isAnimationActive: false }}
                    yAxisProps={{ domain: most === undefined ? ['auto', 'auto'] : [0, most] }}
                />
            </div>
            {lines.length < pieces.length && (
                <Text size="sm" className="faint">
                    {t('The {{lines}} pieces played on most days; all {{pieces}} are in numbers.', {
                        lines: lines.length,
                        pieces: pieces.length,
                    })}
                </Text>
            )}
        </>
    );
}

/** The tempo of pieces over time; in numbers, of all. */
export function TempoChart({ tempi }: { tempi: Progress['tempi'] }) {
    const pieces = tempi.map(({ piece, points }) => ({
        piece,
        points: points.map(({ date, tempo }) => ({ date, value: tempo })),
    }));
    return (
        <>
            <PieceLines about={t('Tempo')} pieces={pieces} />
            <Behind
                what={t('Tempo of each piece')}
                head={[t('piece'), t('day'), t('beats a minute'), t('where')]}
                rows={tempi.flatMap((piece) =>
                    piece.points.map((point) => [
                        piece.piece,
                        shortDate(point.date),
                        point.tempo,
                        point.atLesson ? t('at the lesson') : t('at home'),
                    ]),
                )}
            />
        </>
    );
}

/** How steady pieces were heard over time; in numbers also how fast, and how often clean. */
export function HeardChart({ takes }: { takes: Progress['takes'] }) {
    const pieces = takes.map(({ piece, days }) => ({
        piece,
        points: days.flatMap(({ date, steady }) => (steady === null ? [] : [{ date, value: steady }])),
    }));
    return (
        <>
            <PieceLines about={t('Steady beats')} pieces={pieces} most={100} />
            <Behind
                what={t('What was heard of each piece')}
                head={[t('piece'), t('day'), t('takes'), t('clean'), t('♩ a minute'), t('steady beats of 100')]}
                rows={takes.flatMap(({ piece, days }) =>
                    days.map((day) => [
                        piece,
                        shortDate(day.date),
                        day.takes,
                        day.clean,
                        day.tempo ?? '–',
                        day.steady ?? '–',
                    ]),
                )}
            />
        </>
    );
}
