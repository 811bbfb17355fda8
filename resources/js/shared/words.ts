import type { Api } from '../api';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** @param weekday 1 for Monday to 7 for Sunday */
export function dayName(weekday: number): string {
    return DAYS[(weekday + 6) % 7] ?? '';
}

/** The weekday of a date such as 2031-05-05: 1 for Monday to 7. */
export function weekdayOf(date: string): number {
    return new Date(`${date}T12:00:00Z`).getUTCDay() || 7;
}

/** `Monday 5 May` */
export function longDate(date: string): string {
    return `${dayName(weekdayOf(date))} ${shortDate(date)}`;
}

/** With its year, for what is looked up long after: `5 May 2031` */
export function fullDate(date: string): string {
    return `${shortDate(date)} ${date.slice(0, 4)}`;
}

/** `5 May` */
export function shortDate(date: string): string {
    const [, month, day] = date.split('-').map(Number);
    return `${day} ${MONTHS[(month ?? 1) - 1]}`;
}

/** `15 min`, `2½ min` */
export function minutes(count: number): string {
    const whole = Math.floor(count);
    const half = count - whole >= 0.5 ? '½' : '';
    return `${whole === 0 && half !== '' ? '' : whole}${half} min`;
}

/** `3½ min`, or `5, then 3½ min`: the first day takes longer */
export function taskMinutes(task: { minutes: number; minutesFirst: number }): string {
    const later = minutes(task.minutes);
    return task.minutesFirst === task.minutes
        ? later
        : `${minutes(task.minutesFirst).replace(' min', '')}, then ${later}`;
}

/** `right hand`, `left hand`, `both hands` */
export function handWords(hand: Api['Hand'] | null): string {
    return hand === 'R' ? 'right hand' : hand === 'L' ? 'left hand' : 'both hands';
}

/** `bars 1–4, 5–8` */
export function barsWords(bars: readonly { label: string }[]): string {
    const labels = bars.map((of) => of.label.replace(/^bars? /, ''));
    if (labels.length === 0) return '';
    return `${labels.length === 1 && !labels[0]?.includes('–') ? 'bar' : 'bars'} ${labels.join(', ')}`;
}

/** Words as a list: `a, b and c` */
export function listed(words: readonly string[]): string {
    return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** The date so many days after another, or before it. */
export function dayFrom(date: string, days: number): string {
    return new Date(Date.parse(`${date}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

/** How many days from one date to another; fewer than none where it lies before. */
export function daysBetween(from: string, to: string): number {
    return Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / 86_400_000);
}

/** The date of a moment where the browser is, which may be another than where the moment was written down. */
export function dateOf(moment: string): string {
    return new Date(moment).toLocaleDateString('sv-SE');
}

/** The time of a moment where the browser is, as 15:45. */
export function timeOf(moment: string): string {
    return new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** `B♭ major scale` of `Bb major scale`. */
export function keyWords(name: string): string {
    return name.replace(/^([A-G])b/, '$1♭').replace(/^([A-G])#/, '$1♯');
}

/** `♩ = 60`, which stays on one line. */
export function tempoWords(tempo: number): string {
    return `♩\u00a0=\u00a0${tempo}`;
}
