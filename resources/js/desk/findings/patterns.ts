import { choices, type Report } from '../../api';
import { listed } from '../../shared/words';
import { t } from '../../text';
import { barsSaid, capital, type Finding, found, placeWords, stretch } from './finding';

const between = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** What there is to learn, what is the same, and the pieces of the page to practise. */
export function patterns(report: Report): Finding[] {
    const { learn } = report;
    const first = learn.order.filter((bar) => bar.serves.length > 1).slice(0, 4);
    const order = first.map((bar) => ({
        ...found(
            t('Learn bar {{measure}}', { measure: bar.measure }),
            t('and you have {{barsSaid}} too.', {
                barsSaid: barsSaid(bar.serves.filter((other) => other !== bar.measure)),
            }),
            [],
            bar.serves,
        ),
        pair: pairOf(bar.serves),
    }));
    const lines = report.lines.map((line) =>
        found(
            t('Line {{letter}}', { letter: line.letter }),
            `${capital(stretch(line.from, line.to))}.`,
            [],
            between(line.from, line.to),
        ),
    );
    const group = (name: string, groups: number[][]) =>
        groups.map((bars) => ({ ...found(name, `${capital(barsSaid(bars))}.`, [], bars), pair: pairOf(bars) }));
    const { bars, right, left } = report.equal;
    // What is said once is not said again: both hands before one, the same before the shape, the shape before the rhythm.
    return [
        found(
            learn.text,
            t('Bars of its own: {{r}} in the right hand, {{l}} in the left.', { r: learn.hands.R, l: learn.hands.L }),
            [],
            learn.order.map((bar) => bar.measure),
        ),
        ...order,
        ...lines,
        ...group(t('Right hand the same'), without(right.same, bars)),
        ...group(t('Left hand the same'), without(left.same, bars)),
        ...group(t('Right hand, same shape'), without(right.shape, [...bars, ...right.same])),
        ...group(t('Left hand, same shape'), without(left.shape, [...bars, ...left.same])),
        ...group(t('Right hand, same rhythm'), without(right.rhythm, [...bars, ...right.same, ...right.shape])),
        ...group(t('Left hand, same rhythm'), without(left.rhythm, [...bars, ...left.same, ...left.shape])),
        ...pieces(report),
    ];
}

function pairOf(bars: readonly number[]): [number, number] | undefined {
    const [a, b] = bars;
    return a === undefined || b === undefined ? undefined : [a, b];
}

/** Chunks that serve more than one place, and the turns of the line. */
function pieces(report: Report): Finding[] {
    return report.chunks
        .filter((chunk) => chunk.kind === 'line turn' || (chunk.kind !== 'bar-over' && chunk.serves.length > 1))
        .map((chunk) => {
            const [from, to] = [Number.parseInt(chunk.from, 10), Number.parseInt(chunk.to, 10)];
            const also = listed(chunk.serves.slice(1).map(placeWords));
            const kind = choices.ChunkKind.find((one) => one.value === chunk.kind)?.label ?? '';
            const places = { from: placeWords(chunk.from), to: placeWords(chunk.to) };
            return found(
                t('To practise: {{kind}}', { kind }),
                also === ''
                    ? t('From {{from}} to {{to}}.', places)
                    : t('From {{from}} to {{to}}; it serves {{also}} too.', { ...places, also }),
                [],
                between(from, to),
            );
        });
}

function without(groups: number[][], said: number[][]): number[][] {
    const known = new Set(said.map((bars) => bars.join()));
    return groups.filter((bars) => !known.has(bars.join()));
}

/** How two bars are alike in one hand, in words; null when the hand rests in both or they are unlike. */
export function alike(report: Report, hand: 'right' | 'left', a: number, b: number): string | null {
    const groups = report.equal[hand];
    const together = (of: number[][]) => of.some((bars) => bars.includes(a) && bars.includes(b));
    if (together(groups.same)) return t('the same');
    if (together(groups.shape)) return t('the same shape, from another note');
    if (together(groups.rhythm)) return t('the same rhythm, other notes');
    return null;
}
