import type { Order } from './engraver.worker';

/*
 * The first pages of a beginner's book have no staff: heads with a finger or a letter in them, higher and lower with
 * the tune, stems up for the right hand and down for the left.
 */

const HEAD = 13;
const STEM = 34;
const STEP = 5;
const REST_WIDTH = 26;
const GAP = 18;
const MARGIN = 14;
/** How far a line is drawn together or apart to fit the paper. */
const TIGHTEST = 0.72;
const WIDEST = 1.3;

const MIDDLE_C = 28;

const LETTERS = 'CDEFGAB';
const BEATS: Record<string, number> = { whole: 4, half: 2, quarter: 1, eighth: 0.5, '16th': 0.25, '32nd': 0.125 };

interface Sign {
    id: string;
    /** None is a rest. */
    heads: { place: number; text: string }[];
    value: string;
    dots: number;
    left: boolean;
    fingers: string[];
    words: string[];
}

interface Bar {
    number: string;
    signs: Sign[];
    newLine: boolean;
    repeatStart: boolean;
    repeatEnd: boolean;
}

export function isWithoutStaff(music: string): boolean {
    return /name="notation">(fingers|letters)</.test(music);
}

const text = (of: Element, path: string): string => of.querySelector(path)?.textContent ?? '';
const escaped = (words: string): string => words.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

function readBars(music: string): Bar[] {
    const score = new DOMParser().parseFromString(music, 'application/xml');
    const fingers = text(score.documentElement, 'miscellaneous-field[name="notation"]') === 'fingers';
    return [...score.querySelectorAll('measure')].map((measure) => {
        const signs: Sign[] = [];
        for (const note of measure.querySelectorAll(':scope > note')) {
            if (note.querySelector('grace') !== null) continue;
            const chord = note.querySelector('chord') !== null;
            const step = text(note, 'step');
            const finger = text(note, 'fingering');
            const head = {
                place: step === '' ? 0 : 7 * Number(text(note, 'octave')) + LETTERS.indexOf(step),
                text: fingers ? finger : step,
            };
            const last = signs.at(-1);
            if (chord && last !== undefined) {
                last.heads.push(head);
                if (!fingers && finger !== '') last.fingers.push(finger);
                continue;
            }
            signs.push({
                id: note.getAttribute('id') ?? '',
                heads: step === '' ? [] : [head],
                value: text(note, 'type') || 'quarter',
                dots: note.querySelectorAll('dot').length,
                left: text(note, 'staff') === '2',
                fingers: fingers || finger === '' ? [] : [finger],
                words: [...note.querySelectorAll('lyric > text')].map((syllable) => syllable.textContent ?? ''),
            });
        }
        return {
            number: measure.getAttribute('number') ?? '',
            signs,
            newLine: measure.querySelector('print[new-system="yes"]') !== null,
            repeatStart: measure.querySelector('repeat[direction="forward"]') !== null,
            repeatEnd: measure.querySelector('repeat[direction="backward"]') !== null,
        };
    });
}

/** Both hands share the line; in time, the one that rests while the other plays is not drawn. */
function inTime(bar: Bar): Sign[] {
    const at = (signs: Sign[]) => {
        let time = 0;
        return signs.map((sign) => {
            const placed = { sign, time };
            const beats = BEATS[sign.value] ?? 1;
            time += beats * (2 - 0.5 ** sign.dots);
            return placed;
        });
    };
    const hands = [false, true].map((left) => at(bar.signs.filter((sign) => sign.left === left)));
    const plays = hands.map((hand) => hand.some(({ sign }) => sign.heads.length > 0));
    return hands
        .flatMap((hand, i) => (plays[i] || !plays.includes(true) ? hand : []))
        .sort((a, b) => a.time - b.time || Number(a.sign.left) - Number(b.sign.left))
        .map(({ sign }) => sign);
}

const widthOf = (sign: Sign): number =>
    sign.heads.length === 0 ? REST_WIDTH : 2 * HEAD + GAP * Math.sqrt(BEATS[sign.value] ?? 1) * 1.4;

