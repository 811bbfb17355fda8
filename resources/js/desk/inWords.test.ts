import { describe, expect, it } from 'vitest';
import type { Report } from '../api';
import { barsInWords } from './InWords';

const event = (place: string, hand: 'R' | 'L', pitches: string[], beats: string) =>
    ({ place, hand, pitches, beats }) as unknown as Report['events'][number];

describe('the music in words', () => {
    it('says each bar: its hands, their notes and how long', () => {
        const report = {
            bars: [{ measure: 0 }, { measure: 1 }, { measure: 2 }, { measure: 12 }],
            events: [
                event('0.3', 'R', ['G4'], '1'),
                event('1.1', 'R', ['C4'], '1/2'),
                event('1.1', 'L', ['C3', 'G3'], '4'),
                event('1.2', 'R', [], '2'),
                event('12.1', 'L', ['C3'], '3/2'),
            ],
        } as unknown as Report;
        expect(barsInWords(report)).toEqual([
            'Bar 0. Right hand: G4 for 1 beat.',
            'Bar 1. Right hand: C4 for 1/2 beat, rest for 2 beats. Left hand: C3 and G3 for 4 beats.',
            'Bar 2. Nothing is played.',
            'Bar 12. Left hand: C3 for 3/2 beat.',
        ]);
    });
});
