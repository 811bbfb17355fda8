import { Anchor, Button, Group, PasswordInput, Select, Text, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, keyOf } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { Door } from './Door';

const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The country that the browser speaks for, as `en-GB` says GB. */
const ownCountry = new Intl.Locale(navigator.language).region ?? '';

const EMPTY = { name: '', studio: '', email: '', password: '', country: ownCountry };

/** The first account of an installation, and any other where it is open: a teacher, her studio, and what her country decides. */
export function Welcome() {
    const welcome = api.useQuery('get', '/welcome');
    const [draft, setDraft] = useState(EMPTY);
    const set = (change: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...change }));
    const client = useQueryClient();
    const navigate = useNavigate();
    const make = useMutation({
        mutationFn: () => ask('post', '/studios', { body: { ...draft, timezone: zone } }),
        onSuccess: (session) => {
            client.setQueryData(keyOf('/session'), session);
            navigate('/', { replace: true });
        },
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        make.mutate();
    };
    if (welcome.isPending) return <Waiting what="One moment…" />;
    if (welcome.data?.isOpen === false) return <Shut />;
    return (
        <Door submit={submit} wide words="Welcome. A name, a studio, and you can open the first page.">
            <Names draft={draft} set={set} />
            <TextInput
                label="Email"
                type="email"
                required
                autoComplete="username"
                value={draft.email}
                onChange={(event) => set({ email: event.currentTarget.value })}
            />
            <PasswordInput
                label="Password"
                description="At least 10 characters; a few words in a row are good."
                required
                minLength={10}
                autoComplete="new-password"
                value={draft.password}
                onChange={(event) => set({ password: event.currentTarget.value })}
            />
            <Country codes={welcome.data?.countries ?? []} value={draft.country} set={(country) => set({ country })} />
            <Trouble error={make.error ?? welcome.error} />
            <Button type="submit" loading={make.isPending}>
                Make the studio
            </Button>
        </Door>
    );
}

/** What the country decides can be changed later, under Studio. */
function Country({ codes, value, set }: { codes: readonly string[]; value: string; set: (code: string) => void }) {
    const data = useMemo(() => {
        const names = new Intl.DisplayNames([navigator.language, 'en'], { type: 'region' });
        return codes
            .map((code) => ({ value: code, label: names.of(code) ?? code }))
            .sort((a, b) => a.label.localeCompare(b.label));
    }, [codes]);
    return (
        <Select
            label="Country"
            description="It sets the time zone, the paper, and US or UK words of music. You can change each later."
            required
            searchable
            value={codes.includes(value) ? value : null}
            onChange={(code) => set(code ?? '')}
            data={data}
        />
    );
}

function Shut() {
    return (
        <Door submit={(event) => event.preventDefault()} words="New studios are made by invitation here.">
            <Text>Ask whoever runs this installation.</Text>
            <Anchor component={Link} to="/sign-in" c="var(--ink)">
                Sign in
            </Anchor>
        </Door>
    );
}

/** Whose studio it is. */
function Names({ draft, set }: { draft: typeof EMPTY; set: (change: Partial<typeof EMPTY>) => void }) {
    return (
        <Group grow align="flex-start">
            <TextInput
                label="Your name"
                required
                maxLength={120}
                autoComplete="name"
                value={draft.name}
                onChange={(event) => set({ name: event.currentTarget.value })}
                autoFocus
            />
            <TextInput
                label="Name of your studio"
                required
                maxLength={120}
                value={draft.studio}
                onChange={(event) => set({ studio: event.currentTarget.value })}
            />
        </Group>
    );
}