function drawRest(sign: Sign, x: number, y: number): string {
    const shape =
        sign.value === 'whole' || sign.value === 'half'
            ? `<path d="M${x} ${y}h20" stroke="currentColor" stroke-width="1.5"/><path d="M${x + 4} ${y + (sign.value === 'half' ? -6 : 0)}h12v6h-12z" fill="currentColor"/>`
            : `<path d="M${x + 7} ${y - 12}l7 9l-7 6l7 9" fill="none" stroke="currentColor" stroke-width="3" stroke-linejoin="round"/>`;
    return `<g class="rest" id="${escaped(sign.id)}">${shape}</g>`;
}

function drawNote(sign: Sign, x: number, base: number, middle: number): string {
    const open = sign.value === 'half' || sign.value === 'whole';
    const ys = sign.heads.map((head) => base - (head.place - middle) * STEP);
    const high = Math.min(...ys);
    const low = Math.max(...ys);
    const centre = x + HEAD;
    const heads = sign.heads
        .map(
            (head, i) =>
                `<g class="notehead"><circle cx="${centre}" cy="${ys[i]}" r="${HEAD}" fill="${open ? 'var(--sheet)' : 'currentColor'}" stroke="currentColor" stroke-width="2"/>` +
                `<text x="${centre}" y="${(ys[i] ?? 0) + 5}" text-anchor="middle" font-size="15" font-weight="700" fill="${open ? 'currentColor' : 'var(--sheet)'}" stroke="none">${escaped(head.text)}</text></g>`,
        )
        .join('');
    const side = sign.left ? x : x + 2 * HEAD;
    const end = sign.left ? low + STEM : high - STEM;
    const stem =
        sign.value === 'whole'
            ? ''
            : `<path d="M${side} ${sign.left ? high : low}V${end}" stroke="currentColor" stroke-width="2"/>`;
    const flags = sign.value === 'eighth' ? 1 : sign.value === '16th' ? 2 : 0;
    const flag = Array.from(
        { length: flags },
        (_, i) =>
            `<path d="M${side} ${end + (sign.left ? -8 : 8) * i}l9 ${sign.left ? -9 : 9}" stroke="currentColor" stroke-width="3"/>`,
    ).join('');
    const dots = Array.from(
        { length: sign.dots },
        (_, i) => `<circle cx="${x + 2 * HEAD + 6 + 6 * i}" cy="${ys[0]}" r="2.6" fill="currentColor"/>`,
    ).join('');
    const fingers = sign.fingers
        .map((finger, i) => {
            const y = sign.left ? end + 16 + 14 * i : end - 6 - 14 * i;
            return `<g class="fing"><text x="${centre}" y="${y}" text-anchor="middle" font-size="13" fill="currentColor">${escaped(finger)}</text></g>`;
        })
        .join('');
    return `<g class="note" id="${escaped(sign.id)}">${stem}${flag}${heads}${dots}${fingers}</g>`;
}

function drawWords(sign: Sign, x: number, y: number): string {
    return sign.words
        .map(
            (word, i) =>
                `<text x="${x + HEAD}" y="${y + 18 * i}" text-anchor="middle" font-size="15" fill="currentColor">${escaped(word)}</text>`,
        )
        .join('');
}

interface Line {
    bars: Bar[];
    /** How far the gaps are drawn apart, or together. */
    stretch: number;
}

const naturalWidth = (bar: Bar): number => inTime(bar).reduce((sum, sign) => sum + widthOf(sign), 0) + 2 * GAP;

