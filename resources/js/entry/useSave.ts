import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Api, asForm, ask, at, keyOf, standing } from '../api';
import type { Typed } from './draft';
import { dropPast } from './past';

type Piece = Api['PieceResource'];

interface Body {
    shorthand: string;
    label: string;
    revision: number | undefined;
}

interface Of {
    place: string;
    piece: Piece | null;
    /** Where a new piece goes; null for a correction. */
    pageId: number | null;
    /** Where to go then; null for its desk. */
    after: string | null;
    endDraft: () => Promise<void>;
}

/** Saves what is typed as the piece, and leaves for its desk; unless it was saved elsewhere meanwhile. */
export function useSave({ place, piece, pageId, after, endDraft }: Of) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [overtaken, setOvertaken] = useState<Piece | null>(null);
    const done = async (saved: Piece) => {
        await endDraft();
        dropPast(place);
        client.invalidateQueries({ queryKey: keyOf('/books') });
        client.removeQueries({ queryKey: keyOf('/pieces/{piece}/breakdown') });
        navigate(after ?? `/pieces/${saved.id}`);
    };
    const stored = (body: Body) =>
        piece === null
            ? ask('post', '/pages/{page}/pieces', { ...at({ page: pageId ?? 0 }), body, ...asForm })
            : ask('put', '/pieces/{piece}', { ...at({ piece: piece.id }), body, ...asForm });
    const save = useMutation({
        mutationFn: ({ typed, revision }: { typed: Typed; revision: number | undefined }) =>
            stored({ shorthand: typed.text, label: typed.label, revision }),
        onSuccess: done,
        onError: (reason) => setOvertaken(standing<'put', '/pieces/{piece}'>(reason)),
    });
    /** Mine is saved over the other, or the other stands. */
    const settle = (mine: boolean, typed: Typed) => {
        if (overtaken === null) return;
        setOvertaken(null);
        if (mine) save.mutate({ typed, revision: overtaken.revision });
        else done(overtaken);
    };
    return { save, done, overtaken, settle };
}
