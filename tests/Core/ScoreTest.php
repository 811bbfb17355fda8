<?php

declare(strict_types=1);

use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Place;

test('fractions stay exact and in lowest terms', function (): void {
    $third = Fraction::of(1, 3);
    expect((string) $third->plus($third)->plus($third))->toBe('1')
        ->and((string) Fraction::of(6, -8))->toBe('-3/4')
        ->and(Fraction::of(-7, 4)->floor())->toBe(-2)
        ->and(Fraction::of(7, 4)->ceil())->toBe(2)
        ->and((string) Fraction::of(-7, 4)->part())->toBe('1/4')
        ->and(Fraction::of(1, 3)->compare(Fraction::of(33, 100)))->toBe(1);
});

test('a fraction too fine for exact counting is refused, not rounded', function (): void {
    Fraction::of(1, PHP_INT_MAX)->plus(Fraction::of(1, PHP_INT_MAX - 2));
})->throws(InvalidScore::class, 'too fine');

test('a dotted quarter is three halves of a beat in 4/4 and three beats in 6/8', function (): void {
    $dotted = Duration::ofNote('quarter', 1);
    expect((string) $dotted->whole)->toBe('3/8')
        ->and((string) $dotted->inBeatsOf(new Meter(4, 4)))->toBe('3/2')
        ->and((string) $dotted->inBeatsOf(new Meter(6, 8)))->toBe('3')
        ->and($dotted->asNote())->toBe(['quarter', 1])
        ->and(Duration::of(5, 8)->asNote())->toBeNull();
});

test('nonsense is refused with its value', function (Closure $make, string $says): void {
    expect($make)->toThrow(InvalidScore::class, $says);
})->with([
    [fn () => Fraction::of(1, 0), '1/0'],
    [fn () => Duration::of(-1, 4), '-1/4'],
    [fn () => new Meter(4, 3), '4/3'],
    [fn () => Meter::parse('waltz'), 'waltz'],
    [fn () => Pitch::parse('H4'), 'H4'],
    [fn () => new Pitch(0, 4, 3), 'alteration 3'],
    [fn () => new Key(8), '8'],
    [fn () => Key::parse('H'), "'H'"],
    [fn () => Duration::ofNote('breve'), 'breve'],
]);

test('pitches know their key and letter', function (string $name, int $midi, int $diatonic): void {
    $pitch = Pitch::parse($name);
    expect($pitch->midi())->toBe($midi)->and($pitch->diatonic())->toBe($diatonic)->and($pitch->name())->toBe($name)
        ->and(Pitch::ofDiatonic($diatonic, $pitch->alter)->equals($pitch))->toBeTrue();
})->with([['C4', 60, 28], ['A0', 21, 5], ['C8', 108, 56], ['F#3', 54, 24], ['Bb2', 46, 20], ['Cb4', 59, 28]]);

test('the keyboard runs from A0 to C8', function (): void {
    expect(Pitch::parse('A0')->isOnKeyboard())->toBeTrue()
        ->and(Pitch::parse('Ab0')->isOnKeyboard())->toBeFalse()
        ->and(Pitch::parse('C8')->isOnKeyboard())->toBeTrue()
        ->and(Pitch::parse('C#8')->isOnKeyboard())->toBeFalse();
});

test('keys alter their letters and name their do', function (string $key, int $fifths, array $altered, int $do): void {
    $parsed = Key::parse($key);
    $found = [];
    for ($step = 0; $step < 7; $step++) {
        if ($parsed->alters($step) !== 0) {
            $found[Pitch::LETTERS[$step]] = $parsed->alters($step);
        }
    }
    ksort($altered);
    ksort($found);
    expect($parsed->fifths)->toBe($fifths)->and($found)->toBe($altered)->and($parsed->doStep())->toBe($do);
})->with([
    ['C', 0, [], 0],
    ['G', 1, ['F' => 1], 4],
    ['Bb', -2, ['B' => -1, 'E' => -1], 6],
    ['E minor', 1, ['F' => 1], 4],
    ['Am', 0, [], 0],
    ['F# minor', 3, ['F' => 1, 'C' => 1, 'G' => 1], 5],
]);

test('a place is said as measure and beat', function (): void {
    expect((string) new Place(5, Fraction::zero()))->toBe('5.1')
        ->and((string) new Place(2, Fraction::of(5, 2)))->toBe('2.3+1/2')
        ->and((string) new Place(0, Fraction::of(3)))->toBe('0.4');
});
