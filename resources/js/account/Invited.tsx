import { Anchor, Button, Text, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { type Api, ask } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { useEnter } from '../shared/studios';
import { t } from '../text';
import { Door } from './Door';
import { NewPasswordField } from './NewPasswordField';

/** Where the link of an invitation leads: whoever is signed in joins, others make an account first. */
export function Invited() {
    const token = useLocation().hash.slice(1);
    const invitation = useQuery({
        queryKey: ['invitation', token],
        queryFn: () => ask('post', '/invitations/opened', { body: { token } }),
        retry: false,
    });
    if (invitation.isPending) return <Waiting what={t('Opening the invitation…')} />;
    if (invitation.error) {
        return (
            <Door submit={(event) => event.preventDefault()} words={t('The invitation cannot be opened.')}>
                <Trouble error={invitation.error} />
                <Anchor component={Link} to="/sign-in" c="var(--ink)">
                    {t('Sign in')}
                </Anchor>
            </Door>
        );
    }
    return <Invitation token={token} data={invitation.data} />;
}

function Invitation({ token, data }: { token: string; data: Api['InvitationResource'] }) {
    const [draft, setDraft] = useState({ name: data.name, password: '' });
    const join = useEnter(() =>
        ask('post', '/invitations', { body: data.signedIn === null ? { token, ...draft } : { token } }),
    );
    const submit = (event: FormEvent) => {
        event.preventDefault();
        join.mutate();
    };
    const isNew = data.signedIn === null && !data.isKnown;
    const words =
        data.role === 'assistant'
            ? t('You are invited to {{studio}}, as an assistant.', { studio: data.studio })
            : t('You are invited to {{studio}}, as a teacher.', { studio: data.studio });
    return (
        <Door submit={submit} words={words}>
            {data.signedIn !== null && (
                <Text>{t('You are signed in as {{signedIn}}.', { signedIn: data.signedIn })}</Text>
            )}
            {data.signedIn === null && data.isKnown && (
                <Text>
                    {t('There is an account for {{email}} already.', { email: data.email })}{' '}
                    <Anchor
                        component={Link}
                        to="/sign-in"
                        state={{ to: `/invited#${token}` }}
                        c="var(--ink)"
                        td="underline"
                    >
                        {t('Sign in, and come back here')}
                    </Anchor>
                    .
                </Text>
            )}
            {isNew && (
                <>
                    <TextInput
                        label={t('Your name')}
                        required
                        maxLength={120}
                        autoComplete="name"
                        value={draft.name}
                        onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
                    />
                    <TextInput label={t('Email')} readOnly value={data.email} autoComplete="username" />
                    <NewPasswordField value={draft.password} set={(password) => setDraft({ ...draft, password })} />
                </>
            )}
            <Trouble error={join.error} />
            {(isNew || data.signedIn !== null) && (
                <Button type="submit" loading={join.isPending}>
                    {t('Join')}
                </Button>
            )}
        </Door>
    );
}
