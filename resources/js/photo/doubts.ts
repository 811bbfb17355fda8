import type { Api } from '../api';
import { t } from '../text';

export type ReadPage = Api['ReadPageResource'];
export type ReadPiece = Api['ReadPieceResource'];
export type Correction = Api['CorrectionsRequest']['more'][number];

/** A staff of a bar of a piece. */
export interface Spot {
    piece: number;
    bar: number;
    staff: number;
}

/** A sign that is looked at, and one of its heads. */
export interface Cursor extends Spot {
    sign: number;
    head: number;
}

export const sameSpot = (a: Spot, b: Spot): boolean => a.piece === b.piece && a.bar === b.bar && a.staff === b.staff;

/** The doubtful places of a piece, in the order they are played. */
export function doubtsOf(piece: ReadPiece, index: number): Spot[] {
    return piece.bars.flatMap((bar, n) =>
        bar.staves.flatMap((staff, s) => (staff.doubts.length > 0 ? [{ piece: index, bar: n, staff: s }] : [])),
    );
}

const WHY: Record<string, string> = {
    sum: t('Do these lengths fill the bar?'),
    sign: t('Is this accidental right?'),
    more: t('Is a note missing beside this one?'),
    line: t('Does this bar end here? No bar line was seen.'),
    count: t('The numbers on the page count other bars. Is a bar line missing here?'),
    twice: t('Read twice, this did not come out the same. Is it right?'),
    place: t('Does this note stand on the right line or space?'),
};

/** What is asked at a doubtful place. */
export const asked = (reasons: readonly string[]): string =>
    reasons.map((why) => WHY[why] ?? t('Is this right?')).join(' ');

/** The staff of a spot; undefined where there is none any more. */
export const staffAt = (page: ReadPage, at: Spot) => page.pieces[at.piece]?.bars[at.bar]?.staves[at.staff];

/** The same place once the signs there have changed. */
export function held(page: ReadPage, at: Cursor): Cursor {
    const signs = staffAt(page, at)?.signs ?? [];
    const sign = Math.max(0, Math.min(at.sign, signs.length - 1));
    return { ...at, sign, head: Math.max(0, Math.min(at.head, (signs[sign]?.heads.length ?? 1) - 1)) };
}

/** The next head to the right or to the left; a chord is gone through from its lowest note. */
export function stepped(page: ReadPage, at: Cursor, by: 1 | -1): Cursor {
    const signs = staffAt(page, at)?.signs ?? [];
    const heads = (sign: number) => Math.max(1, signs[sign]?.heads.length ?? 1);
    const head = at.head + by;
    if (head >= 0 && head < heads(at.sign)) return { ...at, head };
    const sign = at.sign + by;
    if (sign < 0 || sign >= signs.length) return at;
    return { ...at, sign, head: by > 0 ? 0 : heads(sign) - 1 };
}

/** The next bar and staff of a piece, for whoever looks through all of it. */
export function neighbour(piece: ReadPiece, at: Spot, by: 1 | -1): Spot {
    const spots = piece.bars.flatMap((bar, n) => bar.staves.map((_, s) => ({ piece: at.piece, bar: n, staff: s })));
    const here = spots.findIndex((spot) => sameSpot(spot, at));
    return spots[Math.max(0, Math.min(spots.length - 1, here + by))] ?? at;
}

/** Which of the piece's printed lines a bar stands in. */
export function lineOf(piece: ReadPiece, bar: number): number {
    return (piece.bars[bar]?.line ?? 0) - (piece.bars[0]?.line ?? 0);
}

/** Keys from C flat to C sharp, in fifths: `2 sharps`. */
export function keyName(fifths: number): string {
    if (fifths === 0) return t('no sharps or flats');
    if (Math.abs(fifths) === 1) return fifths > 0 ? t('1 sharp') : t('1 flat');
    return fifths > 0 ? t('{{count}} sharps', { count: fifths }) : t('{{count}} flats', { count: -fifths });
}
