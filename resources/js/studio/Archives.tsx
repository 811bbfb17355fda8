import { Anchor, Button, FileButton, Group, Stack, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { type Api, ApiError, api, asForm, ask, at, keyOf } from '../api';
import { HowFar, isGoingOn, LOOK_AGAIN } from '../shared/HowFar';
import { Trouble } from '../shared/Notes';
import { clockTime, dateOf, shortDate } from '../shared/words';
import { t } from '../text';

type Archive = Api['ArchiveResource'];

const goesOn = (archive: Archive | undefined) => archive !== undefined && isGoingOn(archive);

/** The archive of the whole studio: packed, fetched, put back; however long it takes, the page can be left. */
export function Archives({ studioId, leads }: { studioId: number; leads: boolean }) {
    const { archives, pack, restore, stop } = useArchives(studioId);
    const [packed, restored] = (['pack', 'restore'] as const).map((kind) =>
        archives.data?.find((one) => one.kind === kind),
    );
    return (
        <Stack gap="xs">
            <Group gap="xs">
                <Button
                    size="compact-sm"
                    variant="default"
                    loading={pack.isPending || goesOn(packed)}
                    onClick={() => pack.mutate()}
                >
                    {t('Back up the whole studio')}
                </Button>
                {leads && (
                    <FileButton accept=".zip,application/zip" onChange={(file) => file && restore.mutate(file)}>
                        {(props) => (
                            <Button
                                size="compact-sm"
                                variant="subtle"
                                loading={restore.isPending || goesOn(restored)}
                                {...props}
                            >
                                {t('Restore a backup')}
                            </Button>
                        )}
                    </FileButton>
                )}
                {packed?.state === 'done' && (
                    <Anchor href={`/api/archives/${packed.id}`} download c="var(--ink)" fz="sm" td="underline">
                        {t('Download the backup of {{shortDate}}, {{time}}', {
                            shortDate: shortDate(dateOf(packed.at)),
                            time: clockTime(new Date(packed.at).toTimeString().slice(0, 5)),
                        })}
                    </Anchor>
                )}
            </Group>
            {leads && (
                <Text size="sm" className="faint">
                    {t(
                        'A backup is restored into a studio that has no students and no books yet. People who were in it are invited again.',
                    )}
                </Text>
            )}
            {[packed, restored].map(
                (one) =>
                    one !== undefined &&
                    isGoingOn(one) && <GoingOn key={one.id} archive={one} stop={() => stop.mutate(one.id)} />,
            )}
            <Trouble error={archives.error ?? pack.error ?? restore.error ?? stop.error} />
            {[packed, restored].map(
                (one) => one?.state === 'refused' && <Trouble key={one.id} error={new ApiError(422, one.reason)} />,
            )}
            <span role="status">{restored?.state === 'done' && t('Everything is back.')}</span>
        </Stack>
    );
}

function useArchives(studioId: number) {
    const client = useQueryClient();
    const key = keyOf('/studios/{studio}/archives');
    const archives = api.useQuery('get', '/studios/{studio}/archives', at({ studio: studioId }), {
        refetchInterval: (query) => (query.state.data?.some(isGoingOn) ? LOOK_AGAIN : false),
    });
    const again = () => client.invalidateQueries({ queryKey: key });
    const pack = useMutation({
        mutationFn: () => ask('post', '/studios/{studio}/archives', at({ studio: studioId })),
        onSettled: again,
    });
    const restore = useMutation({
        mutationFn: (file: File) =>
            ask('post', '/studios/{studio}/restore', { ...at({ studio: studioId }), body: { file }, ...asForm }),
        onSettled: again,
    });
    const stop = useMutation({
        mutationFn: (archive: number) => ask('delete', '/archives/{archive}', at({ archive })),
        onSettled: again,
    });
    // Whatever is on the screens is of before, once everything is back.
    const wasGoingOn = useRef(false);
    const restored = archives.data?.find((one) => one.kind === 'restore');
    useEffect(() => {
        if (wasGoingOn.current && restored?.state === 'done') void client.invalidateQueries();
        wasGoingOn.current = goesOn(restored);
    }, [client, restored]);
    return { archives, pack, restore, stop };
}

function saysOf({ kind, state, done, of }: Archive): string {
    if (state === 'waiting') return t('It begins in a moment. You can leave this page.');
    return kind === 'pack'
        ? t('The backup is being packed: {{done}} of {{of}} parts.', { done, of })
        : t('The backup is being restored: {{done}} of {{of}} parts.', { done, of });
}

function GoingOn({ archive, stop }: { archive: Archive; stop: () => void }) {
    const isPacking = archive.kind === 'pack';
    return (
        <HowFar
            {...archive}
            says={saysOf(archive)}
            label={isPacking ? t('How much of the backup is packed') : t('How much of the backup is restored')}
            stop={stop}
        />
    );
}
