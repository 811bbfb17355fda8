import { Progress, Stack, Text } from '@mantine/core';
import type { Api } from '../api';
import { t } from '../text';
import { progressOf } from './progress';

/** How far the reading of a picture is, step by step. */
export function Progressing({ photo }: { photo: Api['PhotoResource'] }) {
    const { share, says } = progressOf(photo);
    return (
        <Stack gap={4} className="sheet">
            <Text size="sm" role="status">
                {says}
            </Text>
            <Progress.Root size="lg">
                <Progress.Section
                    value={share}
                    color="leaf"
                    aria-label={t('How far the reading of {{where}} is', { where: photo.where })}
                />
            </Progress.Root>
        </Stack>
    );
}
