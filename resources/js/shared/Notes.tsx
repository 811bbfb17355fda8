import { Alert, Button, Center, Loader, Stack, Text, Title } from '@mantine/core';
import type { ReactNode } from 'react';
import { wordsOf } from '../api';
import { t } from '../text';

/** What went wrong and what to do, where it happened. */
export function Trouble({ error, again }: { error: unknown; again?: () => void }) {
    if (error == null) return null;
    return (
        <Alert color="flower" variant="light" role="alert" c="var(--ink)">
            {wordsOf(error).map((text) => (
                <Text key={text} size="sm">
                    {text}
                </Text>
            ))}
            {again && (
                <Button size="xs" mt="xs" variant="default" onClick={again}>
                    {t('Try again')}
                </Button>
            )}
        </Alert>
    );
}

export function Waiting({ what }: { what: string }) {
    return (
        <Center py="xl" role="status">
            <Loader size="sm" mr="sm" color="leaf" />
            <Text className="faint">{what}</Text>
        </Center>
    );
}

/** An empty room, or an empty part of one, says what belongs in it and how to begin. */
export function Empty({ title, part = false, children }: { title: string; part?: boolean; children?: ReactNode }) {
    return (
        <Stack align="center" gap="xs" py="xl" className="sheet">
            <Title order={part ? 2 : 1} fz="xl" fw={400}>
                {title}
            </Title>
            {children}
        </Stack>
    );
}
