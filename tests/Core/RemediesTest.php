<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\HeardSlip;
use Nasturtium\Core\Practice\Relief;
use Nasturtium\Core\Practice\Remedies;
use Nasturtium\Core\Practice\Remedy;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\Hand;

/*
 * The remedies of trade 12.2, on a tune of two lines of four bars.
 */

const FERRY_BELL = "title: Ferry Bell\ntempo: 80\nR: @c4 q1 2 3 4 | h5 3 | q5 4 3 2 | w1\nL: @5=c3 w5 | 1 | 5 | 1\nR: q1 3 5 3 | h4 2 | qr 1 2 3 | w1\nL: w5 | 1 | 5 | 1\n";

function slip_at(Slip $kind, int $first, ?int $last = null, ?int $from = null, ?int $to = null, ?Hand $hand = null, ?int $tempo = 60): HeardSlip
{
    return new HeardSlip($kind, $first, $last ?? $first, $from, $to, $hand, $tempo);
}

/** @return list<string> `from to, times × at tempo, half minutes: why` */
function remedied(array $now, array $before = []): array
{
    return array_map(
        static fn (Remedy $remedy): string => "{$remedy->from} {$remedy->to}, {$remedy->repetitions} × at {$remedy->tempo}, {$remedy->halfMinutes}: {$remedy->why}",
        Remedies::of(tune(FERRY_BELL), $now, $before),
    );
}

test('each slip is remedied on exactly the bars it asks for, at the tempo the rule gives', function (HeardSlip $slip, string $remedy): void {
    expect(remedied([$slip]))->toBe([$remedy]);
})->with([
    // A bar to the next downbeat: 20 s + 5 × ((5 + 4) beats at 60 + 4 s) = 85 s.
    'a bar' => [fn (): HeardSlip => slip_at(Slip::WrongNote, 1), '2.1 3.1, 3 × at 60, 3: wrong note, or two notes confused in bar 2, at the lesson'],
    // Beats 3 and 4 and 1: 20 s + 5 × ((3 + 4) beats at 60 + 4 s) = 75 s.
    'dragged to the beat' => [fn (): HeardSlip => slip_at(Slip::WrongFinger, 1, 2, 2, 0, Hand::Right), '2.3 3.1, 3 × at 60, 3: wrong finger, hand drifted in bars 2–3, right hand, at the lesson'],
    'several bars' => [fn (): HeardSlip => slip_at(Slip::CutShort, 4, 6), '5.1 7.4, 3 × at 60, 4: rest skipped, long note cut short in bars 5–7, at the lesson'],
    'the last bar has no next downbeat' => [fn (): HeardSlip => slip_at(Slip::ReadBackwards, 7, hand: Hand::Left), '8.1 8.4, 3 × at 60, 3: left hand read the wrong way in bar 8, left hand, at the lesson'],
    'one rung down' => [fn (): HeardSlip => slip_at(Slip::BeatLost, 0), '1.1 2.1, 3 × at 58, 3: beat lost, rushing in bar 1, at the lesson'],
    // 80 % of 60 is 48: the two bars before the turn and the one after it.
    'the line turn' => [fn (): HeardSlip => slip_at(Slip::LineTurnStall, 3), '3.1 5.4, 3 × at 48, 5: stall at the line turn of line 1, at the lesson'],
    'pointed at after the turn' => [fn (): HeardSlip => slip_at(Slip::LineTurnStall, 4), '3.1 5.4, 3 × at 48, 5: stall at the line turn of line 1, at the lesson'],
    'no turn after the last line' => [fn (): HeardSlip => slip_at(Slip::LineTurnStall, 6), '7.1 8.1, 3 × at 48, 4: stall at the line turn in bar 7, at the lesson'],
    // Each hand once, together three times: 20 s + 25/3 × 13 s.
    'hands that do not meet' => [fn (): HeardSlip => slip_at(Slip::HandsApart, 2), '3.1 4.1, 5 × at 60, 5: hands do not meet in bar 3, at the lesson'],
    'dynamics' => [fn (): HeardSlip => slip_at(Slip::Dynamics, 2), '1.1 8.4, 1 × at 60, 3: dynamics missing in the piece, at the lesson'],
    'no tempo known' => [fn (): HeardSlip => slip_at(Slip::LeapMissed, 0, tempo: null), '1.1 2.1, 3 × at 60, 3: long leap missed in bar 1, at the lesson'],
]);

test('the same at the same place is one remedy, and says how often it was', function (): void {
    $stall = slip_at(Slip::LineTurnStall, 3);
    expect(remedied([$stall, slip_at(Slip::WrongNote, 0), slip_at(Slip::LineTurnStall, 3)], []))->toHaveCount(2)
        ->and(remedied([$stall], [slip_at(Slip::LineTurnStall, 3)])[0])->toEndWith('of line 1, twice in two weeks')
        ->and(remedied([$stall, $stall], [$stall])[0])->toEndWith('three times in two weeks')
        ->and(remedied([$stall, $stall], [$stall, $stall])[0])->toEndWith('4 times in two weeks')
        // Another hand, another place or another kind is another thing.
        ->and(remedied([$stall], [slip_at(Slip::LineTurnStall, 3, hand: Hand::Left), slip_at(Slip::LineTurnStall, 0), slip_at(Slip::BeatLost, 3)])[0])->toEndWith('at the lesson');
});

test('what is stuck is made smaller, slower, or rests', function (): void {
    expect(Relief::halves([[0, 3], [4, 6], [7, 7]]))->toBe([[0, 1], [2, 3], [4, 5], [6, 6], [7, 7]])
        ->and([Relief::slower(60), Relief::slower(42), Relief::slower(100)])->toBe([56, 38, 92])
        ->and(array_map(fn (Relief $relief): string => $relief->words(), Relief::cases()))->toBe(['smaller pieces', 'a slower tempo', 'a rest from the page']);
});
