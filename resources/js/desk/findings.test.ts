import { describe, expect, it } from 'vitest';
import type { Report } from '../shared/api';
import { findingsOf } from './findings';

const event = (id: string, hand: string, place: string, kind = 'note') => ({ id, hand, place, kind, clef: 'treble' });

const report = {
    piece: {
        time: '4/4',
        key: 'C major',
        measures: 2,
        lines: 1,
        pickup: '1',
        tempo: 96,
        tempo_from: 60,
        tempo_words: null,
    },
    checks: [{ code: 'bar_short', place: '2.3', hand: 'R', text: 'Two beats missing.' }],
    count_in: { counts: ['1', '2', '3'], enter: '4' },
    play_order: [0, 1, 0, 1],
    beats: { written: '5', played: '10' },
    events: [
        event('R0-1', 'R', '0.4'),
        event('R1-1', 'R', '1.1'),
        event('R1-2', 'R', '1.2', 'rest'),
        event('L1-1', 'L', '1.1'),
    ],
    counting: [{ measure: 1, hand: 'R', text: '1 [2]' }],
    positions: [{ hand: 'R', from: '0.4', to: '1.1', thumb: 'C4', low: 'C4', high: 'G4', name: 'C position' }],
    shifts: [{ hand: 'R', at: '1.1', keys: -2 }],
    notes: [
        {
            clef: 'treble',
            pitch: 'C4',
            times: 2,
            first: '0.4',
            status: 'new',
            route: 'a landmark: middle C',
            staff: 'ledger 1 below',
            key: 'left of two',
            events: ['R0-1'],
        },
    ],
    hands: [
        { measure: 0, play: 'R', motion: null, same_rhythm: null },
        { measure: 1, play: 'together', motion: 'contrary', same_rhythm: true },
    ],
    lines: [{ from: 0, to: 1, letter: 'A' }],
    equal: {
        bars: [[0, 1]],
        right: { same: [[0, 1]], rhythm: [], shape: [[0, 1]] },
        left: { same: [], rhythm: [], shape: [[0, 2]] },
    },
} as unknown as Report;

describe('what is said beside the music', () => {
    it('looks over what a teacher would point at first', () => {
        const titles = findingsOf(report, 'look over').map((finding) => finding.title);
        expect(titles[0]).toBe('Both hands in one clef');
        expect(titles).toContain('The way through');
        expect(titles.at(-1)).toBe('Check at 2.3');
    });

    it('lights the notes of a position and of a shift, never its rests', () => {
        const [position, shift] = findingsOf(report, 'fingers');
        expect(position?.events).toEqual(['R0-1', 'R1-1']);
        expect(shift?.text).toBe('The right hand moves 2 keys down.');
        expect(shift?.events).toEqual(['R1-1']);
    });

    it('gathers bars by what the hands do', () => {
        expect(findingsOf(report, 'hands').map((finding) => [finding.title, finding.bars])).toEqual([
            ['right hand alone', [0]],
            ['together, contrary motion, same rhythm', [1]],
        ]);
    });

    it('says each thing once: both hands before one, the same before the shape', () => {
        expect(findingsOf(report, 'patterns').map((finding) => finding.title)).toEqual([
            'Line A',
            'The same in both hands',
            'Left hand, same shape',
        ]);
    });
});
