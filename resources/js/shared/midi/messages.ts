/** What a keyboard sends when a key goes down or up; null for anything else. */
export interface Struck {
    key: number;
    down: boolean;
}

export function readMessage(bytes: ArrayLike<number>): Struck | null {
    const [status = 0, key = 0, velocity = 0] = [bytes[0], bytes[1], bytes[2]];
    const kind = status & 0xf0;
    if (kind === 0x90 && velocity > 0) return { key: key & 0x7f, down: true };
    if (kind === 0x80 || kind === 0x90) return { key: key & 0x7f, down: false };
    return null;
}

/** Milliseconds within which keys that go down are one chord. */
export const TOGETHER = 60;

/** Gathers keys that go down together into one chord. */
export class Gatherer {
    private keys: number[] = [];
    private timer: ReturnType<typeof setTimeout> | null = null;

    constructor(private readonly chord: (keys: number[]) => void) {}

    take(struck: Struck | null): void {
        if (struck === null || !struck.down) return;
        if (!this.keys.includes(struck.key)) this.keys.push(struck.key);
        this.timer ??= setTimeout(() => this.give(), TOGETHER);
    }

    stop(): void {
        if (this.timer !== null) clearTimeout(this.timer);
        this.timer = null;
        this.keys = [];
    }

    private give(): void {
        const keys = [...this.keys].sort((a, b) => a - b);
        this.stop();
        this.chord(keys);
    }
}
