/** Told a message, and when it came in milliseconds of the page's clock. */
export type MidiListener = (bytes: ArrayLike<number>, at: number) => void;

/** Something that sends MIDI messages. */
export interface MidiSource {
    id: string;
    name: string;
    /** @returns stops listening */
    listen: (listener: MidiListener) => () => void;
}
