import { Alert, Button, Center, Loader, Stack, Text } from '@mantine/core';
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

/** An empty room says what belongs in it and how to begin. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
    return (
        <Stack align="center" gap="xs" py="xl" className="sheet">
            <Text ff="heading" size="xl">
                {title}
            </Text>
            {children}
        </Stack>
    );
}
