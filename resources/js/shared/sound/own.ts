/** Until when this page itself sounds, by its clock: what a microphone hears then is nobody’s answer. */
let until = 0;

/** A little longer than it sounds: it rings in the room. */
const RINGS = 250;

export function soundsFor(milliseconds: number): void {
    until = Math.max(until, performance.now() + milliseconds + RINGS);
}

export const isSounding = (): boolean => performance.now() < until;
