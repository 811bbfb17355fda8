import type { Api } from '../api';

type Book = Api['BookResource'];

/** Where a page is: its book, and what the book has of it. */
export function pageIn(books: readonly Book[], id: number): { book: Book; page: Book['pages'][number] } | null {
    for (const book of books) {
        const page = book.pages.find((one) => one.id === id);
        if (page !== undefined) return { book, page };
    }
    return null;
}
