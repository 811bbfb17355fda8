import { Button, Group, PasswordInput, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { type FormEvent, useState } from 'react';
import { ask, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import styles from './Devices.module.css';

/** A second step at the sign-in: set up with an authenticator app, or put away again; each asks for the password. */
export function SecondStep({ codesLeft }: { codesLeft: number | null }) {
    const client = useQueryClient();
    const [password, setPassword] = useState('');
    const fresh = () => client.invalidateQueries({ queryKey: keyOf('/account') });
    const begin = useMutation({
        mutationFn: (given: string) => ask('post', '/account/second-step', { body: { password: given } }),
    });
    const remove = useMutation({
        mutationFn: (given: string) => ask('delete', '/account/second-step', { body: { password: given } }),
        onSuccess: fresh,
    });
    const on = codesLeft !== null;
    const submit = (event: FormEvent) => {
        event.preventDefault();
        setPassword('');
        if (on) remove.mutate(password);
        else begin.mutate(password);
    };
    return (
        <section className="sheet" aria-label={t('Second step')}>
            <Title order={2} fz="lg">
                {t('Second step')}
            </Title>
            <Text mb="xs">
                {on
                    ? codesLeft === 1
                        ? t('You are asked for a code of your app. One recovery code is left.')
                        : t('You are asked for a code of your app. {{codesLeft}} recovery codes are left.', {
                              codesLeft,
                          })
                    : t('Besides the password, a code of an authenticator app on your phone.')}
            </Text>
            {begin.data !== undefined && !on ? (
                <Scan address={begin.data.address} secret={begin.data.secret} done={fresh} />
            ) : (
                <Group component="form" onSubmit={submit} align="flex-end" gap="xs">
                    <PasswordInput
                        label={t('Your password')}
                        required
                        w={220}
                        autoComplete="current-password"
                        value={password}
                        onChange={(event) => setPassword(event.currentTarget.value)}
                    />
                    <Button type="submit" variant="default" loading={begin.isPending || remove.isPending}>
                        {on ? t('Remove the second step') : t('Set it up')}
                    </Button>
                </Group>
            )}
            <Trouble error={begin.error ?? remove.error} />
        </section>
    );
}

/** The code to scan, and the first code of the app; then the recovery codes, once. */
function Scan({ address, secret, done }: { address: string; secret: string; done: () => void }) {
    const [code, setCode] = useState('');
    const confirm = useMutation({ mutationFn: () => ask('put', '/account/second-step', { body: { code } }) });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        confirm.mutate();
    };
    if (confirm.data !== undefined) {
        return (
            <>
                <Text role="status">
                    {t('It is on. Keep these recovery codes where you find them without your phone; each works once.')}
                </Text>
                <ul className={`plain-list ${styles.codes}`} aria-label={t('Recovery codes')}>
                    {confirm.data.codes.map((one) => (
                        <li key={one}>{one}</li>
                    ))}
                </ul>
                <Button mt="xs" variant="default" onClick={done}>
                    {t('I have them')}
                </Button>
            </>
        );
    }
    return (
        <Group component="form" onSubmit={submit} align="flex-end" gap="md">
            <QRCodeSVG value={address} size={132} title={t('Scan this with your authenticator app')} />
            <div>
                <Text size="sm">{t('Scan it with your app, or type this: {{secret}}', { secret })}</Text>
                <Group align="flex-end" gap="xs">
                    <TextInput
                        label={t('The code that the app shows')}
                        required
                        inputMode="numeric"
                        autoComplete="one-time-code"
                        value={code}
                        onChange={(event) => setCode(event.currentTarget.value)}
                    />
                    <Button type="submit" loading={confirm.isPending}>
                        {t('Turn it on')}
                    </Button>
                </Group>
                <Trouble error={confirm.error} />
            </div>
        </Group>
    );
}
