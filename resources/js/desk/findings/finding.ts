import type { Api, Report } from '../../api';
import type { KeySign } from '../../shared/piano/KeyMap';
import { listed } from '../../shared/words';
import { t } from '../../text';

/** A sentence beside the music, with what it lights: notes by id, bars by number. */
export interface Finding {
    title: string;
    text: string;
    events: string[];
    bars: number[];
    thorn?: boolean;
    /** Keys of the piano that it speaks of. */
    keys?: KeySign[];
    /** Two bars that are worth seeing side by side, by number. */
    pair?: [number, number] | undefined;
}

export const barOf = (place: string): number => Number.parseInt(place, 10);

export function found(title: string, text: string, events: string[] = [], bars: number[] = []): Finding {
    return { title, text, events, bars };
}

/** The ids of a hand's notes from one place to another. */
export function eventsBetween(report: Report, hand: Api['Hand'], from: string, to: string): string[] {
    const own = report.events.filter((event) => event.hand === hand);
    const first = own.findIndex((event) => event.place === from);
    const last = own.findLastIndex((event) => event.place === to);
    return own
        .slice(first, last + 1)
        .filter((event) => event.kind !== 'rest')
        .map((event) => event.id);
}

/** A place as it is said: `bar 2, beat 3`. */
export function placeWords(place: string): string {
    const [bar, said = '1'] = place.split('.');
    const beat = beatWords(said);
    return bar === '0' ? t('the pickup, beat {{beat}}', { beat }) : t('bar {{bar}}, beat {{beat}}', { bar, beat });
}

/** `2`, `2 and a half`, `2 and 1/3` of `2`, `2+1/2`, `2+1/3` */
function beatWords(beat: string): string {
    const [whole, part] = beat.split('+');
    if (part === undefined) return beat;
    return part === '1/2' ? t('{{whole}} and a half', { whole }) : t('{{whole}} and {{part}}', { whole, part });
}

const PARTS: Record<string, string> = { '1/2': '½', '1/3': '⅓', '2/3': '⅔', '1/4': '¼', '3/4': '¾' };

/** `1 beat`, `half a beat`, `1½ beats`, `5/6 of a beat` of `1`, `1/2`, `3/2`, `5/6`. */
export function beatsWords(beats: string): string {
    if (beats === '1/2') return t('half a beat');
    const [over = 0, under = 1] = beats.split('/').map(Number);
    const whole = Math.floor(over / under);
    const part = over % under === 0 ? '' : (PARTS[`${over % under}/${under}`] ?? null);
    if (part === null || (whole === 0 && part !== '')) return t('{{part}} of a beat', { part: part ?? beats });
    return `${whole}${part} ${beats === '1' ? t('beat') : t('beats')}`;
}

/** `once`, `3 times` */
export function timesWords(times: number): string {
    return times === 1 ? t('once') : t('{{times}} times', { times });
}

/** `bar 3`, `bars 1, 4 and 7`, `the pickup and bar 2` */
export function barsSaid(bars: readonly number[]): string {
    if (bars[0] === 0)
        return bars.length === 1
            ? t('the pickup')
            : t('the pickup and {{barsSaid}}', { barsSaid: barsSaid(bars.slice(1)) });
    return `${bars.length === 1 ? t('bar') : t('bars')} ${listed(bars.map(String))}`;
}

/** `bars 1 to 4`, `bar 3`, `the pickup to bar 4` */
export function stretch(from: number, to: number): string {
    if (from === to) return barsSaid([from]);
    return from === 0 ? t('the pickup to bar {{to}}', { to }) : t('bars {{from}} to {{to}}', { from, to });
}

export function capital(text: string): string {
    return text.charAt(0).toUpperCase() + text.slice(1);
}
