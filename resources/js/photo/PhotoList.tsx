import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import type { Api } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { Progressing } from './Progressing';
import { isGoingOn } from './progress';
import type { usePhotos } from './usePhotos';

type Photo = Api['PhotoResource'];

const SAYS: Record<Photo['state'], string> = {
    awaited: t('Waiting for the phone'),
    waiting: t('Waiting its turn…'),
    reading: t('Being read'),
    read: t('Read; look through it'),
    refused: t('Could not be read'),
};

/** The pictures that are read, and those that wait to be looked through. */
export function PhotoList({ list, stop }: Pick<ReturnType<typeof usePhotos>, 'list' | 'stop'>) {
    if (list.error) return <Trouble error={list.error} again={() => list.refetch()} />;
    const photos = list.data ?? [];
    if (photos.length === 0) return null;
    return (
        <section className="sheet" aria-label={t('Photos to look through')}>
            <Title order={2} fz="lg">
                {t('Photos to look through')}
            </Title>
            <Trouble error={stop.error} />
            <ul className="plain-list">
                {photos.map((photo) => (
                    <li key={photo.id}>
                        <Stack gap={4} py={6}>
                            <Group justify="space-between" wrap="nowrap">
                                <div>
                                    <Text>{photo.where}</Text>
                                    <Text size="sm" className="faint">
                                        {photo.reason || SAYS[photo.state]}
                                    </Text>
                                </div>
                                <Group gap="xs" wrap="nowrap">
                                    {photo.state === 'read' && (
                                        <Button
                                            size="compact-sm"
                                            component={Link}
                                            to={`/photos/${photo.id}`}
                                            aria-label={t('Look through {{where}}', { where: photo.where })}
                                        >
                                            {t('Look through')}
                                        </Button>
                                    )}
                                    <Button
                                        size="compact-sm"
                                        variant="default"
                                        onClick={() => stop.mutate(photo.id)}
                                        aria-label={
                                            isGoingOn(photo)
                                                ? t('Stop reading {{where}}', { where: photo.where })
                                                : t('Delete the photo of {{where}}', { where: photo.where })
                                        }
                                    >
                                        {isGoingOn(photo) ? t('Stop') : t('Delete')}
                                    </Button>
                                </Group>
                            </Group>
                            {isGoingOn(photo) && <Progressing photo={photo} />}
                        </Stack>
                    </li>
                ))}
            </ul>
        </section>
    );
}
