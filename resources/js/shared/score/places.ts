export interface Box {
    x: number;
    y: number;
    width: number;
    height: number;
}

/** Where everything stands in an engraved drawing, in pixels from its corner. */
export interface Places {
    /** Note heads and rests by the id of their event. */
    notes: Map<string, Box>;
    /** Measures in the order they are drawn. */
    measures: Box[];
    /** The staves of each measure, upper first. */
    staves: Box[][];
    /** What each of those staves takes up with its notes, stems and beams. */
    extents: Box[][];
    /** Rests that fill their bar, and stand in its middle. */
    barRests: ReadonlySet<string>;
}

function box(element: Element, corner: DOMRect): Box {
    const at = element.getBoundingClientRect();
    return { x: at.left - corner.left, y: at.top - corner.top, width: at.width, height: at.height };
}

/** The box of a staff's five lines, without its notes. */
function staffLines(staff: Element, corner: DOMRect): Box {
    const lines = [...staff.children].filter((child) => child.tagName === 'path').map((line) => box(line, corner));
    if (lines.length === 0) return box(staff, corner);
    const top = Math.min(...lines.map((line) => line.y));
    const bottom = Math.max(...lines.map((line) => line.y + line.height));
    const first = lines[0] as Box;
    return { x: first.x, y: top, width: first.width, height: bottom - top };
}

export function readPlaces(drawn: HTMLElement): Places {
    const corner = drawn.getBoundingClientRect();
    const notes = new Map<string, Box>();
    for (const element of drawn.querySelectorAll('g.note, g.rest, g.mRest')) {
        const head = element.querySelector('.notehead') ?? element;
        notes.set(element.id, box(head, corner));
    }
    const barRests = new Set([...drawn.querySelectorAll('g.mRest')].map((rest) => rest.id));
    const measures = [...drawn.querySelectorAll('g.measure')];
    const stavesOf = (measure: Element) => [...measure.querySelectorAll('g.staff')];
    return {
        notes,
        barRests,
        measures: measures.map((measure) => {
            const staves = stavesOf(measure).map((staff) => staffLines(staff, corner));
            const top = Math.min(...staves.map((staff) => staff.y));
            const bottom = Math.max(...staves.map((staff) => staff.y + staff.height));
            const first = staves[0] ?? box(measure, corner);
            return { x: first.x, y: top, width: first.width, height: bottom - top };
        }),
        staves: measures.map((measure) => stavesOf(measure).map((staff) => staffLines(staff, corner))),
        extents: measures.map((measure) => stavesOf(measure).map((staff) => box(staff, corner))),
    };
}

/** After a pickup the number of the first bar may stand under the tempo; a number that is not legible is left out. */
export function hideNumbersUnderWords(drawn: HTMLElement): void {
    const words = [...drawn.querySelectorAll('g.tempo')].map((word) => word.getBoundingClientRect());
    for (const number of drawn.querySelectorAll<SVGGElement>('g.mNum')) {
        const at = number.getBoundingClientRect();
        const under = words.some(
            (word) => at.left < word.right && at.right > word.left && at.top < word.bottom && at.bottom > word.top,
        );
        number.style.visibility = under ? 'hidden' : '';
    }
}

/** How far from a note head a finger or a mouse may be. */
const NEAR = 9;

/** The id of the note or rest at a place of the drawing; the nearest where several are near. */
export function noteAt(places: Places, x: number, y: number): string | null {
    let found: string | null = null;
    let least = NEAR;
    for (const [id, box] of places.notes) {
        const away = Math.max(box.x - x, x - box.x - box.width, box.y - y, y - box.y - box.height, 0);
        if (away < least) [found, least] = [id, away];
    }
    return found?.replace(/\.\d+$/, '') ?? null;
}
