/** What is being typed, kept in the browser until it is saved, so that a reload loses nothing. */
export interface Draft {
    text: string;
    label: string;
}

const key = (place: string) => `nasturtium.draft.${place}`;

export function readDraft(place: string, store: Pick<Storage, 'getItem'> = localStorage): Draft | null {
    try {
        const kept: unknown = JSON.parse(store.getItem(key(place)) ?? 'null');
        if (typeof kept === 'object' && kept !== null && 'text' in kept && 'label' in kept) {
            return { text: String(kept.text), label: String(kept.label) };
        }
    } catch {
        // Something else wrote here, or the browser keeps nothing: begin from what is saved.
    }
    return null;
}

export function keepDraft(place: string, draft: Draft, store: Pick<Storage, 'setItem'> = localStorage): void {
    try {
        store.setItem(key(place), JSON.stringify(draft));
    } catch {
        // Private windows may refuse; the text still stands on the screen.
    }
}

export function dropDraft(place: string, store: Pick<Storage, 'removeItem'> = localStorage): void {
    store.removeItem(key(place));
}

/** The offset of a line and column (both from 1) in a text. */
export function offsetOf(text: string, line: number, column: number): number {
    const lines = text.split('\n');
    const before = lines.slice(0, line - 1).reduce((sum, one) => sum + one.length + 1, 0);
    return Math.min(text.length, before + column - 1);
}
