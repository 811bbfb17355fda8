import { Button, Group, Select, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { type Api, ask, type Playback, type Report, type Student } from '../shared/api';
import { useKeys } from '../shared/keys';
import { Trouble, Waiting } from '../shared/Notes';
import { BarButtons } from '../shared/score/BarButtons';
import { Marks, type NoteMark } from '../shared/score/Marks';
import { Score } from '../shared/score/Score';
import { Player } from '../shared/sound/Player';
import { BarTiles } from './BarTiles';
import { BarWords } from './BarWords';
import { findingsOf, LENSES, type Lens } from './findings';
import { PieceFiles } from './PieceFiles';
import { useBars } from './useBars';

type Breakdown = Api['BreakdownResource'];

export function Desk() {
    const id = Number(useParams().piece);
    const [search, setSearch] = useSearchParams();
    const student = search.get('student');
    const breakdown = useQuery({
        queryKey: ['breakdown', id, student],
        queryFn: () => ask<Breakdown>('GET', `/pieces/${id}/breakdown${student === null ? '' : `?student=${student}`}`),
        // Another student's reading of the same page takes its place; the lens stays.
        placeholderData: (before) => (before?.piece.id === id ? before : undefined),
    });
    const students = useQuery({ queryKey: ['students'], queryFn: () => ask<Student[]>('GET', '/students') });
    if (breakdown.isPending) return <Waiting what="Reading the page…" />;
    if (breakdown.error) return <Trouble error={breakdown.error} again={() => breakdown.refetch()} />;
    return (
        <Page
            key={id}
            data={breakdown.data}
            chooser={
                <Select
                    aria-label="For which student"
                    placeholder="For a student"
                    clearable
                    w={170}
                    value={student}
                    onChange={(chosen) => setSearch(chosen === null ? {} : { student: chosen }, { replace: true })}
                    data={students.data?.map((one) => ({ value: String(one.id), label: one.name })) ?? []}
                />
            }
        />
    );
}

function Page({ data, chooser }: { data: Breakdown; chooser: React.ReactNode }) {
    const { piece, report, playback } = data;
    const navigate = useNavigate();
    const [lens, setLens] = useState<Lens>('look over');
    const [chosen, setChosen] = useState<number | null>(null);
    const numbers = report.hands.map((one) => one.measure);
    const { bars: range, choose: chooseBar, step: stepBar, clear } = useBars(numbers.length);
    const [sounding, setSounding] = useState<ReadonlyMap<string, 'yes' | 'left'>>(new Map());
    const findings = useMemo(() => findingsOf(report, lens), [report, lens]);
    const finding = chosen === null ? null : (findings[chosen] ?? null);
    const look = (next: Lens) => {
        setLens(next);
        setChosen(null);
    };
    const step = (by: number) => {
        clear();
        setChosen((before) => (before === null ? 0 : (before + by + findings.length) % findings.length));
    };
    useKeys([
        ...LENSES.map((one) => ({ key: one.key, does: `look at the ${one.name}`, run: () => look(one.name) })),
        { key: 'j', does: 'next finding', run: () => step(1) },
        { key: 'k', does: 'finding before', run: () => step(-1) },
        {
            key: 'e',
            does: 'correct the piece',
            run: () => navigate(`/pieces/${piece.id}/entry`),
        },
        { key: 'ArrowRight', does: 'next bar', run: () => stepBar(1, false) },
        { key: 'ArrowLeft', does: 'bar before', run: () => stepBar(-1, false) },
        { key: 'Shift+ArrowRight', does: 'one bar more', run: () => stepBar(1, true) },
        { key: 'Shift+ArrowLeft', does: 'one bar less', run: () => stepBar(-1, true) },
    ]);
    const lit = useMemo(() => {
        if (sounding.size > 0) return sounding;
        const hands = new Map(report.events.map((event) => [event.id, event.hand]));
        return new Map(
            (finding?.events ?? []).map((event) => [
                event,
                hands.get(event) === 'L' ? ('left' as const) : ('yes' as const),
            ]),
        );
    }, [finding, report, sounding]);
    const marks = useMemo(() => marksOf(report, lens), [report, lens]);
    const bars = new Set(range === null ? (finding?.bars ?? []) : numbers.slice(range[0], range[1] + 1));
    const bar = range !== null && range[0] === range[1] ? (numbers[range[0]] ?? null) : null;
    const chooseNumber = (number: number, more: boolean) => chooseBar(numbers.indexOf(number), more);
    const sound =
        range === null
            ? playback
            : () => ask<Playback>('GET', `/pieces/${piece.id}/playback?first=${range[0]}&last=${range[1]}`);
    const title = `${piece.title}, engraved`;
    return (
        <>
            <Group justify="space-between" mb="xs" wrap="nowrap">
                <div>
                    <Title order={1} fz={26}>
                        {piece.title}
                    </Title>
                    <Text size="sm" className="faint">
                        {piece.book}, p. {piece.page}
                        {piece.label}
                    </Text>
                </div>
                <Group gap="xs" wrap="nowrap">
                    {chooser}
                    <PieceFiles pieceId={piece.id} />
                    <Button variant="default" component={Link} to={`/pieces/${piece.id}/entry`}>
                        Correct (e)
                    </Button>
                </Group>
            </Group>
            <Group gap={6} mb="sm" role="toolbar" aria-label="Lenses">
                {LENSES.map((one) => (
                    <Button
                        key={one.name}
                        size="compact-md"
                        variant={lens === one.name ? 'filled' : 'default'}
                        aria-pressed={lens === one.name}
                        onClick={() => look(one.name)}
                    >
                        {one.name} ({one.key})
                    </Button>
                ))}
            </Group>
            <div
                style={{
                    display: 'grid',
                    gridTemplateColumns: 'minmax(0, 2.3fr) minmax(17rem, 1fr)',
                    gap: '1rem',
                    alignItems: 'start',
                }}
            >
                <div className="sheet">
                    <Score
                        music={piece.music}
                        title={title}
                        scale={45}
                        airy={lens === 'counts'}
                        hideFingers={lens === 'fingers'}
                        lit={lit}
                        overlay={(places) => (
                            <>
                                <BarButtons
                                    places={places}
                                    label={(i) => `Bar ${numbers[i]}`}
                                    state={(i) => (bars.has(numbers[i] ?? -1) ? 'chosen' : 'plain')}
                                    choose={chooseBar}
                                />
                                <Marks places={places} marks={marks} />
                            </>
                        )}
                    />
                    <BarTiles report={report} chosen={bars} choose={chooseNumber} />
                    <Player
                        key={range?.join(' ')}
                        playback={sound}
                        tempo={playbackTempo(report)}
                        hand={null}
                        onLit={setSounding}
                        what={range === null ? undefined : barsInWords(numbers, range)}
                    />
                    {piece.duet !== null && <DuetPart music={piece.duet} />}
                </div>
                <aside
                    aria-label={`Findings: ${lens}`}
                    className="sheet"
                    style={{ maxHeight: 'calc(100vh - 170px)', overflowY: 'auto', padding: '0.5rem' }}
                >
                    {bar !== null && <BarWords report={report} bar={bar} />}
                    <ul className="plain-list">
                        {findings.map((one, i) => (
                            <li key={`${one.title} ${one.text}`}>
                                <button
                                    type="button"
                                    className="finding"
                                    aria-pressed={chosen === i}
                                    onClick={() => {
                                        clear();
                                        setChosen(chosen === i ? null : i);
                                    }}
                                >
                                    <b className={one.thorn ? 'thorn' : undefined}>
                                        {one.thorn && '▲ '}
                                        {one.title}
                                    </b>
                                    <br />
                                    <span>{one.text}</span>
                                </button>
                            </li>
                        ))}
                    </ul>
                    {findings.length === 0 && <Text className="faint">Nothing to say here.</Text>}
                </aside>
            </div>
        </>
    );
}

function barsInWords(numbers: number[], [first, last]: [number, number]): string {
    return first === last ? `bar ${numbers[first]}` : `bars ${numbers[first]} to ${numbers[last]}`;
}

/** What the teacher plays with it. */
function DuetPart({ music }: { music: string }) {
    return (
        <details style={{ marginTop: '0.6rem' }}>
            <summary style={{ cursor: 'pointer', fontWeight: 700 }}>The teacher’s part</summary>
            <Score music={music} title="The teacher’s part, engraved" scale={36} />
        </details>
    );
}

/** The goal of the page, in the beats that are counted; the stages know it. */
function playbackTempo(report: Report): number {
    return report.stages.findLast((stage) => stage.tempo !== null)?.tempo ?? 80;
}

function marksOf(report: Report, lens: Lens): NoteMark[] {
    if (lens !== 'fingers' && lens !== 'counts') return [];
    return report.events
        .filter((event) => lens === 'counts' || event.fingers.some((finger) => finger !== null))
        .map((event) => ({
            id: event.id,
            hand: event.hand,
            rest: event.kind === 'rest',
            printed: lens === 'fingers' && event.finger_from === 'page',
            place: lens === 'counts' ? 'below' : 'above',
            texts: lens === 'counts' ? event.counts : [event.fingers.map((finger) => finger ?? '?').join(' ')],
        }));
}
