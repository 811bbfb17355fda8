import type { Api } from '../api';
import { t } from '../text';
import styles from './Strip.module.css';

interface Props {
    photo: number;
    line: Api['ReadLineResource'];
    staff: Api['ReadStaffResource'];
    /** Which staff of the line, from 0. */
    index: number;
    /** The sign that is looked at; null for none. */
    sign: number | null;
}

/** Pixels of the strip that are shown at least, and beside the bar. */
const LEAST = 640;
const BESIDE = 70;

/** Above the lines and below them that a mark reaches, and how wide it is. */
const REACH = 44;
const STAFF = 64;

/** Above the upper staff and below the lower one that is shown. */
const AROUND = 60;
const HALF = 17;

/** The straightened photo around a bar, with the bar and the sign marked. */
export function Strip({ photo, line, staff, index, sign }: Props) {
    const top = line.tops[index] ?? 0;
    const above = Math.max(0, (line.tops[0] ?? 0) - AROUND);
    const below = Math.min(line.height, (line.tops.at(-1) ?? 0) + STAFF + AROUND);
    const span = Math.max(LEAST, staff.to - staff.from + 2 * BESIDE);
    const from = Math.max(0, Math.min(line.width - span, (staff.from + staff.to - span) / 2));
    const x = sign === null ? undefined : staff.signs[sign]?.x;
    return (
        <svg
            className={styles.strip}
            viewBox={`${from} ${above} ${Math.min(span, line.width)} ${below - above}`}
            preserveAspectRatio={from === 0 ? 'xMinYMid' : from + span >= line.width ? 'xMaxYMid' : 'xMidYMid'}
            role="img"
            aria-label={t('The photo of this bar')}
        >
            <image href={`/api/photos/${photo}/lines/${line.position}`} width={line.width} height={line.height} />
            <rect
                className={styles.bar}
                x={staff.from}
                y={top - REACH}
                width={Math.max(1, staff.to - staff.from)}
                height={STAFF + 2 * REACH}
                rx={6}
            />
            {x !== undefined && (
                <rect
                    className={index === 0 ? styles.upper : styles.lower}
                    x={x - HALF}
                    y={top - REACH + 4}
                    width={2 * HALF}
                    height={STAFF + 2 * REACH - 8}
                    rx={10}
                />
            )}
        </svg>
    );
}
