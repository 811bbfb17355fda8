import { enableLog, LOG_OFF, VerovioToolkit } from 'verovio/esm';
import createModule from 'verovio/wasm';

export interface Order {
    id: number;
    music: string;
    /** The width of the paper in pixels, and how large a staff is drawn. */
    width: number;
    scale: number;
    /** Keep the printed lines, or break where there is room. */
    lines: 'printed' | 'free';
    /** Rows of words that the staves need room for, above them and below. */
    rows: { above: number; below: number };
    /** Indices of the first and last measure; null for all. */
    range: [number, number] | null;
}

export interface Engraved {
    id: number;
    svg: string | null;
    error: string | null;
}

const IS_MUSICXML = /^(?:\uFEFF)?\s*(?:<\?xml[^>]*\?>\s*)?(?:<!DOCTYPE score-partwise[^>[]*>\s*)?<score-partwise[\s>]/;

const ready = createModule().then((module: unknown) => {
    // What it would say of spacing is of no use to anybody; what cannot be engraved is told as an error.
    enableLog(LOG_OFF, module);
    return new VerovioToolkit(module);
});

function engrave(toolkit: InstanceType<typeof VerovioToolkit>, order: Order): string {
    const rows = order.rows.above + order.rows.below;
    toolkit.setOptions({
        // Never another format: some of them hold drawings of their own.
        inputFrom: 'xml',
        scale: order.scale,
        pageWidth: Math.max(200, Math.round((order.width * 100) / order.scale)),
        pageHeight: 60000,
        adjustPageHeight: true,
        adjustPageWidth: order.range !== null && order.lines === 'free',
        breaks: order.lines === 'printed' ? 'encoded' : 'auto',
        header: 'none',
        footer: 'none',
        smuflTextFont: 'embedded',
        svgRemoveXlink: true,
        pageMarginTop: 10,
        pageMarginBottom: 20 + 30 * order.rows.below,
        minLastJustification: 0.4,
        spacingLinear: order.rows.below > 0 ? 0.4 : 0.25,
        // Counts take room as long as their notes last.
        spacingNonLinear: order.rows.below > 0 ? 0.8 : 0.6,
        pageMarginLeft: order.rows.above > 0 ? 45 : 20,
        pageMarginRight: 20,
        spacingSystem: 5 + rows,
        spacingStaff: 9 + 4 * rows,
        mnumInterval: 1,
    });
    if (!IS_MUSICXML.test(order.music)) throw new Error('this is not MusicXML');
    toolkit.select(order.range === null ? {} : { measureRange: `${order.range[0] + 1}-${order.range[1] + 1}` });
    if (!toolkit.loadData(order.music)) throw new Error('the music cannot be engraved');
    return toolkit.renderToSVG(1);
}

self.onmessage = async (event: MessageEvent<Order>) => {
    const order = event.data;
    let answer: Engraved;
    try {
        answer = { id: order.id, svg: engrave(await ready, order), error: null };
    } catch (reason) {
        answer = { id: order.id, svg: null, error: reason instanceof Error ? reason.message : String(reason) };
    }
    self.postMessage(answer);
};
