import { useEffect } from 'react';
import type { Api } from '../api';
import { engraved } from '../shared/score/engraved';

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
