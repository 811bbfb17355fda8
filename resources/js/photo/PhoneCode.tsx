import { Stack, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';

const OFTEN = 1200;

/** A code that opens the camera page on a phone; it waits for the picture that the phone sends. */
export function PhoneCode({ page, onClose }: { page: number; onClose: () => void }) {
    const navigate = useNavigate();
    const link = useQuery({
        queryKey: ['photo link', page],
        queryFn: () => ask('post', '/pages/{page}/photo-links', at({ page })),
        gcTime: 0,
        staleTime: Number.POSITIVE_INFINITY,
        retry: false,
        refetchOnWindowFocus: false,
    });
    const photo = link.data?.id;
    const state = useQuery({
        ...api.queryOptions('get', '/photos/{photo}', at({ photo: photo ?? 0 })),
        enabled: photo !== undefined,
        refetchInterval: OFTEN,
    });
    const sent = state.data !== undefined && state.data.state !== 'awaited';
    useEffect(() => {
        if (sent && photo !== undefined) navigate(`/photos/${photo}`);
    }, [sent, photo, navigate]);
    const close = () => {
        // What no phone has sent is not waited for any longer.
        if (photo !== undefined && !sent) void ask('delete', '/photos/{photo}', at({ photo })).catch(() => undefined);
        onClose();
    };
    const url = link.data?.url;
    return (
        <Dialog title={t('Take it with a phone')} onClose={close}>
            <Trouble error={link.error} />
            {link.isPending && <Waiting what={t('Making a code…')} />}
            {url != null && (
                <Stack align="center" gap="sm">
                    <Text size="sm">
                        {t('Scan this with the phone. It is good for ten minutes and for one picture of this page.')}
                    </Text>
                    <QRCodeSVG value={url} size={220} marginSize={2} title={t('Code for the phone')} />
                    <Text size="sm" className="faint" style={{ overflowWrap: 'anywhere' }}>
                        {t('Or open {{url}}', { url })}
                    </Text>
                    <Waiting what={t('Waiting for the phone…')} />
                </Stack>
            )}
        </Dialog>
    );
}
