/** What a dialog of the books asks for, and where the answer goes. */
export interface Asked {
    title: string;
    what: 'book' | 'page' | 'remove';
    method: string;
    path: string;
    start: Record<string, string | number>;
}
