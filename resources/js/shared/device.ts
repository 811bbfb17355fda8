/** Why a microphone or a camera cannot be used. */
export type NoDevice = 'refused' | 'none' | 'failed';

/** What is wrong, in a word; the screen has the sentence. */
export function whyNot(reason: unknown): NoDevice {
    const name = (reason as { name?: string } | null)?.name ?? '';
    if (name === 'NotAllowedError' || name === 'SecurityError') return 'refused';
    return name === 'NotFoundError' || name === 'OverconstrainedError' ? 'none' : 'failed';
}
