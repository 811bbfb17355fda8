import createFetch, { type Client, type MaybeOptionalInit, type MethodResponse } from 'openapi-fetch';
import createQueries from 'openapi-react-query';
import type { HttpMethod, PathsWithMethod, RequiredKeysOf } from 'openapi-typescript-helpers';
import { ApiError, errorOf } from './errors';
import type { paths } from './generated';

/** The headers that prove to the server that this page asks. */
function proof(): Record<string, string> {
    const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return { 'X-XSRF-TOKEN': cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) };
}

/** Told to the window when an answer says that the session is over. */
export const SESSION_OVER = 'nasturtium:session-over';

function tellWhenOver(response: Response, byLink: boolean): void {
    if (!byLink && [401, 419].includes(response.status)) window.dispatchEvent(new Event(SESSION_OVER));
}

const BASE = `${globalThis.location?.origin ?? ''}/api`;

const server = createFetch<paths>({
    baseUrl: BASE,
    fetch: (request) => globalThis.fetch(request),
});

server.use({
    onRequest({ request }) {
        request.headers.set('Accept', 'application/json');
        if (request.headers.has('Authorization')) return;
        for (const [name, value] of Object.entries(proof())) request.headers.set(name, value);
    },
    async onResponse({ request, response }) {
        if (response.ok) return;
        tellWhenOver(response, request.headers.has('Authorization'));
        throw await errorOf(response);
    },
});

/** Queries of one address, under keys that are made of it. What is put together from several has a key of its own. */
export const api = createQueries(server);

type Answer<Method extends HttpMethod, Path extends PathsWithMethod<paths, Method>> = MethodResponse<
    Client<paths>,
    Method,
    Path
>;

type Init<Method extends HttpMethod, Path extends PathsWithMethod<paths, Method>> = MaybeOptionalInit<
    paths[Path],
    Method
>;

/**
 * Asks the API once.
 * @throws ApiError when the answer is not a success, TypeError when there is no connection
 */
export async function ask<
    Method extends HttpMethod,
    Path extends PathsWithMethod<paths, Method>,
    Given extends Init<Method, Path>,
>(
    method: Method,
    path: Path,
    ...init: RequiredKeysOf<Given> extends never ? [Given?] : [Given]
): Promise<Answer<Method, Path>> {
    // The library's types know an answer or a problem; a problem was thrown above.
    const { data } = await server.request(method, path, ...(init as never));
    return data as Answer<Method, Path>;
}

type Standing<Method extends HttpMethod, Path extends PathsWithMethod<paths, Method>> =
    paths[Path] extends Record<Method, { responses: { 409: { content: { 'application/json': infer Row } } } }>
        ? Row
        : never;

/** The row that stands in the way of a change, where an address answers 409 with it; null for any other error. */
export function standing<Method extends HttpMethod, Path extends PathsWithMethod<paths, Method>>(
    error: unknown,
): Standing<Method, Path> | null {
    return error instanceof ApiError && error.status === 409 ? (error.answer as Standing<Method, Path>) : null;
}

type WritingMethod = Extract<HttpMethod, 'put' | 'post' | 'patch' | 'delete'>;

/** A question that waits to be asked, as it can be kept in the browser. */
export interface Deferred {
    method: WritingMethod;
    /** Filled in. */
    path: string;
    body?: unknown;
}

/** A question for later, held to the same types as one that is asked at once. */
export function deferred<
    Method extends WritingMethod,
    Path extends PathsWithMethod<paths, Method>,
    Given extends Init<Method, Path> & { params?: { path?: Record<string, number | string> }; body?: unknown },
>(method: Method, path: Path, { params, body }: Given): Deferred {
    const filled = Object.entries(params?.path ?? {}).reduce<string>(
        (whole, [name, value]) => whole.replace(`{${name}}`, encodeURIComponent(value)),
        path,
    );
    return { method, path: filled, ...(body === undefined ? {} : { body }) };
}

/**
 * Asks what has waited.
 * @param token a family link's; without it the session of the teacher counts
 * @returns what is answered; null for nothing
 * @throws ApiError when the answer is not a success, TypeError when there is no connection
 */
export async function send({ method, path, body }: Deferred, token?: string): Promise<unknown> {
    const response = await globalThis.fetch(
        new Request(`${BASE}${path}`, {
            method: method.toUpperCase(),
            headers: {
                Accept: 'application/json',
                ...(token === undefined ? proof() : authorized(token).headers),
                ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
            },
            body: body === undefined ? null : JSON.stringify(body),
        }),
    );
    if (response.ok) return response.status === 204 ? null : response.json();
    tellWhenOver(response, token !== undefined);
    throw await errorOf(response);
}

/** The proof of a family link, which has its own token and nothing else. */
export const authorized = (token: string) => ({ headers: { Authorization: `Bearer ${token}` } });

/** What stands in an address, `at({ student: 3 })` for `/students/{student}`. */
export const at = <Path extends Record<string, number | string>>(path: Path) => ({ params: { path } });

/** The key that a question is kept under, to change the answer or to ask anew; without the rest, of all such questions. */
export const keyOf = <Path extends PathsWithMethod<paths, 'get'>>(path: Path, init?: Init<'get', Path>) =>
    init === undefined ? (['get', path] as const) : (['get', path, init] as const);

/** Sends what is given as a form, for files. */
export const asForm = {
    bodySerializer(body: object) {
        const form = new FormData();
        for (const [name, value] of Object.entries(body)) {
            if (value !== null && value !== undefined) form.append(name, value instanceof Blob ? value : String(value));
        }
        return form;
    },
};
