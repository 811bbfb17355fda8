/*
 * Requests of the page under jsdom: its signals and forms are not those that Node's own Request takes. A request keeps the
 * form it was given, for a test to read, and is never broken off.
 */

const Native = globalThis.Request;

export class PageRequest extends Native {
    readonly form: FormData | null;

    constructor(input: RequestInfo | URL, init: RequestInit = {}) {
        const { signal: _, body = null, ...rest } = init;
        const isForm = body instanceof FormData;
        super(input, { ...rest, body: isForm ? null : body });
        this.form = isForm ? body : null;
    }
}

if (typeof window !== 'undefined') globalThis.Request = PageRequest;
