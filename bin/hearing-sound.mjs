// How well takes are heard by the microphone: invented takes are played by Debian's sound fonts, heard by the ear of the
// application, judged by the core and held against the truth (docs/hearing.md).
//   node bin/hearing-sound.mjs [takes of each kind] [first seed]
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runnerImport } from 'vite';

const [takes = '1', seed = '1', kept = mkdtempSync(join(tmpdir(), 'hearing-'))] = process.argv.slice(2);
mkdirSync(kept, { recursive: true });
const load = async (file) => (await runnerImport(file, { configFile: false, logLevel: 'error' })).module;
const [{ theModel, framesOf }, { keysOf }, { inTune }, sound] = await Promise.all(
    ['./resources/js/listening/ear/frames.ts', './resources/js/listening/ear/keys.ts', './resources/js/listening/ear/tuning.ts', './tests/sound.ts'].map(load),
);
const model = 'node_modules/@spotify/basic-pitch/model';
const weights = readFileSync(join(model, 'group1-shard1of1.bin'));
const ear = await theModel(JSON.parse(readFileSync(join(model, 'model.json'), 'utf8')), weights.buffer.slice(weights.byteOffset, weights.byteOffset + weights.byteLength));

execFileSync('php', ['artisan', 'nasturtium:hearing', `--takes=${takes}`, `--from=${seed}`, `--write=${kept}`]);
const NOISES = [null, -40, -30, -20];
const voices = Object.keys(sound.VOICES).filter(sound.hasVoice);
const files = readdirSync(kept).filter((file) => file.endsWith('.take.json')).sort();
for (const [i, file] of files.entries()) {
    const { notes } = JSON.parse(readFileSync(join(kept, file), 'utf8'));
    const voice = voices[i % voices.length];
    const noise = NOISES[Math.floor(i / voices.length) % NOISES.length];
    const cents = ((i * 7) % 5) * 15 - 30;
    const dry = sound.outOfTune(sound.soundOf(notes, voice, 0.2 + 0.2 * (i % 3)), cents);
    const { samples, by } = inTune(noise === null ? dry : sound.withNoise(dry, noise, i + 1));
    const slower = 2 ** (cents / 1_200) * by;
    const heard = keysOf(await framesOf(ear, samples)).map((key) => ({ ...key, t: key.t * slower, off: key.off * slower }));
    writeFileSync(join(kept, file.replace('.take.', '.heard.')), JSON.stringify({ voice, noise: noise === null ? 'none' : `${noise} dB`, notes: heard }));
    process.stderr.write(`\r${i + 1} of ${files.length}`);
}
process.stderr.write('\n');
process.stdout.write(execFileSync('php', ['artisan', 'nasturtium:hearing', `--takes=${takes}`, `--from=${seed}`, `--heard=${kept}`]));
