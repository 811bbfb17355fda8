import { Button, Group, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { type Api, ask, at, keyOf } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble } from '../shared/Notes';
import styles from './Desk.module.css';

type Own = Api['OwnFingerResource'];
type Breakdown = Api['BreakdownResource'];

const FINGERS = [1, 2, 3, 4, 5];

/** Sets a finger over what is printed or worked out; the rest of the hand follows. */
export function FingerChoice({ data, id }: { data: Breakdown; id: string }) {
    const client = useQueryClient();
    const before = useRef<Own[][]>([]);
    const [which, setWhich] = useState(0);
    const event = data.report.events.find((one) => one.id === id);
    const save = useMutation({
        mutationFn: (fingers: Own[]) =>
            ask('put', '/pieces/{piece}/fingers', { ...at({ piece: data.piece.id }), body: { fingers } }),
        onSuccess: () =>
            client.invalidateQueries({ queryKey: keyOf('/pieces/{piece}/breakdown', at({ piece: data.piece.id })) }),
    });
    const pitches = event?.pitches ?? [];
    const pitch = pitches[Math.min(which, pitches.length - 1)];
    const isHere = (own: Own) => own.hand === event?.hand && own.place === event.place && own.pitch === pitch;
    const own = data.ownFingers.find(isHere)?.finger ?? null;
    const set = (finger: number | null) => {
        if (event === undefined || pitch === undefined || save.isPending) return;
        before.current.push(data.ownFingers);
        const others = data.ownFingers.filter((one) => !isHere(one));
        const hand = event.hand === 'L' ? 'L' : 'R';
        save.mutate(finger === null ? others : [...others, { hand, place: event.place, pitch, finger }]);
    };
    const undo = () => {
        const last = before.current.pop();
        if (last !== undefined) save.mutate(last);
    };
    useKeys([
        ...FINGERS.map((finger) => ({
            key: String(finger),
            does: `finger ${finger} on the chosen note`,
            run: () => set(finger),
        })),
        { key: '0', does: 'the finger as it was', run: () => set(null) },
        { key: 'u', does: 'undo the finger', run: undo },
    ]);
    if (event === undefined || pitch === undefined || event.move === 'held') return null;
    return (
        <section aria-label="Your finger" className={styles.part}>
            <Text size="sm" fw={700}>
                Your finger on {pitch}
            </Text>
            <FingerButtons
                pitches={pitches}
                which={which}
                setWhich={setWhich}
                own={own}
                set={set}
                undo={before.current.length > 0 ? undo : null}
            />
            <Trouble error={save.error} />
        </section>
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
                as it was (0)
            </Button>
            {undo !== null && (
                <Button size="compact-sm" variant="subtle" onClick={undo}>
                    Undo (u)
                </Button>
            )}
        </Group>
    );
}
