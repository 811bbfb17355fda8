import type { Api } from '../api';

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
