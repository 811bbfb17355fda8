import '@mantine/charts/styles.css';
import { BarChart, LineChart } from '@mantine/charts';
import type { Api } from '../shared/api';
import { shortDate } from '../shared/words';
import { Behind } from './Behind';

type Progress = Api['ProgressResource'];

const HEIGHT = 200;

/** Minutes practised beside those planned, week by week. */
export function PracticeChart({ weeks }: { weeks: Progress['weeks'] }) {
    return (
        <>
            <div role="img" aria-label="Minutes practised and planned, week by week; the numbers are below">
                <BarChart
                    h={HEIGHT}
                    data={weeks.map((week) => ({
                        week: shortDate(week.startsOn),
                        planned: week.planned,
                        practised: week.practised,
                    }))}
                    dataKey="week"
                    series={[
                        { name: 'planned', color: 'var(--rule)' },
                        { name: 'practised', color: 'var(--leaf)' },
                    ]}
                    withLegend
                    barProps={{ isAnimationActive: false }}
                    unit=" min"
                />
            </div>
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
            <div role="img" aria-label="Secure and shaky notes, week by week; the numbers are below">
                <BarChart
                    h={HEIGHT}
                    type="stacked"
                    data={weeks.map((week) => ({
                        week: shortDate(week.startsOn),
                        secure: week.secure,
                        shaky: week.shaky,
                    }))}
                    dataKey="week"
                    series={[
                        { name: 'secure', color: 'var(--leaf)' },
                        { name: 'shaky', color: 'var(--thorn)' },
                    ]}
                    withLegend
                    barProps={{ isAnimationActive: false }}
                />
            </div>
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
