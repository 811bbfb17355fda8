import { Button, Group, List, Stack, Text } from '@mantine/core';
import type { Week } from '../api';
import { Trouble } from '../shared/Notes';
import { listed } from '../shared/words';
import { t } from '../text';
import type { WeekInHand } from './useWeek';

export function ChangeList({ changes }: { changes: readonly string[] }) {
    return (
        <List size="sm" spacing={4}>
            {changes.map((change) => (
                <List.Item key={change}>{change}</List.Item>
            ))}
        </List>
    );
}

/** What the family is told when a plan that it has is sent again. */
export function Changes({ data, hand, send }: { data: Week; hand: WeekInHand; send: () => void }) {
    return (
        <Stack gap="sm">
            <ChangeList changes={data.changes} />
            <Text size="sm" className="faint">
                {data.receivers.length > 0
                    ? t('It goes to {{listed}}. The home page shows the plan as it is now.', {
                          listed: listed(data.receivers),
                      })
                    : t('No home link and no family email: nobody is told. The next printed sheet has it.')}
            </Text>
            <Trouble error={hand.send.error} />
            <Group>
                <Button onClick={send} loading={hand.send.isPending} data-autofocus>
                    {t('Send')}
                </Button>
            </Group>
        </Stack>
    );
}
