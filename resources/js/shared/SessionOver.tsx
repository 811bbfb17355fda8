import { Button, Group, PasswordInput, Stack, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useEffect, useState } from 'react';
import { ask, SESSION_OVER } from '../api';
import { t } from '../text';
import { CodeField } from './CodeField';
import { Dialog } from './Dialog';
import { Trouble } from './Notes';

/** When a session ends while she works, the password is asked for on the spot; what was typed stays, what waits is sent. */
export function SessionOver({ email }: { email: string }) {
    const client = useQueryClient();
    const [over, setOver] = useState(false);
    const [draft, setDraft] = useState({ password: '', code: '' });
    useEffect(() => {
        const heard = () => setOver(true);
        window.addEventListener(SESSION_OVER, heard);
        return () => window.removeEventListener(SESSION_OVER, heard);
    }, []);
    const signIn = useMutation({
        mutationFn: () => ask('post', '/session', { body: { email, ...draft } }),
        onSuccess: () => {
            setOver(false);
            setDraft({ password: '', code: '' });
            client.invalidateQueries();
            // What waits to be sent is sent as when a connection is back.
            window.dispatchEvent(new Event('online'));
        },
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        signIn.mutate();
    };
    return (
        <Dialog opened={over} onClose={() => setOver(false)} title={t('Sign in again to go on')}>
            <Stack component="form" onSubmit={submit} gap="sm">
                <Text>{t('You were signed out. Nothing you typed is lost.')}</Text>
                <PasswordInput
                    label={t('Password of {{email}}', { email })}
                    required
                    autoComplete="current-password"
                    data-autofocus
                    value={draft.password}
                    onChange={(event) => setDraft({ ...draft, password: event.currentTarget.value })}
                />
                <CodeField error={signIn.error} code={draft.code} set={(code) => setDraft({ ...draft, code })} />
                <Trouble error={signIn.error} />
                <Group>
                    <Button type="submit" loading={signIn.isPending}>
                        {t('Go on')}
                    </Button>
                </Group>
            </Stack>
        </Dialog>
    );
}
