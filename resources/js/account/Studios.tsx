import { Button, Group, PasswordInput, Select, Stack, Text, TextInput, Title } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { type Api, api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { useEnter, useSwitch } from '../shared/studios';
import { t } from '../text';
import { CountrySelect, ownCountry, zone } from './CountrySelect';
import { Demo } from './Demo';

type Session = Api['SessionResource'];

const AS = { owner: t('you lead it'), teacher: t('teacher'), assistant: t('assistant') };

/** The studios of whoever is signed in: going to another, making one, looking around in an invented one, leaving. */
export function Studios() {
    const session = useSession();
    const go = useSwitch();
    const welcome = api.useQuery('get', '/welcome');
    const [dialog, setDialog] = useState<'new' | 'leave' | null>(null);
    if (session.data === undefined) return null;
    const { studios, studio, role, isDemo } = session.data;
    return (
        <section className="sheet" aria-label={t('Studios')}>
            <Title order={2} fz="lg" mb={6}>
                {t('Studios')}
            </Title>
            <ul className="plain-list">
                {studios.map((one) => (
                    <Place
                        key={one.studioId}
                        place={one}
                        isHere={one.studioId === studio.id}
                        go={() => go.mutate(one.studioId)}
                    />
                ))}
            </ul>
            <Trouble error={go.error} />
            <Group gap="xs" mt="xs">
                {welcome.data?.isOpen && (
                    <Button variant="default" onClick={() => setDialog('new')}>
                        {t('Another studio')}
                    </Button>
                )}
                <Demo />
                <Button variant="subtle" c="var(--thorn)" onClick={() => setDialog('leave')}>
                    {role === 'owner'
                        ? t('Delete {{name}}', { name: studio.name })
                        : t('Leave {{name}}', { name: studio.name })}
                </Button>
            </Group>
            <Dialog opened={dialog === 'new'} onClose={() => setDialog(null)} title={t('Another studio')}>
                <NewStudio countries={welcome.data?.countries ?? []} />
            </Dialog>
            <Dialog
                opened={dialog === 'leave'}
                onClose={() => setDialog(null)}
                title={
                    role === 'owner'
                        ? t('Delete {{name}}?', { name: studio.name })
                        : t('Leave {{name}}?', { name: studio.name })
                }
            >
                {role === 'owner' ? (
                    <DeleteStudio session={session.data} isDemo={isDemo} />
                ) : (
                    <LeaveStudio isOnly={studios.length === 1} />
                )}
            </Dialog>
        </section>
    );
}

function Place({ place, isHere, go }: { place: Session['studios'][number]; isHere: boolean; go: () => void }) {
    return (
        <li>
            <Group justify="space-between" py={4}>
                <Text>
                    <b>{place.name}</b>{' '}
                    <span className="faint">{place.isDemo ? t('to look around in') : AS[place.role]}</span>
                </Text>
                {isHere ? (
                    <Text size="sm">{t('you are here')}</Text>
                ) : (
                    <Button size="compact-sm" variant="default" onClick={go}>
                        {t('Go to {{name}}', { name: place.name })}
                    </Button>
                )}
            </Group>
        </li>
    );
}

function NewStudio({ countries }: { countries: string[] }) {
    const [draft, setDraft] = useState({ studio: '', country: ownCountry });
    const make = useEnter(() => ask('post', '/account/studios', { body: { ...draft, timezone: zone } }));
    const submit = (event: FormEvent) => {
        event.preventDefault();
        make.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <TextInput
                label={t('Name of the studio')}
                required
                maxLength={120}
                value={draft.studio}
                onChange={(event) => setDraft({ ...draft, studio: event.currentTarget.value })}
                data-autofocus
            />
            <CountrySelect codes={countries} value={draft.country} set={(country) => setDraft({ ...draft, country })} />
            <Trouble error={make.error} />
            <Group>
                <Button type="submit" loading={make.isPending}>
                    {t('Make the studio')}
                </Button>
            </Group>
        </Stack>
    );
}

/** All that is in it goes; one to look around in goes without a password. */
function DeleteStudio({ session, isDemo }: { session: Session; isDemo: boolean }) {
    const [password, setPassword] = useState('');
    const remove = useEnter(async () => {
        await ask('delete', '/studios/{studio}', { ...at({ studio: session.studio.id }), body: { password } });
        return ask('get', '/session');
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        remove.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <Text>
                {isDemo
                    ? t('Whatever you tried in it goes. You can have a new one at any time.')
                    : t(
                          'Every student, book, plan and lesson in it goes, for everybody. This cannot be undone: make a backup first, under Studio.',
                      )}
            </Text>
            {!isDemo && (
                <PasswordInput
                    label={t('Your password')}
                    required
                    autoComplete="current-password"
                    value={password}
                    onChange={(event) => setPassword(event.currentTarget.value)}
                />
            )}
            <Trouble error={remove.error} />
            <Group>
                <Button type="submit" color="red" loading={remove.isPending}>
                    {t('Delete {{name}}', { name: session.studio.name })}
                </Button>
            </Group>
        </Stack>
    );
}

/** A teacher’s students go to another; an assistant asks a teacher first. */
function LeaveStudio({ isOnly }: { isOnly: boolean }) {
    const members = api.useQuery('get', '/members', undefined, { retry: false });
    const [to, setTo] = useState<string | null>(null);
    const you = members.data?.find((one) => one.isYou);
    const leave = useEnter(async () => {
        await ask('delete', '/members', { body: { studentsTo: to === null ? null : Number(to) } });
        // Nobody works nowhere: it is the way out as well.
        if (isOnly) location.assign('/sign-in');
        return ask('get', '/session');
    });
    return (
        <Stack gap="sm">
            <Text>{t('You cannot open it any more until you are invited again.')}</Text>
            {(you?.students ?? 0) > 0 && (
                <Select
                    label={t('Who teaches your students from now on')}
                    value={to}
                    onChange={setTo}
                    data={(members.data ?? [])
                        .filter((one) => !one.isYou)
                        .map((one) => ({ value: String(one.id), label: one.name }))}
                />
            )}
            <Trouble error={leave.error} />
            <Group>
                <Button color="red" loading={leave.isPending} onClick={() => leave.mutate()}>
                    {t('Leave')}
                </Button>
            </Group>
        </Stack>
    );
}
