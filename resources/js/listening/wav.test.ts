import { describe, expect, it } from 'vitest';
import { wavOf } from './wav';

describe('sound as a file', () => {
    it('has a head that says what it is, and each sample in 16 bits, no louder than it can be', () => {
        const bytes = new DataView(wavOf(Float32Array.of(0, 0.5, -1, 2), 22_050).buffer);
        const text = (at: number, length: number) =>
            String.fromCharCode(...Array.from({ length }, (_, i) => bytes.getUint8(at + i)));
        expect([text(0, 4), text(8, 4), text(36, 4)]).toEqual(['RIFF', 'WAVE', 'data']);
        expect([bytes.getUint32(24, true), bytes.getUint16(22, true), bytes.getUint32(40, true)]).toEqual([
            22_050, 1, 8,
        ]);
        expect([44, 46, 48, 50].map((at) => bytes.getInt16(at, true))).toEqual([0, 16_384, -32_767, 32_767]);
    });
});
