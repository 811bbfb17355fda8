<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\HeardPage;
use Nasturtium\Core\Practice\HeardStage;

/*
 * A page of six stages: look over, tap and count, fingers in the air; right hand, left hand, hands together. In a row of
 * letters, one a stage: p passed before, s set in the week, d done at home, - neither.
 */
function heard_page(string $stages): HeardPage
{
    return new HeardPage(array_map(
        static fn (int $id): HeardStage => new HeardStage($id, $stages[$id] === 'p', in_array($stages[$id], ['s', 'd'], true), $stages[$id] === 'd', $id < 3),
        array_keys(str_split($stages)),
    ));
}

test('the furthest stage that was practised is heard, or else the first that is open', function (string $stages, ?int $heard): void {
    expect(heard_page($stages)->heard())->toBe($heard);
})->with([
    'practised to the fingers' => ['ppds--', 2],
    'a later one was practised, one between was not' => ['pdsd--', 3],
    'set, and nothing was done' => ['pps---', 2],
    'what was set stands behind what is open' => ['pp-s--', 3],
    'neither set nor done' => ['ppp---', 3],
    'all passed' => ['pppppp', 5],
]);

test('a page without stages hears none, and has nothing to do together', function (): void {
    expect((new HeardPage([]))->heard())->toBeNull()->and((new HeardPage([]))->together())->toBeNull()->and((new HeardPage([]))->passingWith(1))->toBe([]);
});

test('what stands before the stage that passes has passed with it, but for what had passed already', function (): void {
    expect(heard_page('p-d---')->passingWith(2))->toBe([1, 2])
        ->and(heard_page('pppp--')->passingWith(3))->toBe([])
        ->and(heard_page('------')->passingWith(0))->toBe([0])
        ->and(heard_page('------')->passingWith(9))->toBe([]);
});

test('together at the lesson goes what makes ready for playing, up to the first stage that is played', function (): void {
    expect(heard_page('------')->together())->toBe(2)
        ->and(heard_page('pp----')->together())->toBe(2)
        ->and(heard_page('ppp---')->together())->toBeNull();
});
