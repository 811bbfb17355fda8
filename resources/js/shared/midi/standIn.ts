import { t } from '../../text';
import type { MidiListener, MidiSource } from './source';

/** A recorded take: keys that go down together, and how many milliseconds after the start. */
export interface Take {
    name: string;
    strikes: { at: number; keys: number[] /** How long they are held; else a moment. */; held?: number }[];
}

const evenly = (keys: number[][], every: number) => keys.map((together, i) => ({ at: i * every, keys: together }));

export const TAKES: Take[] = [
    { name: t('Five steps up'), strikes: evenly([[60], [62], [64], [65], [67]], 240) },
    {
        name: t('Three chords'),
        strikes: evenly(
            [
                [60, 64, 67],
                [60, 65, 69],
                [59, 65, 67],
            ],
            400,
        ),
    },
    { name: t('Left hand, down and up'), strikes: evenly([[55], [53], [52], [50], [48], [50], [52], [55]], 240) },
    { name: t('A black key'), strikes: evenly([[62], [66], [69], [66]], 240) },
];

const HELD = 180;

/** Stands in for a MIDI keyboard: it sends the messages that one would, from recorded takes. */
export class StandIn implements MidiSource {
    readonly id = 'stand-in';
    readonly name = t('Stand-in keyboard');
    private readonly listeners = new Set<MidiListener>();

    listen(listener: MidiListener): () => void {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
    }

    play(take: Take): void {
        for (const { at, keys, held = HELD } of take.strikes) {
            for (const key of keys) {
                setTimeout(() => this.send([0x90, key, 80]), at);
                setTimeout(() => this.send([0x80, key, 0]), at + held);
            }
        }
    }

    private send(bytes: number[]): void {
        for (const listener of this.listeners) listener(bytes, performance.now());
    }
}
