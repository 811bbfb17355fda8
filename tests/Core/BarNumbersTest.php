<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Pattern\Difficulty;
use Nasturtium\Core\Pattern\Reason;
use Nasturtium\Core\Pattern\StickingPoint;
use Nasturtium\Core\Pattern\WhatHelps;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\Piece;

/*
 * Numbers as a page prints them: a bar that is divided is one bar, what has no number adds none.
 */

/** @return list<int> */
function numbers(Piece $piece): array
{
    return array_map(static fn (Measure $measure): int => $measure->number, $piece->measures);
}

/**
 * @param  list<array{string, int, string}>  $measures  the attributes, quarters, and what stands in it besides its notes
 */
function numbered(array $measures): Piece
{
    $xml = '';
    foreach ($measures as $i => [$attributes, $quarters, $more]) {
        $time = $i === 0 ? '<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>' : '';
        $xml .= "<measure {$attributes}>{$time}".str_repeat(xml_note('E4', 1), $quarters)."{$more}</measure>";
    }

    return MusicXmlReader::read(musicxml($xml))->piece;
}

const BACK = '<barline location="right"><repeat direction="backward"/></barline>';
const DOUBLE = '<barline location="right"><bar-style>light-light</bar-style></barline>';

test('a divided bar has one number and is counted through', function (array $measures, array $numbers): void {
    $piece = numbered($measures);
    expect(numbers($piece))->toBe($numbers)
        ->and(numbers(kept($piece)))->toBe($numbers)
        ->and(PageChecks::of($piece))->toBe([]);
    $second = $piece->measures[2];
    expect(Counts::of($piece)->text($second, Hand::Right))->toBe('3 4')
        ->and((string) $second->place($second->right[0]->onset))->toBe('2.3');
})->with([
    'as the file leaves it unnumbered' => [[['number="1"', 4, ''], ['number="2"', 2, BACK], ['number="X1" implicit="yes"', 2, ''], ['number="3"', 4, ''], ['number="4"', 4, '']], [1, 2, 2, 3, 4]],
    'as the file numbers both parts' => [[['number="1"', 4, ''], ['number="2"', 2, BACK], ['number="3"', 2, ''], ['number="4"', 4, ''], ['number="5"', 4, '']], [1, 2, 2, 3, 4]],
    'with a letter' => [[['number="1"', 4, ''], ['number="2"', 2, DOUBLE], ['number="2a"', 2, ''], ['number="3"', 4, '']], [1, 2, 2, 3]],
    'with no numbers at all' => [[['', 4, ''], ['', 2, BACK], ['', 2, ''], ['', 4, '']], [1, 2, 2, 3]],
    'of an excerpt' => [[['number="1"', 4, ''], ['number="2"', 2, DOUBLE], ['number="2" implicit="yes"', 2, ''], ['number="9"', 4, '']], [1, 2, 2, 9]],
]);

test('what has no number adds none, also where it goes on with nothing', function (): void {
    expect(numbers(numbered([['number="1"', 4, ''], ['number="X1" implicit="yes"', 4, ''], ['number="2"', 4, '']])))->toBe([1, 1, 2])
        // Two short bars that nothing divides are two bars, and are told to be short.
        ->and(numbers($short = numbered([['number="1"', 4, ''], ['number="2"', 2, ''], ['number="3"', 2, ''], ['number="4"', 4, '']])))->toBe([1, 2, 3, 4])
        ->and(array_column(PageChecks::of($short), 'code'))->toBe(['bar_short', 'bar_short'])
        // The pickup is 0, whatever the file calls it.
        ->and(numbers(numbered([['number="1" implicit="yes"', 1, ''], ['number="2"', 4, ''], ['number="3"', 3, '']])))->toBe([0, 1, 2])
        ->and(numbers(numbered([['number="0" implicit="yes"', 1, ''], ['number="1"', 4, ''], ['number="2"', 3, '']])))->toBe([0, 1, 2])
        // Numbers that do not rise are counted anew.
        ->and(numbers(numbered([['number="5"', 4, ''], ['number="5"', 4, ''], ['number="4"', 4, '']])))->toBe([1, 2, 3]);
});

test('a place that sticks in a half of a divided bar leads into no bar of the same number', function (): void {
    $piece = numbered([['number="1"', 4, ''], ['number="2"', 2, DOUBLE], ['number="2"', 2, ''], ['number="3"', 4, '']]);
    $does = static fn (int $index): ?string => WhatHelps::with(new StickingPoint($index, [new Reason(Difficulty::LineTurn, 'x', 1, [])], 2, null), $piece);
    expect([$does(0), $does(1), $does(2)])->toBe([
        'Bar 1 into bar 2 over the line end, three times. Look ahead.',
        'Bar 2 over the line end, three times. Look ahead.',
        'Bar 2 into bar 3 over the line end, three times. Look ahead.',
    ]);
});

test('the shorthand numbers a divided bar once, and copies it whole', function (): void {
    $piece = tune("R: @c4 w1 | h2 :| 3 | w4 =2 5\n");
    expect(numbers($piece))->toBe([1, 2, 2, 3, 4, 5, 6])
        ->and(array_map(static fn (Measure $measure): string => $measure->right[0]->lowest()->name(), $piece->measures))->toBe(['C4', 'D4', 'E4', 'F4', 'D4', 'E4', 'G4']);
    $events = document(Breakdown::of($piece, new Settings()))['events'];
    expect(array_column($events, 'id'))->toBe(array_values(array_unique(array_column($events, 'id'))))
        ->and(array_column($events, 'place'))->toContain('2.3');
});

test('with no time signature the commonest bar says it', function (): void {
    $read = MusicXmlReader::read(musicxml('<measure number="1"><attributes><divisions>1</divisions></attributes>'.str_repeat(xml_note('E4', 1), 3).'</measure>'.str_repeat('<measure>'.xml_note('E4', 3).'</measure>', 3)));
    expect((string) $read->piece->meter())->toBe('3/4')->and($read->piece->pickup())->toBeNull()
        ->and(numbers($read->piece))->toBe([1, 2, 3, 4])
        ->and($read->notRead[0]->text)->toBe('Bar 1: the file has no time signature; 3/4 is taken from the length of its bars.');
});

test('a repeat sign belongs to the bar it ends or begins, on whichever bar line it is written', function (): void {
    $back = '<barline location="left"><repeat direction="backward"/></barline>';
    $forth = '<barline location="right"><repeat direction="forward"/></barline>';
    $note = xml_note('E4', 4);
    $piece = MusicXmlReader::read(musicxml("<measure number=\"1\"><attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>{$note}{$forth}</measure><measure number=\"2\">{$note}</measure><measure number=\"3\">{$back}{$note}</measure>"))->piece;
    expect(PlayOrder::of($piece))->toBe([0, 1, 1, 2])->and(PlayOrder::of(kept($piece)))->toBe([0, 1, 1, 2]);
});
