import type { components } from './api.generated';

export type Api = components['schemas'];
export type Week = Api['WeekResource'];
export type Task = Api['TaskResource'];
/** A task as it is heard at the lesson. */
export type LessonTask = Api['HeardTaskResource'];
export type Bars = Api['BarsResource'];
export type Report = Api['Report'];
export type Student = Api['StudentResource'];

/** Not one of those who left. */
export const isHere = (student: Student) => student.leftOn === null;

export type Playback = Api['PlaybackResource'];

/** An answer that is not a success: `fields` has what is wrong, by the name of what was sent. */
export class ApiError extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly fields: Record<string, string[]> = {},
        /** What the server sent, such as the row that stands in the way. */
        readonly answer: unknown = null,
    ) {
        super(message);
    }

    /** Every message once, for a note on the screen. */
    get messages(): string[] {
        const all = Object.values(this.fields).flat();
        return all.length > 0 ? [...new Set(all)] : [this.message];
    }
}

const WORDS: Record<number, string> = {
    401: 'Please sign in again.',
    403: 'This is not open to you.',
    404: 'This is not here any more.',
    413: 'The file is over 5 MB. Export this one piece alone.',
    419: 'The page was open too long. Load it again.',
    429: 'Too many tries. Wait a minute and try again.',
};

/** The headers that prove to the server that this page asks. */
function headers(token?: string): Record<string, string> {
    if (token !== undefined) return { Accept: 'application/json', Authorization: `Bearer ${token}` };
    const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return {
        Accept: 'application/json',
        'X-XSRF-TOKEN': cookie === undefined ? '' : decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)),
    };
}

/**
 * Asks the API.
 * @param body sent as JSON, or as it is when it is a form
 * @param token a family link's; without it the session of the teacher counts
 * @throws ApiError when the answer is not a success, TypeError when there is no connection
 */
export async function ask<T>(
    method: string,
    path: string,
    body?: unknown,
    token?: string,
    signal?: AbortSignal,
): Promise<T> {
    const form = body instanceof FormData;
    const response = await fetch(`/api${path}`, {
        method,
        headers: { ...headers(token), ...(body !== undefined && !form ? { 'Content-Type': 'application/json' } : {}) },
        body: body === undefined ? null : form ? body : JSON.stringify(body),
        signal: signal ?? null,
    });
    if (response.status === 204) return undefined as T;
    const answer: unknown = await response.json().catch(() => null);
    if (!response.ok) {
        const told = answer as { message?: string; errors?: Record<string, string[]> } | null;
        const message = WORDS[response.status] ?? told?.message ?? 'The server could not do it. Try again in a moment.';
        throw new ApiError(response.status, message, told?.errors ?? {}, answer);
    }
    return answer as T;
}

/** What went wrong, in words for the screen. */
export function wordsOf(error: unknown): string[] {
    if (error instanceof ApiError) return error.messages;
    if (error instanceof TypeError) return ['There is no connection. What you typed is kept; try again.'];
    return ['Something went wrong. Try again.'];
}
