import type { Now } from './microphone';

/** A strike is so many times louder than the moment before it. */
const RISE = 1.7;

/** Milliseconds within which a key has to be heard after a strike, and the part of a moment it began before. */
const WITHIN = 260;
const BEFORE = 40;

/** Keys that are struck one after the other, as a microphone hears them: each is told once, when it is clear. */
export class Strikes {
    private level = Number.POSITIVE_INFINITY;
    private struckAt: number | null = null;
    private candidate: number | null = null;
    private last: number | null = null;

    /**
     * @param at milliseconds of the page’s clock
     * @returns the key and when it was struck; null as long as nothing is clear
     */
    take(now: Now, at: number): { key: number; at: number } | null {
        const before = this.level;
        this.level = now.level;
        const isHeard = now.silent === 0;
        if (isHeard && now.level > RISE * before) {
            this.struckAt = at - BEFORE;
            this.candidate = null;
        } else if (isHeard && now.key !== null && now.key !== this.last && this.struckAt === null) {
            // Played so smoothly that it was not louder: another key all the same.
            this.struckAt = at - BEFORE;
            this.candidate = null;
        }
        if (!isHeard) this.last = null;
        if (this.struckAt === null) return null;
        if (at - this.struckAt > WITHIN) {
            this.struckAt = null;
            return null;
        }
        if (now.key === null || now.key !== this.candidate) {
            this.candidate = now.key;
            return null;
        }
        // Heard twice, it is clear.
        const told = { key: now.key, at: this.struckAt };
        this.struckAt = null;
        this.last = now.key;
        return told;
    }
}
