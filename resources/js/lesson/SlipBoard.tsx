import { Button, Kbd, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';

import type { Api, LessonCard, LessonTask, Report } from '../api';
import { lookOver } from '../desk/findings/lookOver';
import { breakdownOf } from '../shared/breakdown';
import { Trouble, Waiting } from '../shared/Notes';
import { rangeWords } from '../shared/score/beats';
import { MusicLayer } from '../shared/score/MusicLayer';
import type { Places } from '../shared/score/places';
import { Score } from '../shared/score/Score';
import { tempoWords } from '../shared/words';
import { t } from '../text';
import styles from './Lesson.module.css';
import { atBar, type Pointed, rangeAt } from './pointed';
import type { Slip } from './useLesson';

interface Props {
    card: LessonCard;
    task: LessonTask | null;
    page: { piece: Api['PieceResource']; report: Report } | undefined;
    error: unknown;
    at: Pointed;
    point: (at: Pointed) => void;
    kinds: Api['SlipKindResource'][];
    slips: Slip[];
    add: (kind: Api['SlipKindResource']) => void;
}

/** What is pointed at, in words: bars, or exact to the beat. */
export function wordsAt(report: Report | undefined, at: Pointed): string {
    const range = rangeAt(at);
    if (report !== undefined && range !== null) return rangeWords(report, range);
    const [first, last] = [at.first, at.last].map((bar) => report?.bars[bar]?.measure ?? bar + 1);
    return first === last ? t('bar {{first}}', { first }) : t('bars {{first}}–{{last}}', { first, last });
}

/** The page of a card with its measures, as the lesson needs it. */
export function usePage(pieceId: number | null, studentId: number | undefined) {
    return useQuery({
        ...breakdownOf(pieceId ?? 0, studentId ?? null),
        enabled: pieceId !== null && studentId !== undefined,
        staleTime: 60_000,
    });
}

/** The page of the card, engraved, the bars of its task bright; a place is pointed at and a slip picked for it. Of a new page, what is pointed out before a key is played. */
export function SlipBoard({ card, task, page, error, at, point, kinds, slips, add }: Props) {
    if (card.pieceId === null) {
        return (
            <section className="sheet" aria-label={card.title}>
                <Text>{task?.instruction}</Text>
            </section>
        );
    }
    if (error) return <Trouble error={error} />;
    if (page === undefined) return <Waiting what={t('Fetching the bars…')} />;
    const { report } = page;
    const slipped = new Set(slips.flatMap((slip) => between(slip.measure, slip.last)));
    const own = new Set((task?.bars ?? []).flatMap((bars) => between(bars.first, bars.last)));
    return (
        <section className="sheet" aria-label={t('{{title}}, the music', { title: card.title })}>
            {task !== null && (
                <Text mb={4}>
                    {task.instruction}
                    {task.tempo !== null && ` ${tempoWords(task.tempo)}.`}
                </Text>
            )}
            <PageMusic card={card} page={page} own={own} slipped={slipped} at={at} point={point} />
            {task === null ? (
                <PointOut report={report} />
            ) : (
                <>
                    <Text fw={700} mt="sm" mb={4}>
                        {t('What went wrong in {{wordsAt}}?', { wordsAt: wordsAt(report, at) })}{' '}
                        <span className="faint">{t('← → another bar, Shift for beats; or drag over the music')}</span>
                    </Text>
                    <SlipKinds kinds={kinds} add={add} />
                </>
            )}
        </section>
    );
}

/** What a teacher points out before a key of a new page is played. */
function PointOut({ report }: { report: Report }) {
    return (
        <ul className={`plain-list ${styles.pointOut}`} aria-label={t('Look over')}>
            {lookOver(report).map((one) => (
                <li key={`${one.title} ${one.text}`} className={one.thorn ? 'thorn' : undefined}>
                    <b>{one.title}</b> {one.text}
                </li>
            ))}
        </ul>
    );
}

/** The bars that are not the task's, dimmed. */
function Aside({ places, own }: { places: Places; own: ReadonlySet<number> }) {
    return places.measures.map((bar, i) =>
        own.has(i) ? null : (
            <div
                // biome-ignore lint/suspicious/noArrayIndexKey: bars have no other name than their place
                key={i}
                className="score-aside"
                style={{ left: bar.x, top: bar.y - 14, width: bar.width, height: bar.height + 28 }}
            />
        ),
    );
}

/** What can go wrong, each with its key. */
function SlipKinds({ kinds, add }: Pick<Props, 'kinds' | 'add'>) {
    return (
        <div className={styles.kinds}>
            {kinds.map((kind) => (
                <Button
                    key={kind.kind}
                    variant="default"
                    size="compact-sm"
                    justify="flex-start"
                    title={kind.remedy}
                    leftSection={<Kbd>{kind.key}</Kbd>}
                    onClick={() => add(kind)}
                >
                    {kind.words}
                </Button>
            ))}
        </div>
    );
}

function between(first: number, last: number): number[] {
    return Array.from({ length: last - first + 1 }, (_, nth) => first + nth);
}

/** The page engraved; a press or a drag points at a place. */
function PageMusic({
    card,
    page,
    own,
    slipped,
    at,
    point,
}: {
    card: LessonCard;
    page: NonNullable<Props['page']>;
    own: ReadonlySet<number>;
    slipped: ReadonlySet<number>;
    at: Pointed;
    point: Props['point'];
}) {
    const { piece, report } = page;
    return (
        <Score
            music={piece.music}
            title={`${card.title}, ${card.page}`}
            scale={38}
            overlay={(places) => (
                <>
                    {own.size > 0 && <Aside places={places} own={own} />}
                    <MusicLayer
                        report={report}
                        places={places}
                        bars={new Set(rangeAt(at) === null ? between(at.first, at.last) : [])}
                        slipped={slipped}
                        range={rangeAt(at)}
                        onBar={(bar, more) =>
                            point(more ? { ...atBar(at.first), last: Math.max(at.first, bar) } : atBar(bar))
                        }
                        onNote={(id) => {
                            const event = report.events.find((one) => one.id === id);
                            const bar = report.bars.findIndex(
                                (one) => one.measure === Number.parseInt(event?.place ?? '', 10),
                            );
                            if (bar >= 0) point(atBar(bar));
                        }}
                        onRange={point}
                    />
                </>
            )}
        />
    );
}
