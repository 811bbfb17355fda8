import { Button, Group, PasswordInput, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, type ReactNode, useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { type Api, api, ask, keyOf } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import { Devices } from './Devices';
import { SecondStep } from './SecondStep';
import { Studios } from './Studios';

type AccountData = Api['AccountResource'];

/** The teacher's own account: name, address, password, second step, devices. */
export function Account() {
    const account = api.useQuery('get', '/account');
    const client = useQueryClient();
    const kept = (data: AccountData) => {
        client.setQueryData(keyOf('/account'), data);
        client.invalidateQueries({ queryKey: keyOf('/session') });
    };
    const confirmed = useConfirmation(kept);
    if (account.isPending) return <Waiting what={t('Opening your account…')} />;
    if (account.error) return <Trouble error={account.error} again={() => account.refetch()} />;
    return (
        <Stack maw={760} gap="md">
            <Title order={1} fz={28}>
                {t('Account')}
            </Title>
            {confirmed.isSuccess && (
                <Text role="status">{t('From now on you sign in with {{email}}.', { email: account.data.email })}</Text>
            )}
            <Trouble error={confirmed.error} />
            <NameForm data={account.data} kept={kept} />
            <EmailForm data={account.data} kept={kept} />
            <PasswordForm kept={kept} />
            <SecondStep codesLeft={account.data.codesLeft} />
            <Devices />
            <Studios />
        </Stack>
    );
}

/** The link of the mail leads here: the new address is confirmed at once. */
function useConfirmation(kept: (data: AccountData) => void) {
    const [search, setSearch] = useSearchParams();
    const token = search.get('confirm');
    const confirm = useMutation({
        mutationFn: (given: string) => ask('put', '/account/email/confirmed', { body: { token: given } }),
        onSuccess: kept,
    });
    // biome-ignore lint/correctness/useExhaustiveDependencies: once for each token of the address
    useEffect(() => {
        if (token === null) return;
        setSearch({}, { replace: true });
        confirm.mutate(token);
    }, [token]);
    return confirm;
}

interface PartProps {
    title: string;
    save: { mutate: () => void; isPending: boolean; isSuccess: boolean; error: unknown };
    verb: string;
    done: string;
    children: ReactNode;
}

/** A part of the account with one thing to save. */
function Part({ title, save, verb, done, children }: PartProps) {
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate();
    };
    return (
        <Stack component="form" onSubmit={submit} className="sheet" gap="sm" aria-label={title}>
            <Title order={2} fz="lg">
                {title}
            </Title>
            {children}
            <Trouble error={save.error} />
            <Group gap="sm">
                <Button type="submit" variant="default" loading={save.isPending}>
                    {verb}
                </Button>
                {save.isSuccess && <Text role="status">{done}</Text>}
            </Group>
        </Stack>
    );
}

interface FormProps {
    data: AccountData;
    kept: (data: AccountData) => void;
}

function NameForm({ data, kept }: FormProps) {
    const [name, setName] = useState(data.name);
    const save = useMutation({ mutationFn: () => ask('patch', '/account', { body: { name } }), onSuccess: kept });
    return (
        <Part title={t('Name')} save={save} verb={t('Save')} done={t('Saved.')}>
            <TextInput
                label={t('Your name')}
                required
                maxLength={120}
                autoComplete="name"
                value={name}
                onChange={(event) => setName(event.currentTarget.value)}
            />
        </Part>
    );
}

function EmailForm({ data, kept }: FormProps) {
    const [draft, setDraft] = useState({ email: '', password: '' });
    const save = useMutation({
        mutationFn: () => ask('put', '/account/email', { body: draft }),
        onSuccess: (account) => {
            setDraft({ email: '', password: '' });
            kept(account);
        },
    });
    return (
        <Part title={t('Email')} save={save} verb={t('Change')} done={t('Now open the mail that was sent there.')}>
            <Text>
                {t('You sign in with {{email}}.', { email: data.email })}
                {data.newEmail !== null &&
                    t(' {{newEmail}} waits until the mail sent there is opened.', { newEmail: data.newEmail })}
            </Text>
            <Group grow align="flex-start">
                <TextInput
                    label={t('New address')}
                    type="email"
                    required
                    value={draft.email}
                    onChange={(event) => setDraft({ ...draft, email: event.currentTarget.value })}
                />
                <PasswordInput
                    label={t('Your password')}
                    required
                    autoComplete="current-password"
                    value={draft.password}
                    onChange={(event) => setDraft({ ...draft, password: event.currentTarget.value })}
                />
            </Group>
        </Part>
    );
}

function PasswordForm({ kept }: Pick<FormProps, 'kept'>) {
    const [draft, setDraft] = useState({ current: '', password: '' });
    const save = useMutation({
        mutationFn: () => ask('put', '/account/password', { body: draft }),
        onSuccess: (account) => {
            setDraft({ current: '', password: '' });
            kept(account);
        },
    });
    return (
        <Part
            title={t('Password')}
            save={save}
            verb={t('Change')}
            done={t('Changed. Your other devices are signed out.')}
        >
            <Group grow align="flex-start">
                <PasswordInput
                    label={t('Password now')}
                    required
                    autoComplete="current-password"
                    value={draft.current}
                    onChange={(event) => setDraft({ ...draft, current: event.currentTarget.value })}
                />
                <PasswordInput
                    label={t('New password, 10 characters or more')}
                    required
                    minLength={10}
                    autoComplete="new-password"
                    value={draft.password}
                    onChange={(event) => setDraft({ ...draft, password: event.currentTarget.value })}
                />
            </Group>
        </Part>
    );
}
