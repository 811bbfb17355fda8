<?php

declare(strict_types=1);

/*
 * The tunes of the demo studio, each worked out by hand and held against the report.
 * A note reads: place and pitch | staff place | finger | move | counts.
 */

const DEMO_TUNES = [
    'The Gate' => [
        'R' => [
            '1.1 C4 | ledger 1 below | 1 | start | 1',
            '1.2 E4 | line 1 | 3 | skip up | 2',
            '1.3 C4 | ledger 1 below | 1 | skip down | 3',
            '1.4 E4 | line 1 | 3 | skip up | 4',
            '2.1 E4 | line 1 | 3 | repeat | 1 (2)',
            '2.3 G4 | line 2 | 5 | skip up | 3 (4)',
            '3.1 G4 | line 2 | 5 | repeat | 1',
            '3.2 E4 | line 1 | 3 | skip down | 2',
            '3.3 G4 | line 2 | 5 | skip up | 3',
            '3.4 E4 | line 1 | 3 | skip down | 4',
            '4.1 C4 | ledger 1 below | 1 | skip down | 1 (2) (3) (4)',
        ],
        'L' => [
            '1.1 rest | - | - | - | [1] [2] [3] [4]',
            '2.1 rest | - | - | - | [1] [2] [3] [4]',
            '3.1 rest | - | - | - | [1] [2] [3] [4]',
            '4.1 C3 | space 2 | 5 | start | 1 (2) (3) (4)',
        ],
        'positions' => [
            'R 1.1–4.1 C position',
            'L 4.1–4.1 C position',
        ],
        'hands' => [
            '1 R',
            '2 R',
            '3 R',
            '4 together',
        ],
        'equal' => [],
        'letters' => ['A'],
        'played' => [1,2,3,4],
    ],
    'The Latch' => [
        'R' => [
            '1.1 rest | - | - | - | [1] [2] [3] [4]',
            '2.1 rest | - | - | - | [1] [2] [3] [4]',
            '3.1 rest | - | - | - | [1] [2] [3] [4]',
            '4.1 G4 | line 2 | 5 | start | 1 (2) (3) (4)',
        ],
        'L' => [
            '1.1 G3 | space 4 | 1 | start | 1',
            '1.2 E3 | space 3 | 3 | skip down | 2',
            '1.3 G3 | space 4 | 1 | skip up | 3',
            '1.4 E3 | space 3 | 3 | skip down | 4',
            '2.1 E3 | space 3 | 3 | repeat | 1 (2)',
            '2.3 G3 | space 4 | 1 | skip up | 3 (4)',
            '3.1 C3 | space 2 | 5 | leap down 5th | 1',
            '3.2 E3 | space 3 | 3 | skip up | 2',
            '3.3 C3 | space 2 | 5 | skip down | 3',
            '3.4 E3 | space 3 | 3 | skip up | 4',
            '4.1 G3 | space 4 | 1 | skip up | 1 (2) (3) (4)',
        ],
        'positions' => [
            'R 4.1–4.1 C position',
            'L 1.1–4.1 C position',
        ],
        'hands' => [
            '1 L',
            '2 L',
            '3 L',
            '4 together',
        ],
        'equal' => [],
        'letters' => ['A'],
        'played' => [1,2,3,4],
    ],
    'Copper Kettle' => [
        'R' => [
            '1.1 C4 | ledger 1 below | 1 | start | 1',
            '1.2 D4 | space below | 2 | step up | 2',
            '1.3 E4 | line 1 | 3 | step up | 3',
            '1.4 D4 | space below | 2 | step down | 4',
            '2.1 E4 | line 1 | 3 | step up | 1 (2)',
            '2.3 G4 | line 2 | 5 | skip up | 3 (4)',
            '3.1 G4 | line 2 | 5 | repeat | 1',
            '3.2 F4 | space 1 | 4 | step down | 2',
            '3.3 E4 | line 1 | 3 | step down | 3',
            '3.4 D4 | space below | 2 | step down | 4',
            '4.1 E4 | line 1 | 3 | step up | 1 (2) (3) (4)',
            '5.1 C4 | ledger 1 below | 1 | skip down | 1',
            '5.2 D4 | space below | 2 | step up | 2',
            '5.3 E4 | line 1 | 3 | step up | 3',
            '5.4 D4 | space below | 2 | step down | 4',
            '6.1 E4 | line 1 | 3 | step up | 1 (2)',
            '6.3 G4 | line 2 | 5 | skip up | 3 (4)',
            '7.1 G4 | line 2 | 5 | repeat | 1',
            '7.2 F4 | space 1 | 4 | step down | 2',
            '7.3 E4 | line 1 | 3 | step down | 3',
            '7.4 D4 | space below | 2 | step down | 4',
            '8.1 C4 | ledger 1 below | 1 | step down | 1 (2) (3) (4)',
        ],
        'L' => [
            '1.1 C3 | space 2 | 5 | start | 1 (2) (3) (4)',
            '2.1 C3 | space 2 | 5 | repeat | 1 (2)',
            '2.3 E3 | space 3 | 3 | skip up | 3 (4)',
            '3.1 G3 | space 4 | 1 | skip up | 1 (2) (3) (4)',
            '4.1 C3 | space 2 | 5 | leap down 5th | 1 (2) (3) (4)',
            '5.1 C3 | space 2 | 5 | repeat | 1 (2) (3) (4)',
            '6.1 C3 | space 2 | 5 | repeat | 1 (2)',
            '6.3 E3 | space 3 | 3 | skip up | 3 (4)',
            '7.1 G3 | space 4 | 1 | skip up | 1 (2)',
            '7.3 D3 | line 3 | 4 | leap down 4th | 3 (4)',
            '8.1 C3 | space 2 | 5 | step down | 1 (2) (3) (4)',
        ],
        'positions' => [
            'R 1.1–8.1 C position',
            'L 1.1–8.1 C position',
        ],
        'hands' => [
            '1 together oblique',
            '2 together parallel',
            '3 together oblique',
            '4 together',
            '5 together oblique',
            '6 together parallel',
            '7 together mixed',
            '8 together',
        ],
        'equal' => [[1,5],[2,6]],
        'letters' => ['A','A′'],
        'played' => [1,2,3,4,5,6,7,8],
    ],
    'Lantern Path' => [
        'R' => [
            '1.1 G4 | line 2 | 1 | start | 1 (2)',
            '1.3 B4 | line 3 | 3 | skip up | 3 (4)',
            '2.1 D5 | line 4 | 5 | skip up | 1',
            '2.2 D5 | line 4 | 5 | repeat | 2',
            '2.3 B4 | line 3 | 3 | skip down | 3',
            '2.4 D5 | line 4 | 5 | skip up | 4',
            '3.1 C5 | space 3 | 4 | step down | 1 (2)',
            '3.3 A4 | space 2 | 2 | skip down | 3 (4)',
            '4.1 G4 | line 2 | 1 | step down | 1 (2) (3) (4)',
            '5.1 G4 | line 2 | 1 | repeat | 1 (2)',
            '5.3 B4 | line 3 | 3 | skip up | 3 (4)',
            '6.1 D5 | line 4 | 5 | skip up | 1',
            '6.2 D5 | line 4 | 5 | repeat | 2',
            '6.3 B4 | line 3 | 3 | skip down | 3',
            '6.4 D5 | line 4 | 5 | skip up | 4',
            '7.1 C5 | space 3 | 4 | step down | 1',
            '7.2 A4 | space 2 | 2 | skip down | 2',
            '7.3 B4 | line 3 | 3 | step up | 3',
            '7.4 C5 | space 3 | 4 | step up | 4',
            '8.1 B4 | line 3 | 3 | step down | 1 (2) (3) (4)',
        ],
        'L' => [
            '1.1 C4 | ledger 1 below | 5 | start | 1 (2) (3) (4)',
            '2.1 E4 | line 1 | 3 | skip up | 1 (2) (3) (4)',
            '3.1 G4 | line 2 | 1 | skip up | 1 (2)',
            '3.3 D4 | space below | 4 | leap down 4th | 3 (4)',
            '4.1 C4 | ledger 1 below | 5 | step down | 1 (2) (3) (4)',
            '5.1 C4 | ledger 1 below | 5 | repeat | 1 (2) (3) (4)',
            '6.1 E4 | line 1 | 3 | skip up | 1 (2) (3) (4)',
            '7.1 D4 | space below | 4 | step down | 1 (2)',
            '7.3 F4 | space 1 | 2 | skip up | 3 (4)',
            '8.1 G4 | line 2 | 1 | step up | 1 (2) (3) (4)',
        ],
        'positions' => [
            'R 1.1–8.1 G position',
            'L 1.1–8.1 thumb on G4',
        ],
        'hands' => [
            '1 together oblique',
            '2 together oblique',
            '3 together parallel',
            '4 together',
            '5 together oblique',
            '6 together oblique',
            '7 together mixed',
            '8 together',
        ],
        'equal' => [[1,5],[2,6]],
        'letters' => ['A','B'],
        'played' => [1,2,3,4,5,6,7,8],
    ],
    'Round the Pond' => [
        'R' => [
            '1.1 D4 | space below | 1 | start | 1',
            '1.2 F4 | space 1 | 3 | skip up | 2',
            '2.1 F4 | space 1 | 3 | repeat | 1',
            '2.1+1/2 E4 | line 1 | 2 | step down | &',
            '2.2 D4 | space below | 1 | step down | 2 (&)',
            '3.1 A4 | space 2 | 5 | leap up 5th | 1',
            '3.2 F4 | space 1 | 3 | skip down | 2',
            '4.1 E4 | line 1 | 2 | step down | 1 (2)',
            '5.1 D4 | space below | 1 | step down | 1 (2)',
        ],
        'L' => [
            '1.1 D3 | line 3 | 5 | start | 1 (2)',
            '2.1 D3 | line 3 | 5 | repeat | 1 (&) (2) (&)',
            '3.1 A3 | line 5 | 1 | leap up 5th | 1',
            '3.2 F3 | line 4 | 3 | skip down | 2',
            '4.1 E3 | space 3 | 4 | step down | 1 (2)',
            '5.1 D3 | line 3 | 5 | step down | 1 (2)',
        ],
        'positions' => [
            'R 1.1–5.1 thumb on D4',
            'L 1.1–5.1 thumb on A3',
        ],
        'hands' => [
            '1 together oblique',
            '2 together oblique',
            '3 together parallel',
            '4 together',
            '5 together',
        ],
        'equal' => [],
        'letters' => ['A'],
        'played' => [1,2,3,4,1,2,3,5],
    ],
    'Tin Roof Rain' => [
        'R' => [
            '1.1 F4 | space 1 | 1 | start | 1',
            '1.1+1/2 G4 | line 2 | 2 | step up | &',
            '1.2 A4 | space 2 | 3 | step up | 2',
            '1.2+1/2 G4 | line 2 | 2 | step down | &',
            '1.3 F4 | space 1 | 1 | step down | 3 (&)',
            '1.4 A4 | space 2 | 3 | skip up | 4 (&)',
            '2.1 Bb4 | line 3 | 4 | step up | 1',
            '2.1+1/2 A4 | space 2 | 3 | step down | &',
            '2.2 G4 | line 2 | 2 | step down | 2',
            '2.2+1/2 A4 | space 2 | 3 | step up | &',
            '2.3 G4 | line 2 | 2 | step down | 3 (&)',
            '2.4 C5 | space 3 | 5 | leap up 4th | 4 (&)',
            '3.1 F4 | space 1 | 1 | leap down 5th | 1',
            '3.1+1/2 G4 | line 2 | 2 | step up | &',
            '3.2 A4 | space 2 | 3 | step up | 2',
            '3.2+1/2 G4 | line 2 | 2 | step down | &',
            '3.3 F4 | space 1 | 1 | step down | 3 (&)',
            '3.4 A4 | space 2 | 3 | skip up | 4 (&)',
            '4.1 G4 | line 2 | 2 | step down | 1',
            '4.1+1/2 F4 | space 1 | 1 | step down | &',
            '4.2 G4 | line 2 | 2 | step up | 2',
            '4.2+1/2 A4 | space 2 | 3 | step up | &',
            '4.3 F4 | space 1 | 1 | skip down | 3 (&) (4) (&)',
        ],
        'L' => [
            '1.1 F3 | line 4 | 5 | start | 1 (&) (2) (&)',
            '1.3 C4 | ledger 1 above | 1 | leap up 5th | 3 (&) (4) (&)',
            '2.1 G3 | space 4 | 4 | leap down 4th | 1 (&) (2) (&)',
            '2.3 Bb3 | space above | 2 | skip up | 3 (&) (4) (&)',
            '3.1 F3 | line 4 | 5 | leap down 4th | 1 (&) (2) (&)',
            '3.3 C4 | ledger 1 above | 1 | leap up 5th | 3 (&) (4) (&)',
            '4.1 Bb3 | space above | 2 | step down | 1 (&) (2) (&)',
            '4.3 F3 | line 4 | 5 | leap down 4th | 3 (&) (4) (&)',
        ],
        'positions' => [
            'R 1.1–4.3 thumb on F4',
            'L 1.1–4.3 thumb on C4',
        ],
        'hands' => [
            '1 together mixed',
            '2 together mixed',
            '3 together mixed',
            '4 together mixed',
        ],
        'equal' => [[1,3]],
        'letters' => ['A'],
        'played' => [1,2,3,4],
    ],
    'After the Rain' => [
        'R' => [
            '1.1 D4 | space below | 1 | start | 1 (2)',
            '1.3 F4 | space 1 | 3 | skip up | 3',
            '1.4 A4 | space 2 | 5 | skip up | 4',
            '2.1 G4 | line 2 | 4 | step down | 1 (2) (3)',
            '2.4 F4 | space 1 | 3 | step down | 4',
            '3.1 E4 | line 1 | 2 | step down | 1 (2)',
            '3.3 D4 | space below | 1 | step down | 3',
            '3.4 C#4 | ledger 1 below | 1 | step down | 4',
            '4.1 D4 | space below | 1 | step up | 1 (2) (3) (4)',
        ],
        'L' => [
            '1.1 D3 | line 3 | 5 | start | 1 (2) (3) (4)',
            '2.1 E3 | space 3 | 4 | step up | 1 (2)',
            '2.3 G3 | space 4 | 2 | skip up | 3 (4)',
            '3.1 F3 | line 4 | 3 | step down | 1 (2)',
            '3.3 G3 | space 4 | 2 | step up | 3 (4)',
            '4.1 D3 | line 3 | 5 | leap down 4th | 1 (2) (3) (4)',
        ],
        'positions' => [
            'R 1.1–3.3 thumb on D4',
            'R 3.4–3.4 C position',
            'R 4.1–4.1 thumb on D4',
            'L 1.1–4.1 thumb on A3',
        ],
        'hands' => [
            '1 together oblique',
            '2 together oblique',
            '3 together mixed',
            '4 together',
        ],
        'equal' => [],
        'letters' => ['A'],
        'played' => [1,2,3,4],
    ],
    'Evening Ferry' => [
        'R' => [
            '1.1 D5 | line 4 | 5 | start | 1 (2)',
            '1.3 B4 | line 3 | 3 | skip down | 3',
            '1.4 B4 | line 3 | 3 | repeat | 4 (5)',
            '1.6 G4 | line 2 | 1 | skip down | 6',
            '2.1 A4 | space 2 | 2 | step up | 1 (2) (3)',
            '2.4 C5 | space 3 | 4 | skip up | 4 (5) (6)',
            '3.1 D5 | line 4 | 5 | step up | 1 (2)',
            '3.3 B4 | line 3 | 3 | skip down | 3',
            '3.4 B4 | line 3 | 3 | repeat | 4 (5)',
            '3.6 G4 | line 2 | 1 | skip down | 6',
            '4.1 A4 | space 2 | 2 | step up | 1 (2) (3) (4) (5) (6)',
            '5.1 D5 | line 4 | 5 | leap up 4th | 1 (2)',
            '5.3 B4 | line 3 | 3 | skip down | 3',
            '5.4 B4 | line 3 | 3 | repeat | 4 (5)',
            '5.6 G4 | line 2 | 1 | skip down | 6',
            '6.1 A4 | space 2 | 2 | step up | 1 (2) (3)',
            '6.4 C5 | space 3 | 4 | skip up | 4 (5) (6)',
            '7.1 B4 | line 3 | 3 | step down | 1 (2)',
            '7.3 A4 | space 2 | 2 | step down | 3',
            '7.4 G4 | line 2 | 1 | step down | 4 (5)',
            '7.6 A4 | space 2 | 2 | step up | 6',
            '8.1 G4 | line 2 | 1 | step down | 1 (2) (3) (4) (5) (6)',
        ],
        'L' => [
            '1.1 G3 | space 4 | 5 | start | 1 (2) (3) (4) (5) (6)',
            '2.1 C4 | ledger 1 above | 2 | leap up 4th | 1 (2) (3) (4) (5) (6)',
            '3.1 G3 | space 4 | 5 | leap down 4th | 1 (2) (3) (4) (5) (6)',
            '4.1 D4 | space above ledger 1 | 1 | leap up 5th | 1 (2) (3) (4) (5) (6)',
            '5.1 G3 | space 4 | 5 | leap down 5th | 1 (2) (3) (4) (5) (6)',
            '6.1 C4 | ledger 1 above | 2 | leap up 4th | 1 (2) (3) (4) (5) (6)',
            '7.1 G3 | space 4 | 5 | leap down 4th | 1 (2) (3)',
            '7.4 C4 | ledger 1 above | 2 | leap up 4th | 4 (5) (6)',
            '8.1 G3 | space 4 | 5 | leap down 4th | 1 (2) (3) (4) (5) (6)',
        ],
        'positions' => [
            'R 1.1–8.1 G position',
            'L 1.1–8.1 G position',
        ],
        'hands' => [
            '1 together oblique',
            '2 together oblique',
            '3 together oblique',
            '4 together',
            '5 together oblique',
            '6 together oblique',
            '7 together mixed',
            '8 together',
        ],
        'equal' => [[1,3,5],[2,6]],
        'letters' => ['A','B'],
        'played' => [1,2,3,4,5,6,7,8],
    ],
];

