import { Anchor, Button, PasswordInput, Text, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { ask } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { Door } from './Door';

/** Asks for a mail with a link to a new password. */
export function Forgotten() {
    const [email, setEmail] = useState('');
    const send = useMutation({ mutationFn: () => ask('post', '/password-resets', { body: { email } }) });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        send.mutate();
    };
    return (
        <Door submit={submit} words={t('A link to a new password comes by mail.')}>
            {send.isSuccess ? (
                <Text role="status">
                    {t(
                        'If there is an account with this address, a mail is on its way. The link in it holds for an hour. No mail? Whoever runs this installation can give you a new password.',
                    )}
                </Text>
            ) : (
                <TextInput
                    label={t('Email')}
                    type="email"
                    required
                    autoComplete="username"
                    value={email}
                    onChange={(event) => setEmail(event.currentTarget.value)}
                    autoFocus
                />
            )}
            <Trouble error={send.error} />
            {!send.isSuccess && (
                <Button type="submit" loading={send.isPending}>
                    {t('Send the link')}
                </Button>
            )}
            <Anchor component={Link} to="/sign-in" size="sm" c="var(--ink)">
                {t('Back to sign in')}
            </Anchor>
        </Door>
    );
}

/** A new password, by the link of the mail. */
export function NewPassword() {
    const [search] = useSearchParams();
    const navigate = useNavigate();
    const [password, setPassword] = useState('');
    const reset = useMutation({
        mutationFn: () =>
            ask('put', '/password-resets', {
                body: { email: search.get('email') ?? '', token: search.get('token') ?? '', password },
            }),
        onSuccess: () => navigate('/sign-in', { replace: true }),
    });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        reset.mutate();
    };
    return (
        <Door
            submit={submit}
            words={t('A new password for {{get}}.', { get: search.get('email') ?? t('your account') })}
        >
            <PasswordInput
                label={t('New password')}
                description={t('At least 10 characters.')}
                required
                minLength={10}
                autoComplete="new-password"
                value={password}
                onChange={(event) => setPassword(event.currentTarget.value)}
                autoFocus
            />
            <Trouble error={reset.error} />
            <Button type="submit" loading={reset.isPending}>
                {t('Save it, and sign in')}
            </Button>
        </Door>
    );
}
