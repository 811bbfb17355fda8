import { Alert, Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { type Api, api, ask, at, keyOf } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import { Corners } from './Corners';
import { LookThrough } from './LookThrough';
import { Progressing } from './Progressing';
import { isGoingOn } from './progress';
import { useLook } from './useLook';

const OFTEN = 350;

type Photo = Api['PhotoResource'];

/** A picture of a page: how far it is, why it cannot be read, or what was read of it. */
export function Look() {
    const photo = Number(useParams().photo);
    const state = useQuery(
        api.queryOptions('get', '/photos/{photo}', at({ photo }), {
            refetchInterval: ({ state: { data } }) => (data !== undefined && isGoingOn(data) ? OFTEN : false),
            staleTime: 0,
        }),
    );
    const navigate = useNavigate();
    const client = useQueryClient();
    const stop = useMutation({
        mutationFn: () => ask('delete', '/photos/{photo}', at({ photo })),
        onSuccess: () => navigate(state.data === undefined ? '/books' : `/pages/${state.data.pageId}/photo`),
    });
    if (state.error) return <Trouble error={state.error} again={() => state.refetch()} />;
    if (state.data === undefined) return <Waiting what={t('One moment…')} />;
    const { where, pageId, reason } = state.data;
    const put = (next: Photo) => client.setQueryData(keyOf('/photos/{photo}', at({ photo })), next);
    return (
        <Stack gap="sm">
            <Group justify="space-between" wrap="nowrap" align="flex-start">
                <div>
                    <Title order={1} fz={24}>
                        {t('A page from a photo')}
                    </Title>
                    <Text size="sm" className="faint">
                        {where}
                    </Text>
                </div>
                <Button variant="default" onClick={() => stop.mutate()} loading={stop.isPending}>
                    {isGoingOn(state.data) ? t('Stop') : t('Delete this photo')}
                </Button>
            </Group>
            <Trouble error={stop.error} />
            {isGoingOn(state.data) && <Progressing photo={state.data} />}
            {state.data.state === 'refused' && (
                <Refused {...{ photo, pageId, reason, put }} isRead={state.data.isRead} />
            )}
            {state.data.state === 'read' && <Read photo={photo} put={put} />}
        </Stack>
    );
}

interface RefusedProps {
    photo: number;
    pageId: number;
    reason: string;
    isRead: boolean;
    put: (photo: Photo) => void;
}

function Refused({ photo, pageId, reason, isRead, put }: RefusedProps) {
    const whole = useMutation({
        mutationFn: () => ask('put', '/photos/{photo}/corners', { ...at({ photo }), body: { corners: null } }),
        onSuccess: put,
    });
    return (
        <Alert color="flower" variant="light" role="alert" c="var(--ink)">
            <Text>{reason}</Text>
            <Group mt="sm" gap="xs">
                <Button component={Link} to={`/pages/${pageId}/photo`}>
                    {t('Take another picture')}
                </Button>
                {isRead && (
                    <Button variant="default" onClick={() => whole.mutate()} loading={whole.isPending}>
                        {t('Read the whole picture again')}
                    </Button>
                )}
                <Button variant="default" component={Link} to={`/pages/${pageId}/entry`}>
                    {t('Type it instead')}
                </Button>
            </Group>
        </Alert>
    );
}

function Read({ photo, put }: { photo: number; put: (photo: Photo) => void }) {
    const look = useLook(photo);
    const [corners, setCorners] = useState(false);
    if (look.query.error) return <Trouble error={look.query.error} again={() => look.query.refetch()} />;
    if (look.page === undefined) return <Waiting what={t('Fetching what was read…')} />;
    return (
        <>
            {look.overtaken && (
                <Alert color="flower" variant="light" role="alert" c="var(--ink)">
                    {t('This photo was changed in another window. You see what stands now.')}
                </Alert>
            )}
            <Trouble error={look.error} again={look.settled} />
            {look.page.isPoor && (
                <Alert color="flower" variant="light" role="note" c="var(--ink)">
                    {t(
                        'Most bars are in doubt. Handwriting cannot be read; if the page is printed, take it again nearer, from straight above.',
                    )}
                </Alert>
            )}
            <LookThrough look={look} page={look.page} onCorners={() => setCorners(true)} />
            {corners && <Corners photo={photo} onClose={() => setCorners(false)} onDone={put} />}
        </>
    );
}
