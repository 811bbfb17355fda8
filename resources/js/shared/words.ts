import type { Api } from '../api';
import { t, words } from '../text';

const DAYS = [t('Monday'), t('Tuesday'), t('Wednesday'), t('Thursday'), t('Friday'), t('Saturday'), t('Sunday')];
const MONTHS = [
    t('Jan'),
    t('Feb'),
    t('Mar'),
    t('Apr'),
    t('May'),
    t('Jun'),
    t('Jul'),
    t('Aug'),
    t('Sep'),
    t('Oct'),
    t('Nov'),
    t('Dec'),
];

const LENGTHS = {
    us: ['whole', 'half', 'quarter', 'eighth', 'sixteenth'],
    uk: ['semibreve', 'minim', 'crotchet', 'quaver', 'semiquaver'],
};

/** Lengths of notes from the longest, as they are called here. */
export const lengthNames: readonly string[] = LENGTHS[words];

/** @param weekday 1 for Monday to 7 for Sunday */
export function dayName(weekday: number): string {
    return DAYS[(weekday + 6) % 7] ?? '';
}

/** The weekday of a date such as 2031-05-05: 1 for Monday to 7. */
export function weekdayOf(date: string): number {
    return new Date(`${date}T12:00:00Z`).getUTCDay() || 7;
}

/** `Monday 5 May`; `Monday, May 5` in the United States, as all dates here */
export function longDate(date: string): string {
    return `${dayName(weekdayOf(date))}${words === 'us' ? ',' : ''} ${shortDate(date)}`;
}

/** With its year, for what is looked up long after: `5 May 2031` */
export function fullDate(date: string): string {
    return `${shortDate(date)}${words === 'us' ? ',' : ''} ${date.slice(0, 4)}`;
}

/** `5 May` */
export function shortDate(date: string): string {
    const [, month, day] = date.split('-').map(Number);
    const name = MONTHS[(month ?? 1) - 1] ?? '';
    return words === 'us' ? `${name} ${day}` : `${day} ${name}`;
}

/** `15`, `2½` */
export function halves(count: number): string {
    const whole = Math.floor(count);
    const half = count - whole >= 0.5 ? '½' : '';
    return `${whole === 0 && half !== '' ? '' : whole}${half}`;
}

/** `15 min`, `2½ min` */
export function minutes(count: number): string {
    return t('{{minutes}} min', { minutes: halves(count) });
}

/** `3½ min`, or `5, then 3½ min`: the first day takes longer */
export function taskMinutes(task: { minutes: number; minutesFirst: number }): string {
    const later = minutes(task.minutes);
    return task.minutesFirst === task.minutes
        ? later
        : t('{{minutes}}, then {{later}}', { minutes: halves(task.minutesFirst), later });
}

/** `right hand`, `left hand`, `both hands` */
export function handWords(hand: Api['Hand'] | null): string {
    return hand === 'R' ? t('right hand') : hand === 'L' ? t('left hand') : t('both hands');
}

/** `bars 1–4, 5–8` */
export function barsWords(bars: readonly { label: string }[]): string {
    const named = new RegExp(`^(${t('bars')}|${t('bar')}) `);
    const labels = bars.map((of) => of.label.replace(named, ''));
    if (labels.length === 0) return '';
    return `${labels.length === 1 && !labels[0]?.includes('–') ? t('bar') : t('bars')} ${labels.join(', ')}`;
}

/** Words as a list: `a, b and c` */
export function listed(words: readonly string[]): string {
    return words.length < 2
        ? (words[0] ?? '')
        : t('{{said}} and {{said2}}', { said: words.slice(0, -1).join(', '), said2: words.at(-1) });
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
    return clockTime(new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' }));
}

/** `15:45`; `3:45 pm` in the United States */
export function clockTime(time: string): string {
    const [hour = 0, minute = '00'] = [Number(time.slice(0, 2)), time.slice(3, 5)];
    return words === 'us' ? `${hour % 12 || 12}:${minute} ${hour < 12 ? 'am' : 'pm'}` : time;
}

/** `B♭ major scale` of `Bb major scale`. */
export function keyWords(name: string): string {
    return name.replace(/^([A-G])b/, '$1♭').replace(/^([A-G])#/, '$1♯');
}

/** `♩ = 60`, which stays on one line. */
export function tempoWords(tempo: number): string {
    return `♩\u00a0=\u00a0${tempo}`;
}
