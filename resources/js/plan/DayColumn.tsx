import { Text } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import type { Api } from '../api';
import { dayName, minutes, shortDate, weekdayOf } from '../shared/words';
import styles from './DayColumn.module.css';
import { CARD, type Taken, takenFrom } from './taking';

interface Props {
    day: Api['WeekDayResource'];
    today: string | undefined;
    drop: (card: Taken, to: string) => void;
    children: ReactNode;
}

/** A day with its gauge: how much of the time is planned. */
export function DayColumn({ day, today, drop, children }: Props) {
    const [over, setOver] = useState(false);
    const free = day.minutes === 0;
    const part = free ? 0 : Math.min(1, day.planned / day.minutes);
    return (
        <section
            className={styles.day}
            data-date={day.date}
            data-free={free ? 'yes' : 'no'}
            data-over={over ? 'yes' : 'no'}
            aria-label={`${dayName(weekdayOf(day.date))} ${shortDate(day.date)}`}
            onDragOver={(event) => {
                if (!event.dataTransfer.types.includes(CARD)) return;
                event.preventDefault();
                setOver(true);
            }}
            onDragLeave={() => setOver(false)}
            onDrop={(event) => {
                // Whatever falls here, the browser does not open it in the place of the plan.
                event.preventDefault();
                setOver(false);
                const card = takenFrom(event.dataTransfer.getData(CARD));
                if (card !== null) drop(card, day.date);
            }}
        >
            <div>
                <Text fw={700} size="sm">
                    {dayName(weekdayOf(day.date))}
                    {day.date === today && <span className="right-hand"> today</span>}
                </Text>
                <Text size="xs" className="faint">
                    {shortDate(day.date)}
                </Text>
                <Text size="sm">{free ? 'free' : `${minutes(day.planned)} of ${minutes(day.minutes)}`}</Text>
                {!free && (
                    <div aria-hidden="true" className={styles.gauge}>
                        <div style={{ width: `${part * 100}%` }} />
                    </div>
                )}
            </div>
            {children}
        </section>
    );
}
