import { Anchor, Button, Group, Text, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { api, ask, keyOf } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import { CountrySelect, ownCountry, zone } from './CountrySelect';
import { Door } from './Door';
import { NewPasswordField } from './NewPasswordField';

const EMPTY = { name: '', studio: '', email: '', password: '', country: ownCountry };

/** The first account of an installation, and any other where it is open: a teacher, her studio, and what her country decides. */
export function Welcome() {
    const welcome = api.useQuery('get', '/welcome');
    const [draft, setDraft] = useState(EMPTY);
    const set = (change: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...change }));
    const client = useQueryClient();
    const navigate = useNavigate();
    // Whoever is invited to a studio of her own has it in the link.
    const invitation = useLocation().hash.slice(1) || null;
    const make = useMutation({
        mutationFn: () => ask('post', '/studios', { body: { ...draft, timezone: zone, invitation } }),
        onSuccess: (session) => {
            client.setQueryData(keyOf('/session'), session);
            navigate('/', { replace: true });
        },
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        if (!make.isPending) make.mutate();
    };
    if (welcome.isPending) return <Waiting what={t('One moment…')} />;
    if (welcome.data?.isOpen === false && invitation === null) return <Shut />;
    return (
        <Door submit={submit} wide words={t('Welcome. A name, a studio, and you can open the first page.')}>
            <Names draft={draft} set={set} />
            <TextInput
                label={t('Email')}
                type="email"
                required
                autoComplete="username"
                value={draft.email}
                onChange={(event) => set({ email: event.currentTarget.value })}
            />
            <NewPasswordField value={draft.password} set={(password) => set({ password })} />
            <CountrySelect
                codes={welcome.data?.countries ?? []}
                value={draft.country}
                set={(country) => set({ country })}
            />
            <Trouble error={make.error ?? welcome.error} />
            <Button type="submit" loading={make.isPending}>
                {t('Make the studio')}
            </Button>
        </Door>
    );
}

function Shut() {
    return (
        <Door submit={(event) => event.preventDefault()} words={t('New studios are made by invitation here.')}>
            <Text>{t('Ask whoever runs this installation.')}</Text>
            <Anchor component={Link} to="/sign-in" c="var(--ink)">
                {t('Sign in')}
            </Anchor>
        </Door>
    );
}

/** Whose studio it is. */
function Names({ draft, set }: { draft: typeof EMPTY; set: (change: Partial<typeof EMPTY>) => void }) {
    return (
        <Group grow align="flex-start">
            <TextInput
                label={t('Your name')}
                required
                maxLength={120}
                autoComplete="name"
                value={draft.name}
                onChange={(event) => set({ name: event.currentTarget.value })}
                autoFocus
            />
            <TextInput
                label={t('Name of your studio')}
                required
                maxLength={120}
                value={draft.studio}
                onChange={(event) => set({ studio: event.currentTarget.value })}
            />
        </Group>
    );
}
