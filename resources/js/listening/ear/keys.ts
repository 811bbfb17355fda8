import filter from './filter.json';
import { type Frames, KEYS, LOWEST, secondsOf } from './frames';

/** A key that was heard: seconds from the beginning, its MIDI number, and how sure it is, from 0 to 1. */
export interface HeardKey {
    t: number;
    off: number;
    pitch: number;
    p: number;
}

/** From here on the beginning of a key is looked at. */
const CANDIDATE = 0.25;

/** Beginnings that a key’s own earlier one is told by. */
const CLEAR = 0.3;

/** Frames within which keys count as struck together. */
const TOGETHER = 5;

/** Frames after which an earlier beginning of the same key says nothing. */
const RECENT = 40;

/** A key ends where it sounds less than this, for so many frames. */
const SOUNDS = 0.3;
const SILENT = 4;

/** Half steps below a key, whose overtones lie on it, besides the octave. */
const OVERTONES_OF = [19, 24, 28, 31, 36];
const OCTAVE = 12;
const ABOVE = [12, 19, 24];

/** The least chance that is told; the core knows which keys are written, and believes those sooner. */
const TOLD = 0.002;

/** The keys in what was seen, by time. */
export function keysOf(frames: Frames): HeardKey[] {
    const seen = new Seen(frames);
    const found = seen.candidates().map(([frame, key]) => ({ frame, key, p: chance(seen.features(frame, key)) }));
    const kept = found.filter(({ p }) => p >= TOLD);
    return kept.map(({ frame, key, p }) => ({
        t: round(seen.when(frame, key)),
        off: round(secondsOf(seen.endOf(frame, key))),
        pitch: key + LOWEST,
        p: round(p),
    }));
}

const round = (value: number) => Math.round(value * 1_000) / 1_000;

/** The chance that a beginning is that of a key and no overtone, echo or noise. */
export function chance(features: readonly number[]): number {
    let sum = 0;
    features.forEach((value, i) => {
        const deviation = filter.deviation[i] ?? 1;
        sum += (filter.weight[i] ?? 0) * ((value - (filter.mean[i] ?? 0)) / deviation);
    });
    return 1 / (1 + Math.exp(-sum));
}

const logit = (of: number) => {
    const within = Math.min(0.999, Math.max(0.001, of));
    return Math.log(within / (1 - within));
};

/** What the frames say around a beginning. */
export class Seen {
    /** Frames of the beginnings of each key, in time. */
    private readonly begins: number[][];

    constructor(private readonly frames: Frames) {
        this.begins = Array.from({ length: KEYS }, (_, key) => this.peaks(key));
    }

    candidates(): [number, number][] {
        const all = this.begins.flatMap((frames, key) => frames.map((frame): [number, number] => [frame, key]));
        return all.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
    }

    /** In the order of the weights. */
    features(frame: number, key: number): number[] {
        const o = this.beginning(frame, key);
        const f1 = this.mean(key, frame, frame + 6);
        const f2 = this.mean(key, frame + 2, frame + 14);
        const fb = this.mean(key, frame - 9, frame - 2);
        const h12 = this.struck(frame, key - OCTAVE);
        const rest = (intervals: number[], of: (key: number) => number) => Math.max(...intervals.map(of));
        const hx = rest(OVERTONES_OF, (interval) => this.struck(frame, key - interval));
        const held = (of: number) => this.mean(of, frame - 9, frame - 2);
        const others = Array.from({ length: KEYS }, (_, of) => (of === key ? 0 : held(of)));
        const semi = Math.max(this.beginning(frame, key - 1), this.beginning(frame, key + 1));
        const high = (key + LOWEST - 60) / OCTAVE;
        return [
            1,
            logit(o),
            logit(f1),
            logit(f2),
            this.mean(key, frame + 8, frame + 26),
            fb,
            h12,
            hx,
            rest(ABOVE, (interval) => this.struck(frame, key + interval)),
            semi,
            held(key - OCTAVE),
            rest(OVERTONES_OF, (interval) => held(key - interval)),
            Math.max(...others),
            this.recent(frame, key),
            Math.max(this.mean(key - 1, frame, frame + 6), this.mean(key + 1, frame, frame + 6)),
            o * f1,
            h12 * logit(o),
            fb * logit(o),
            f1 - fb,
            high,
            high * high,
        ];
    }

    /** Between two frames, where the beginning is at its height. */
    when(frame: number, key: number): number {
        const [before, here, after] = [-1, 0, 1].map((by) => this.beginning(frame + by, key)) as [
            number,
            number,
            number,
        ];
        const bend = before - 2 * here + after;
        const by = bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0;
        const step = secondsOf(frame + 1) - secondsOf(frame);
        return Math.max(0, secondsOf(frame) + by * step);
    }

    /** The frame at which it sounds no more, or is struck anew. */
    endOf(frame: number, key: number): number {
        const next = this.begins[key]?.find((other) => other > frame) ?? this.frames.count;
        let silent = 0;
        for (let at = frame + 1; at < next; at++) {
            silent = this.sounding(at, key) < SOUNDS ? silent + 1 : 0;
            if (silent === SILENT) return at - SILENT + 1;
        }
        return Math.max(frame + 1, next - silent);
    }

    private peaks(key: number): number[] {
        const found: number[] = [];
        for (let at = 0; at < this.frames.count; at++) {
            const here = this.beginning(at, key);
            if (here > CANDIDATE && here > this.beginning(at - 1, key) && here >= this.beginning(at + 1, key))
                found.push(at);
        }
        return found;
    }

    /** The greatest beginning of a key around a frame, times what sounds after it. */
    private struck(frame: number, key: number): number {
        let most = 0;
        for (const at of this.begins[key] ?? []) {
            if (Math.abs(at - frame) > TOGETHER) continue;
            most = Math.max(most, this.beginning(at, key) * this.mean(key, at, at + 6));
        }
        return most;
    }

    private recent(frame: number, key: number): number {
        const last = this.begins[key]?.findLast((at) => at < frame && this.beginning(at, key) > CLEAR);
        return last === undefined ? 0 : Math.max(0, 1 - (frame - last) / RECENT);
    }

    /** Of both ends, those within the recording. */
    private mean(key: number, from: number, to: number): number {
        let sum = 0;
        let count = 0;
        for (let at = Math.max(0, from); at <= Math.min(this.frames.count - 1, to); at++) {
            sum += this.sounding(at, key);
            count++;
        }
        return count === 0 ? 0 : sum / count;
    }

    private sounding(frame: number, key: number): number {
        return key < 0 || key >= KEYS ? 0 : (this.frames.sounding[frame * KEYS + key] ?? 0);
    }

    private beginning(frame: number, key: number): number {
        return key < 0 || key >= KEYS ? 0 : (this.frames.beginning[frame * KEYS + key] ?? 0);
    }
}
