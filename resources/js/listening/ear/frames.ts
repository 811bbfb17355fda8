import '@tensorflow/tfjs-backend-wasm';
import { type GraphModel, loadGraphModel } from '@tensorflow/tfjs-converter';
import { type io, setBackend, type Tensor, tensor3d } from '@tensorflow/tfjs-core';

/** Samples a second that the model was made for. */
export const RATE = 22_050;

/** Keys that it knows, from A0 on. */
export const KEYS = 88;
export const LOWEST = 21;

/** Samples from one frame to the next. */
const HOP = 256;

/** Samples of one window. */
const WINDOW = 43_844;

/** Frames at both ends of a window that are better seen by its neighbours. */
const EDGE = 15;

/** Samples from one window to the next. */
const STEP = WINDOW - 2 * EDGE * HOP;

/** Frames of a window without its edges. */
const INNER = 142;

/** What sounds and what begins, from 0 to 1, frame by frame, `KEYS` a frame. */
export interface Frames {
    sounding: Float32Array;
    beginning: Float32Array;
    count: number;
}

/** Seconds at which a frame lies; windows overlap by a part of one. */
export function secondsOf(frame: number): number {
    const window = Math.floor(frame / INNER);
    return (window * STEP + (frame - window * INNER) * HOP) / RATE;
}

/** The model, ready to run. */
export async function theModel(model: io.ModelJSON, weights: ArrayBuffer): Promise<GraphModel> {
    await setBackend('wasm');
    const specs = model.weightsManifest.flatMap((group) => group.weights);
    return loadGraphModel({
        load: async () => ({
            modelTopology: model.modelTopology,
            weightSpecs: specs,
            weightData: weights,
            ...(model.signature === undefined ? {} : { signature: model.signature }),
        }),
    } as io.IOHandler);
}

/**
 * Looks at a recording, window by window.
 * @param samples mono, `RATE` a second
 * @param looked told the part that is done, from 0 to 1; false breaks it off
 */
export async function framesOf(
    model: GraphModel,
    samples: Float32Array,
    looked: (part: number) => boolean | Promise<boolean> = () => true,
): Promise<Frames | null> {
    const windows = Math.max(1, Math.ceil(samples.length / STEP));
    const count = windows * INNER;
    const frames = { sounding: new Float32Array(count * KEYS), beginning: new Float32Array(count * KEYS), count };
    const piece = new Float32Array(WINDOW);
    for (let window = 0; window < windows; window++) {
        const from = window * STEP - EDGE * HOP;
        piece.fill(0);
        piece.set(samples.subarray(Math.max(0, from), Math.max(0, from + WINDOW)), Math.max(0, -from));
        const given = tensor3d(piece, [1, WINDOW, 1]);
        const told = model.execute(given, ['Identity_1', 'Identity_2']) as [Tensor, Tensor];
        const [sounding, beginning] = [await told[0].data(), await told[1].data()];
        const inner = [EDGE * KEYS, (EDGE + INNER) * KEYS] as const;
        frames.sounding.set((sounding as Float32Array).subarray(...inner), window * INNER * KEYS);
        frames.beginning.set((beginning as Float32Array).subarray(...inner), window * INNER * KEYS);
        for (const one of [given, ...told]) one.dispose();
        if (!(await looked((window + 1) / windows))) return null;
    }
    return frames;
}
