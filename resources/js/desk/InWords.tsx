import type { Report } from '../api';
import { handWords, listed } from '../shared/words';
import { t } from '../text';
import { barOf } from './findings/finding';

/** A page bar by bar, for whoever does not see the engraving: which hand, which notes, how long. */
export function InWords({ report }: { report: Report }) {
    return (
        <details>
            <summary>{t('The music in words, bar by bar')}</summary>
            <ol className="plain-list">
                {barsInWords(report).map((words, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: two endings may have bars of one number
                    <li key={i}>{words}</li>
                ))}
            </ol>
        </details>
    );
}

/** As "Bar 3. Right hand: C4 for 1 beat, rest for 2 beats. Left hand: C3 and G3 for 4 beats." */
export function barsInWords(report: Pick<Report, 'bars' | 'events'>): string[] {
    return report.bars.map(({ measure }) => {
        const inBar = report.events.filter((event) => barOf(event.place) === measure);
        const hands = (['R', 'L'] as const).flatMap((hand) => {
            const played = inBar.filter((event) => event.hand === hand);
            if (played.length === 0) return [];
            const words = handWords(hand);
            return [`${words.charAt(0).toUpperCase()}${words.slice(1)}: ${played.map(eventInWords).join(', ')}.`];
        });
        return hands.length === 0
            ? t('Bar {{measure}}. Nothing is played.', { measure })
            : t('Bar {{measure}}. {{hands}}', { measure, hands: hands.join(' ') });
    });
}

function eventInWords(event: Report['events'][number]): string {
    const what = event.pitches.length === 0 ? t('rest') : listed(event.pitches);
    return event.beats === '1' || event.beats.includes('/')
        ? t('{{what}} for {{beats}} beat', { what, beats: event.beats })
        : t('{{what}} for {{beats}} beats', { what, beats: event.beats });
}
