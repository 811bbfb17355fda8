import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Api, ApiError, ask } from '../shared/api';
import type { Typed } from './draft';
import { dropPast } from './past';

type Piece = Api['PieceResource'];

interface Of {
    place: string;
    piece: Piece | null;
    /** Where a new piece goes; null for a correction. */
    pageId: number | null;
    endDraft: () => Promise<void>;
}

/** Saves what is typed as the piece, and leaves for its desk; unless it was saved elsewhere meanwhile. */
export function useSave({ place, piece, pageId, endDraft }: Of) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [overtaken, setOvertaken] = useState<Piece | null>(null);
    const done = async (stored: Piece) => {
        await endDraft();
        dropPast(place);
        client.invalidateQueries({ queryKey: ['books'] });
        client.removeQueries({ queryKey: ['breakdown'] });
        navigate(`/pieces/${stored.id}`);
    };
    const save = useMutation({
        mutationFn: ({ typed, revision }: { typed: Typed; revision: number | undefined }) =>
            ask<Piece>(
                piece === null ? 'POST' : 'PUT',
                piece === null ? `/pages/${pageId}/pieces` : `/pieces/${piece.id}`,
                { shorthand: typed.text, label: typed.label, revision },
            ),
        onSuccess: done,
        onError: (reason) => {
            if (reason instanceof ApiError && reason.status === 409) setOvertaken(reason.answer as Piece);
        },
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
