import { Stack, Tabs } from '@mantine/core';
import { useState } from 'react';
import { t } from '../text';
import { Doubt } from './Doubt';
import { doubtsOf, type ReadPage, type Spot, sameSpot } from './doubts';
import { Opening } from './Opening';
import type { Looking } from './useLook';
import { Whole } from './Whole';

interface Props {
    look: Looking;
    page: ReadPage;
    onCorners: () => void;
}

/** Clef, key and time first; then the doubtful places, one after another; then the whole. */
export function LookThrough({ look, page, onCorners }: Props) {
    const [piece, setPiece] = useState(() =>
        Math.max(
            0,
            page.pieces.findIndex((one) => !one.typed),
        ),
    );
    return (
        <Stack gap="sm">
            {page.pieces.length > 1 && (
                <Tabs value={String(piece)} onChange={(chosen) => setPiece(Number(chosen))}>
                    <Tabs.List aria-label={t('Pieces of this page')}>
                        {page.pieces.map((one, i) => (
                            <Tabs.Tab key={one.label} value={String(i)}>
                                {one.label}. {one.title}
                                {one.typed && ` (${t('done')})`}
                            </Tabs.Tab>
                        ))}
                    </Tabs.List>
                </Tabs>
            )}
            <OnePiece key={piece} {...{ look, page, piece, onCorners }} />
        </Stack>
    );
}

function OnePiece({ look, page, piece: index, onCorners }: Props & { piece: number }) {
    const piece = page.pieces[index];
    const [begun, setBegun] = useState(false);
    const [passed, setPassed] = useState<Spot[]>([]);
    const [opened, setOpened] = useState<Spot | null>(null);
    const [first] = useState(() => (piece === undefined ? 0 : doubtsOf(piece, index).length));
    if (piece === undefined) return null;
    // What was said to be right is gone on from at once; the answer has the last word.
    const doubts = doubtsOf(piece, index).filter((one) => !look.going || !passed.some((spot) => sameSpot(spot, one)));
    const spot = opened ?? doubts[0] ?? null;
    const right = (at: Spot) => {
        const isDoubt = doubts.some((one) => sameSpot(one, at));
        if (isDoubt) {
            setPassed(look.going ? [...passed, at] : [at]);
            look.correct({ change: 'right', piece: at.piece, bar: at.bar, staff: at.staff });
        }
        setOpened(null);
    };
    if (!begun) {
        return <Opening {...{ look, page, piece, index, onCorners }} doubts={first} onRight={() => setBegun(true)} />;
    }
    if (spot === null) {
        return (
            <Whole {...{ look, page, piece, index, onCorners }} onOpen={setOpened} onSigns={() => setBegun(false)} />
        );
    }
    const settled = Math.max(0, first - doubts.length);
    return (
        <Doubt
            key={`${spot.bar} ${spot.staff}`}
            {...{ look, page, spot, onRight: () => right(spot) }}
            which={
                opened === null
                    ? t('Doubt {{number}} of {{count}}', {
                          number: settled + 1,
                          count: Math.max(first, settled + doubts.length),
                      })
                    : t('Checking one place')
            }
            onSigns={() => setBegun(false)}
            onNeighbour={opened === null ? null : setOpened}
        />
    );
}
