/** Sound as a WAV file: 16 bits, mono. */
export function wavOf(sound: Float32Array, rate: number): Uint8Array {
    const bytes = new DataView(new ArrayBuffer(44 + 2 * sound.length));
    const text = (at: number, of: string) =>
        [...of].forEach((letter, i) => void bytes.setUint8(at + i, letter.charCodeAt(0)));
    text(0, 'RIFF');
    bytes.setUint32(4, 36 + 2 * sound.length, true);
    text(8, 'WAVEfmt ');
    bytes.setUint32(16, 16, true);
    bytes.setUint16(20, 1, true);
    bytes.setUint16(22, 1, true);
    bytes.setUint32(24, rate, true);
    bytes.setUint32(28, 2 * rate, true);
    bytes.setUint16(32, 2, true);
    bytes.setUint16(34, 16, true);
    text(36, 'data');
    bytes.setUint32(40, 2 * sound.length, true);
    sound.forEach(
        (one, i) => void bytes.setInt16(44 + 2 * i, Math.round(Math.max(-1, Math.min(1, one)) * 32_767), true),
    );
    return new Uint8Array(bytes.buffer);
}
