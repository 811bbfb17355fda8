import { Button, Group, Radio, Select, Stack, Table, Text } from '@mantine/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, asForm, ask, at, type Choice, choices } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble, Waiting } from '../shared/Notes';
import { Score } from '../shared/score/Score';
import { t } from '../text';
import styles from './FileDialog.module.css';

type Reading = Api['ReadingResource'];

interface Props {
    file: File;
    /** The page it may be put on as it is; null where only the text is wanted. */
    pageId: number | null;
    label: string;
    onText: (reading: Reading) => void;
    onStored: (piece: Api['PieceResource']) => void;
    onClose: () => void;
}

type Role = 'student' | 'left' | 'duet';
const ROLES: [Role, string][] = [
    ['student', t('The student')],
    ['left', t('The left hand alone')],
    ['duet', t('The teacher')],
];
const GRIDS: Choice<Api['Grid'] | ''>[] = [{ value: '', label: t('What fits, bar by bar') }, ...choices.Grid];

/** A file before it is put on a page: whose part is which, what is in it, and what of it is not kept. */
export function FileDialog({ file, pageId, label, onText, onStored, onClose }: Props) {
    const [roles, setRoles] = useState<Partial<Record<Role, string>>>({});
    const [grid, setGrid] = useState<Api['Grid'] | ''>('');
    const [pickup, setPickup] = useState('');
    const body = {
        file,
        grid: grid || null,
        pickup: pickup || null,
        label,
        part: roles.student ?? null,
        left: roles.left ?? null,
        duet: roles.duet ?? null,
    };
    const reading = useQuery({
        queryKey: ['reading', file.name, file.lastModified, file.size, roles, grid, pickup],
        queryFn: () => ask('post', '/readings', { body, ...asForm }),
        placeholderData: (before) => before,
        retry: false,
        gcTime: 0,
    });
    const store = useMutation({
        mutationFn: () => ask('post', '/pages/{page}/pieces', { ...at({ page: pageId ?? 0 }), body, ...asForm }),
        onSuccess: onStored,
    });
    const read = reading.data;
    const several = (read?.parts.length ?? 0) > 1;
    const typable = read?.music != null && read.unsaid.length === 0;
    return (
        <Dialog title={t('From {{name}}', { name: file.name })} size="62rem" onClose={onClose}>
            <Stack gap="sm">
                {reading.isPending && <Waiting what={t('Reading the file…')} />}
                <Trouble error={reading.error ?? store.error} />
                {read?.kind === 'midi' && <PlayedOn read={read} setGrid={setGrid} setPickup={setPickup} />}
                {several && <Parts parts={read?.parts ?? []} roles={roles} setRoles={setRoles} />}
                {read?.music != null && (
                    <WhatIsRead
                        read={read}
                        music={read.music}
                        typable={typable}
                        onText={onText}
                        store={pageId === null ? null : () => store.mutate()}
                        storing={store.isPending}
                    />
                )}
            </Stack>
        </Dialog>
    );
}

interface PartsProps {
    parts: Reading['parts'];
    roles: Partial<Record<Role, string>>;
    setRoles: (roles: Partial<Record<Role, string>>) => void;
}

function Parts({ parts, roles, setRoles }: PartsProps) {
    return (
        <Table aria-label={t('Who plays which part')}>
            <Table.Thead>
                <Table.Tr>
                    <Table.Th>{t('Part')}</Table.Th>
                    {ROLES.map(([role, name]) => (
                        <Table.Th key={role}>{name}</Table.Th>
                    ))}
                </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
                {parts.map((part) => (
                    <Table.Tr key={part.id}>
                        <Table.Td>
                            {part.staves === 1
                                ? t('{{name}}, {{notes}} notes on one staff', { name: part.name, notes: part.notes })
                                : t('{{name}}, {{notes}} notes on two staves', { name: part.name, notes: part.notes })}
                        </Table.Td>
                        {ROLES.map(([role, name]) => (
                            <Table.Td key={role}>
                                <Radio
                                    name={role}
                                    aria-label={t('{{name}} plays {{name2}}', { name, name2: part.name })}
                                    checked={roles[role] === part.id}
                                    onChange={() => {
                                        // A part has one player.
                                        const others = Object.entries(roles).filter(([, id]) => id !== part.id);
                                        setRoles({ ...Object.fromEntries(others), [role]: part.id });
                                    }}
                                />
                            </Table.Td>
                        ))}
                    </Table.Tr>
                ))}
            </Table.Tbody>
        </Table>
    );
}

function Notes({ title, notes }: { title: string; notes: Api['CheckResource'][] }) {
    if (notes.length === 0) return null;
    return (
        <section aria-label={title}>
            <Text fw={700} size="sm">
                {title}
            </Text>
            {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a long list is scrolled by keys */}
            <ul className={styles.notes} tabIndex={0}>
                {notes.map((note) => (
                    <li key={`${note.place} ${note.text}`} className={styles.note}>
                        {note.text}
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What is in the file, what of it is not kept, and the ways on. */
function WhatIsRead({
    read,
    music,
    typable,
    onText,
    store,
    storing,
}: {
    read: Reading;
    music: string;
    typable: boolean;
    onText: Props['onText'];
    store: (() => void) | null;
    storing: boolean;
}) {
    return (
        <>
            <Notes title={read.kind === 'midi' ? t('Look at these again') : t('Not kept')} notes={read.notRead} />
            <Notes title={t('Does not add up')} notes={read.checks} />
            <div className={`sheet ${styles.music}`}>
                <Score
                    music={music}
                    title={t('{{title}}, {{measures}} bars', { title: read.title, measures: read.measures })}
                    scale={34}
                />
            </div>
            {read.unsaid.length > 0 && (
                <Text size="sm">
                    {t(
                        'The shorthand has no word for this, so it would be lost when the piece is typed on: {{unsaid}}',
                        { unsaid: read.unsaid.join(' ') },
                    )}
                </Text>
            )}
            <Group gap="xs">
                <Button variant={typable ? 'filled' : 'default'} onClick={() => onText(read)}>
                    {t('Type on from it')}
                </Button>
                {store !== null && (
                    <Button variant={typable ? 'default' : 'filled'} loading={storing} onClick={store}>
                        {t('Put it on the page as it is')}
                    </Button>
                )}
            </Group>
        </>
    );
}

/** Of played notes: the grid they are laid on, and the pickup. */
function PlayedOn({
    read,
    setGrid,
    setPickup,
}: {
    read: Reading;
    setGrid: (grid: Api['Grid'] | '') => void;
    setPickup: (pickup: string) => void;
}) {
    return (
        <Group gap="sm">
            <Select
                label={t('Lay the notes on a grid of')}
                w={220}
                allowDeselect={false}
                data={GRIDS}
                value={read.grid ?? ''}
                onChange={(chosen) => setGrid(chosen ?? '')}
            />
            <Select
                label={t('Pickup')}
                w={220}
                allowDeselect={false}
                data={read.pickups.map(({ length, name }) => ({ value: length, label: name }))}
                value={read.pickup}
                onChange={(chosen) => setPickup(chosen ?? '')}
            />
        </Group>
    );
}
