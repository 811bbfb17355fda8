import type { Playback } from '../api';

type Sounds = readonly Pick<Playback['sounds'][number], 'id' | 'hand' | 'at' | 'keys'>[];

/** Moments ahead that a key may belong to: one that was left out does not stop the light. */
const AHEAD = 3;

/** Follows what is played along what is written, for the light alone: the judgement comes after. */
export class Follower {
    private readonly moments: Sounds[];
    private next = 0;

    constructor(sounds: Sounds) {
        const times = [...new Set(sounds.map((sound) => sound.at))].sort((a, b) => a - b);
        this.moments = times.map((at) => sounds.filter((sound) => sound.at === at));
    }

    /** @returns the notes that a key belongs to, with the colour of their hand; null where it is another key */
    hear(key: number): ReadonlyMap<string, 'yes' | 'left'> | null {
        // What is struck together is one moment: a key of the last one is no step.
        for (let at = Math.max(0, this.next - 1); at < Math.min(this.moments.length, this.next + AHEAD); at++) {
            const found = this.moments[at]?.filter((sound) => sound.keys.includes(key)) ?? [];
            if (found.length === 0 || (at < this.next && this.isNext(key))) continue;
            this.next = Math.max(this.next, at + 1);
            return new Map(found.map((sound) => [sound.id, sound.hand === 'L' ? 'left' : 'yes']));
        }
        return null;
    }

    private isNext(key: number): boolean {
        return this.moments[this.next]?.some((sound) => sound.keys.includes(key)) ?? false;
    }
}
