/** A corner as shares of the picture's width and height. */
export interface Corner {
    x: number;
    y: number;
}

/** From the upper left one clockwise. */
export const WHOLE: Corner[] = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
];

/** What an arrow key moves a corner by; with shift ten times as far. */
const STEP = 0.004;

const within = (share: number): number => Math.round(10_000 * Math.max(0, Math.min(1, share))) / 10_000;

const moved = (all: Corner[], index: number, to: Corner): Corner[] =>
    all.map((one, i) => (i === index ? { x: within(to.x), y: within(to.y) } : one));

/** A corner under the pointer. */
export function dragged(
    all: Corner[],
    index: number,
    pointer: { clientX: number; clientY: number },
    box: { left: number; top: number; width: number; height: number },
): Corner[] {
    return moved(all, index, {
        x: (pointer.clientX - box.left) / box.width,
        y: (pointer.clientY - box.top) / box.height,
    });
}

const ARROWS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};

/** A corner moved by a key; the same corners for any other key. */
export function nudged(all: Corner[], index: number, key: string, far: boolean): Corner[] {
    const way = ARROWS[key];
    const one = all[index];
    if (way === undefined || one === undefined) return all;
    const step = far ? 10 * STEP : STEP;
    return moved(all, index, { x: one.x + way[0] * step, y: one.y + way[1] * step });
}
