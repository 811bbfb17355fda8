import { Button, Group, Stack, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { type Api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { type Corner, dragged, nudged, WHOLE } from './corners';
import styles from './Look.module.css';

interface Props {
    photo: number;
    onClose: () => void;
    /** Told once the server reads the part that the corners go round. */
    onDone: (photo: Api['PhotoResource']) => void;
}

const NAMES = [t('Upper left corner'), t('Upper right corner'), t('Lower right corner'), t('Lower left corner')];

/** The upright photo with its four corners, to be dragged or moved by the arrow keys. */
export function Corners({ photo, onClose, onDone }: Props) {
    const [corners, setCorners] = useState<Corner[]>(WHOLE);
    const frame = useRef<HTMLDivElement>(null);
    const read = useMutation({
        mutationFn: (of: Corner[] | null) =>
            ask('put', '/photos/{photo}/corners', { ...at({ photo }), body: { corners: of } }),
        onSuccess: onDone,
    });
    const onMove = (index: number) => (event: PointerEvent) => {
        if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
        const box = frame.current?.getBoundingClientRect();
        if (box !== undefined) setCorners((all) => dragged(all, index, event, box));
    };
    const onKey = (index: number) => (event: KeyboardEvent) => {
        const next = nudged(corners, index, event.key, event.shiftKey);
        if (next === corners) return;
        event.preventDefault();
        event.stopPropagation();
        setCorners(next);
    };
    return (
        <Dialog title={t('Corners of the page')} size="44rem" onClose={onClose}>
            <Stack gap="sm">
                <Text size="sm">
                    {t(
                        'Drag each corner to its corner of the page, or move it by the arrow keys. What is outside is left out. Corrections begin again.',
                    )}
                </Text>
                <div ref={frame} className={styles.corners}>
                    <img src={`/api/photos/${photo}/picture`} alt={t('The photo, upright')} draggable={false} />
                    <svg viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
                        <polygon className={styles.outline} points={corners.map(({ x, y }) => `${x},${y}`).join(' ')} />
                    </svg>
                    {corners.map(({ x, y }, i) => (
                        <button
                            key={NAMES[i]}
                            type="button"
                            className={styles.handle}
                            aria-label={NAMES[i]}
                            style={{ left: `${100 * x}%`, top: `${100 * y}%` }}
                            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                            onPointerMove={onMove(i)}
                            onKeyDown={onKey(i)}
                        />
                    ))}
                </div>
                <Trouble error={read.error} />
                <Group>
                    <Button onClick={() => read.mutate(corners)} loading={read.isPending}>
                        {t('Read this part')}
                    </Button>
                    <Button variant="default" onClick={() => read.mutate(null)} loading={read.isPending}>
                        {t('Read the whole picture again')}
                    </Button>
                </Group>
            </Stack>
        </Dialog>
    );
}
