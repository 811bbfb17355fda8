import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { dateOf, shortDate } from '../shared/words';
import { t } from '../text';
import { forgetTold, toldFor } from './toldLater';

/** A take that had waited for a connection was looked at meanwhile: what was heard, until it was read. */
export function HeardLater({ token, taskId }: { token: string; taskId: number }) {
    const [told, setTold] = useState(() => toldFor(token, taskId));
    if (told === null) return null;
    return (
        <section className="sheet" aria-label={t('What you played before')}>
            <Text className="faint">{t('You played this on {{day}}.', { day: shortDate(dateOf(told.at)) })}</Text>
            <Text fw={700} fz="lg">
                {told.heard.well}
            </Text>
            {told.heard.thing !== null && <Text fz="lg">{told.heard.thing}</Text>}
            <Group mt={6}>
                <Button
                    variant="default"
                    onClick={() => {
                        forgetTold(token, taskId);
                        setTold(null);
                    }}
                >
                    {t('I have read it')}
                </Button>
            </Group>
        </section>
    );
}
