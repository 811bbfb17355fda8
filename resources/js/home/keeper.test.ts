import { readFileSync } from 'node:fs';
import { runInNewContext } from 'node:vm';
import { beforeEach, describe, expect, it } from 'vitest';

/* The worker that keeps the home side, with a network and caches that the test holds in its hand. */

const ORIGIN = 'http://home.example';

type Handler = (event: object) => void;

class Box {
    kept = new Map<string, string>();
    match = async (key: string | Request) => {
        const body = this.kept.get(urlOf(key));
        return body === undefined ? undefined : new Response(body);
    };
    put = async (key: string | Request, answer: Response) => void this.kept.set(urlOf(key), await answer.text());
    delete = async (key: string | Request) => this.kept.delete(urlOf(key));
    keys = async () => [...this.kept.keys()].map((url) => ({ url }));
    add = async (url: string) => void this.kept.set(url, await (await network(new Request(url))).text());
}

const urlOf = (key: string | Request) => (typeof key === 'string' ? key : key.url);

let network: (request: Request) => Promise<Response>;
let boxes: Map<string, Box>;
let handlers: Map<string, Handler>;

const offline = async () => {
    throw new TypeError('offline');
};

function ask(path: string, how: { token?: string; mode?: string } = {}): Promise<Response | undefined> {
    const request = new Request(
        `${ORIGIN}${path}`,
        how.token ? { headers: { Authorization: `Bearer ${how.token}` } } : {},
    );
    Object.defineProperty(request, 'mode', { value: how.mode ?? 'cors' });
    let answer: Promise<Response> | undefined;
    let later: Promise<void> = Promise.resolve();
    handlers.get('fetch')?.({
        request,
        respondWith: (given: Promise<Response>) => (answer = given),
        waitUntil: (work: Promise<void>) => (later = work),
    });
    return (answer ?? Promise.resolve(undefined)).then((given) => later.then(() => given));
}

async function keep(paths: string[], later: string[] = []): Promise<void> {
    let done: Promise<void> = Promise.resolve();
    handlers.get('message')?.({ data: { keep: paths, later }, waitUntil: (work: Promise<void>) => (done = work) });
    await done;
}

const body = async (answer: Promise<Response | undefined>) => (await answer)?.text();

describe('the keeper of the home side', () => {
    beforeEach(() => {
        boxes = new Map();
        handlers = new Map();
        network = async (request) => new Response(`fresh ${new URL(request.url).pathname}`);
        runInNewContext(readFileSync('public/home-keeper.js', 'utf8'), {
            self: { addEventListener: (name: string, handler: Handler) => handlers.set(name, handler) },
            caches: {
                open: async (name: string) => {
                    if (!boxes.has(name)) boxes.set(name, new Box());
                    return boxes.get(name);
                },
            },
            location: { origin: ORIGIN },
            fetch: (request: Request) => network(request),
            URL,
        });
    });

    it('asks the server first, and has what was kept when it is not there', async () => {
        expect(await body(ask('/api/home/week', { token: 'token-of-the-north' }))).toBe('fresh /api/home/week');
        network = offline;
        expect(await body(ask('/api/home/week', { token: 'token-of-the-north' }))).toBe('fresh /api/home/week');
        await expect(ask('/api/home/tasks/9', { token: 'token-of-the-north' })).rejects.toThrow('offline');
    });

    it('tells no family what it has kept for another', async () => {
        await ask('/api/home/week', { token: 'token-of-the-north' });
        network = offline;
        await expect(ask('/api/home/week', { token: 'token-of-the-south' })).rejects.toThrow('offline');
    });

    it('forgets a week when its link is closed', async () => {
        await ask('/api/home/week', { token: 'token-of-the-north' });
        network = async () => new Response('closed', { status: 401 });
        expect((await ask('/api/home/week', { token: 'token-of-the-north' }))?.status).toBe(401);
        network = offline;
        await expect(ask('/api/home/week', { token: 'token-of-the-north' })).rejects.toThrow('offline');
    });

    it('opens the page of the link without a connection, and leaves the teacher’s rooms alone', async () => {
        await ask('/home/a-link', { mode: 'navigate' });
        network = offline;
        expect(await body(ask('/home/a-link', { mode: 'navigate' }))).toBe('fresh /home/a-link');
        expect(await ask('/weeks/4', { mode: 'navigate' })).toBeUndefined();
        expect(await ask('/api/this-week')).toBeUndefined();
    });

    it('keeps the page and the files it has until those of a new build are all there', async () => {
        const built = (name: string) => async (request: Request) => {
            const path = new URL(request.url).pathname;
            return new Response(path === '/home/a-link' ? `<script src="/build/assets/${name}.js">` : `fresh ${path}`);
        };
        network = built('old');
        await ask('/home/a-link', { mode: 'navigate' });
        await keep(['/home/a-link', '/build/assets/old.js']);
        network = async (request) => {
            if (request.url.endsWith('new.js')) throw new TypeError('cut off');
            return built('new')(request);
        };
        await ask('/home/a-link', { mode: 'navigate' });
        await keep(['/home/a-link', '/build/assets/new.js']);
        network = offline;
        expect(await body(ask('/home/a-link', { mode: 'navigate' }))).toContain('old.js');
        expect(await body(ask('/build/assets/old.js'))).toBe('fresh /build/assets/old.js');
        network = built('new');
        await ask('/home/a-link', { mode: 'navigate' });
        network = offline;
        expect(await body(ask('/home/a-link', { mode: 'navigate' }))).toContain('new.js');
        expect(await body(ask('/build/assets/new.js'))).toBe('fresh /build/assets/new.js');
    });

    it('fetches nothing that is wanted later, and lets it stay once it was fetched', async () => {
        await keep(['/home/a-link', '/build/assets/main.js'], ['/build/assets/ear.wasm']);
        const files = () => [...(boxes.get('nasturtium-files')?.kept.keys() ?? [])];
        expect(files()).not.toContain(`${ORIGIN}/build/assets/ear.wasm`);
        await ask('/build/assets/ear.wasm');
        await keep(['/home/a-link', '/build/assets/main.js'], ['/build/assets/ear.wasm']);
        expect(files()).toContain(`${ORIGIN}/build/assets/ear.wasm`);
        await keep(['/home/a-link', '/build/assets/main.js'], ['/build/assets/ear-of-a-new-build.wasm']);
        expect(files()).not.toContain(`${ORIGIN}/build/assets/ear.wasm`);
    });

    it('fetches files of a build once, and drops those of an older one', async () => {
        await keep(['/home/a-link', '/build/assets/old.js']);
        await keep(['/home/a-link', '/build/assets/new.js']);
        expect([...(boxes.get('nasturtium-files')?.kept.keys() ?? [])].sort()).toEqual([
            `${ORIGIN}/build/assets/new.js`,
            `${ORIGIN}/home/a-link`,
        ]);
        network = offline;
        expect(await body(ask('/build/assets/new.js'))).toBe('fresh /build/assets/new.js');
    });
});
