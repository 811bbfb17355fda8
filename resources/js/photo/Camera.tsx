import { Button, FileButton, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { asForm, ask, authorized } from '../api';
import { Waiting } from '../shared/Notes';
import { t } from '../text';
import styles from './Look.module.css';
import { sendable } from './picture';
import { SendTrouble } from './SendTrouble';

/** What a phone opens by the code on the screen: it takes one picture of one page, and sends it. */
export function Camera() {
    const token = useParams().token ?? '';
    const link = useQuery({
        queryKey: ['camera', token],
        queryFn: () => ask('get', '/camera', authorized(token)),
        retry: false,
        refetchOnWindowFocus: false,
    });
    const send = useMutation({
        mutationFn: async (file: File) =>
            ask('post', '/camera', {
                ...authorized(token),
                body: { file: await sendable(file) },
                ...asForm,
            }),
    });
    const take = (file: File | null) => file !== null && send.mutate(file);
    if (link.isPending) return <Waiting what={t('One moment…')} />;
    const sent = send.data?.sent === true || link.data?.sent === true;
    return (
        <main className={styles.phone}>
            <Stack gap="md">
                <Title order={1} fz={24}>
                    {t('A photo for the music desk')}
                </Title>
                {link.error !== null && (
                    <Text role="alert">{t('This code is used or over. Make a new one on the teacher’s screen.')}</Text>
                )}
                {link.data !== undefined && <Text>{link.data.where}</Text>}
                {sent && <Text role="status">{t('Sent. Go on at the other screen; this page can be closed.')}</Text>}
                {link.data !== undefined && !sent && (
                    <>
                        <Text size="sm">
                            {t('Hold the phone flat above the page, near enough that the page fills the picture.')}
                        </Text>
                        <FileButton onChange={take} accept="image/*" capture="environment">
                            {(props) => (
                                <Button {...props} size="lg" loading={send.isPending}>
                                    {t('Take the picture')}
                                </Button>
                            )}
                        </FileButton>
                        <FileButton onChange={take} accept="image/*">
                            {(props) => (
                                <Button {...props} variant="default" disabled={send.isPending}>
                                    {t('Choose one from this phone')}
                                </Button>
                            )}
                        </FileButton>
                        <SendTrouble error={send.error} />
                    </>
                )}
            </Stack>
        </main>
    );
}
