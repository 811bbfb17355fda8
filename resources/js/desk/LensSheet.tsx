import { Button, Group, SegmentedControl, Select, Text } from '@mantine/core';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Api } from '../api';
import { studentIn } from '../shared/breakdown';
import { Trouble, Waiting } from '../shared/Notes';
import { PAPER } from '../shared/paper';
import { KeyMap } from '../shared/piano/KeyMap';
import { useSession } from '../shared/Shell';
import { t } from '../text';
import { findingsOf, LENSES, type Lens, lensWords } from './findings/findings';
import { startKeys, startWords } from './findings/fingers';
import styles from './LensSheet.module.css';
import { lensesIn, sayingIn } from './lenses';
import { type SheetKind, SheetMusic } from './SheetMusic';
import { useBreakdown } from './useBreakdown';

const WRITES: readonly Lens[] = ['notes', 'fingers', 'counts'];

const BLANK: Partial<Record<Lens, string>> = {
    notes: t('Write the name of each note on its line.'),
    fingers: t('Write the finger of each note on its line.'),
    counts: t('Write the counts under the notes, then say them and tap.'),
};

/** A lens as a sheet of paper: as it is on the desk, or to be filled in, with its answer. */
export function LensSheet() {
    const id = Number(useParams().piece);
    const [search, setSearch] = useSearchParams();
    const breakdown = useBreakdown(id, studentIn(search));
    const session = useSession();
    if (breakdown.error ?? session.error) return <Trouble error={breakdown.error ?? session.error} />;
    if (breakdown.data === undefined || session.data === undefined)
        return <Waiting what={t('Laying out the sheet…')} />;
    const set = (change: Record<string, string>) => {
        const next = new URLSearchParams(search);
        for (const [name, value] of Object.entries(change)) next.set(name, value);
        setSearch(next, { replace: true });
    };
    return <Sheet data={breakdown.data} studio={session.data.studio} search={search} set={set} />;
}

interface Props {
    data: Api['BreakdownResource'];
    studio: Api['StudioResource'];
    search: URLSearchParams;
    set: (change: Record<string, string>) => void;
}

function Sheet({ data, studio, search, set }: Props) {
    const { piece, report } = data;
    const lenses = lensesIn(search.get('lens'));
    const lens = lenses[0] ?? 'look over';
    const kind = (search.get('kind') ?? 'lens') as SheetKind;
    const ring = report.rings.find((one) => one.what === search.get('ring')) ?? report.rings[0];
    const paper = PAPER[studio.paper];
    const kinds = [
        { value: 'lens', label: t('As on the desk') },
        ...(WRITES.includes(lens) ? [{ value: 'blank', label: t('To write in') }] : []),
        ...(lens === 'notes' && ring !== undefined ? [{ value: 'ring', label: t('To ring') }] : []),
    ];
    const saying = sayingIn(search.get('say'));
    const music = { data, lenses, saying, width: paper.width, ring };
    const student = search.get('student');
    return (
        <main className="on-paper">
            <style>{t('@page { size: {{size}}; margin: 10mm; }', { size: paper.size })}</style>
            <Group className={`no-print ${styles.tools}`} p="sm">
                <Button onClick={() => window.print()}>{t('Print')}</Button>
                <Button
                    variant="default"
                    component={Link}
                    to={`/pieces/${piece.id}${student === null ? '' : `?student=${student}`}`}
                >
                    {t('Back to the desk')}
                </Button>
                <Select
                    aria-label={t('Lens')}
                    w={140}
                    allowDeselect={false}
                    value={lens}
                    onChange={(next) => set({ lens: next ?? lens, kind: 'lens' })}
                    data={LENSES.map(({ name, label }) => ({ value: name, label }))}
                />
                {kinds.length > 1 && (
                    <SegmentedControl
                        aria-label={t('What kind of sheet')}
                        value={kind}
                        onChange={(next) => set({ kind: next })}
                        data={kinds}
                    />
                )}
                {kind === 'ring' && (
                    <Select
                        aria-label={t('What is ringed')}
                        w={110}
                        allowDeselect={false}
                        value={ring?.what ?? null}
                        onChange={(what) => set({ ring: what ?? '' })}
                        data={report.rings.map((one) => ({
                            value: one.what,
                            label: t('every {{what}}', { what: one.what }),
                        }))}
                    />
                )}
            </Group>
            <OnPaper data={data} kind={kind} lens={lens} lenses={lenses} music={music} ring={ring} />
        </main>
    );
}

function Head({ piece, words }: { piece: Api['PieceResource']; words: string }) {
    return (
        <header className={styles.head}>
            <Text component="h1" ff="heading" fz={24} fw={600}>
                {piece.title}
                {words !== '' && <span className={styles.lens}> — {words}</span>}
            </Text>
            <Text fz={13}>
                {piece.book}, p. {piece.page}
                {piece.label}
            </Text>
        </header>
    );
}

/** What the lens has found, below the music. */
function Sentences({ data, lens }: { data: Api['BreakdownResource']; lens: Lens }) {
    const findings = findingsOf(data.report, lens);
    return (
        <>
            {lens === 'fingers' && (
                <figure className={styles.piano}>
                    <KeyMap
                        signs={startKeys(data.report)}
                        title={t('At the start: {{startWords}}', { startWords: startWords(data.report) })}
                    />
                    <figcaption>
                        {t('At the start: {{startWords}}', { startWords: startWords(data.report) })}
                    </figcaption>
                </figure>
            )}
            <ul className={`plain-list ${styles.findings}`} data-many={findings.length > 4 ? 'yes' : undefined}>
                {findings.map((one, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: two findings may say the same of two places
                    <li key={`${i} ${one.title}`} className={styles.finding}>
                        <b>
                            {one.thorn && '▲ '}
                            {one.title}.
                        </b>{' '}
                        {one.text}
                    </li>
                ))}
            </ul>
        </>
    );
}

/** The sheet itself, and on a page of its own the answer. */
function OnPaper({
    data,
    kind,
    lens,
    lenses,
    music,
    ring,
}: {
    data: Props['data'];
    kind: SheetKind;
    lens: Lens;
    lenses: Lens[];
    music: Omit<Parameters<typeof SheetMusic>[0], 'kind'>;
    ring: Props['data']['report']['rings'][number] | undefined;
}) {
    const { piece } = data;
    return (
        <article className="paper" style={{ width: `${music.width}mm` }}>
            <Head piece={piece} words={kind === 'lens' ? lensWords(lenses) : ''} />
            {kind === 'blank' && <Text mb="sm">{BLANK[lens]}</Text>}
            {kind === 'ring' && (
                <Text mb="sm">
                    {t('Ring every {{what}} on this page. How many did you find?', { what: ring?.what })}{' '}
                    <span className={styles.gap} />
                </Text>
            )}
            <SheetMusic {...music} kind={kind} />
            {kind === 'lens' && <Sentences data={data} lens={lens} />}
            {kind !== 'lens' && (
                <section className={styles.answer} aria-label={t('The answer')}>
                    <Head
                        piece={piece}
                        words={
                            kind === 'ring'
                                ? t('the answer: {{times}} times {{what}}', { times: ring?.times, what: ring?.what })
                                : t('the answer')
                        }
                    />
                    <SheetMusic {...music} kind={kind === 'ring' ? 'rung' : 'lens'} />
                </section>
            )}
        </article>
    );
}
