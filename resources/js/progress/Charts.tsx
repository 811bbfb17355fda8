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

/** Those of which a picture tells most: worked on longest, in the order they were begun. */
export function drawn(tempi: Progress['tempi']): Progress['tempi'] {
    const longest = tempi.toSorted((a, b) => b.points.length - a.points.length).slice(0, LINES.length);
    return tempi.filter((piece) => longest.includes(piece));
}

/** The tempo of pieces over time; in numbers, of all. */
export function TempoChart({ tempi }: { tempi: Progress['tempi'] }) {
    const lines = drawn(tempi);
    const days = [...new Set(lines.flatMap((piece) => piece.points.map((point) => point.date)))].sort();
    const data = days.map((date) => ({
        date: shortDate(date),
        ...Object.fromEntries(
            lines.map((piece) => [piece.piece, piece.points.findLast((point) => point.date === date)?.tempo ?? null]),
        ),
    }));
    return (
        <>
            <div role="img" aria-label={t('Tempo of each piece over time; the numbers are below')}>
                <LineChart
                    h={HEIGHT}
                    data={data}
                    dataKey="date"
                    series={lines.map((piece, i) => ({ name: piece.piece, color: 'var(--ink)', ...LINES[i] }))}
                    connectNulls
                    withLegend
                    curveType="linear"
                    lineProps={{ isAnimationActive: false }}
                    yAxisProps={{ domain: ['auto', 'auto'] }}
                />
            </div>
            {lines.length < tempi.length && (
                <Text size="sm" className="faint">
                    {t('The {{lines}} pieces played on most days; all {{tempi}} are in numbers.', {
                        lines: lines.length,
                        tempi: tempi.length,
                    })}
                </Text>
            )}
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