/** The printed lines, each drawn to the width of the paper; one with too much on it is divided. */
function linesOf(bars: Bar[], order: Pick<Order, 'lines'>, width: number): Line[] {
    const lines: Bar[][] = [];
    for (const bar of bars) {
        const last = lines.at(-1);
        if (last === undefined || (bar.newLine && order.lines === 'printed')) lines.push([bar]);
        else last.push(bar);
    }
    const fitted = (line: Bar[]): Line[] => {
        const stretch = (width - 2 * MARGIN) / line.reduce((sum, bar) => sum + naturalWidth(bar), 0);
        if (stretch < TIGHTEST && line.length > 1) {
            const half = Math.ceil(line.length / 2);
            return [...fitted(line.slice(0, half)), ...fitted(line.slice(half))];
        }
        return [{ bars: line, stretch: Math.max(TIGHTEST, Math.min(WIDEST, stretch)) }];
    };
    return lines.flatMap(fitted);
}

interface Reach {
    /** From the middle of the line to its top and its foot. */
    reach: number;
    /** The white key that is drawn in the middle, counted from the lowest C. */
    middle: number;
    verses: number;
}

function drawBar(bar: Bar, x: number, base: number, { reach, middle, verses }: Reach, stretch: number, last: boolean) {
    let at = x + GAP * stretch;
    let drawn = '';
    for (const sign of inTime(bar)) {
        drawn += sign.heads.length === 0 ? drawRest(sign, at, base) : drawNote(sign, at, base, middle);
        drawn += drawWords(sign, at, base + reach + 4);
        at += widthOf(sign) * stretch;
    }
    const end = at + GAP * stretch;
    const [top, bottom] = [base - reach + 18, base + reach - 18];
    const foot = base + reach + (verses > 0 ? verses * 18 - 12 : -18);
    const line = (from: number, thick: number) =>
        `<path d="M${from} ${top}V${bottom}" stroke="currentColor" stroke-width="${thick}"/>`;
    const dotsAt = (from: number) =>
        [-8, 8].map((off) => `<circle cx="${from}" cy="${base + off}" r="3" fill="currentColor"/>`).join('');
    const svg =
        `<g class="measure"><g class="staff"><path d="M${x} ${top}H${end}V${foot}H${x}" fill="none" stroke="none"/></g>` +
        `<text x="${x + 2}" y="${top - 6}" font-size="12" fill="currentColor">${escaped(bar.number)}</text>` +
        (bar.repeatStart ? line(x + 2, 4) + dotsAt(x + 10) : '') +
        drawn +
        line(end, last || bar.repeatEnd ? 4 : 1.5) +
        (bar.repeatEnd ? dotsAt(end - 9) : '') +
        '</g>';
    return { svg, end };
}

/** An SVG drawing whose groups have the classes and ids that the engraver's have. */
export function engraveWithoutStaff(order: Omit<Order, 'id'>): string {
    const zoom = order.scale / 40;
    const width = Math.max(200, order.width / zoom);
    const all = readBars(order.music);
    const bars = order.range === null ? all : all.slice(order.range[0], order.range[1] + 1);
    const places = bars.flatMap((bar) => bar.signs.flatMap((sign) => sign.heads.map((head) => head.place)));
    const [lowest, highest] = [Math.min(MIDDLE_C, ...places), Math.max(MIDDLE_C, ...places)];
    const middle = (lowest + highest) / 2;
    const reach = ((highest - lowest) / 2) * STEP + HEAD + STEM + 22;
    const verses = Math.max(0, ...bars.flatMap((bar) => bar.signs.map((sign) => sign.words.length)));
    const words = order.rows.below * 16;
    const height = 2 * reach + verses * 18 + words + 16;
    let svg = '';
    let base = reach + 8;
    for (const line of linesOf(bars, order, width)) {
        let x = MARGIN;
        for (const bar of line.bars) {
            const drawn = drawBar(bar, x, base, { reach, middle, verses }, line.stretch, bar === bars.at(-1));
            svg += drawn.svg;
            x = drawn.end;
        }
        base += height;
    }
    const tall = base - height + reach + verses * 18 + words + 12;
    return `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.round(width * zoom)}" height="${Math.round(tall * zoom)}" viewBox="0 0 ${width} ${tall}">${svg}</svg>`;
}
