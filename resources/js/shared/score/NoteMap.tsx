import type { Api } from '../../api';
import { t } from '../../text';
import { KeyMap } from '../piano/KeyMap';
import styles from './NoteMap.module.css';
import type { Places } from './places';
import { Score } from './Score';

type Note = Api['KnownNoteResource'];

/** How far a ring stands from its note head, in pixels. */
const ROOM = 4;

interface Props {
    notes: Note[];
    /** The same notes, as MusicXML. */
    chart: string;
}

const STATUS = { secure: t('secure'), shaky: t('shaky'), new: t('new') };

/** The notes a student has met, on the staff and on the keyboard. Each status has a shape of its own. */
export function NoteMap({ notes, chart }: Props) {
    const said = (['secure', 'shaky', 'new'] as const)
        .map((status) => [status, notes.filter((note) => note.status === status)] as const)
        .filter(([, of]) => of.length > 0)
        .map(([status, of]) => `${STATUS[status]}: ${of.map((note) => note.pitch).join(', ')}`)
        .join('; ');
    return (
        <div>
            <div className={styles.chart}>
                <Score
                    music={chart}
                    title={t('Notes on the staff. {{said}}', { said })}
                    scale={60}
                    lines="free"
                    overlay={(places) => <Signs notes={notes} places={places} />}
                />
            </div>
            <KeyMap
                title={t('Notes on the keyboard. {{said}}', { said })}
                signs={notes.map((note) => ({
                    midi: note.midi,
                    text: note.status === 'secure' ? '●' : note.status === 'shaky' ? '○' : '·',
                    // A note that is known is known to no hand.
                    hand: '',
                }))}
            />
            <p className={`faint ${styles.words}`}>
                {t(
                    'On the staff: a plain note is secure, a ring is shaky, a dotted ring is new. On the keys: ● secure, ○ shaky, · new.',
                )}
            </p>
        </div>
    );
}

/** A ring around a note that is shaky, a dotted one around a new note; each says what it is. */
function Signs({ notes, places }: { notes: Note[]; places: Places }) {
    return notes.flatMap((note) => {
        const head = places.notes.get(note.id);
        if (head === undefined) return [];
        return [
            <span
                key={note.id}
                className={styles.sign}
                data-status={note.status}
                title={`${note.pitch}, ${note.place}: ${note.status}`}
                style={{
                    left: head.x - ROOM,
                    top: head.y - ROOM,
                    width: head.width + 2 * ROOM,
                    height: head.height + 2 * ROOM,
                }}
            />,
        ];
    });
}
