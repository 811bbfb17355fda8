import '@mantine/charts/styles.css';
import { BarChart, LineChart } from '@mantine/charts';
import type { Api } from '../shared/api';
import { shortDate } from '../shared/words';
import { Behind } from './Behind';

type Progress = Api['ProgressResource'];

const HEIGHT = 200;

interface WeekBarsProps {
    about: string;
    data: Record<string, string | number>[];
    series: { name: string; color: string }[];
    stacked?: boolean;
    unit?: string;
}

/** Bars for each week. */
function WeekBars({ about, data, series, stacked = false, unit = '' }: WeekBarsProps) {
    return (
        <div role="img" aria-label={`${about}, week by week; the numbers are below`}>
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
                about="Minutes practised and planned"
                data={weeks.map(({ startsOn, planned, practised }) => ({
                    week: shortDate(startsOn),
                    planned,
                    practised,
                }))}
                series={[
                    { name: 'planned', color: 'var(--rule)' },
                    { name: 'practised', color: 'var(--leaf)' },
                ]}
                unit=" min"
            />
            <Behind
                what="Minutes and days, week by week"
                head={['week of', 'planned', 'practised', 'days planned', 'days practised']}
                rows={weeks.map((week) => [
                    shortDate(week.startsOn),
                    `${week.planned} min`,
                    `${week.practised} min`,
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
                about="Secure and shaky notes"
                data={weeks.map(({ startsOn, secure, shaky }) => ({ week: shortDate(startsOn), secure, shaky }))}
                series={[
                    { name: 'secure', color: 'var(--leaf)' },
                    { name: 'shaky', color: 'var(--thorn)' },
                ]}
                stacked
            />
            <Behind
                what="Notes, week by week"
                head={['week of', 'secure', 'shaky']}
                rows={weeks.map((week) => [shortDate(week.startsOn), week.secure, week.shaky])}
            />
        </>
    );
}

/** The tempo of each piece over time. */
export function TempoChart({ tempi }: { tempi: Progress['tempi'] }) {
    const days = [...new Set(tempi.flatMap((piece) => piece.points.map((point) => point.date)))].sort();
    const colours = ['var(--leaf)', 'var(--ink)', 'var(--thorn)', 'var(--faint)'];
    const dashes = ['0', '6 3', '2 3', '8 3 2 3'];
    const data = days.map((date) => ({
        date: shortDate(date),
        ...Object.fromEntries(
            tempi.map((piece) => [piece.piece, piece.points.findLast((point) => point.date === date)?.tempo ?? null]),
        ),
    }));
    return (
        <>
            <div role="img" aria-label="Tempo of each piece over time; the numbers are below">
                <LineChart
                    h={HEIGHT}
                    data={data}
                    dataKey="date"
                    series={tempi.map((piece, i) => ({
                        name: piece.piece,
                        color: colours[i % 4] ?? 'var(--ink)',
                        strokeDasharray: dashes[i % 4] ?? '0',
                    }))}
                    connectNulls
                    withLegend
                    curveType="linear"
                    lineProps={{ isAnimationActive: false }}
                    yAxisProps={{ domain: ['auto', 'auto'] }}
                />
            </div>
            <Behind
                what="Tempo of each piece"
                head={['piece', 'day', 'beats a minute', 'where']}
                rows={tempi.flatMap((piece) =>
                    piece.points.map((point) => [
                        piece.piece,
                        shortDate(point.date),
                        point.tempo,
                        point.atLesson ? 'at the lesson' : 'at home',
                    ]),
                )}
            />
        </>
    );
}
