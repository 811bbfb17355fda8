/** Something that sends MIDI messages. */
export interface MidiSource {
    id: string;
    name: string;
    /** @returns stops listening */
    listen: (listener: (bytes: ArrayLike<number>) => void) => () => void;
}
