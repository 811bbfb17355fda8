import weights from '@spotify/basic-pitch/model/group1-shard1of1.bin?url';
import model from '@spotify/basic-pitch/model/model.json?url';
import { setWasmPaths } from '@tensorflow/tfjs-backend-wasm';
import plain from '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm.wasm?url';
import simd from '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm-simd.wasm?url';
import { framesOf, RATE, theModel } from './frames';
import { type HeardKey, keysOf } from './keys';
import { inTune, resampled } from './tuning';

/** A recording to be looked at; one that is to be forgotten has no samples. */
export interface Recording {
    id: number;
    samples: Float32Array | null;
    /** Samples a second. */
    rate: number;
}

/** The part that is done, or the keys that were heard and by how many cents the piano is above its pitch. */
export type FromEar =
    | { id: number; part: number }
    | { id: number; keys: HeardKey[]; cents: number }
    | { id: number; error: string };

setWasmPaths({
    'tfjs-backend-wasm.wasm': plain,
    'tfjs-backend-wasm-simd.wasm': simd,
    // Threads gain nothing here, and are not asked for.
    'tfjs-backend-wasm-threaded-simd.wasm': simd,
});

const fetched = async (url: string) => {
    const answer = await fetch(url);
    if (!answer.ok) throw new Error('the ear could not be loaded');
    return answer;
};
const ready = Promise.all([fetched(model), fetched(weights)]).then(async ([of, bytes]) =>
    theModel(await of.json(), await bytes.arrayBuffer()),
);
ready.catch(() => undefined);

const forgotten = new Set<number>();
const tell = (message: FromEar) => self.postMessage(message);

/** Room for the page to say that it is enough. */
const breath = () => new Promise((done) => setTimeout(done));

self.onmessage = async ({ data: { id, samples, rate } }: MessageEvent<Recording>) => {
    if (samples === null) {
        forgotten.add(id);
        return;
    }
    try {
        const tuned = inTune(rate === RATE ? samples : resampled(samples, rate / RATE));
        const frames = await framesOf(await ready, tuned.samples, async (part) => {
            tell({ id, part });
            await breath();
            return !forgotten.has(id);
        });
        if (frames === null) return;
        const keys = keysOf(frames).map((key) => ({ ...key, t: key.t * tuned.by, off: key.off * tuned.by }));
        tell({ id, keys, cents: tuned.cents });
    } catch (reason) {
        tell({ id, error: reason instanceof Error ? reason.message : String(reason) });
    }
};
