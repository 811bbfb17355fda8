import '@fontsource-variable/source-sans-3/wght.css';
import '@fontsource-variable/fraunces/wght.css';
import '@mantine/core/styles.css';
import './shared/nasturtium.css';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, type LoaderFunctionArgs, RouterProvider } from 'react-router';
import { ApiError, api, at, keyOf } from './api';
import { breakdownOf, studentIn } from './shared/breakdown';
import { Failed } from './shared/Failed';
import { KeysProvider } from './shared/keys';
import { Waiting } from './shared/Notes';
import { Shell } from './shared/Shell';
import { keptSession, REMEMBERED } from './shared/session';
import { theme, tokens } from './shared/theme';
import { language, t } from './text';
import { ThisWeek } from './week/ThisWeek';

const client = new QueryClient({
    defaultOptions: {
        queries: {
            staleTime: 5_000,
            retry: (count, error) => !(error instanceof ApiError) && count < 2,
        },
    },
});

const Opening = () => <Waiting what={t('One moment…')} />;

/** What opens without the teacher's rooms around it. */
const ALONE = [
    { path: '/sign-in', lazy: async () => ({ Component: (await import('./account/SignIn')).SignIn }) },
    { path: '/welcome', lazy: async () => ({ Component: (await import('./account/Welcome')).Welcome }) },
    { path: '/invited', lazy: async () => ({ Component: (await import('./account/Invited')).Invited }) },
    { path: '/forgotten', lazy: async () => ({ Component: (await import('./account/Forgotten')).Forgotten }) },
    { path: '/new-password', lazy: async () => ({ Component: (await import('./account/Forgotten')).NewPassword }) },
    { path: '/home/:token', lazy: async () => ({ Component: (await import('./home/Home')).Home }) },
    { path: '/camera/:token', lazy: async () => ({ Component: (await import('./photo/Camera')).Camera }) },
    { path: '/worksheets/print', lazy: async () => ({ Component: (await import('./sheets/SheetPrint')).SheetPrint }) },
    { path: '/weeks/:week/sheet', lazy: async () => ({ Component: (await import('./plan/Sheet')).Sheet }) },
    {
        path: '/students/:student/report',
        lazy: async () => ({ Component: (await import('./progress/TermReport')).TermReport }),
    },
    { path: '/pieces/:piece/sheet', lazy: async () => ({ Component: (await import('./desk/LensSheet')).LensSheet }) },
];

/** What a screen will ask first is asked while its script is still on the way. */
function readPage({ params, request }: LoaderFunctionArgs) {
    client.prefetchQuery(breakdownOf(Number(params.piece), studentIn(new URL(request.url).searchParams)));
    return null;
}

function readLesson({ params }: LoaderFunctionArgs) {
    client.prefetchQuery(api.queryOptions('get', '/lessons/{lesson}', at({ lesson: Number(params.lesson) })));
    return null;
}

/** The rooms stand at once with what was known; the server has the last word. */
function readSession() {
    const kept = keptSession();
    if (kept !== undefined) client.setQueryData(keyOf('/session'), kept, { updatedAt: REMEMBERED });
    client.prefetchQuery(api.queryOptions('get', '/session', undefined, { staleTime: 60_000 }));
    return null;
}

/** What is asked ahead is asked when a room is opened, not with every step in it, nor for another lens. */
const asOnce = () => false;

/** The teacher's rooms. */
const ROOMS = [
    { index: true, Component: ThisWeek },
    { path: 'students', lazy: async () => ({ Component: (await import('./students/Students')).Students }) },
    {
        path: 'students/:student',
        lazy: async () => ({ Component: (await import('./students/StudentPage')).StudentPage }),
    },
    {
        path: 'students/:student/progress',
        lazy: async () => ({ Component: (await import('./progress/StudentProgress')).StudentProgress }),
    },
    {
        path: 'students/:student/practice',
        lazy: async () => ({ Component: (await import('./practice/Training')).Training }),
    },
    {
        path: 'students/:student/make-up',
        lazy: async () => ({ Component: (await import('./lead/MakeUp')).MakeUp }),
    },
    {
        path: 'students/:student/make-up/:lesson',
        lazy: async () => ({ Component: (await import('./lead/MakeUp')).MakeUp }),
    },
    { path: 'progress', lazy: async () => ({ Component: (await import('./progress/Overview')).Overview }) },
    { path: 'books', lazy: async () => ({ Component: (await import('./books/Books')).Books }) },
    { path: 'pages/:page/entry', lazy: async () => ({ Component: (await import('./entry/Entry')).Entry }) },
    { path: 'pieces/:piece/entry', lazy: async () => ({ Component: (await import('./entry/Entry')).Entry }) },
    { path: 'pages/:page/photo', lazy: async () => ({ Component: (await import('./photo/Photo')).Photo }) },
    { path: 'photos/:photo', lazy: async () => ({ Component: (await import('./photo/Look')).Look }) },
    { path: 'shorthand', lazy: async () => ({ Component: (await import('./entry/Reference')).Reference }) },
    {
        path: 'pieces/:piece',
        loader: readPage,
        shouldRevalidate: asOnce,
        lazy: async () => ({ Component: (await import('./desk/Desk')).Desk }),
    },
    { path: 'weeks/:week', lazy: async () => ({ Component: (await import('./plan/Plan')).Plan }) },
    {
        path: 'lessons/:lesson',
        loader: readLesson,
        shouldRevalidate: asOnce,
        lazy: async () => ({ Component: (await import('./lesson/Lesson')).Lesson }),
    },
    { path: 'worksheets', lazy: async () => ({ Component: (await import('./sheets/Worksheets')).Worksheets }) },
    { path: 'paths', lazy: async () => ({ Component: (await import('./paths/Paths')).Paths }) },
    { path: 'account', lazy: async () => ({ Component: (await import('./account/Account')).Account }) },
    { path: 'studio', lazy: async () => ({ Component: (await import('./studio/Studio')).Studio }) },
    { path: '*', lazy: async () => ({ Component: (await import('./shared/Lost')).Lost }) },
];

const router = createBrowserRouter([
    ...ALONE.map((route) => ({ ...route, HydrateFallback: Opening, ErrorBoundary: Failed })),
    {
        path: '/',
        loader: readSession,
        shouldRevalidate: asOnce,
        Component: Shell,
        ErrorBoundary: Failed,
        // What goes wrong in one room leaves the way to the others.
        children: [{ ErrorBoundary: Failed, children: ROOMS }],
        HydrateFallback: Opening,
    },
]);

/** Long after the first screen has come, in milliseconds. */
const QUIET = 2500;

// The engraver is started when the browser has nothing else to do, so that it is there when music is opened.
async function getReady(): Promise<void> {
    (await import('./shared/score/engrave')).start();
    if (location.pathname.startsWith('/camera/')) return;
    if (!location.pathname.startsWith('/home/')) await Promise.all([import('./desk/Desk'), import('./lesson/Lesson')]);
}

// What cannot be fetched now, for want of a connection, is fetched when it is wanted.
setTimeout(() => getReady().catch(() => undefined), QUIET);

document.documentElement.lang = language;

createRoot(document.getElementById('app') as HTMLElement).render(
    <StrictMode>
        <MantineProvider theme={theme} cssVariablesResolver={tokens} defaultColorScheme="light">
            <QueryClientProvider client={client}>
                <KeysProvider>
                    <RouterProvider router={router} />
                </KeysProvider>
            </QueryClientProvider>
        </MantineProvider>
    </StrictMode>,
);
