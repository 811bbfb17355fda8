import { Button, Checkbox, Group, SegmentedControl, Text } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { Playback } from '../api';
import { schedule, type Wish } from './beats';

interface Props {
    playback: Playback;
    tempo: number;
    hand: string | null;
    /** Lights the notes as they sound. */
    onLit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void;
    large?: boolean;
}

/** Play and stop, hands, tempo, count-in, metronome, loop. The sound is loaded when it is first played. */
export function Player({ playback, tempo, hand, onLit, large = false }: Props) {
    const [wish, setWish] = useState<Wish>({
        tempo,
        hands: hand === 'R' || hand === 'L' ? hand : 'both',
        countIn: true,
        metronome: true,
    });
    const [loop, setLoop] = useState(false);
    const [state, setState] = useState<'still' | 'loading' | 'playing' | 'silent'>('still');
    const stop = useRef<(() => void) | null>(null);
    const halt = () => {
        stop.current?.();
        stop.current = null;
    };
    useEffect(() => () => stop.current?.(), []);

    const toggle = async () => {
        if (state === 'playing') {
            halt();
            setState('still');
            return;
        }
        setState('loading');
        try {
            const { play } = await import('./piano');
            stop.current = await play(schedule(playback, wish), { lit: onLit, ended: () => setState('still') }, loop);
            setState('playing');
        } catch {
            setState('silent');
        }
    };
    const tempoBy = (step: number) => setWish({ ...wish, tempo: Math.min(240, Math.max(30, wish.tempo + step)) });
    const size = large ? 'lg' : 'sm';
    return (
        <fieldset style={{ border: 0, margin: 0, padding: 0 }} aria-label="Listen">
            <Group gap="sm" align="center">
                <Button size={size} onClick={toggle} loading={state === 'loading'} aria-pressed={state === 'playing'}>
                    {state === 'playing' ? 'Stop' : 'Play'}
                </Button>
                <SegmentedControl
                    size={large ? 'md' : 'xs'}
                    aria-label="Hands"
                    value={wish.hands}
                    onChange={(hands) => setWish({ ...wish, hands: hands as Wish['hands'] })}
                    data={[
                        { value: 'R', label: 'Right' },
                        { value: 'L', label: 'Left' },
                        { value: 'both', label: 'Both' },
                    ]}
                />
                <Group gap={6} wrap="nowrap">
                    <Button variant="default" size={size} px="sm" onClick={() => tempoBy(-4)} aria-label="Slower">
                        −
                    </Button>
                    <Text fw={700} miw="2.2rem" ta="center" aria-live="polite">
                        {wish.tempo}
                    </Text>
                    <Button variant="default" size={size} px="sm" onClick={() => tempoBy(4)} aria-label="Faster">
                        +
                    </Button>
                </Group>
                <Checkbox
                    label="Count in"
                    checked={wish.countIn}
                    onChange={(event) => setWish({ ...wish, countIn: event.currentTarget.checked })}
                />
                <Checkbox
                    label="Metronome"
                    checked={wish.metronome}
                    onChange={(event) => setWish({ ...wish, metronome: event.currentTarget.checked })}
                />
                <Checkbox label="Loop" checked={loop} onChange={(event) => setLoop(event.currentTarget.checked)} />
            </Group>
            {wish.countIn && playback.counts.length > 0 && (
                <Text size="sm" className="faint" mt={4}>
                    Count in {playback.counts.join(' ')}, then play on {playback.enter}.
                </Text>
            )}
            {state === 'silent' && <Text size="sm">This device gives no sound. Count aloud and play without it.</Text>}
        </fieldset>
    );
}
