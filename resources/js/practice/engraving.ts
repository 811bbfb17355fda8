import { engraveAll } from '../shared/score/engrave';

/** The paper that cards are engraved on, the same on every device: the page makes it as large as there is room. */
const WIDTH = 560;
const SCALE = 90;

/** A card’s music as a drawing that can be any size. */
export async function engraved(music: string): Promise<string> {
    const bars = music.split('<measure ').length - 1;
    const [svg = ''] = await engraveAll({
        music: [music],
        width: WIDTH,
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

/** Engraves cards ahead, one after the other, so that they are there when they are asked. */
export async function engraveAhead(music: readonly (string | null)[], isGone: () => boolean): Promise<void> {
    for (const one of new Set(music)) {
        if (isGone()) return;
        if (one !== null) await engraved(one).catch(() => undefined);
    }
}
