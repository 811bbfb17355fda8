import { Alert, Anchor, Text } from '@mantine/core';
import { Link } from 'react-router';
import { api } from '../api';
import { t } from '../text';

/** Whoever sends a week thinks that it has come; where a letter did not go, it is told on the first screen. */
export function RefusedLetters() {
    const refused = api.useQuery('get', '/mails/refused');
    const [first, ...more] = refused.data ?? [];
    if (first === undefined) return null;
    return (
        <Alert color="flower" variant="light" role="status" c="var(--ink)">
            <Text size="sm">
                {more.length === 0
                    ? t('A letter did not go: “{{subject}}”, to {{to}}.', { subject: first.subject, to: first.to })
                    : t('{{n}} letters did not go. The last: “{{subject}}”, to {{to}}.', {
                          n: more.length + 1,
                          subject: first.subject,
                          to: first.to,
                      })}{' '}
                <Anchor component={Link} to="/studio#outbox" c="var(--ink)" fz="inherit" td="underline">
                    {t('Look at it in the outbox')}
                </Anchor>
            </Text>
        </Alert>
    );
}
