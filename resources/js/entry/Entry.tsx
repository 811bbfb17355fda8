import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { type Api, ask, at } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { pageIn } from '../shared/pages';
import { t } from '../text';
import { askDraft, type Desk, nameOf } from './desk';
import { keepDraft, readDraft, startBrought, startFrom, type Typed } from './draft';
import { EntryDesk } from './EntryDesk';

type Book = Api['BookResource'];

const BEGINNING = 'title: \ntime: 4/4\ntempo: \nR: @c4 \nL: @5=c3 \n';

/** A new piece of a page, or a correction of one: fetched with what was typed and not saved. */
export function Entry() {
    const params = useParams();
    const pieceId = params.piece === undefined ? null : Number(params.piece);
    const desk = useMemo(
        (): Desk => (pieceId === null ? { page: Number(params.page) } : { piece: pieceId }),
        [pieceId, params.page],
    );
    const place = nameOf(desk);
    const { brought, after } = useBrought(place);
    const started = useQuery({
        queryKey: ['entry', place],
        queryFn: async () => {
            const [draft, piece, printed, books] = await Promise.all([
                askDraft(desk),
                pieceId === null ? null : ask('get', '/pieces/{piece}', at({ piece: pieceId })),
                pieceId === null ? null : ask('get', '/pieces/{piece}/shorthand', at({ piece: pieceId })),
                pieceId === null ? ask('get', '/books') : null,
            ]);
            const where =
                piece === null
                    ? whereIs(books ?? [], Number(params.page))
                    : { book: piece.book, page: piece.page, nextLabel: piece.label };
            return { draft, piece, printed, where };
        },
        // What is fetched here is where the typing starts; it must be what stands now, and stay while she types.
        gcTime: 0,
        staleTime: Number.POSITIVE_INFINITY,
        refetchOnMount: 'always',
    });
    const start = useMemo(() => {
        if (started.data === undefined) return null;
        const { draft, printed, where } = started.data;
        const saved: Typed = { text: printed?.shorthand ?? BEGINNING, label: where?.nextLabel ?? '' };
        const start = startFrom(saved, readDraft(place), draft);
        return { saved, ...(brought === null ? start : startBrought(saved, start, brought)) };
    }, [started.data, place, brought]);
    if (started.error) return <Trouble error={started.error} again={() => started.refetch()} />;
    if (start === null || started.isFetching) return <Waiting what={t('Fetching the page…')} />;
    const { piece, printed, where } = started.data as NonNullable<typeof started.data>;
    return (
        <EntryDesk
            key={place}
            place={place}
            desk={desk}
            start={start}
            saved={start.saved}
            piece={piece}
            pageId={pieceId === null ? Number(params.page) : null}
            unsaid={printed?.unsaid ?? []}
            where={where === null ? '' : `${where.book}, p. ${where.page}`}
            after={after}
        />
    );
}

/** What another room brings to be typed on, such as a page from a photo, and where to go once it is saved. */
function useBrought(place: string): { brought: Typed | null; after: string | null } {
    const { state } = useLocation();
    const navigate = useNavigate();
    const [kept] = useState({
        brought: null,
        after: null,
        ...(state as Partial<{ brought: Typed; after: string | null }> | null),
    });
    const { brought } = kept;
    useEffect(() => {
        if (state === null || brought === null) return;
        // From here on it is as if typed: a reload finds it where what is typed is kept, and does not bring it again.
        if (readDraft(place) === null) keepDraft(place, { ...(brought as Typed), revision: 0, ahead: true });
        navigate('.', { replace: true, state: null });
    }, [state, brought, place, navigate]);
    return kept;
}

/** The book and number of a page, and what its next piece would be called: A, B, C where there are several. */
function whereIs(books: Book[], pageId: number): { book: string; page: number; nextLabel: string } | null {
    const there = pageIn(books, pageId);
    if (there === null) return null;
    const { book, page } = there;
    const labels = page.pieces.map((piece) => piece.label);
    const next = 'ABCDEFGH'.split('').find((letter) => !labels.includes(letter)) ?? '';
    return { book: book.title, page: page.number, nextLabel: page.pieces.length === 0 ? '' : next };
}
