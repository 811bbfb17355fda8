import { Anchor, Button, Checkbox, PasswordInput, Text, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link, Navigate, useLocation, useNavigate } from 'react-router';
import { type Api, api, ask, keyOf } from '../api';
import { CodeField } from '../shared/CodeField';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { Door } from './Door';

/** The way in; to the first account where nobody has one yet. */
export function SignIn() {
    const [draft, setDraft] = useState({ email: '', password: '', code: '', remember: false });
    const set = (change: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...change }));
    const welcome = api.useQuery('get', '/welcome');
    const signIn = useSignIn();
    const submit = (event: FormEvent) => {
        event.preventDefault();
        signIn.mutate(draft);
    };
    if (welcome.data?.isEmpty) return <Navigate to="/welcome" replace />;
    return (
        <Door submit={submit} words={t('From the page to a week of practice.')}>
            <TextInput
                label={t('Email')}
                type="email"
                autoComplete="username"
                required
                value={draft.email}
                onChange={(event) => set({ email: event.currentTarget.value })}
                autoFocus
            />
            <PasswordInput
                label={t('Password')}
                autoComplete="current-password"
                required
                value={draft.password}
                onChange={(event) => set({ password: event.currentTarget.value })}
            />
            <CodeField error={signIn.error} code={draft.code} set={(code) => set({ code })} />
            <Checkbox
                label={t('Remember me on this device for 30 days')}
                checked={draft.remember}
                onChange={(event) => set({ remember: event.currentTarget.checked })}
            />
            <Trouble error={signIn.error} />
            <Button type="submit" loading={signIn.isPending}>
                {t('Sign in')}
            </Button>
            <OtherWays isOpen={welcome.data?.isOpen ?? false} />
        </Door>
    );
}

/** For whoever cannot sign in, or has nothing to sign in to. */
function OtherWays({ isOpen }: { isOpen: boolean }) {
    return (
        <Text size="sm">
            <Anchor component={Link} to="/forgotten" c="var(--ink)">
                {t('Forgot your password?')}
            </Anchor>
            {isOpen && (
                <>
                    {' · '}
                    <Anchor component={Link} to="/welcome" c="var(--ink)">
                        {t('Make a studio of your own')}
                    </Anchor>
                </>
            )}
        </Text>
    );
}

/** Signs in, and goes where she was on her way to. */
function useSignIn() {
    const client = useQueryClient();
    const navigate = useNavigate();
    const { state } = useLocation() as { state: { to?: string } | null };
    return useMutation({
        mutationFn: (draft: Api['SignInRequest']) => ask('post', '/session', { body: draft }),
        onSuccess: (session) => {
            client.setQueryData(keyOf('/session'), session);
            navigate(state?.to ?? '/', { replace: true });
        },
    });
}
