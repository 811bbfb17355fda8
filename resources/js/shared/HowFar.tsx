import { Button, Group, Progress, Stack, Text } from '@mantine/core';
import type { Api } from '../api';
import { t } from '../text';

interface Work {
    state: Api['WorkState'];
    done: number;
    of: number;
}

/** Milliseconds between two looks at how far it is. */
export const LOOK_AGAIN = 1000;

export const isGoingOn = ({ state }: Pick<Work, 'state'>) => state === 'waiting' || state === 'working';

interface Props extends Pick<Work, 'done' | 'of'> {
    says: string;
    label: string;
    stop: () => void;
}

/** How far work on the queue is, which whoever asked for it may stop. */
export function HowFar({ done, of, says, label, stop }: Props) {
    return (
        <Group gap="xs" wrap="nowrap">
            <Stack gap={4} flex={1}>
                <Text size="sm" role="status">
                    {says}
                </Text>
                <Progress.Root size="lg">
                    <Progress.Section value={(100 * done) / of} color="leaf" aria-label={label} />
                </Progress.Root>
            </Stack>
            <Button size="xs" variant="default" onClick={stop}>
                {t('Stop')}
            </Button>
        </Group>
    );
}
