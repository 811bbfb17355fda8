import type { Api, Playback } from '../../api';

export interface Tick {
    /** Seconds from the first sound. */
    at: number;
    accent: boolean;
}

export interface Strike {
    at: number;
    keys: number[];
    /** How long each key is held, in seconds. */
    seconds: number[];
    id: string;
    hand: Api['Hand'];
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
    /** Whose notes sound; none leaves the beat alone. */
    hands: Api['Hand'] | 'both' | 'none';
    countIn: boolean;
    metronome: boolean;
}

/** Lays what the core said in beats on a clock in seconds. */
export function schedule(playback: Playback, wish: Wish): Schedule {
    const beat = 60 / wish.tempo;
    const counts = wish.countIn ? playback.counts : [];
    const start = counts.length === 0 ? 0 : ((counts.length - 1) * playback.countBeats + playback.countGap) * beat;
    const ticks: Tick[] = counts.map((count, i) => ({ at: i * playback.countBeats * beat, accent: count === '1' }));
    if (wish.metronome) {
        for (const click of playback.clicks) ticks.push({ at: start + click.at * beat, accent: click.accent });
    }
    const strikes = playback.sounds
        .filter((sound) => wish.hands === 'both' || sound.hand === wish.hands)
        .map((sound) => ({
            at: start + sound.at * beat,
            keys: sound.keys,
            seconds: sound.held.map((beats) => beats * beat),
            id: sound.id,
            hand: sound.hand,
        }));
    return { ticks, strikes, start, end: start + playback.beats * beat };
}

/**
 * What begins in a stretch of time, in seconds from the first sound; a loop goes round without its count-in.
 * @param to not included; may lie any number of rounds ahead
 */
export function between(plan: Schedule, loop: boolean, from: number, to: number): Pick<Schedule, 'ticks' | 'strikes'> {
    const round = plan.end - plan.start;
    const found: Pick<Schedule, 'ticks' | 'strikes'> = { ticks: [], strikes: [] };
    const rounds = loop && round > 0 ? Math.max(0, Math.ceil((to - plan.end) / round)) : 0;
    for (let i = 0; i <= rounds; i++) {
        const shift = i * round;
        const here = (event: Tick | Strike) =>
            event.at + shift >= from && event.at + shift < to && (i === 0 || event.at >= plan.start);
        found.ticks.push(...plan.ticks.filter(here).map((tick) => ({ ...tick, at: tick.at + shift })));
        found.strikes.push(...plan.strikes.filter(here).map((strike) => ({ ...strike, at: strike.at + shift })));
    }
    return found;
}

/** The beat that was struck last at a moment, by its place from 0, and whether it leads its bar; null before the first. */
export function beatAt(plan: Schedule, loop: boolean, time: number): { nth: number; accent: boolean } | null {
    const at = inRound(plan, loop, time);
    const nth = plan.ticks.findLastIndex((tick) => tick.at <= at);
    const tick = plan.ticks[nth];
    return tick === undefined ? null : { nth, accent: tick.accent };
}

/** A loop goes round without its count-in. */
function inRound(plan: Schedule, loop: boolean, time: number): number {
    const round = plan.end - plan.start;
    return loop && round > 0 && time >= plan.end ? plan.start + ((time - plan.start) % round) : time;
}

/** The notes that sound at a moment, by id, with the colour of their hand. */
export function soundingAt(plan: Schedule, loop: boolean, time: number): Map<string, 'yes' | 'left'> {
    const at = inRound(plan, loop, time);
    return new Map(
        plan.strikes
            .filter((strike) => strike.at <= at && at < strike.at + Math.max(...strike.seconds) * 0.98)
            .map((strike) => [strike.id, strike.hand === 'L' ? 'left' : 'yes']),
    );
}
