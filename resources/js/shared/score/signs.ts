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

/** What is touched of a tie or a slur, which go over notes: the middle of its curve. */
const MIDDLE = 24;
const CURVE = 6;

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

/** Where a curve is farthest from its ends: above them or below. */
function topOf(curve: Element, box: Box): Box {
    const [, from = 0, , bend = 0] = /M[\d.-]+[ ,]([\d.-]+) ?C([\d.-]+)[ ,]([\d.-]+)/
        .exec(curve.querySelector('path')?.getAttribute('d') ?? '')
        ?.map(Number) ?? [0, 0, 0, 0];
    const width = Math.min(box.width, MIDDLE);
    const height = Math.min(box.height, CURVE);
    return {
        x: box.x + (box.width - width) / 2,
        y: bend > from ? box.y + box.height - height : box.y,
        width,
        height,
    };
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
        const box = { x: at.left - corner.left, y: at.top - corner.top, width: at.width, height: at.height };
        return [{ word, box: word.sign === 'tie' || word.sign === 'slur' ? topOf(element, box) : box }];
    });
}
