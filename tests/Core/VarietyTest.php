<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Wording\Variety;

test('a sentence is said in American words', function (string $british, string $american): void {
    expect(Variety::in(NoteWords::American, $british))->toBe($american)
        ->and(Variety::in(NoteWords::American, $american))->toBe($american)
        ->and(Variety::in(NoteWords::British, $british))->toBe($british);
})->with([
    ['Bar 3 into bar 4, then the bars around it.', 'Measure 3 into measure 4, then the measures around it.'],
    ['Nothing to practise; it was practised and learnt.', 'Nothing to practice; it was practiced and learned.'],
    'a line between bars' => ['It holds to the bar line; two bar lines, a double bar.', 'It holds to the bar line; two bar lines, a double bar.'],
    'a word within another' => ['A barrel organ, a bar-over, the colours of a bard.', 'A barrel organ, a bar-over, the colors of a bard.'],
    'somebody’s own words' => ["Play “Bars of Gold” and 'bar one' from bar 2: it's the teacher's bar.", "Play “Bars of Gold” and 'bar one' from measure 2: it's the teacher's measure."],
    ['', ''],
]);

test('a report is said in the words of the studio, and is the same otherwise', function (): void {
    $piece = tune("time: 4/4\nR: @c4 q1 2 3 4 q5 4 3 2 h1 5 w1\nL: @5=c3 w5 w1 w5 w1\n");
    $as = static fn (NoteWords $words): array => document(Breakdown::of($piece, new Settings(words: $words)));
    [$british, $american] = [$as(NoteWords::British), $as(NoteWords::American)];
    $texts = static function (array $document) use (&$texts): string {
        return implode("\n", array_map(static fn (mixed $of): string => is_array($of) ? $texts($of) : (is_string($of) ? $of : ''), $document));
    };
    $said = array_map(static fn (array $of): array => [$of['learn'], $of['look_over'], $of['sticking'], $of['stages'], $of['checks'], $of['traps']], [$british, $american]);

    expect($american['learn']['text'])->toBe('This page is 4 measures, all different.')
        ->and(preg_match('/\bbars?\b/i', str_replace('bar-over', '', $texts($said[1]))))->toBe(0)
        ->and($texts($said[0]))->toMatch('/\bbars?\b/i')
        ->and($american['events'])->toBe($british['events'])
        ->and($american['chunks'])->toBe($british['chunks']);
});
