import type { Api } from '../api';
import { t } from '../text';
import { longDate, minutes } from './words';

type Day = Api['LeafDayResource'];

const CENTRE = 50;
const OUTER = 46;
const STALK = 7;

function point(turn: number, radius: number): string {
    const angle = 2 * Math.PI * turn - Math.PI / 2;
    return `${(CENTRE + radius * Math.cos(angle)).toFixed(2)} ${(CENTRE + radius * Math.sin(angle)).toFixed(2)}`;
}

function sector(from: number, to: number, radius: number): string {
    const large = to - from > 0.5 ? 1 : 0;
    return `M${point(from, STALK)} L${point(from, radius)} A${radius} ${radius} 0 ${large} 1 ${point(to, radius)} L${point(to, STALK)} A${STALK} ${STALK} 0 ${large} 0 ${point(from, STALK)} Z`;
}

function wordsFor(day: Day): string {
    if (day.planned === 0)
        return day.practised > 0 ? t('{{minutes}} practised', { minutes: minutes(day.practised) }) : t('free');
    return t('{{minutes}} of {{minutes2}}', { minutes: minutes(day.practised), minutes2: minutes(day.planned) });
}

/** How far a day's sector is filled, from 0 to 1. */
export function filled(day: Pick<Day, 'planned' | 'practised'>): number {
    if (day.planned === 0) return day.practised > 0 ? 1 : 0;
    return Math.min(1, day.practised / day.planned);
}

/** A student's week: a round leaf, a sector for each day to the next lesson. */
export function Leaf({ days, today, size = 96 }: { days: Day[]; today?: string | undefined; size?: number }) {
    const label = t('The week: {{days}}', {
        days: days.map((day) => `${longDate(day.date)} ${wordsFor(day)}`).join('; '),
    });
    return (
        <svg viewBox="0 0 100 100" width={size} height={size} role="img" aria-label={label}>
            <title>{label}</title>
            <circle cx={CENTRE} cy={CENTRE} r={OUTER + 1} fill="var(--leaf-soft)" opacity="0.45" />
            {days.map((day, i) => {
                const [from, to] = [i / days.length, (i + 1) / days.length];
                const full = filled(day);
                return (
                    <g key={day.date}>
                        <path
                            d={sector(from, to, OUTER)}
                            fill={day.planned > 0 ? 'var(--sheet)' : 'none'}
                            stroke={day.planned > 0 ? 'var(--leaf)' : 'var(--rule)'}
                            strokeWidth={day.planned > 0 ? 1.6 : 0.8}
                            strokeDasharray={day.planned > 0 ? undefined : '2 2'}
                        />
                        {full > 0 && <path d={sector(from, to, STALK + (OUTER - STALK) * full)} fill="var(--leaf)" />}
                        {day.date === today && (
                            <circle
                                cx={point((from + to) / 2, OUTER + 2).split(' ')[0]}
                                cy={point((from + to) / 2, OUTER + 2).split(' ')[1]}
                                r="2.6"
                                fill="var(--right)"
                            />
                        )}
                    </g>
                );
            })}
            <circle
                cx={CENTRE}
                cy={CENTRE}
                r={STALK - 1.5}
                fill="var(--paper)"
                stroke="var(--leaf)"
                strokeWidth="1.2"
            />
        </svg>
    );
}
