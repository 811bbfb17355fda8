import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, configure, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { afterEach, vi } from 'vitest';
import { KeysProvider } from '../resources/js/shared/keys';
import { theme } from '../resources/js/shared/theme';
import type { PageRequest } from './request';

/* What a component finds around it on a page, for tests that draw one. */

// On a busy machine a screen takes its time; whoever looks for what never comes waits as long.
configure({ asyncUtilTimeout: 20_000 });

window.matchMedia ??= (query: string) =>
    ({
        matches: false,
        media: query,
        addEventListener: () => {},
        removeEventListener: () => {},
    }) as unknown as MediaQueryList;
window.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
} as unknown as typeof ResizeObserver;
if (document.fonts === undefined) Object.defineProperty(document, 'fonts', { value: new EventTarget() });
Element.prototype.scrollIntoView ??= () => {};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

export function draw(children: ReactNode) {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    return render(
        <MantineProvider theme={theme} env="test">
            <QueryClientProvider client={client}>
                <MemoryRouter>
                    <KeysProvider>{children}</KeysProvider>
                </MemoryRouter>
            </QueryClientProvider>
        </MantineProvider>,
    );
}

/** A room at its address, `drawRoom('/lessons/:lesson', '/lessons/4', <Lesson />)`; any other address is written out. */
export function drawRoom(path: string, at: string, room: ReactNode) {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    const drawn = render(
        <MantineProvider theme={theme} env="test">
            <QueryClientProvider client={client}>
                <MemoryRouter initialEntries={[at]}>
                    <KeysProvider>
                        <Routes>
                            <Route path={path} element={room} />
                            <Route path="*" element={<Elsewhere />} />
                        </Routes>
                    </KeysProvider>
                </MemoryRouter>
            </QueryClientProvider>
        </MantineProvider>,
    );
    return { ...drawn, client };
}

function Elsewhere() {
    return <p>gone to {useLocation().pathname}</p>;
}

export interface Asked {
    method: string;
    path: string;
    body: unknown;
}

/** A server that answers by method and path, `PUT /pages/1/draft`; what it was asked is kept in order. */
export function serve(answers: Record<string, (body: unknown) => unknown>): Asked[] {
    const asked: Asked[] = [];
    vi.stubGlobal('fetch', async (request: PageRequest) => {
        const { method } = request;
        const url = new URL(request.url);
        const path = `${url.pathname.replace('/api', '')}${decodeURIComponent(url.search)}`;
        const text = request.form === null ? await request.text() : '';
        const body = request.form !== null ? Object.fromEntries(request.form.entries()) : text && JSON.parse(text);
        asked.push({ method, path, body: body || null });
        const answer = answers[`${method} ${path}`];
        if (answer === undefined) throw new Error(`nobody answers ${method} ${path}`);
        const given = await answer(body || null);
        return given instanceof Response ? given : Response.json(given);
    });
    return asked;
}
