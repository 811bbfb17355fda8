// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PageRequest } from '../../../tests/request';
import { ApiError, asForm, ask, at, authorized, deferred, keyOf, send, wordsOf } from '.';

const asked: PageRequest[] = [];

function answer(status: number, body?: unknown): void {
    vi.stubGlobal('fetch', async (request: PageRequest) => {
        asked.push(request);
        return status === 204
            ? new Response(null, { status })
            : new Response(body === undefined ? 'no JSON' : JSON.stringify(body), { status });
    });
}

const last = () => asked.at(-1) as PageRequest;

beforeEach(() => {
    asked.length = 0;
    // biome-ignore lint/suspicious/noDocumentCookie: as the server sets it
    document.cookie = 'XSRF-TOKEN=a%3Db';
});
afterEach(() => vi.unstubAllGlobals());

describe('asking the API', () => {
    it('sends what is given as JSON, with the token of the page', async () => {
        answer(200, { id: 3 });
        expect(await ask('post', '/books', { body: { title: 'x', level: null } })).toEqual({ id: 3 });
        expect([last().method, new URL(last().url).pathname]).toEqual(['POST', '/api/books']);
        expect(await last().text()).toBe('{"title":"x","level":null}');
        expect(last().headers.get('X-XSRF-TOKEN')).toBe('a=b');
        expect(last().headers.get('Content-Type')).toBe('application/json');
        expect(last().headers.get('Accept')).toBe('application/json');
    });

    it('fills the address, and what stands after the question mark', async () => {
        answer(200, {});
        await ask('get', '/pieces/{piece}/position', {
            params: { path: { piece: 7 }, query: { key: 'F# minor', direction: -1 } },
        });
        const url = new URL(last().url);
        expect(url.pathname).toBe('/api/pieces/7/position');
        expect(url.searchParams.get('key')).toBe('F# minor');
        expect(url.searchParams.get('direction')).toBe('-1');
    });

    it('proves a family link with its own token and nothing else', async () => {
        answer(200, {});
        await ask('get', '/home/week', authorized('secret'));
        expect(last().headers.get('Authorization')).toBe('Bearer secret');
        expect(last().headers.has('X-XSRF-TOKEN')).toBe(false);
    });

    it('lets the browser set the type of a form, and leaves out what is not there', async () => {
        answer(200, {});
        const file = new File(['x'], 'a.mid');
        await ask('post', '/readings', { body: { file, part: null, left: 'P2' }, ...asForm });
        expect([...(last().form as FormData).keys()]).toEqual(['file', 'left']);
        expect(last().headers.get('Content-Type')).not.toBe('application/json');
    });

    it('answers nothing to a 204', async () => {
        answer(204);
        expect(await ask('delete', '/books/{book}', at({ book: 1 }))).toBeUndefined();
    });

    it('gathers what is wrong, each thing once', async () => {
        const errors = { title: ['Give it a title.'], other: ['Give it a title.', 'Too long.'] };
        answer(422, { message: 'no', errors });
        const error = await ask('get', '/books').catch((reason: unknown) => reason);
        expect(error).toBeInstanceOf(ApiError);
        expect((error as ApiError).errors).toEqual(errors);
        expect(wordsOf(error)).toEqual(['Give it a title.', 'Too long.']);
    });

    it.each([
        [401, 'Please sign in again.'],
        [404, 'This is not here any more.'],
        [419, 'The page was open too long. Load it again.'],
        [429, 'Too many tries. Wait a minute and try again.'],
    ])('says a %s in words', async (status, words) => {
        answer(status, { message: 'technical' });
        expect(wordsOf(await ask('get', '/books').catch((reason: unknown) => reason))).toEqual([words]);
    });

    it('has words when the server has none, or sends what is no problem of ours', async () => {
        for (const body of [undefined, 'a page', { message: 3, errors: 'x' }]) {
            answer(500, body);
            expect(wordsOf(await ask('get', '/books').catch((reason: unknown) => reason))).toEqual([
                'The server could not do it. Try again in a moment.',
            ]);
        }
    });

    it('has words for no connection, and for anything else', () => {
        expect(wordsOf(new TypeError('Failed to fetch'))[0]).toContain('no connection');
        expect(wordsOf(new Error('?'))).toEqual(['Something went wrong. Try again.']);
    });
});

describe('a question that waits', () => {
    it('is kept with its address filled in, and sent as it was meant', async () => {
        const kept = deferred('put', '/lessons/{lesson}/marks/{task}', {
            ...at({ lesson: 4, task: 2 }),
            body: { mark: 'pass' },
        });
        expect(kept).toEqual({ method: 'put', path: '/lessons/4/marks/2', body: { mark: 'pass' } });
        answer(200, {});
        await send(JSON.parse(JSON.stringify(kept)));
        expect([last().method, new URL(last().url).pathname]).toEqual(['PUT', '/api/lessons/4/marks/2']);
        expect(await last().text()).toBe('{"mark":"pass"}');
        expect(last().headers.get('X-XSRF-TOKEN')).toBe('a=b');
    });

    it('writes a name into its address as one part of it', () => {
        const { path } = deferred('delete', '/lessons/{lesson}/slips/{key}', at({ lesson: 4, key: 'a/b' }));
        expect(path).toBe('/lessons/4/slips/a%2Fb');
    });

    it('is refused as any other, and proved by a link where it is one of home', async () => {
        answer(422, { message: 'no' });
        const kept = deferred('delete', '/home/tasks/{task}/practice/{date}', at({ task: 2, date: '2031-05-06' }));
        await expect(send(kept, 'secret')).rejects.toThrow(ApiError);
        expect(last().headers.get('Authorization')).toBe('Bearer secret');
    });
});

describe('the key of a question', () => {
    it('begins with its address, so that all of a kind are found', () => {
        expect(keyOf('/students')).toEqual(['get', '/students']);
        expect(keyOf('/students/{student}', at({ student: 3 }))).toEqual([
            'get',
            '/students/{student}',
            { params: { path: { student: 3 } } },
        ]);
    });
});
