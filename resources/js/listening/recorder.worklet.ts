/** Samples that are sent together: a twentieth of a second, or less. */
const PIECE = 1_024;

declare const registerProcessor: (name: string, of: unknown) => void;
declare class AudioWorkletProcessor {
    readonly port: MessagePort;
}

/** Sends what the microphone hears on to the page. */
class Recorder extends AudioWorkletProcessor {
    private piece = new Float32Array(PIECE);
    private filled = 0;

    process([input]: Float32Array[][]): boolean {
        const heard = input?.[0];
        if (heard === undefined) return true;
        for (const sample of heard) {
            this.piece[this.filled++] = sample;
            if (this.filled < PIECE) continue;
            this.port.postMessage(this.piece, [this.piece.buffer]);
            this.piece = new Float32Array(PIECE);
            this.filled = 0;
        }
        return true;
    }
}

registerProcessor('recorder', Recorder);
