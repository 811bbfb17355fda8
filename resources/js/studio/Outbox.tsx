import { Anchor, Badge, Button, Group, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, useLocation } from 'react-router';
import { type Api, api, ask, at, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { dateOf, shortDate } from '../shared/words';
import { t } from '../text';
import styles from './Outbox.module.css';

type Mail = Api['MailResource'];

/** While one is on its way, what has become of it is asked after so many milliseconds. */
const AGAIN = 5000;

/** Letters that were written, and what has become of them; where no mail server is named they stay here, to be read. */
export function Outbox() {
    const mails = api.useQuery('get', '/mails', undefined, {
        refetchInterval: (query) => (query.state.data?.some((mail) => mail.state === 'waiting') ? AGAIN : false),
    });
    const { hash } = useLocation();
    const title = useRef<HTMLHeadingElement>(null);
    const isAsked = hash === '#outbox' && !mails.isPending;
    useEffect(() => {
        if (isAsked) title.current?.focus();
    }, [isAsked]);
    return (
        <section className="sheet" aria-label={t('Outbox')}>
            <Title order={2} fz="lg" mb={6} ref={title} tabIndex={-1}>
                {t('Outbox')}
            </Title>
            <Trouble error={mails.error} again={() => mails.refetch()} />
            {mails.data?.length === 0 && (
                <Text size="sm" className="faint">
                    {t('No mail yet. A week that is sent goes to families whose mail you have entered.')}
                </Text>
            )}
            {mails.data?.map((mail) => (
                <Letter key={mail.id} mail={mail} />
            ))}
        </section>
    );
}

function Letter({ mail }: { mail: Mail }) {
    const settle = useSettle(mail);
    return (
        <details open={mail.state === 'refused'}>
            <summary className={styles.summary}>
                <b>{mail.subject}</b>{' '}
                <span className="faint">
                    {t('to {{to}}, {{shortDate}}', { to: mail.to, shortDate: shortDate(dateOf(mail.at)) })}
                </span>{' '}
                <State state={mail.state} />
            </summary>
            {mail.trouble !== null && (
                <Text size="sm" my={6}>
                    {mail.trouble}
                </Text>
            )}
            {mail.state === 'refused' && (
                <Group gap="xs" my={6}>
                    <Button size="xs" loading={settle.isPending} onClick={() => settle.mutate(true)}>
                        {t('Send again')}
                    </Button>
                    <Button
                        size="xs"
                        variant="default"
                        disabled={settle.isPending}
                        onClick={() => settle.mutate(false)}
                    >
                        {t('Leave it')}
                    </Button>
                    {mail.studentId !== null && (
                        <Anchor
                            component={Link}
                            to={`/students/${mail.studentId}`}
                            c="var(--ink)"
                            fz="sm"
                            td="underline"
                        >
                            {t('Where the address is entered')}
                        </Anchor>
                    )}
                </Group>
            )}
            <Trouble error={settle.error} />
            <Text size="sm" className={styles.words} my={6}>
                {mail.body === '' ? t('The link that was in it is not kept.') : mail.body}
            </Text>
        </details>
    );
}

/** Sent again, to the address that the family has now, or left as it is. */
function useSettle(mail: Mail) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: (again: boolean) => ask('put', '/mails/{mail}', { ...at({ mail: mail.id }), body: { again } }),
        onSettled: () =>
            Promise.all([
                client.invalidateQueries({ queryKey: keyOf('/mails') }),
                client.invalidateQueries({ queryKey: keyOf('/mails/refused') }),
            ]),
    });
}

function State({ state }: { state: Mail['state'] }) {
    const [words, color] = {
        kept: ['', ''],
        waiting: [t('on its way'), 'gray'],
        sent: [t('sent'), 'leaf'],
        refused: [t('did not go'), 'flower'],
    }[state];
    return words === '' ? null : (
        <Badge variant="light" color={color} c="var(--ink)" tt="none">
            {words}
        </Badge>
    );
}
