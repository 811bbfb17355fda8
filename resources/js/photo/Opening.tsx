import { Button, Group, Stack, Text } from '@mantine/core';
import { useKeys } from '../shared/keys';
import { Score } from '../shared/score/Score';
import { t } from '../text';
import { keyName, type ReadPage, type ReadPiece } from './doubts';
import styles from './Look.module.css';
import { Strip } from './Strip';
import type { Looking } from './useLook';

/** Pixels of the strip that clef, key and time take. */
const CLEF = 110;

interface Props {
    look: Looking;
    page: ReadPage;
    piece: ReadPiece;
    index: number;
    doubts: number;
    onCorners: () => void;
    onRight: () => void;
}

/** Clefs, key and time as they were read, under the photo of the first bar. One key changes each. */
export function Opening({ look, page, piece, index, doubts, onCorners, onRight }: Props) {
    const clef = (staff: number) => () => look.correct({ change: 'clef', piece: index, staff });
    const key = (value: number) => () => look.correct({ change: 'key', piece: index, value });
    const time = () => look.correct({ change: 'time', piece: index });
    useKeys([
        ...piece.clefs.map((_, i) => ({ key: String(i + 1), does: t('change the clef of a staff'), run: clef(i) })),
        { key: 'k', does: t('a sharp more, or a flat less'), run: key(1) },
        { key: 'j', does: t('a flat more, or a sharp less'), run: key(-1) },
        { key: 't', does: t('the next time'), run: time },
        { key: 'u', does: t('undo'), run: look.undo },
        { key: 'Enter', does: t('right, go on'), run: onRight, leavesButtons: true },
    ]);
    return (
        <Stack gap="sm">
            <FirstLine page={page} piece={piece} />
            <Group gap="sm" align="flex-end">
                {piece.clefs.map((name, i) => (
                    <Choice
                        // biome-ignore lint/suspicious/noArrayIndexKey: a staff has no other name than its place
                        key={i}
                        label={piece.clefs.length === 1 ? t('Clef') : i === 0 ? t('Upper staff') : t('Lower staff')}
                        press={String(i + 1)}
                        value={name === 'treble' ? t('treble clef') : t('bass clef')}
                        onClick={clef(i)}
                    />
                ))}
                <Choice label={t('Key')} press="j k" value={keyName(piece.fifths)} onClick={key(1)} />
                <Choice label={t('Time')} press="t" value={piece.time} onClick={time} />
                <Button variant="subtle" c="var(--ink)" disabled={page.corrections === 0} onClick={look.undo}>
                    {t('Undo')} <kbd className={styles.key}>u</kbd>
                </Button>
            </Group>
            <Group gap="sm">
                <Button onClick={onRight} size="md">
                    {t('Right, go on')} <kbd className={styles.key}>{t('Enter')}</kbd>
                </Button>
                <Text size="sm" className="faint">
                    {then(doubts)}
                </Text>
                <Button variant="subtle" c="var(--ink)" onClick={onCorners}>
                    {t('Corners of the page')}
                </Button>
            </Group>
        </Stack>
    );
}

function then(doubts: number): string {
    if (doubts === 0) return t('Nothing else is in doubt.');
    return doubts === 1 ? t('Then one doubtful place.') : t('Then {{count}} doubtful places.', { count: doubts });
}

/** The photo of the first bar with its clefs, and the first line as it was read. */
function FirstLine({ page, piece }: { page: ReadPage; piece: ReadPiece }) {
    const bar = piece.bars[0];
    const line = page.lines.find((one) => one.position === bar?.line);
    const staff = bar?.staves[0];
    return (
        <>
            {line !== undefined && staff !== undefined && (
                <Strip
                    photo={page.id}
                    line={line}
                    staff={{ ...staff, from: Math.max(0, staff.from - CLEF) }}
                    index={0}
                    sign={null}
                />
            )}
            <div className="sheet">
                <Score
                    music={piece.lines[0] ?? ''}
                    title={t('The first line as it was read')}
                    scale={48}
                    stamp={String(page.revision)}
                />
            </div>
        </>
    );
}

function Choice({
    label,
    press,
    value,
    onClick,
}: {
    label: string;
    press: string;
    value: string;
    onClick: () => void;
}) {
    return (
        <div>
            <Text size="xs" className="faint">
                {label} <kbd>{press}</kbd>
            </Text>
            <Button
                variant="default"
                onClick={onClick}
                aria-label={t('{{label}}: {{value}}. Change it', { label, value })}
            >
                {value}
            </Button>
        </div>
    );
}
