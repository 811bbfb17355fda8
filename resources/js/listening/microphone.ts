import { PitchDetector } from 'pitchy';
import { RATE } from './ear/frames';
import recorder from './recorder.worklet?worker&url';

/** What is heard now. */
export interface Now {
    /** How loud, from 0 to 1. */
    level: number;
    /** The key that is heard best, as MIDI numbers it; for the light alone. */
    key: number | null;
    /** The room is so loud that soft keys are not heard. */
    noisy: boolean;
    /** Seconds since something was heard above the room; null before. */
    silent: number | null;
}

export interface OpenMicrophone {
    /** Samples a second. */
    rate: number;
    /** What was recorded until now. */
    samples: () => Float32Array;
    /** What was recorded until now is none of it, such as a count-in. */
    forget: () => void;
    close: () => void;
}

/** Samples a pitch is read from for the light. */
const PIECE = 2_048;

/** How clear a pitch has to be to be shown. */
const CLEAR = 0.9;

/** Seconds after which the quietest moment tells the room. */
const ROOM = 0.4;

/** A room louder than this is noisy; what is played is so many times louder than the room. */
const NOISY = 0.015;
const LOUDER = 2.5;
const LEAST = 0.004;

/** Seconds that are recorded at most. */
export const LONGEST = 240;

/** As it is, without what a telephone call would change. */
const AS_IT_IS = { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 };

/**
 * Opens the microphone and records until it is closed; nothing leaves the device.
 * @param now told many times a second
 * @param lost told when the microphone went away
 * @throws DOMException when it is refused or there is none
 */
export async function openMicrophone(now: (now: Now) => void, lost: () => void): Promise<OpenMicrophone> {
    const stream = await navigator.mediaDevices.getUserMedia({ audio: AS_IT_IS });
    const stop = () => {
        for (const track of stream.getTracks()) track.stop();
    };
    try {
        const { context, source } = contextFor(stream);
        await context.audioWorklet.addModule(recorder);
        const node = new AudioWorkletNode(context, 'recorder', { numberOfOutputs: 0 });
        source.connect(node);
        const kept = new Recorded(context.sampleRate, now);
        node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => kept.take(data);
        for (const track of stream.getTracks()) track.onended = lost;
        await context.resume();
        const close = () => {
            node.port.onmessage = null;
            stop();
            context.close().catch(() => undefined);
        };
        return { rate: context.sampleRate, samples: () => kept.all(), forget: () => kept.forget(), close };
    } catch (reason) {
        stop();
        throw reason;
    }
}

/** At the rate of the ear; where the browser refuses it, at its own, and what was recorded is changed later. */
function contextFor(stream: MediaStream) {
    try {
        const context = new AudioContext({ sampleRate: RATE });
        try {
            return { context, source: context.createMediaStreamSource(stream) };
        } catch {
            context.close().catch(() => undefined);
        }
    } catch {
        // Some browsers refuse the rate itself.
    }
    const context = new AudioContext();
    return { context, source: context.createMediaStreamSource(stream) };
}

/** What was recorded, and what is said of it while it comes. */
export class Recorded {
    private pieces: Float32Array[] = [];
    private length = 0;
    private room = Number.POSITIVE_INFINITY;
    private heardAt: number | null = null;
    private readonly tail = new Float32Array(PIECE);
    private readonly detector = PitchDetector.forFloat32Array(PIECE);

    constructor(
        private readonly rate: number,
        private readonly now: (now: Now) => void,
    ) {}

    take(piece: Float32Array): void {
        if (this.length >= LONGEST * this.rate) return;
        this.pieces.push(piece);
        this.length += piece.length;
        this.tail.copyWithin(0, piece.length);
        this.tail.set(piece.subarray(-PIECE), Math.max(0, PIECE - piece.length));
        const level = Math.sqrt(piece.reduce((sum, one) => sum + one * one, 0) / piece.length);
        const at = this.length / this.rate;
        this.room = Math.min(this.room, level);
        const isHeard = level > Math.max(LEAST, LOUDER * this.room);
        if (isHeard) this.heardAt = at;
        this.now({
            level: Math.min(1, 4 * level),
            key: isHeard ? this.key() : null,
            noisy: at >= ROOM && this.room > NOISY,
            silent: this.heardAt === null ? null : at - this.heardAt,
        });
    }

    /** What was recorded until now is none of it, such as a count-in. */
    forget(): void {
        this.pieces = [];
        this.length = 0;
        this.heardAt = null;
    }

    all(): Float32Array {
        const all = new Float32Array(this.length);
        let at = 0;
        for (const piece of this.pieces) {
            all.set(piece, at);
            at += piece.length;
        }
        return all;
    }

    private key(): number | null {
        const [pitch, clear] = this.detector.findPitch(this.tail, this.rate);
        return clear < CLEAR || pitch <= 0 ? null : Math.round(69 + 12 * Math.log2(pitch / 440));
    }
}
