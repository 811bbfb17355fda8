import { Button, Checkbox, Group, Stack, Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ask, at } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble } from '../shared/Notes';
import { Score } from '../shared/score/Score';
import { t } from '../text';
import type { ReadPage, ReadPiece, Spot } from './doubts';
import styles from './Look.module.css';
import type { Looking } from './useLook';

interface Props {
    look: Looking;
    page: ReadPage;
    piece: ReadPiece;
    index: number;
    onOpen: (spot: Spot) => void;
    onSigns: () => void;
    onCorners: () => void;
}

/** The whole piece as it was read. Any bar can be opened; then it goes on to be typed. */
export function Whole({ look, page, piece, index, onOpen, onSigns, onCorners }: Props) {
    const [keep, setKeep] = useState(false);
    const navigate = useNavigate();
    const finish = useMutation({
        mutationFn: async () => {
            // What could not be kept is told above; it is not left behind.
            if (!(await look.settled())) return null;
            return ask('put', '/photos/{photo}/typed', { ...at({ photo: page.id }), body: { piece: index, keep } });
        },
        onSuccess: (typed) => {
            if (typed === null) return;
            const brought = { text: typed.shorthand, label: typed.label };
            navigate(`/pages/${page.pageId}/entry`, {
                state: { brought, after: typed.more ? `/photos/${page.id}` : null },
            });
        },
    });
    const open = (id: string) => {
        for (const [bar, { staves }] of piece.bars.entries()) {
            const staff = staves.findIndex(({ signs }) => signs.some((sign) => sign.id === id));
            if (staff >= 0) return onOpen({ piece: index, bar, staff });
        }
    };
    const goOn = () => !finish.isPending && finish.mutate();
    useKeys([
        { key: 'Enter', does: t('go on to typing'), run: goOn, leavesButtons: true },
        { key: 'o', does: t('open the first bar'), run: () => onOpen({ piece: index, bar: 0, staff: 0 }) },
        { key: 'u', does: t('undo'), run: look.undo },
    ]);
    const isLast = page.pieces.every((one, i) => i === index || one.typed);
    return (
        <Stack gap="sm">
            <Group justify="space-between">
                <Text role="status">{t('All doubtful places are settled. Look once more at the whole.')}</Text>
                <Ways corrections={page.corrections} undo={look.undo} onSigns={onSigns} onCorners={onCorners} />
            </Group>
            <div className="sheet">
                <Score
                    music={piece.lines}
                    title={t('The piece as it was read, {{count}} bars', { count: piece.bars.length })}
                    scale={46}
                    onNote={open}
                    stamp={String(page.revision)}
                />
            </div>
            <Bars piece={piece} open={(bar) => onOpen({ piece: index, bar, staff: 0 })} />
            <Trouble error={finish.error} />
            <Group gap="md">
                <Button size="md" onClick={goOn} loading={finish.isPending}>
                    {t('Go on to typing')} <kbd className={styles.key}>{t('Enter')}</kbd>
                </Button>
                {isLast && (
                    <Checkbox
                        label={t('Keep the photo with the page. Only you see it.')}
                        checked={keep}
                        onChange={(event) => setKeep(event.currentTarget.checked)}
                    />
                )}
            </Group>
        </Stack>
    );
}

interface WaysProps extends Pick<Props, 'onSigns' | 'onCorners'> {
    corrections: number;
    undo: () => void;
}

/** Ways back to what was settled before. */
function Ways({ corrections, undo, onSigns, onCorners }: WaysProps) {
    const small = { size: 'compact-sm', variant: 'subtle', c: 'var(--ink)' } as const;
    return (
        <Group gap="xs">
            <Button {...small} onClick={onSigns}>
                {t('Clef, key and time')}
            </Button>
            <Button {...small} onClick={onCorners}>
                {t('Corners of the page')}
            </Button>
            <Button {...small} disabled={corrections === 0} onClick={undo}>
                {t('Undo')} <kbd className={styles.key}>u</kbd>
            </Button>
        </Group>
    );
}

/** Each bar to be opened, and what does not add up. */
function Bars({ piece, open }: { piece: ReadPiece; open: (bar: number) => void }) {
    return (
        <>
            <Group gap={6} role="group" aria-label={t('Open a bar')}>
                <Text size="sm" className="faint">
                    {t('Open a bar')} <kbd className={styles.key}>o</kbd>
                </Text>
                {piece.bars.map((bar, n) => (
                    <Button
                        // biome-ignore lint/suspicious/noArrayIndexKey: a bar's place is its name
                        key={n}
                        size="compact-xs"
                        variant="default"
                        aria-label={t('Open bar {{bar}}', { bar: bar.number })}
                        onClick={() => open(n)}
                    >
                        {bar.number}
                    </Button>
                ))}
            </Group>
            {piece.bars
                .flatMap((bar) => bar.checks)
                .map((text) => (
                    <Text key={text} size="sm" className="thorn">
                        {text}
                    </Text>
                ))}
        </>
    );
}
