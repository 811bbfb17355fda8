import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiError, ask, wordsOf } from './api';

function answer(status: number, body: unknown): void {
    vi.stubGlobal('document', { cookie: 'other=1; XSRF-TOKEN=a%3Db' });
    vi.stubGlobal(
        'fetch',
        vi.fn(async () => ({
            ok: status < 400,
            status,
            json: async () => {
                if (body === undefined) throw new SyntaxError('no JSON');
                return body;
            },
        })),
    );
}

afterEach(() => vi.unstubAllGlobals());

describe('asking the API', () => {
    it('sends what is given as JSON, with the token of the page', async () => {
        answer(200, { id: 3 });
        expect(await ask('POST', '/books', { title: 'x' })).toEqual({ id: 3 });
        expect(fetch).toHaveBeenCalledWith('/api/books', {
            method: 'POST',
            headers: { Accept: 'application/json', 'X-XSRF-TOKEN': 'a=b', 'Content-Type': 'application/json' },
            body: '{"title":"x"}',
            signal: null,
        });
    });

    it('proves a family link with its own token and nothing else', async () => {
        answer(200, {});
        await ask('GET', '/home/week', undefined, 'secret');
        expect(vi.mocked(fetch).mock.calls[0]?.[1]?.headers).toEqual({
            Accept: 'application/json',
            Authorization: 'Bearer secret',
        });
    });

    it('lets the browser set the type of a form', async () => {
        answer(200, {});
        const form = new FormData();
        await ask('POST', '/pages/1/pieces', form);
        const sent = vi.mocked(fetch).mock.calls[0]?.[1];
        expect(sent?.body).toBe(form);
        expect(sent?.headers).not.toHaveProperty('Content-Type');
    });

    it('answers nothing to a 204', async () => {
        answer(204, undefined);
        expect(await ask('DELETE', '/books/1')).toBeUndefined();
    });

    it('gathers what is wrong, each thing once', async () => {
        answer(422, {
            message: 'no',
            errors: { title: ['Give it a title.'], other: ['Give it a title.', 'Too long.'] },
        });
        const error = await ask('POST', '/books', {}).catch((reason: unknown) => reason);
        expect(error).toBeInstanceOf(ApiError);
        expect(wordsOf(error)).toEqual(['Give it a title.', 'Too long.']);
    });

    it.each([
        [401, 'Please sign in again.'],
        [404, 'This is not here any more.'],
        [419, 'The page was open too long. Load it again.'],
        [429, 'Too many tries. Wait a minute and try again.'],
    ])('says a %s in words', async (status, words) => {
        answer(status, { message: 'technical' });
        expect(wordsOf(await ask('GET', '/x').catch((reason: unknown) => reason))).toEqual([words]);
    });

    it('has words when the server has none', async () => {
        answer(500, undefined);
        expect(wordsOf(await ask('GET', '/x').catch((reason: unknown) => reason))).toEqual([
            'The server could not do it. Try again in a moment.',
        ]);
    });

    it('has words for no connection, and for anything else', () => {
        expect(wordsOf(new TypeError('Failed to fetch'))[0]).toContain('no connection');
        expect(wordsOf(new Error('?'))).toEqual(['Something went wrong. Try again.']);
    });
});
