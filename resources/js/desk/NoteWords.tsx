import type { Api, Report } from '../api';
import { handWords, keyWords, listed } from '../shared/words';
import { t } from '../text';
import styles from './Desk.module.css';
import { beatsWords, placeWords } from './findings/finding';

const FROM: Record<Api['FingerSource'], string> = {
    page: 'printed',
    teacher: t('yours'),
    pattern: t('standard fingering'),
    'worked out': t('worked out'),
};

/** All that is known of one note. */
export function NoteWords({ report, id }: { report: Report; id: string }) {
    const event = report.events.find((one) => one.id === id);
    if (event === undefined) return null;
    const fingers = event.fingers.map((finger) => finger ?? '?').join(' ');
    const said = [
        event.kind === 'rest'
            ? t('rest')
            : `${event.pitches.join(' ')}${event.staff.length > 0 ? t(' on {{staff}}', { staff: listed(event.staff) }) : ''}`,
        event.solfege,
        event.move,
        event.finger_from === null ? '' : t('finger {{fingers}}, {{from}}', { fingers, from: FROM[event.finger_from] }),
        event.finger_from === 'pattern' && event.pattern !== null ? keyWords(event.pattern) : null,
        event.fingers_or === null ? '' : t('or {{fingersor}}', { fingersor: event.fingers_or.join(' ') }),
        beatsWords(event.beats),
        event.counts.length > 0 ? t('counted {{counts}}', { counts: event.counts.join(' ') }) : '',
    ];
    return (
        <section aria-label={t('The chosen note')} className={styles.part}>
            <b className={event.hand === 'R' ? 'right-hand' : 'left-hand'}>
                {placeWords(event.place)}, {handWords(event.hand)}
            </b>
            <br />
            {said.filter((word) => word !== null && word !== '').join('; ')}.
        </section>
    );
}
