import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type Api, api, asForm, ask, at, keyOf } from '../api';
import { pageIn } from '../shared/pages';
import { sendable } from './picture';
import { isGoingOn } from './progress';

const OFTEN = 500;

type Book = Api['BookResource'];

/** The page so many after this one in its book; made if the book does not have it yet. */
async function pageAfter(books: readonly Book[], page: number, after: number): Promise<number> {
    const here = pageIn(books, page);
    if (after === 0 || here === null) return page;
    const number = here.page.number + after;
    const there = here.book.pages.find((one) => one.number === number);
    if (there !== undefined) return there.id;
    const made = await ask('post', '/books/{book}/pages', {
        ...at({ book: here.book.id }),
        body: { number, title: '', kind: 'pieces', introduces: '' },
    });
    return made.id;
}

/** Pictures that are read or wait to be looked at, and those that are sent: several go to this page and the ones after it. */
export function usePhotos(page: number) {
    const client = useQueryClient();
    const list = useQuery(
        api.queryOptions('get', '/photos', undefined, {
            refetchInterval: ({ state: { data } }) => (data?.some(isGoingOn) ? OFTEN : false),
            staleTime: 0,
        }),
    );
    const send = useMutation({
        mutationFn: async ({ files, pdfPage }: { files: Blob[]; pdfPage: number }) => {
            const books = files.length > 1 ? await ask('get', '/books') : [];
            const sent: Api['PhotoResource'][] = [];
            for (const [i, file] of files.entries()) {
                const blob = file instanceof File ? await sendable(file) : file;
                sent.push(
                    await ask('post', '/pages/{page}/photos', {
                        ...at({ page: await pageAfter(books, page, i) }),
                        body: { file: blob, pdfPage },
                        ...asForm,
                    }),
                );
            }
            return sent;
        },
        onSettled: () => {
            client.invalidateQueries({ queryKey: keyOf('/photos') });
            client.invalidateQueries({ queryKey: keyOf('/books') });
        },
    });
    const stop = useMutation({
        mutationFn: (photo: number) => ask('delete', '/photos/{photo}', at({ photo })),
        onSettled: () => client.invalidateQueries({ queryKey: keyOf('/photos') }),
    });
    return { list, send, stop };
}
