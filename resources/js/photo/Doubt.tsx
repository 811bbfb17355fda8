import { Button, Group, Stack, Text } from '@mantine/core';
import { useMemo, useState } from 'react';
import { useKeys } from '../shared/keys';
import { Score } from '../shared/score/Score';
import { t } from '../text';
import { asked, type Cursor, held, lineOf, neighbour, type ReadPage, type Spot, staffAt, stepped } from './doubts';
import styles from './Look.module.css';
import { Pad } from './Pad';
import { Signs } from './Signs';
import { Strip } from './Strip';
import { useChanges } from './useChanges';
import type { Looking } from './useLook';

interface Props {
    look: Looking;
    page: ReadPage;
    spot: Spot;
    /** Which of the doubts it is, in words. */
    which: string;
    onRight: () => void;
    /** Goes back to clef, key and time. */
    onSigns: () => void;
    /** Opens the bar beside it; null where only doubts are gone through. */
    onNeighbour: ((spot: Spot) => void) | null;
}

/** One place: the photo above, the reading beneath, the sign that is looked at lit in both. */
export function Doubt({ look, page, spot, which, onRight, onSigns, onNeighbour }: Props) {
    const [at, setAt] = useState<Cursor>({ ...spot, sign: staffAt(page, spot)?.at ?? 0, head: 0 });
    // A note that was put in is not there until the answer is.
    const cursor = look.going ? at : held(page, at);
    const piece = page.pieces[spot.piece];
    const bar = piece?.bars[spot.bar];
    const staff = staffAt(page, spot);
    const move = (by: 1 | -1) => setAt(stepped(page, cursor, by));
    const changes = useChanges(look, page, cursor, setAt);
    useKeys([
        { key: 'ArrowLeft', does: t('the note before'), run: () => move(-1) },
        { key: 'ArrowRight', does: t('the next note'), run: () => move(1) },
        ...changes,
        { key: 'Enter', does: t('right, go on'), run: onRight, leavesButtons: true },
        ...(onNeighbour === null || piece === undefined
            ? []
            : [
                  { key: 'n', does: t('the next bar'), run: () => onNeighbour(neighbour(piece, spot, 1)) },
                  { key: 'p', does: t('the bar before'), run: () => onNeighbour(neighbour(piece, spot, -1)) },
              ]),
    ]);
    const id = staff?.signs[cursor.sign]?.id;
    const lit = useMemo(
        () => new Map(id === undefined ? [] : [[id, id.startsWith('L') ? ('left' as const) : ('yes' as const)]]),
        [id],
    );
    const line = page.lines.find((one) => one.position === bar?.line);
    if (piece === undefined || bar === undefined || staff === undefined) return null;
    return (
        <Stack gap="xs">
            <Head
                {...{ which, onSigns, onRight }}
                place={t('Bar {{bar}}, {{hand}}', {
                    bar: bar.number,
                    hand: handOf(piece.clefs.length, spot.staff),
                })}
                question={staff.doubts.length > 0 ? asked(staff.doubts) : t('Is this right?')}
            />
            {line !== undefined && (
                <Strip photo={page.id} line={line} staff={staff} index={spot.staff} sign={cursor.sign} />
            )}
            <div className="sheet">
                <Score
                    music={piece.lines[lineOf(piece, spot.bar)] ?? ''}
                    title={t('This line as it was read')}
                    scale={48}
                    lit={lit}
                    stamp={String(page.revision)}
                />
            </div>
            <Signs staff={staff} cursor={cursor} onChoose={(sign) => setAt({ ...cursor, sign, head: 0 })} />
            {bar.checks.map((text) => (
                <Text key={text} size="sm" className="thorn">
                    {text}
                </Text>
            ))}
            <Pad changes={changes} />
        </Stack>
    );
}

type HeadProps = Pick<Props, 'which' | 'onSigns' | 'onRight'> & { place: string; question: string };

/** Which place it is, what is asked there, and the way on. */
function Head({ which, place, question, onSigns, onRight }: HeadProps) {
    return (
        <Group justify="space-between" wrap="nowrap">
            <div>
                <Text size="sm" className="faint" role="status">
                    {which}
                </Text>
                <Text fw={700}>
                    {place}
                    {': '}
                    <span className={styles.asked}>{question}</span>
                </Text>
            </div>
            <Group gap="xs" justify="flex-end">
                <Button size="compact-sm" variant="subtle" c="var(--ink)" onClick={onSigns}>
                    {t('Clef, key and time')}
                </Button>
                <Button onClick={onRight}>
                    {t('Right, go on')} <kbd className={styles.key}>{t('Enter')}</kbd>
                </Button>
            </Group>
        </Group>
    );
}

/** Whose staff it is. */
function handOf(staves: number, staff: number): string {
    if (staves === 1) return t('the one staff');
    return staff === 0 ? t('right hand') : t('left hand');
}
