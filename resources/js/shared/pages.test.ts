import { expect, it } from 'vitest';
import type { Api } from '../api';
import { pageIn } from './pages';

const page = (id: number, number: number) => ({ id, number, title: '', kind: 'pieces', introduces: '', pieces: [] });
const BOOKS = [
    { id: 1, title: 'Garden', level: '', pages: [page(4, 2), page(5, 3)] },
    { id: 2, title: 'Harbour', level: '', pages: [page(9, 2)] },
] as unknown as Api['BookResource'][];

it('a page is found in its book, and one that no book has in none', () => {
    expect(pageIn(BOOKS, 5)).toMatchObject({ book: { title: 'Garden' }, page: { number: 3 } });
    expect(pageIn(BOOKS, 9)?.book.title).toBe('Harbour');
    expect(pageIn(BOOKS, 6)).toBeNull();
    expect(pageIn([], 5)).toBeNull();
});
