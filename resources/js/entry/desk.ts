import { type Api, ask, at } from '../api';

/** What is typed on: a page that gets a new piece, or a piece that is corrected. */
export type Desk = { page: number } | { piece: number };

/** The name of a desk, under which its draft is kept in the browser. */
export const nameOf = (desk: Desk): string => ('page' in desk ? `page ${desk.page}` : `piece ${desk.piece}`);

export const askDraft = (desk: Desk) =>
    'page' in desk ? ask('get', '/pages/{page}/draft', at(desk)) : ask('get', '/pieces/{piece}/draft', at(desk));

export const sendDraft = (desk: Desk, body: Api['DraftRequest']) =>
    'page' in desk
        ? ask('put', '/pages/{page}/draft', { ...at(desk), body })
        : ask('put', '/pieces/{piece}/draft', { ...at(desk), body });
