import { useEffect } from 'react';
import type { Api } from '../api';
import { engraveAll } from '../shared/score/engrave';

/** The paper that cards are engraved on, the same on every device: the page makes it as large as there is room. */
const WIDTH = 1_000;
const SCALE = 150;

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

/** The cards of a day are engraved ahead, one after the other, so that they are there when they are asked. */
export function useEngravings(room: Api['RoomResource'] | undefined, date: string): void {
    useEffect(() => {
        let gone = false;
        const all = room?.decks.flatMap((deck) => musicOf(deck, date)) ?? [];
        const engrave = async () => {
            for (const one of new Set(all)) {
                if (gone) return;
                await engraved(one).catch(() => undefined);
            }
        };
        engrave();
        return () => {
            gone = true;
        };
    }, [room, date]);
}

/** What the session of a day shows, its first cards first. */
function musicOf({ cards, sessions }: Api['DeckResource'], date: string): string[] {
    const session = sessions.find((one) => one.date === date) ?? sessions[0];
    const ids = [...(session?.learning ?? []), ...(session?.known ?? []), ...(session?.joining ?? [])];
    return ids.flatMap((id) => cards.find((card) => card.id === id)?.music ?? []);
}
