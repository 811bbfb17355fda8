<?php

declare(strict_types=1);

use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Report\Settings;

/*
 * Whole tunes, worked out by hand from docs/trade.md: every note with its place, staff place, finger, move and counts.
 */

describe('hands that take turns', function (): void {
    beforeEach(function (): void {
        $this->report = broken_down(<<<'TUNE'
            title: Two Snails
            tempo: 84
            R: @c4 q1 d h3 | / | q3 d h1 | /
            L: @c4 / | q1 b h3 | / | h3 b
            TUNE);
    });

    test('the right hand', function (): void {
        expect(worked_out($this->report, 'R'))->toBe([
            '1.1 C4 | ledger 1 below | 1 | start | 1',
            '1.2 D4 | space below | 2 | step up | 2',
            '1.3 E4 | line 1 | 3 | step up | 3 (4)',
            '2.1 rest | - | - | - | [1] [2] [3] [4]',
            '3.1 E4 | line 1 | 3 | repeat | 1',
            '3.2 D4 | space below | 2 | step down | 2',
            '3.3 C4 | ledger 1 below | 1 | step down | 3 (4)',
            '4.1 rest | - | - | - | [1] [2] [3] [4]',
        ]);
    });

    test('the left hand, whose fingers run down', function (): void {
        expect(worked_out($this->report, 'L'))->toBe([
            '1.1 rest | - | - | - | [1] [2] [3] [4]',
            '2.1 C4 | ledger 1 above | 1 | start | 1',
            '2.2 B3 | space above | 2 | step down | 2',
            '2.3 A3 | line 5 | 3 | step down | 3 (4)',
            '3.1 rest | - | - | - | [1] [2] [3] [4]',
            '4.1 A3 | line 5 | 3 | repeat | 1 (2)',
            '4.3 B3 | space above | 2 | step up | 3 (4)',
        ]);
    });

    test('what the page is', function (): void {
        expect($this->report['piece'])->toMatchArray([
            'title' => 'Two Snails',
            'measures' => 4,
            'pickup' => '0',
            'time' => '4/4',
            'key' => 'C major',
            'lines' => 1,
        ])
            ->and(array_column($this->report['hands'], 'play'))->toBe(['R', 'L', 'R', 'L'])
            ->and(array_column($this->report['positions'], 'name'))->toBe(['middle C position', 'middle C position'])
            ->and($this->report['beats'])->toBe(['written' => '16', 'played' => '16'])
            ->and($this->report['equal']['right']['shape'])->toBe([])
            ->and($this->report['equal']['right']['rhythm'])->toBe([[1, 3]])
            ->and($this->report['checks'])->toBe([]);
    });

    test('it is handed over, not put together', function (): void {
        $names = array_column($this->report['stages'], 'name');
        expect($names)->toBe([
            'look over',
            'tap and count',
            'name the notes',
            'fingers in the air',
            'right hand',
            'left hand',
            'hand over',
            'whole, slow',
            'tempo ladder',
            'finish',
        ]);
        $over = $this->report['stages'][6];
        expect(array_column($over['chunks'], 'from'))->toBe(['1.1', '2.1', '3.1'])
            ->and(array_column($over['chunks'], 'to'))->toBe(['2.4', '3.4', '4.4']);
    });
});

describe('a pickup with eighths in G', function (): void {
    beforeEach(function (): void {
        $this->report = broken_down(<<<'TUNE'
            key: G
            tempo: 92
            R: @g4 v5 d | q c b v a b q a | h. g
            L: | @5=g3 w5 | h.5
            TUNE);
    });

    test('the right hand starts on the fourth beat', function (): void {
        expect(worked_out($this->report, 'R'))->toBe([
            '0.4 D5 | line 4 | 5 | start | 4',
            '0.4+1/2 D5 | line 4 | 5 | repeat | &',
            '1.1 C5 | space 3 | 4 | step down | 1 (&)',
            '1.2 B4 | line 3 | 3 | step down | 2 (&)',
            '1.3 A4 | space 2 | 2 | step down | 3',
            '1.3+1/2 B4 | line 3 | 3 | step up | &',
            '1.4 A4 | space 2 | 2 | step down | 4 (&)',
            '2.1 G4 | line 2 | 1 | step down | 1 (2) (3)',
        ]);
    });

    test('the left hand waits, and counts along', function (): void {
        expect(worked_out($this->report, 'L'))->toBe([
            '0.4 rest | - | - | - | [4] [&]',
            '1.1 G3 | space 4 | 5 | start | 1 (&) (2) (&) (3) (&) (4) (&)',
            '2.1 G3 | space 4 | 5 | repeat | 1 (2) (3)',
        ]);
    });

    test('pickup and last bar make one; it is counted in 1 2 3', function (): void {
        expect($this->report['piece']['pickup'])->toBe('1')
            ->and($this->report['count_in'])->toBe(['counts' => ['1', '2', '3'], 'enter' => '4'])
            ->and($this->report['play_order'])->toBe([0, 1, 2])
            ->and($this->report['beats'])->toBe(['written' => '8', 'played' => '8'])
            ->and($this->report['checks'])->toBe([])
            ->and(each_event($this->report, 'solfege'))->toBe(['sol', 'sol', 'fa', 'mi', 're', 'mi', 're', 'do']);
    });
});

