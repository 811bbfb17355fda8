import { Box, Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { type Api, ApiError, api, ask, keyOf } from '../api';
import { HowFar, isGoingOn, LOOK_AGAIN } from '../shared/HowFar';
import { Trouble } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { useSwitch } from '../shared/studios';
import { t } from '../text';

type Made = Api['DemoResource'];

function saysOf({ state, done, of }: Made): string {
    return state === 'waiting'
        ? t('It begins in a moment. You can leave this page.')
        : t('The demo studio is being made: {{done}} of {{of}} students.', { done, of });
}

/** A demo studio to look around in: made while one waits, or goes elsewhere; whoever waited is taken there. */
export function Demo() {
    const { demo, make, stop, go } = useDemo();
    const session = useSession();
    const made = demo.data?.[0];
    if (session.data?.studios.some((one) => one.isDemo)) return null;
    return (
        <>
            {made !== undefined && isGoingOn(made) ? (
                <Box w="100%">
                    <HowFar
                        {...made}
                        says={saysOf(made)}
                        label={t('How much of the demo studio is made')}
                        stop={() => stop.mutate()}
                    />
                </Box>
            ) : (
                <Button variant="default" loading={make.isPending || go.isPending} onClick={() => make.mutate()}>
                    {t('Look around in a demo studio')}
                </Button>
            )}
            <Trouble error={make.error ?? stop.error ?? go.error} />
            {made?.state === 'refused' && <Trouble error={new ApiError(422, made.reason)} />}
        </>
    );
}

function useDemo() {
    const client = useQueryClient();
    const go = useSwitch();
    const demo = api.useQuery('get', '/account/demo', undefined, {
        refetchInterval: (query) => (query.state.data?.some(isGoingOn) ? LOOK_AGAIN : false),
    });
    const again = () => client.invalidateQueries({ queryKey: keyOf('/account/demo') });
    const make = useMutation({
        mutationFn: () => ask('post', '/account/demo'),
        onSuccess: ({ studioId }) => {
            if (studioId !== null) enter(studioId);
        },
        onSettled: again,
    });
    const stop = useMutation({ mutationFn: () => ask('delete', '/account/demo'), onSettled: again });
    const { mutate: enter } = go;
    const wasGoingOn = useRef(false);
    const made = demo.data?.[0];
    useEffect(() => {
        if (wasGoingOn.current && made?.studioId) enter(made.studioId);
        wasGoingOn.current = made !== undefined && isGoingOn(made);
    }, [made, enter]);
    return { demo, make, stop, go };
}
