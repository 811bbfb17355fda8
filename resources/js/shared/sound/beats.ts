import type { Playback } from '../api';

export interface Tick {
    /** Seconds from the first sound. */
    at: number;
    accent: boolean;
}

export interface Strike {
    at: number;
    seconds: number;
    keys: number[];
    id: string;
    hand: string;
}

export interface Schedule {
    ticks: Tick[];
    strikes: Strike[];
    /** When the music starts, after the count-in. */
    start: number;
    end: number;
}

export interface Wish {
    /** Beats a minute. */
    tempo: number;
    hands: 'R' | 'L' | 'both';
    countIn: boolean;
    metronome: boolean;
}

/** Lays what the core said in beats on a clock in seconds. */
export function schedule(playback: Playback, wish: Wish): Schedule {
    const beat = 60 / wish.tempo;
    const part = playback.enters - Math.floor(playback.enters);
    const counts = wish.countIn ? playback.counts.length : 0;
    // A piece that enters between two beats leaves that part of a beat after the last count.
    const start = counts === 0 ? 0 : (counts - (part === 0 ? 0 : 1 - part)) * beat;
    const ticks: Tick[] = [];
    for (let i = 0; i < counts; i++) ticks.push({ at: i * beat, accent: playback.counts[i] === '1' });
    if (wish.metronome) {
        for (let at = Math.ceil(playback.enters); at < playback.enters + playback.beats; at++) {
            ticks.push({ at: start + (at - playback.enters) * beat, accent: at % playback.accent === 0 });
        }
    }
    const strikes = playback.sounds
        .filter((sound) => wish.hands === 'both' || sound.hand === wish.hands)
        .map((sound) => ({
            at: start + sound.at * beat,
            seconds: sound.beats * beat,
            keys: sound.keys,
            id: sound.id,
            hand: sound.hand,
        }));
    return { ticks, strikes, start, end: start + playback.beats * beat };
}
