/** What is being typed, as this browser keeps it: a reload loses nothing, and without a connection nothing is lost. */
export interface Draft {
    text: string;
    label: string;
    /** The revision of the server's draft that this window has seen; 0 for none. */
    revision: number;
    /** It holds something that the server does not have yet. */
    ahead: boolean;
}

export interface Typed {
    text: string;
    label: string;
}

const key = (place: string) => `nasturtium.draft.${place}`;

export function readDraft(place: string, store: Pick<Storage, 'getItem'> = localStorage): Draft | null {
    try {
        const kept: unknown = JSON.parse(store.getItem(key(place)) ?? 'null');
        if (typeof kept === 'object' && kept !== null && 'text' in kept && 'label' in kept) {
            return {
                text: String(kept.text),
                label: String(kept.label),
                revision: 'revision' in kept ? Number(kept.revision) || 0 : 0,
                ahead: 'ahead' in kept ? Boolean(kept.ahead) : true,
            };
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

export interface Start extends Typed {
    revision: number;
    /** Where it comes from. */
    from: 'saved' | 'here' | 'server' | 'brought';
    /** What another window has kept, where the two went apart. */
    other: (Typed & { revision: number }) | null;
}

/** What was brought from another room stands; what was typed here before and is not saved is asked about. */
export function startBrought(saved: Typed, start: Start, brought: Typed): Start {
    const isOpen = start.text !== saved.text && start.text !== brought.text;
    const typed = { text: start.text, label: start.label, revision: start.revision };
    return { ...brought, revision: start.revision, from: 'brought', other: isOpen ? typed : null };
}

/** What to begin with, from what is saved, what this browser kept, and what the server kept. */
export function startFrom(saved: Typed, here: Draft | null, server: Typed & { revision: number }): Start {
    const same = (a: Typed, b: Typed) => a.text === b.text && a.label === b.label;
    if (here?.ahead && !same(here, saved)) {
        const apart = server.revision > here.revision && !same(here, server);
        return {
            text: here.text,
            label: here.label,
            revision: here.revision,
            from: 'here',
            other: apart ? server : null,
        };
    }
    if (server.revision > 0 && !same(server, saved)) return { ...server, from: 'server', other: null };
    return { ...saved, revision: server.revision, from: 'saved', other: null };
}
