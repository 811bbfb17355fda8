import { Text, Title } from '@mantine/core';
import { api } from '../api';
import { Trouble } from '../shared/Notes';
import { dateOf, shortDate } from '../shared/words';
import { t } from '../text';
import styles from './Outbox.module.css';

/** Mail that was written; where no mailer is named it stays here, to be read. */
export function Outbox() {
    const mails = api.useQuery('get', '/mails');
    return (
        <section className="sheet" aria-label={t('Outbox')}>
            <Title order={2} fz="lg" mb={6}>
                {t('Outbox')}
            </Title>
            <Trouble error={mails.error} />
            {mails.data?.length === 0 && (
                <Text size="sm" className="faint">
                    {t('No mail yet. A week that is sent goes to families whose mail you have entered.')}
                </Text>
            )}
            {mails.data?.map((mail) => (
                <details key={mail.id}>
                    <summary className={styles.summary}>
                        <b>{mail.subject}</b>{' '}
                        <span className="faint">
                            {t('to {{to}}, {{shortDate}}', { to: mail.to, shortDate: shortDate(dateOf(mail.at)) })}
                        </span>
                    </summary>
                    <Text size="sm" className={styles.words} my={6}>
                        {mail.body}
                    </Text>
                </details>
            ))}
        </section>
    );
}