describe('three beats with ties and rests', function (): void {
    beforeEach(function (): void {
        $this->report = broken_down(<<<'TUNE'
            time: 3/4
            tempo: 66-108
            R: @c4 q1 e g | h.5~ | 5 | q f e r
            L: @5=c3 h.5 | q r 3 1 | h 3 qr | h.5
            TUNE);
    });

    test('the right hand holds over the bar line', function (): void {
        expect(worked_out($this->report, 'R'))->toBe([
            '1.1 C4 | ledger 1 below | 1 | start | 1',
            '1.2 E4 | line 1 | 3 | skip up | 2',
            '1.3 G4 | line 2 | 5 | skip up | 3',
            '2.1 G4 | line 2 | 5 | repeat | 1 (2) (3)',
            '3.1 G4 | line 2 | 5 | held | (1) (2) (3)',
            '4.1 F4 | space 1 | 4 | step down | 1',
            '4.2 E4 | line 1 | 3 | step down | 2',
            '4.3 rest | - | - | - | [3]',
        ]);
    });

    test('the left hand rests on one', function (): void {
        expect(worked_out($this->report, 'L'))->toBe([
            '1.1 C3 | space 2 | 5 | start | 1 (2) (3)',
            '2.1 rest | - | - | - | [1]',
            '2.2 E3 | space 3 | 3 | skip up | 2',
            '2.3 G3 | space 4 | 1 | skip up | 3',
            '3.1 E3 | space 3 | 3 | skip down | 1 (2)',
            '3.3 rest | - | - | - | [3]',
            '4.1 C3 | space 2 | 5 | skip down | 1 (2) (3)',
        ]);
    });

    test('hands: together in all bars, each with its motion', function (): void {
        expect($this->report['hands'])->toBe([
            ['measure' => 1, 'play' => 'together', 'motion' => 'oblique', 'same_rhythm' => false],
            ['measure' => 2, 'play' => 'together', 'motion' => 'oblique', 'same_rhythm' => false],
            ['measure' => 3, 'play' => 'together', 'motion' => null, 'same_rhythm' => false],
            ['measure' => 4, 'play' => 'together', 'motion' => 'oblique', 'same_rhythm' => false],
        ]);
    });

    test('the ladder starts where the page says', function (): void {
        $tempi = array_column($this->report['stages'], 'tempo', 'name');
        expect($tempi)->toBe([
            'look over' => null,
            'tap and count' => 66,
            'name the notes' => null,
            'fingers in the air' => 66,
            'right hand' => 66,
            'left hand' => 66,
            'hands together' => 66,
            'whole, slow' => 66,
            'tempo ladder' => 66,
            'finish' => 108,
        ]);
    });
});

describe('both hands in the treble clef', function (): void {
    beforeEach(function (): void {
        $this->report = broken_down(<<<'TUNE'
            clefs: treble treble
            R: @g4 h1 3 | q5 d b d
            L: @5=c4 w5 | h3 1
            TUNE);
    });

    test('the left hand reads the treble clef', function (): void {
        expect(worked_out($this->report, 'L'))->toBe([
            '1.1 C4 | ledger 1 below | 5 | start | 1 (2) (3) (4)',
            '2.1 E4 | line 1 | 3 | skip up | 1 (2)',
            '2.3 G4 | line 2 | 1 | skip up | 3 (4)',
        ]);
    });

    test('the inventory is of one clef, and a key in it once', function (): void {
        $notes = array_map(
            fn (array $note): string => "{$note['clef']} {$note['pitch']} ×{$note['times']} from {$note['landmark']} {$note['steps']}",
            $this->report['notes'],
        );
        expect($notes)->toBe([
            'treble C4 ×1 from C4 0',
            'treble E4 ×1 from C4 2',
            'treble G4 ×2 from G4 0',
            'treble B4 ×2 from G4 2',
            'treble D5 ×3 from G4 4',
        ]);
    });

    test('the positions are named by their own keys', function (): void {
        expect($this->report['positions'])->toBe([
            [
                'hand' => 'R',
                'from' => '1.1',
                'to' => '2.4',
                'thumb' => 'G4',
                'low' => 'G4',
                'high' => 'D5',
                'keys' => [67, 69, 71, 72, 74],
                'name' => 'G position',
            ],
            [
                'hand' => 'L',
                'from' => '1.1',
                'to' => '2.3',
                'thumb' => 'G4',
                'low' => 'C4',
                'high' => 'G4',
                'keys' => [67, 65, 64, 62, 60],
                'name' => 'thumb on G4',
            ],
        ]);
    });
});

