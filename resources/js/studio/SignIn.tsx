import { Button, Checkbox, PasswordInput, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { ask, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import styles from './SignIn.module.css';

export function SignIn() {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const [remember, setRemember] = useState(false);
    const client = useQueryClient();
    const navigate = useNavigate();
    const from = (useLocation().state as { to?: string } | null)?.to ?? '/';
    const signIn = useMutation({
        mutationFn: () => ask('post', '/session', { body: { email, password, remember } }),
        onSuccess: (session) => {
            client.setQueryData(keyOf('/session'), session);
            navigate(from, { replace: true });
        },
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        signIn.mutate();
    };
    return (
        <main className={styles.page}>
            <Stack component="form" onSubmit={submit} className="sheet" w={380} maw="100%" gap="md" p="xl">
                <div>
                    <img src="/leaf.svg" alt="" width="44" height="44" />
                    <Title order={1} fz={34}>
                        Nasturtium
                    </Title>
                    <Text className="faint">From the page to a week of practice.</Text>
                </div>
                <TextInput
                    label="Email"
                    type="email"
                    autoComplete="username"
                    required
                    value={email}
                    onChange={(event) => setEmail(event.currentTarget.value)}
                    data-autofocus
                />
                <PasswordInput
                    label="Password"
                    autoComplete="current-password"
                    required
                    value={password}
                    onChange={(event) => setPassword(event.currentTarget.value)}
                />
                <Checkbox
                    label="Remember me on this device for 30 days"
                    checked={remember}
                    onChange={(event) => setRemember(event.currentTarget.checked)}
                />
                <Trouble error={signIn.error} />
                <Button type="submit" loading={signIn.isPending}>
                    Sign in
                </Button>
            </Stack>
        </main>
    );
}
