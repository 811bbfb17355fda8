import type { Api } from '../api';
import { dayName, halves, minutes, shortDate, weekdayOf } from '../shared/words';
import { t } from '../text';
import styles from './DayHead.module.css';

interface Props {
    day: Api['WeekDayResource'];
    today: string | undefined;
    open: () => void;
}

/** A day with its gauge: how much of the time is planned. It opens as the child will see it. */
export function DayHead({ day, today, open }: Props) {
    const free = day.minutes === 0;
    const part = free ? 0 : Math.min(1, day.planned / day.minutes);
    const name = dayName(weekdayOf(day.date));
    return (
        <th scope="col" className={styles.day} data-date={day.date} data-free={free ? 'yes' : 'no'}>
            <button
                type="button"
                className={styles.name}
                aria-label={t('{{name}} {{shortDate}}, as the child sees it', { name, shortDate: shortDate(day.date) })}
                onClick={open}
            >
                <b>{name.slice(0, 3)}</b> {shortDate(day.date)}
                {day.date === today && <span className="right-hand"> {t('today')}</span>}
            </button>
            <div className={styles.minutes}>
                {free
                    ? t('free')
                    : t('{{minutes}} of {{minutes2}}', {
                          minutes: halves(day.planned),
                          minutes2: minutes(day.minutes),
                      })}
            </div>
            {!free && (
                <div aria-hidden="true" className={styles.gauge}>
                    <div style={{ width: `${part * 100}%` }} />
                </div>
            )}
        </th>
    );
}
