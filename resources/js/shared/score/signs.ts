import type { Api } from '../../api';
import type { Box } from './places';

type Word = Api['PageWordResource'];

/** A sign of the drawing that says something, and where it stands. */
export interface Placed {
    word: Word;
    box: Box;
}

/** What the music font calls its signs: dynamics letter by letter or as one, and marks at notes from either side. */
const DYNAMICS: Record<string, string> = {
    E520: 'p',
    E521: 'm',
    E522: 'f',
    E523: 'r',
    E524: 's',
    E525: 'z',
    E527: 'pppppp',
    E528: 'ppppp',
    E529: 'pppp',
    E52A: 'ppp',
    E52B: 'pp',
    E52C: 'mp',
    E52D: 'mf',
    E52E: 'pf',
    E52F: 'ff',
    E530: 'fff',
    E534: 'fp',
    E535: 'fz',
    E536: 'sf',
    E539: 'sfz',
};
const MARKS: Record<string, string> = {
    E4A0: 'accent',
    E4A1: 'accent',
    E4A2: 'staccato',
    E4A3: 'staccato',
    E4A4: 'tenuto',
    E4A5: 'tenuto',
    E4A6: 'staccatissimo',
    E4A7: 'staccatissimo',
    E4AC: 'strong-accent',
    E4AD: 'strong-accent',
};
const REPEAT_DOT = 'E044';

/** Half of what is touched in the middle of a tie or a slur, which go over notes. */
const MIDDLE = 10;

const glyphsOf = (element: Element) =>
    [...element.querySelectorAll('use')].map((use) =>
        (use.getAttribute('xlink:href') ?? use.getAttribute('href') ?? '').slice(1, 5),
    );

const wordsOf = (element: Element) => (element.textContent ?? '').replace(/\s+/g, ' ').trim();

/** Which sign an element is, as the page's words name it. */
function signOf(element: Element): { sign: string; text: string } | null {
    const glyphs = glyphsOf(element);
    switch (element.classList[0]) {
        case 'dynam':
            return { sign: 'dynamic', text: glyphs.map((glyph) => DYNAMICS[glyph] ?? '').join('') || wordsOf(element) };
        case 'tempo':
        case 'dir':
            return { sign: 'word', text: wordsOf(element) };
        case 'artic':
            return { sign: MARKS[glyphs[0] ?? ''] ?? '', text: '' };
        case 'barLine':
            return glyphs.includes(REPEAT_DOT) ? { sign: 'repeat', text: '' } : null;
        default:
            return { sign: element.classList[0] ?? '', text: '' };
    }
}

function find(words: readonly Word[], sign: { sign: string; text: string } | null): Word | undefined {
    if (sign === null) return undefined;
    // The engraver may write a metronome mark behind the words of a tempo.
    return words.find((word) => word.sign === sign.sign && (word.text === '' || sign.text.startsWith(word.text)));
}

/** The signs of a drawing that have words, from its first to its last. */
export function readSigns(drawn: HTMLElement, words: readonly Word[]): Placed[] {
    const corner = drawn.getBoundingClientRect();
    const all = drawn.querySelectorAll(
        'g.dynam, g.tempo, g.dir, g.hairpin, g.artic, g.fermata, g.tie, g.slur, g.barLine',
    );
    return [...all].flatMap((element) => {
        const word = find(words, signOf(element));
        if (word === undefined) return [];
        const at = element.getBoundingClientRect();
        const middle = at.left + at.width / 2;
        const isCurve = word.sign === 'tie' || word.sign === 'slur';
        const [left, width] = isCurve
            ? [Math.max(at.left, middle - MIDDLE), Math.min(at.width, 2 * MIDDLE)]
            : [at.left, at.width];
        return [{ word, box: { x: left - corner.left, y: at.top - corner.top, width, height: at.height } }];
    });
}