/** @return array<string, mixed> the report of a tune of the demo books */
function demo_report(string $title): array
{
    foreach (require __DIR__.'/../../database/demo/books.php' as $book) {
        foreach ($book['pages'] as [, , $tunes]) {
            foreach ($tunes as $tune) {
                if (str_contains($tune, "title: {$title}\n")) {
                    return broken_down($tune);
                }
            }
        }
    }
    throw new LogicException("there is no tune '{$title}'");
}

dataset('demo tunes', fn (): array => array_map(fn (string $title): array => [$title], array_keys(DEMO_TUNES)));

test('every note of a tune', function (string $title): void {
    $report = demo_report($title);
    foreach (['R', 'L'] as $hand) {
        expect(worked_out($report, $hand))->toBe(DEMO_TUNES[$title][$hand]);
    }
})->with('demo tunes');

test('where the hands lie in a tune, and what they do together', function (string $title): void {
    $report = demo_report($title);
    expect(array_map(
        fn (array $position): string => "{$position['hand']} {$position['from']}–{$position['to']} {$position['name']}",
        $report['positions'],
    ))->toBe(DEMO_TUNES[$title]['positions'])
        ->and(array_map(
            fn (array $bar): string => trim("{$bar['measure']} {$bar['play']} {$bar['motion']}"),
            $report['hands'],
        ))->toBe(DEMO_TUNES[$title]['hands']);
})->with('demo tunes');

test('what is the same in a tune, and how it is played', function (string $title): void {
    $report = demo_report($title);
    expect($report['equal']['bars'])->toBe(DEMO_TUNES[$title]['equal'])
        ->and(array_column($report['lines'], 'letter'))->toBe(DEMO_TUNES[$title]['letters'])
        ->and($report['play_order'])->toBe(DEMO_TUNES[$title]['played'])
        ->and($report['checks'])->toBe([]);
})->with('demo tunes');
