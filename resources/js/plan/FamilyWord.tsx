import { Button, Group, Stack, Text, Textarea } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import type { Week } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { ChangeList } from './Changes';

interface Props {
    week: Week;
    error: unknown;
    sending: boolean;
    send: (message: string) => void;
}

/** A word that stands above the tasks at home. */
export function FamilyWord({ week, error, sending, send }: Props) {
    const [message, setMessage] = useState(week.message);
    const submit = (event: FormEvent) => {
        event.preventDefault();
        send(message);
    };
    return (
        <Stack component="form" onSubmit={submit} gap="sm">
            <Textarea
                label={t('To the family')}
                description={t('It stands above the tasks at home.')}
                maxLength={500}
                autosize
                minRows={3}
                value={message}
                onChange={(event) => setMessage(event.currentTarget.value)}
                data-autofocus
            />
            {week.changes.length > 0 && (
                <>
                    <Text size="sm">{t('What has changed since it was sent goes with it:')}</Text>
                    <ChangeList changes={week.changes} />
                </>
            )}
            <Trouble error={error} />
            <Group>
                <Button type="submit" loading={sending}>
                    {week.sentAt === null ? t('Send the plan with it') : t('Send')}
                </Button>
            </Group>
        </Stack>
    );
}