describe('a repeat with two endings', function (): void {
    beforeEach(function (): void {
        $this->report = broken_down(<<<'TUNE'
            time: 2/4
            R: |: @d4 q1 3 | f d | [1 h 2 :| [2 h 1
            L: @5=d3 h5 | q1 3 | h4 | h5
            TUNE);
    });

    test('it is played 1 2 3, then 1 2 4', function (): void {
        expect($this->report['play_order'])->toBe([1, 2, 3, 1, 2, 4])
            ->and($this->report['beats'])->toBe(['written' => '8', 'played' => '12'])
            ->and($this->report['checks'])->toBe([]);
    });

    test('the whole lasts as long as it is played', function (): void {
        $whole = array_values(array_filter($this->report['chunks'], fn (array $chunk): bool => $chunk['kind'] === 'whole'))[0];
        expect($whole['from'])->toBe('1.1')
            ->and($whole['to'])->toBe('4.2')
            ->and($whole['beats'])->toBe('12');
    });

    test('its sections stop at the sign', function (): void {
        $sections = array_values(array_filter($this->report['chunks'], fn (array $chunk): bool => $chunk['kind'] === 'section'));
        expect(array_column($sections, 'from'))->toBe(['1.1']);
    });
});

describe('a left hand that moves', function (): void {
    beforeEach(function (): void {
        $this->report = broken_down(<<<'TUNE'
            tempo: 100
            R: @c4 q5 e c e | w4 | q4 d d f | w3
            L: @5=c3 q5 g c g | h4 r | @5=g2 q5 d g, d | h4 r
            TUNE);
    });

    test('it moves three keys down in the rest before bar 3', function (): void {
        expect($this->report['shifts'])->toBe([['hand' => 'L', 'at' => '3.1', 'keys' => -3, 'from' => 'G3', 'to' => 'D3', 'beats' => '4', 'rest' => '2']])
            ->and(array_map(fn (array $position): string => "{$position['hand']} {$position['from']}–{$position['to']} {$position['name']}", $this->report['positions']))->toBe([
                'R 1.1–4.1 C position',
                'L 1.1–2.1 C position',
                'L 3.1–4.1 G position',
            ]);
    });

    test('the fingers follow', function (): void {
        expect(worked_out($this->report, 'L'))->toBe([
            '1.1 C3 | space 2 | 5 | start | 1',
            '1.2 G3 | space 4 | 1 | leap up 5th | 2',
            '1.3 C3 | space 2 | 5 | leap down 5th | 3',
            '1.4 G3 | space 4 | 1 | leap up 5th | 4',
            '2.1 D3 | line 3 | 4 | leap down 4th | 1 (2)',
            '2.3 rest | - | - | - | [3] [4]',
            '3.1 G2 | line 1 | 5 | leap down 5th | 1',
            '3.2 D3 | line 3 | 1 | leap up 5th | 2',
            '3.3 G2 | line 1 | 5 | leap down 5th | 3',
            '3.4 D3 | line 3 | 1 | leap up 5th | 4',
            '4.1 A2 | space 1 | 4 | leap down 4th | 1 (2)',
            '4.3 rest | - | - | - | [3] [4]',
        ]);
    });

    test('each hand’s own bars are compared', function (): void {
        expect($this->report['equal'])->toBe([
            'bars' => [],
            'right' => ['same' => [], 'rhythm' => [[1, 3], [2, 4]], 'shape' => [[2, 4]]],
            'left' => ['same' => [], 'rhythm' => [[1, 3], [2, 4]], 'shape' => [[1, 3], [2, 4]]],
        ]);
    });

    test('the minutes of its stages on the notes-first path', function (): void {
        $stages = broken_down(<<<'TUNE'
            tempo: 100
            R: @c4 q5 e c e | w4 | q4 d d f | w3
            L: @5=c3 q5 g c g | h4 r | @5=g2 q5 d g, d | h4 r
            TUNE, new Settings(path: PathKind::NotesFirst))['stages'];
        expect(array_column($stages, 'minutes', 'name'))->toBe([
            'look over' => 1,
            // 20 notes × 3 s, twice = 120 s.
            'find and name notes' => 2,
            'position and fingers' => 1,
            // 20 + 2 × ((16 + 4) × 1 s + 4 s) = 68 s.
            'right hand, no counting' => 1.5,
            // 2 halves × (20 + 6 × ((8 + 4) × 1 s + 4 s)) = 232 s.
            'right hand, counting' => 4,
            'left hand, no counting' => 1.5,
            'left hand, counting' => 4,
            // 20 + 6 × ((16 + 4) × 1 s + 4 s) = 164 s.
            'hands together' => 3,
            // 20 + 3 × 24 + 3 × (20 × 60 ÷ 63 + 4) = 161 s.
            'tempo ladder' => 3,
            'finish' => 1,
        ]);
    });
});
