import { useSession } from '../shared/Shell';

const LENGTHS = {
    us: 'whole, half, quarter, eighth, sixteenth',
    uk: 'semibreve, minim, crotchet, quaver, semiquaver',
};

const ROWS: [string, string][] = [
    ['R:  L:', 'a printed line: the right hand, then the left'],
    ['@c4  @5=c3', 'where the hand lies: the thumb’s key, or finger 5’s'],
    ['1 2 3', 'notes with a printed finger'],
    ['c d e', 'notes without; the key under the hand, else the nearest'],
    ['w h q v x', ''],
    ['r  /', 'a rest; a whole bar of rest'],
    ['f+  b-  fn', 'sharp, flat, natural until the bar line'],
    ["c'  c,  a^4", 'an octave up, down; finger 4 printed on A'],
    ['(135)  3~', 'a chord; tied to the next'],
    ['|  |: :|  [1 [2', 'a bar (full bars end by themselves), repeats, endings'],
];

/** The shorthand on one card. */
export function Grammar() {
    const words = useSession().data?.studio.words ?? 'us';
    return (
        <details className="sheet" style={{ padding: '0.6rem 0.9rem' }}>
            <summary style={{ cursor: 'pointer', fontWeight: 700 }}>The shorthand</summary>
            <table style={{ fontSize: '0.9rem', marginTop: '0.4rem' }}>
                <tbody>
                    {ROWS.map(([typed, means]) => (
                        <tr key={typed}>
                            <th
                                scope="row"
                                style={{
                                    textAlign: 'left',
                                    paddingRight: '0.8rem',
                                    fontFamily: 'ui-monospace, monospace',
                                    whiteSpace: 'pre',
                                }}
                            >
                                {typed}
                            </th>
                            <td>{means || `${LENGTHS[words]}, until changed; h. is dotted`}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="faint" style={{ margin: '0.4rem 0 0' }}>
                Headings: title, composer, time, key, tempo (60-92 Gently), clefs (treble bass).
            </p>
        </details>
    );
}
