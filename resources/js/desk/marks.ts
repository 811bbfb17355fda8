import type { Report } from '../api';
import type { BarLabel } from '../shared/score/BarLabels';
import type { NoteMark } from '../shared/score/Marks';
import { t } from '../text';
import type { Lens } from './findings/findings';

/** What is said of a note: its letter, its syllable, or how one gets to it. */
export const SAYINGS = [
    { value: 'letters', label: t('Letters') },
    { value: 'solfege', label: t('Do re mi') },
    { value: 'moves', label: t('Steps and skips') },
    { value: 'intervals', label: t('Intervals') },
] as const;

export type Saying = (typeof SAYINGS)[number]['value'];

/** Lenses that write at the notes, and which row each takes. */
const ROWS: Partial<Record<Lens, NoteMark['row']>> = { fingers: 'above', notes: 'below', counts: 'below' };

type ReportEvent = Report['events'][number];

/** Lenses that caption the bars. */
const CAPTIONS: readonly Lens[] = ['hands', 'patterns', 'trouble'];

/** The rows of words that the lenses need, above the staves and below; captions stand below the lower staff. */
export function rowsOf(lenses: readonly Lens[]): { above: number; below: number } {
    const rows = lenses.map((lens) => ROWS[lens]);
    return {
        above: rows.filter((row) => row === 'above').length,
        below: rows.filter((row) => row === 'below').length,
    };
}

/** Words at the notes for one lens or two together. */
export function marksOf(report: Report, lenses: readonly Lens[], saying: Saying): NoteMark[] {
    let below = 0;
    return lenses.flatMap((lens) => {
        const row = ROWS[lens];
        if (row === undefined) return [];
        const at = row === 'below' && below++ > 0 ? 'far below' : row;
        return report.events.flatMap((event) => {
            const texts = textsOf(event, lens, saying);
            if (texts.length === 0) return [];
            return [
                {
                    id: event.id,
                    hand: event.hand,
                    from: lens === 'fingers' ? fromOf(event) : undefined,
                    row: at,
                    texts,
                } satisfies NoteMark,
            ];
        });
    });
}

function fromOf(event: ReportEvent): 'page' | 'teacher' | undefined {
    return event.finger_from === 'page' || event.finger_from === 'teacher' ? event.finger_from : undefined;
}

function textsOf(event: ReportEvent, lens: Lens, saying: Saying): string[] {
    if (lens === 'counts') return event.counts;
    if (event.kind === 'rest') return [];
    if (lens === 'fingers') {
        return event.fingers.some((finger) => finger !== null)
            ? [event.fingers.map((finger) => finger ?? '?').join(' ')]
            : [];
    }
    return [nameOf(event, saying)];
}

const ARROWS: Record<string, string> = { up: '↗', down: '↘' };

function nameOf(event: ReportEvent, saying: Saying): string {
    if (saying === 'solfege') return event.solfege ?? '';
    if (saying === 'letters') return event.letters.join(' ');
    const move = event.move ?? '';
    if (saying === 'moves') return move.replace(/ (up|down)\b.*/, (_, way: string) => ` ${ARROWS[way]}`);
    if (event.interval === null || move === 'held') return move === 'held' ? '' : t('start');
    return event.interval === 0 ? '1' : `${event.interval > 0 ? '↗' : '↘'}${Math.abs(event.interval) + 1}`;
}

const PLAYS: Record<string, string> = {
    R: t('right'),
    L: t('left'),
    turns: t('in turns'),
    together: t('together'),
    rest: t('rest'),
};

/** A word under each bar for the lenses that speak of bars. */
export function labelsOf(report: Report, lenses: readonly Lens[]): BarLabel[] {
    const index = new Map(report.bars.map((bar, i) => [bar.measure, i]));
    const at = (measure: number) => index.get(measure) ?? -1;
    const lens = lenses.find((one) => CAPTIONS.includes(one));
    if (lens === 'hands') {
        return report.hands.map((bar) => ({
            bar: at(bar.measure),
            text: `${bar.motion ?? PLAYS[bar.play]}${bar.same_rhythm === false ? t(', two rhythms') : ''}`,
            tone: bar.play === 'R' ? 'right' : bar.play === 'L' ? 'left' : bar.same_rhythm === false ? 'thorn' : 'leaf',
        }));
    }
    if (lens === 'patterns') {
        return report.equal.bars.flatMap((bars, group) =>
            bars.map((measure) => ({ bar: at(measure), text: groupLetter(group), tone: 'leaf' as const })),
        );
    }
    if (lens === 'trouble') {
        return report.sticking
            .filter((point) => point.score > 0)
            .map((point) => ({
                bar: at(point.measure),
                text: `${point.thorn ? '▲ ' : ''}${point.score}`,
                tone: point.thorn ? ('thorn' as const) : ('ink' as const),
            }));
    }
    return [];
}

/** The letter that equal bars wear. */
export function groupLetter(group: number): string {
    return String.fromCharCode(97 + (group % 26));
}
