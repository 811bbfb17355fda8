import { engraveAll } from './engrave';

/** The paper that cards and worksheets are engraved on, the same on every device: the page makes it as large as there is room. */
const WIDTH = 1_000;
const SCALE = 150;

/** Of a printed line over the whole page. */
export const LINE_WIDTH = 2_600;

/** A few bars as a drawing that can be any size. */
export async function engraved(music: string, width = WIDTH): Promise<string> {
    const bars = music.split('<measure ').length - 1;
    const [svg = ''] = await engraveAll({
        music: [music],
        width,
        scale: SCALE,
        lines: 'free',
        rows: { above: 0, below: 0 },
        range: [0, bars - 1],
        passing: false,
    });
    return svg.replace(/<svg([^>]*?) width="([\d.]+)px" height="([\d.]+)px"/, (all, before, width, height) =>
        before.includes('viewBox')
            ? all
            : `<svg${before} viewBox="0 0 ${width} ${height}" width="${width}" height="${height}"`,
    );
}
