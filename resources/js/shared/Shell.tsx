import {
    Anchor,
    Button,
    Group,
    Kbd,
    Select,
    Table,
    useComputedColorScheme,
    useMantineColorScheme,
} from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, Navigate, NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { type Api, ApiError, api, ask } from '../api';
import { speak, t } from '../text';
import { Dialog } from './Dialog';
import { type Key, useKeys, useListedKeys } from './keys';
import { useNextLesson } from './lessons';
import { Trouble, Waiting } from './Notes';
import { SessionOver } from './SessionOver';
import styles from './Shell.module.css';
import { keepSession, REMEMBERED } from './session';
import { teaches, useChangedElsewhere, useSwitch } from './studios';

type Session = Api['SessionResource'];

const ROOMS = [
    { to: '/', name: t('This week'), key: '1' },
    { to: '/students', name: t('Students'), key: '2' },
    { to: '/books', name: t('Books'), key: '3' },
    { to: '/progress', name: t('Progress'), key: '4' },
    { to: '/studio', name: t('Studio'), key: '5' },
];

export function useSession() {
    return api.useQuery('get', '/session', undefined, { staleTime: 60_000 });
}

/** Whether whoever is signed in is a teacher of the studio, and no assistant. */
export const useTeaches = () => teaches(useSession().data);

/** The rooms of the teacher's side, behind the sign-in. */
export function Shell() {
    const session = useSession();
    const place = useLocation();
    useEffect(() => {
        if (session.data === undefined || session.dataUpdatedAt === REMEMBERED) return;
        keepSession(session.data);
        speak(session.data.studio.words);
    }, [session.data, session.dataUpdatedAt]);
    if (session.isPending) return <Waiting what={t('Opening the studio…')} />;
    const isOver = session.error instanceof ApiError && session.error.status === 401;
    // Who was signed in stays in the room; the password is asked for there. Nobody stays who was only remembered.
    if (session.data !== undefined && !(isOver && session.dataUpdatedAt === REMEMBERED)) {
        return (
            <>
                <Rooms session={session.data} />
                <SessionOver email={session.data.email} />
            </>
        );
    }
    if (isOver) {
        return <Navigate to="/sign-in" replace state={{ to: place.pathname + place.search + place.hash }} />;
    }
    return <Trouble error={session.error} again={() => session.refetch()} />;
}

function Rooms({ session }: { session: Session }) {
    const navigate = useNavigate();
    const [shown, setShown] = useState<Key[] | null>(null);
    const listed = useListedKeys();
    const nextLesson = useNextLesson(session);
    const rooms = teaches(session) ? ROOMS : ROOMS.filter((room) => room.to !== '/studio');
    useTitle();
    useChangedElsewhere();
    const keys = [
        { key: 'n', does: t('open the next lesson'), run: () => nextLesson.mutate() },
        ...rooms.map((room) => ({
            key: room.key,
            does: t('go to {{name}}', { name: room.name }),
            run: () => navigate(room.to),
        })),
        { key: '?', does: t('show the shortcuts of this screen'), run: () => setShown(listed()) },
    ];
    useKeys(keys, 'everywhere');
    return (
        <>
            <a href="#room" className={styles.skip}>
                {t('Skip to the content')}
            </a>
            <Group
                component="header"
                className={`no-print ${styles.header}`}
                justify="space-between"
                px="lg"
                py={8}
                wrap="nowrap"
            >
                <Doors rooms={rooms} />
                <Mine session={session} showKeys={() => setShown(listed())} />
            </Group>
            <main id="room" tabIndex={-1} className={styles.room}>
                <Trouble error={nextLesson.error} again={() => nextLesson.mutate()} />
                <Outlet />
            </main>
            <Dialog opened={shown !== null} onClose={() => setShown(null)} title={t('Shortcuts of this screen')}>
                <KeyTable keys={shown ?? []} />
            </Dialog>
        </>
    );
}

/** The title of the page says what the screen says of itself. */
function useTitle() {
    useEffect(() => {
        const tell = () => {
            const heading = document.querySelector('h1')?.textContent ?? '';
            document.title = heading === '' ? 'Nasturtium' : `${heading} · Nasturtium`;
        };
        const watch = new MutationObserver(tell);
        watch.observe(document.body, { childList: true, subtree: true, characterData: true });
        tell();
        return () => watch.disconnect();
    }, []);
}

function Doors({ rooms }: { rooms: typeof ROOMS }) {
    return (
        <Group gap="lg" wrap="nowrap">
            <Anchor component={Link} to="/" underline="never" c="var(--ink)" ff="heading" fw={650} fz="lg">
                <img src="/leaf.svg" alt="" width="20" height="20" className={styles.leaf} />
                {t('Nasturtium')}
            </Anchor>
            <Group component="nav" gap="md" aria-label={t('Rooms')} wrap="nowrap">
                {rooms.map((room) => (
                    <NavLink key={room.to} to={room.to} end={room.to === '/'} className={styles.door}>
                        {room.name}
                    </NavLink>
                ))}
            </Group>
        </Group>
    );
}

function Mine({ session, showKeys }: { session: Session; showKeys: () => void }) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const scheme = useComputedColorScheme('light');
    const { setColorScheme } = useMantineColorScheme();
    const quiet = { variant: 'subtle', size: 'compact-sm', c: 'var(--ink)' } as const;
    const signOut = async () => {
        await ask('delete', '/session');
        keepSession(undefined);
        client.clear();
        await (await import('./drawings')).forgetDrawings();
        navigate('/sign-in');
    };
    return (
        <Group gap="xs" wrap="nowrap">
            <Places session={session} />
            <Anchor component={Link} to="/account" size="sm" className="faint" visibleFrom="md">
                {session.name}
            </Anchor>
            <Button {...quiet} onClick={showKeys}>
                {t('Shortcuts')} <Kbd ml={6}>?</Kbd>
            </Button>
            <Button {...quiet} onClick={() => setColorScheme(scheme === 'dark' ? 'light' : 'dark')}>
                {scheme === 'dark' ? t('Light') : t('Dark')}
            </Button>
            <Button {...quiet} onClick={signOut}>
                {t('Sign out')}
            </Button>
        </Group>
    );
}

/** The studio that the rooms are of, where there are several. */
function Places({ session }: { session: Session }) {
    const go = useSwitch();
    if (session.studios.length < 2) return null;
    return (
        <Select
            size="xs"
            w={190}
            aria-label={t('Studio')}
            allowDeselect={false}
            value={String(session.studio.id)}
            onChange={(id) => id !== null && id !== String(session.studio.id) && go.mutate(Number(id))}
            data={session.studios.map((one) => ({
                value: String(one.studioId),
                label: one.isDemo ? t('{{name}} (demo)', { name: one.name }) : one.name,
            }))}
        />
    );
}

function KeyTable({ keys }: { keys: readonly Key[] }) {
    return (
        <Table>
            <Table.Tbody>
                {keys.map((key) => (
                    <Table.Tr key={`${key.key}${key.does}`}>
                        <Table.Td>
                            <Kbd>{key.key === ' ' ? t('Space') : key.key}</Kbd>
                        </Table.Td>
                        <Table.Td>{key.does}</Table.Td>
                    </Table.Tr>
                ))}
            </Table.Tbody>
        </Table>
    );
}
