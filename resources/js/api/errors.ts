import { t } from '../text';
import type { components } from './generated';

/** What the API answers when it does not do what was asked. */
type Problem = components['schemas']['Problem'];

/** An answer that is not a success: `errors` has what is wrong, by the name of what was sent. */
export class ApiError extends Error implements Problem {
    constructor(
        readonly status: number,
        message: string,
        readonly errors: Record<string, string[]> = {},
        /** What the server sent, such as the row that stands in the way. */
        readonly answer: unknown = null,
    ) {
        super(message);
    }

    /** Every message once, for a note on the screen. */
    get messages(): string[] {
        const all = Object.values(this.errors).flat();
        return all.length > 0 ? [...new Set(all)] : [this.message];
    }
}

const WORDS: Record<number, string> = {
    401: t('Please sign in again.'),
    403: t('This is not open to you.'),
    404: t('This is not here any more.'),
    413: t('The file is over 5 MB. Export this one piece alone.'),
    419: t('The page was open too long. Load it again.'),
    429: t('Too many tries. Wait a minute and try again.'),
};

/** A problem as far as an answer is one: a server in between may send anything. */
function problemOf(answer: unknown): Partial<Problem> {
    if (typeof answer !== 'object' || answer === null) return {};
    const { message, errors } = answer as Record<string, unknown>;
    return {
        ...(typeof message === 'string' ? { message } : {}),
        ...(typeof errors === 'object' && errors !== null ? { errors: errors as Record<string, string[]> } : {}),
    };
}

/** The error that an answer is. */
export async function errorOf(response: Response): Promise<ApiError> {
    const answer: unknown = await response.json().catch(() => null);
    const { message, errors } = problemOf(answer);
    const words = WORDS[response.status] ?? message ?? t('The server could not do it. Try again in a moment.');
    return new ApiError(response.status, words, errors ?? {}, answer);
}

/** What went wrong, in words for the screen. */
export function wordsOf(error: unknown): string[] {
    if (error instanceof ApiError) return error.messages;
    if (error instanceof TypeError) return [t('There is no connection. What you typed is kept; try again.')];
    return [t('Something went wrong. Try again.')];
}
