import { expect, it } from 'vitest';
import { whyNot } from './device';

it('why a microphone or a camera cannot be used is told by what the browser says', () => {
    const told = (name: string) => whyNot(new DOMException('', name));
    expect(['NotAllowedError', 'SecurityError'].map(told)).toEqual(['refused', 'refused']);
    expect(['NotFoundError', 'OverconstrainedError'].map(told)).toEqual(['none', 'none']);
    expect([told('NotReadableError'), whyNot(new Error('anything')), whyNot(null)]).toEqual(Array(3).fill('failed'));
});
