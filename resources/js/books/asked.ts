import { type Api, ask, at } from '../api';
import { t } from '../text';

export interface Of<What extends string, Draft> {
    title: string;
    what: What;
    start: Draft;
    send: (draft: Draft) => Promise<unknown>;
}

/** What a dialog of the books asks for, and where the answer goes. */
export type Asked =
    | Of<'book', Api['BookRequest']>
    | Of<'page', Api['PageRequest']>
    | Of<'remove', Record<string, never>>;

type Book = Api['BookResource'];
type Page = Api['PageResource'];

export const aNewBook = (): Asked => ({
    title: t('A new book'),
    what: 'book',
    send: (body) => ask('post', '/books', { body }),
    start: { title: '', level: '' },
});

export const bookChanged = (book: Book): Asked => ({
    title: t('Change the book'),
    what: 'book',
    send: (body) => ask('put', '/books/{book}', { ...at({ book: book.id }), body }),
    start: { title: book.title, level: book.level },
});

export const bookRemoved = (book: Book): Asked => ({
    title: t('Remove {{title}}, with its pages and what students did on them?', { title: book.title }),
    what: 'remove',
    send: () => ask('delete', '/books/{book}', at({ book: book.id })),
    start: {},
});

/** The page after the last. */
export const aNewPage = (book: Book): Asked => ({
    title: t('A page of {{title}}', { title: book.title }),
    what: 'page',
    send: (body) => ask('post', '/books/{book}/pages', { ...at({ book: book.id }), body }),
    start: {
        number: Math.max(0, ...book.pages.map((page) => page.number)) + 1,
        last: null,
        title: '',
        kind: 'pieces',
        introduces: '',
    },
});

export const pageChanged = (page: Page): Asked => ({
    title: t('Page {{number}}', { number: page.number }),
    what: 'page',
    send: (body) => ask('put', '/pages/{page}', { ...at({ page: page.id }), body }),
    start: { number: page.number, title: page.title, kind: page.kind, introduces: page.introduces },
});

export const pageRemoved = (page: Page): Asked => ({
    title: t('Remove page {{number}}, with its pieces?', { number: page.number }),
    what: 'remove',
    send: () => ask('delete', '/pages/{page}', at({ page: page.id })),
    start: {},
});
