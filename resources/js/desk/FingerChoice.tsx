import { Button, Group, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { type Api, ask, at, keyOf, type Report } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble } from '../shared/Notes';
import { keyWords } from '../shared/words';
import { t } from '../text';
import styles from './Desk.module.css';

type Own = Api['OwnFingerResource'];
type Breakdown = Api['BreakdownResource'];

const FINGERS = [1, 2, 3, 4, 5];

/** The teacher's fingers of a piece, saved whole, with the way back. */
function useOwnFingers(data: Breakdown) {
    const client = useQueryClient();
    const before = useRef<Own[][]>([]);
    const save = useMutation({
        mutationFn: (fingers: Own[]) =>
            ask('put', '/pieces/{piece}/fingers', { ...at({ piece: data.piece.id }), body: { fingers } }),
        onSuccess: () =>
            client.invalidateQueries({ queryKey: keyOf('/pieces/{piece}/breakdown', at({ piece: data.piece.id })) }),
    });
    return {
        error: save.error,
        canUndo: before.current.length > 0,
        /** In the place of what is said of these notes. */
        set: (notes: Pick<Own, 'hand' | 'place' | 'pitch'>[], fingers: Own[]) => {
            if (save.isPending) return;
            before.current.push(data.ownFingers);
            const isOne = (own: Own) =>
                notes.some((one) => one.hand === own.hand && one.place === own.place && one.pitch === own.pitch);
            save.mutate([...data.ownFingers.filter((own) => !isOne(own)), ...fingers]);
        },
        undo: () => {
            const last = before.current.pop();
            if (last !== undefined) save.mutate(last);
        },
    };
}

/** Sets a finger over what is printed or worked out; the rest of the hand follows. */
export function FingerChoice({ data, id }: { data: Breakdown; id: string }) {
    const fingers = useOwnFingers(data);
    const [which, setWhich] = useState(0);
    const event = data.report.events.find((one) => one.id === id);
    const pitches = event?.pitches ?? [];
    const pitch = pitches[Math.min(which, pitches.length - 1)];
    const note =
        event === undefined || pitch === undefined
            ? null
            : { hand: event.hand === 'L' ? ('L' as const) : ('R' as const), place: event.place, pitch };
    const own =
        data.ownFingers.find((one) => one.hand === note?.hand && one.place === note.place && one.pitch === note.pitch)
            ?.finger ?? null;
    const others = event === undefined ? [] : otherChoice(data.report, event);
    const set = (finger: number | null) => {
        if (note !== null) fingers.set([note], finger === null ? [] : [{ ...note, finger }]);
    };
    const takeOther = () => {
        if (others.length > 0) fingers.set(others, others);
    };
    useKeys([
        ...FINGERS.map((finger) => ({
            key: String(finger),
            does: t('finger {{finger}} on the chosen note', { finger }),
            run: () => set(finger),
        })),
        { key: '0', does: t('the finger as it was'), run: () => set(null) },
        { key: 'o', does: t('the other fingers that are as good'), run: takeOther },
        { key: 'u', does: t('undo the finger'), run: fingers.undo },
    ]);
    if (event === undefined || pitch === undefined || event.move === 'held') return null;
    return (
        <section aria-label={t('Your finger')} className={styles.part}>
            {event.pattern !== null && event.finger_from === 'pattern' && (
                <Text size="sm">{t('{{keyWords}}, standard fingering', { keyWords: keyWords(event.pattern) })}</Text>
            )}
            <Text size="sm" fw={700}>
                {t('Your finger on {{pitch}}', { pitch })}
            </Text>
            <FingerButtons
                pitches={pitches}
                which={which}
                setWhich={setWhich}
                own={own}
                set={set}
                undo={fingers.canUndo ? fingers.undo : null}
            />
            {others.length > 0 && <OtherButton others={others} take={takeOther} />}
            <Trouble error={fingers.error} />
        </section>
    );
}

function OtherButton({ others, take }: { others: Own[]; take: () => void }) {
    return (
        <Button size="compact-sm" variant="default" mt={4} onClick={take}>
            {t('The other choice:')} {others.map((one) => one.finger).join(' ')} (o)
        </Button>
    );
}

/** The other fingers that are as good, of the note and of its neighbors for which they go together. */
function otherChoice(report: Report, chosen: Report['events'][number]): Own[] {
    const hand = report.events.filter((one) => one.hand === chosen.hand && one.fingers.length > 0);
    const goesOn = (i: number) => hand[i]?.fingers_or != null && hand[i]?.pattern === chosen.pattern;
    const at = hand.indexOf(chosen);
    if (!goesOn(at)) return [];
    let [first, last] = [at, at];
    while (goesOn(first - 1)) first -= 1;
    while (goesOn(last + 1)) last += 1;
    return hand.slice(first, last + 1).flatMap((one) =>
        one.pitches.flatMap((pitch, i) => {
            const finger = one.fingers_or?.[i] ?? null;
            return finger === null || finger === one.fingers[i]
                ? []
                : [{ hand: one.hand, place: one.place, pitch, finger }];
        }),
    );
}

/** Which note of a chord, and which finger on it. */
function FingerButtons({
    pitches,
    which,
    setWhich,
    own,
    set,
    undo,
}: {
    pitches: readonly string[];
    which: number;
    setWhich: (which: number) => void;
    own: number | null;
    set: (finger: number | null) => void;
    undo: (() => void) | null;
}) {
    return (
        <Group gap={4} mt={2}>
            {pitches.length > 1 &&
                pitches.map((name, i) => (
                    <Button
                        key={name}
                        size="compact-sm"
                        variant={i === which ? 'light' : 'default'}
                        aria-pressed={i === which}
                        onClick={() => setWhich(i)}
                    >
                        {name}
                    </Button>
                ))}
            {FINGERS.map((finger) => (
                <Button
                    key={finger}
                    size="compact-sm"
                    variant={own === finger ? 'filled' : 'default'}
                    aria-pressed={own === finger}
                    onClick={() => set(finger)}
                >
                    {finger}
                </Button>
            ))}
            <Button size="compact-sm" variant="default" disabled={own === null} onClick={() => set(null)}>
                {t('as it was (0)')}
            </Button>
            {undo !== null && (
                <Button size="compact-sm" variant="subtle" onClick={undo}>
                    {t('Undo (u)')}
                </Button>
            )}
        </Group>
    );
}
