import { Button, Code, CopyButton, Group, Text } from '@mantine/core';
import { t } from '../text';

/** An address that is shown once, to be copied: only its hash is kept. */
export function ShownOnce({ url, about }: { url: string; about: string }) {
    return (
        <div role="status">
            <Text size="sm">{t('{{about}} It is shown once.', { about })}</Text>
            <Group gap="xs">
                <Code>{url}</Code>
                <CopyButton value={url}>
                    {({ copied, copy }) => (
                        <Button size="compact-sm" onClick={copy}>
                            {copied ? t('Copied') : t('Copy')}
                        </Button>
                    )}
                </CopyButton>
            </Group>
        </div>
    );
}
