import { useEffect, useRef } from 'react';
import type { Playback } from '../api';
import { Follower } from './follow';

/** Lights the notes as they are heard, from the moment it listens. */
export function useFollowed(
    isOn: boolean,
    keys: readonly number[],
    sounds: Playback['sounds'],
    onLit: ((notes: ReadonlyMap<string, 'yes' | 'left'>) => void) | undefined,
): void {
    const follower = useRef<Follower | null>(null);
    const latest = useRef({ sounds, onLit });
    latest.current = { sounds, onLit };
    const last = keys.at(-1);
    useEffect(() => {
        if (!isOn) return;
        follower.current = new Follower(latest.current.sounds);
        return () => {
            follower.current = null;
            latest.current.onLit?.(new Map());
        };
    }, [isOn]);
    useEffect(() => {
        if (last === undefined) return;
        const lit = follower.current?.hear(last) ?? null;
        if (lit !== null) latest.current.onLit?.(lit);
    }, [last]);
}
