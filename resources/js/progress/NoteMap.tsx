import type { Api } from '../api';
import { KeyMap } from '../shared/piano/KeyMap';
import styles from './NoteMap.module.css';

type Note = Api['ProgressNoteResource'];

const CLEFS = [
    { clef: 'treble', top: 56 },
    { clef: 'bass', top: 132 },
] as const;
/** Half the space between two lines. */
const STEP = 6;
const WIDE = 22;
/** Where the first note stands, beside the name of the clef. */
const FIRST = 64;

/** Each status has a shape of its own besides its colour: full, ringed, dotted. */
const SIGNS = {
    secure: { fill: 'var(--leaf)', stroke: 'var(--leaf)', dash: undefined },
    shaky: { fill: 'var(--sheet)', stroke: 'var(--thorn)', dash: undefined },
    new: { fill: 'var(--sheet)', stroke: 'var(--ink)', dash: '2 2' },
} as const;

const signOf = (status: Api['NoteStatus']) => SIGNS[status];

/** The notes a student has met, on the staff and on the keyboard. */
export function NoteMap({ notes }: { notes: Note[] }) {
    const most = Math.max(12, ...CLEFS.map(({ clef }) => notes.filter((note) => note.clef === clef).length));
    const width = FIRST + most * WIDE;
    const said = ['secure', 'shaky', 'new']
        .map((status) => [status, notes.filter((note) => note.status === status)] as const)
        .filter(([, of]) => of.length > 0)
        .map(([status, of]) => `${status}: ${of.map((note) => note.pitch).join(', ')}`)
        .join('; ');
    return (
        <div>
            <svg
                viewBox={`0 0 ${width} 200`}
                role="img"
                aria-label={`Notes on the staff. ${said}`}
                className={styles.map}
            >
                {CLEFS.map(({ clef, top }) => (
                    <g key={clef}>
                        {[0, 1, 2, 3, 4].map((line) => (
                            <line
                                key={line}
                                x1={4}
                                x2={width - 4}
                                y1={top + line * 2 * STEP - 24}
                                y2={top + line * 2 * STEP - 24}
                                stroke="var(--ink)"
                                strokeWidth={0.8}
                            />
                        ))}
                        <text x={8} y={top + 4} fontSize={12} fill="var(--ink)">
                            {clef}
                        </text>
                        {notes
                            .filter((note) => note.clef === clef)
                            .map((note, i) => (
                                <Head key={note.pitch} note={note} x={FIRST + i * WIDE} bottom={top + 24} />
                            ))}
                    </g>
                ))}
            </svg>
            <KeyMap
                title={`Notes on the keyboard. ${said}`}
                signs={notes.map((note) => ({
                    midi: note.midi,
                    text: note.status === 'secure' ? '●' : note.status === 'shaky' ? '○' : '·',
                    // A note that is known is known to no hand.
                    hand: '',
                }))}
            />
            <p className={`faint ${styles.words}`}>● secure · ○ shaky · dotted: new</p>
        </div>
    );
}

function Head({ note, x, bottom }: { note: Note; x: number; bottom: number }) {
    const sign = signOf(note.status);
    const y = bottom - note.step * STEP;
    return (
        <g>
            {ledgersOf(note.step).map((step) => (
                <line
                    key={step}
                    x1={x - 9}
                    x2={x + 9}
                    y1={bottom - step * STEP}
                    y2={bottom - step * STEP}
                    stroke="var(--ink)"
                    strokeWidth={0.8}
                />
            ))}
            <ellipse
                cx={x}
                cy={y}
                rx={6.6}
                ry={5}
                fill={sign.fill}
                stroke={sign.stroke}
                strokeWidth={2}
                strokeDasharray={sign.dash}
            >
                <title>{`${note.pitch}, ${note.place}: ${note.status}`}</title>
            </ellipse>
        </g>
    );
}

/** The ledger lines between a staff and a note outside it; steps from the bottom line. */
export function ledgersOf(step: number): number[] {
    const lines: number[] = [];
    for (let line = -2; line >= step; line -= 2) lines.push(line);
    for (let line = 10; line <= step; line += 2) lines.push(line);
    return lines;
}
