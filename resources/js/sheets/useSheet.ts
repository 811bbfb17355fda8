import { useEffect, useState } from 'react';
import { type Api, ask } from '../api';

export interface Wanted {
    kind: Api['SheetKind'];
    count: number;
    hard: number;
    clefs: ('treble' | 'bass')[];
    seed: number;
    studentId: number | null;
    pieceId: number | null;
    notes: string[] | null;
}

/** What a sheet would be, a moment after the last change. */
const PAUSE = 250;

export function usePreview(wanted: Wanted) {
    const [items, setItems] = useState<Api['SheetItemResource'][] | null>(null);
    const [error, setError] = useState<unknown>(null);
    const asked = JSON.stringify(wanted);
    useEffect(() => {
        let gone = false;
        const timer = setTimeout(async () => {
            try {
                const seen = await ask('post', '/worksheets/preview', { body: JSON.parse(asked) as Wanted });
                if (gone) return;
                setItems(seen);
                setError(null);
            } catch (reason) {
                if (!gone) setError(reason);
            }
        }, PAUSE);
        return () => {
            gone = true;
            clearTimeout(timer);
        };
    }, [asked]);
    return { items, error };
}
