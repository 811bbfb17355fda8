<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Fix;
use Nasturtium\Core\Score\FixKind;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\Piece;

/*
 * The way through a page (trade 2.5), each order walked by hand; and the lines on it that begin or end nowhere.
 */

/** @return list<int> numbers of the bars as they are played */
function way(Piece $piece): array
{
    return array_map(static fn (int $index): int => $piece->measures[$index]->number, PlayOrder::of($piece));
}

/** A page of bars of 4/4 in the right hand, each with what stands in it. */
function bars_of(string ...$inside): Piece
{
    $measures = '';
    foreach (array_values($inside) as $i => $more) {
        $measures .= '<measure number="'.($i + 1).'">'.($i === 0 ? '<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>' : '')
            .$more.'<note><pitch><step>C</step><octave>5</octave></pitch><duration>4</duration></note></measure>';
    }

    return MusicXmlReader::read(musicxml($measures))->piece;
}

test('a jump is followed once, and repeats after it are played once', function (string $music, array $order): void {
    expect(way(tune($music)))->toBe($order);
})->with([
    'from the beginning to the end' => ["R: @c4 w1 2 [D.C.]\n", [1, 2, 1, 2]],
    'from the beginning to Fine' => ["R: @c4 w1 2 [Fine] 3 4 [D.C. al Fine]\n", [1, 2, 3, 4, 1, 2]],
    'Fine in the very first bar' => ["R: @c4 w1 [Fine] 2 3 [D.C. al Fine]\n", [1, 2, 3, 1]],
    'Fine is passed by the first time, though it stands in a repeat' => ["R: @c4 |: w1 2 [Fine] :| 3 [D.C. al Fine]\n", [1, 2, 1, 2, 3, 1, 2]],
    'from the sign to Fine' => ["R: @c4 w1 [Segno] 2 3 [Fine] 4 [D.S. al Fine]\n", [1, 2, 3, 4, 2, 3]],
    'from the sign, and over to the coda' => ["R: @c4 w1 [Segno] 2 3 [To Coda] 4 [D.S. al Coda] | [Coda] 5 1\n", [1, 2, 3, 4, 2, 3, 5, 6]],
    'from the beginning, and over to the coda' => ["R: @c4 w1 2 [To Coda] 3 [D.C. al Coda] | [Coda] 4 5\n", [1, 2, 3, 1, 2, 4, 5]],
    'the way to the coda is not taken before the jump' => ["R: @c4 w1 [To Coda] 2 3 [D.C. al Coda] | [Coda] 4\n", [1, 2, 3, 1, 4]],
    'a repeat before a jump is played twice, and then once' => ["R: @c4 |: w1 2 :| 3 [D.C.]\n", [1, 2, 1, 2, 3, 1, 2, 3]],
    'after a jump only the last ending is played' => ["R: @c4 |: w1 [1 2 :| [2 3 | 4 [D.C. al Fine] \n", [1, 2, 1, 3, 4, 1, 3, 4]],
    'a repeat that begins after the sign' => ["R: @c4 [Segno] w1 2 |: 3 :| 4 [D.S.]\n", [1, 2, 3, 3, 4, 1, 2, 3, 4]],
    'a repeat three times, then from the beginning' => ["R: @c4 |: w1 :|*3 2 [D.C.]\n", [1, 1, 1, 2, 1, 2]],
    'a jump at a pickup' => ["R: @c4 q5 | w1 2 [Fine] | 3 h.4 [D.C. al Fine]\n", [0, 1, 2, 3, 4, 0, 1, 2]],
    'a sign to a place that is not there is passed by' => ["R: @c4 w1 2 [D.S.] 3\n", [1, 2, 3]],
]);

test('beats are counted along the way, each bar in its own time signature', function (): void {
    // 4 + 3, and both again; in quarters of the first signature the same.
    $piece = tune("R: @c4 w1 | [time 3/4] h.2 [D.C.]\n");
    $order = PlayOrder::of($piece);
    expect((string) PlayOrder::beats($piece, ...$order))->toBe('14')
        ->and((string) PlayOrder::tempoBeats($piece, ...$order))->toBe('14')
        ->and((string) PlayOrder::beats(tune("time: 6/8\nR: @c4 h.1 | [time 2/4] h2\n"), 0, 1))->toBe('8')
        ->and((string) PlayOrder::tempoBeats(tune("time: 6/8\nR: @c4 h.1 | [time 2/4] h2\n"), 0, 1))->toBe('10');
});

test('the way is read from words, from signs, and from what the sound does', function (string $inside, array $signs): void {
    $found = array_map(static fn (Navigation $sign): string => $sign->value, bars_of($inside)->measures[0]->navigation);
    expect($found)->toBe($signs);
})->with([
    'words' => ['<direction><direction-type><words>D. C. al Fine</words></direction-type></direction>', ['D.C. al Fine']],
    'words in full' => ['<direction><direction-type><words>dal segno al coda</words></direction-type></direction>', ['D.S. al Coda']],
    'a sign' => ['<direction><direction-type><segno/></direction-type></direction>', ['segno']],
    'a sign on the bar line' => ['<barline location="left"><segno/></barline>', ['segno']],
    'a coda on the bar line' => ['<barline location="left"><coda/></barline>', ['coda']],
    'the sound alone' => ['<sound dacapo="yes"/>', ['D.C.']],
    'the words say more than the sound' => ['<direction><direction-type><words>D.C. al Fine</words></direction-type><sound dacapo="yes"/></direction>', ['D.C. al Fine']],
    'fine in the sound' => ['<sound fine="yes"/>', ['Fine']],
    'a no is a no' => ['<sound dacapo="no"/>', []],
    'other words send nobody anywhere' => ['<direction><direction-type><words>finely</words></direction-type></direction>', []],
]);

test('of two coda signs the first is where one leaves', function (): void {
    $coda = '<direction><direction-type><coda/></direction-type></direction>';
    $back = '<direction><direction-type><words>D.C. al Coda</words></direction-type></direction>';
    expect(way(bars_of('', $coda, $back, $coda)))->toBe([1, 2, 3, 1, 2, 4]);
});

test('two coda signs, where words say which is left', function (): void {
    $to = '<direction><direction-type><words>To Coda</words></direction-type></direction>';
    $coda = '<direction><direction-type><coda/></direction-type></direction>';
    $back = '<direction><direction-type><words>D.C. al Coda</words></direction-type></direction>';
    expect(way(bars_of('', "{$to}{$coda}", $back, $coda)))->toBe([1, 2, 3, 1, 2, 4]);
});

/** @return list<string> `code place` of what does not add up */
function slips_of_the_pen(Piece $piece): array
{
    return array_map(static fn (Check $check): string => "{$check->code} {$check->place}", PageChecks::of($piece));
}

function in_note(string $notations): string
{
    return "<notations>{$notations}</notations>";
}

function hairpin(string $type): string
{
    return "<direction><direction-type><wedge type=\"{$type}\"/></direction-type></direction>";
}

/** One bar of four quarters, with what stands in each note. */
function four(string ...$inside): string
{
    $notes = '';
    foreach (['C', 'D', 'E', 'F'] as $i => $step) {
        $notes .= "<note><pitch><step>{$step}</step><octave>4</octave></pitch><duration>1</duration>".($inside[$i] ?? '').'</note>';
    }

    return $notes;
}

function page_of(string $notes): Piece
{
    return MusicXmlReader::read(musicxml('<measure number="1"><attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>'.$notes.'</measure>'))->piece;
}

test('ties, slurs and hairpins that begin or end nowhere are named at their place', function (string $notes, array $found): void {
    expect(slips_of_the_pen(page_of($notes)))->toBe($found);
})->with(fn (): array => [
    'all is well' => [four(in_note('<slur type="start"/>'), '', '', in_note('<slur type="stop"/>')), []],
    'a tie that comes from nowhere' => [four('', '<tie type="stop"/>'), ['tie_broken 1.2']],
    'a tie to another pitch' => [four('<tie type="start"/>', '<tie type="stop"/>'), ['tie_broken 1.1']],
    'a slur that ends and never began' => [four('', '', in_note('<slur type="stop"/>')), ['slur_open 1.3']],
    'a slur that began and never ends' => [four('', in_note('<slur type="start"/>')), ['slur_open 1.2']],
    'two slurs of two numbers' => [four(
        in_note('<slur type="start" number="1"/><slur type="start" number="2"/>'),
        '',
        in_note('<slur type="stop" number="2"/>'),
    ), ['slur_open 1.1']],
    'a hairpin in a hairpin' => [hairpin('crescendo').four().hairpin('diminuendo'), ['hairpin_open 1.1', 'hairpin_open 1.5']],
]);

test('a slur may begin in one hand and end in the other', function (): void {
    $start = in_note('<slur type="start" number="1"/>');
    $stop = in_note('<slur type="stop" number="1"/>');
    $piece = MusicXmlReader::read(musicxml('<measure number="1">'.GRAND
        .xml_note('C4', 3, $start).xml_note('D4', 3).'<backup><duration>6</duration></backup>'
        .xml_note('C3', 3, '', 2).xml_note('D3', 3, $stop, 2).'</measure>'))->piece;
    expect(slips_of_the_pen($piece))->toBe([]);
});

test('a button says what the fix does', function (Fix $fix, FixKind $kind, string $label): void {
    expect($fix->kind)->toBe($kind)->and($fix->kind->label())->toBe($label);
})->with([
    [fn (): Fix => Fix::fillWithRest('R1-1', Fraction::of(1, 4)), FixKind::FillWithRest, 'Fill the bar with rest'],
    [fn (): Fix => Fix::dropRests(['R1-1']), FixKind::DropRests, 'Take the rest away'],
    [fn (): Fix => Fix::dropTie('R1-1'), FixKind::DropTie, 'Take the tie away'],
    [fn (): Fix => Fix::closeRepeat('R1-1'), FixKind::CloseRepeat, 'Close the repeat here'],
]);

test('a divided bar is one bar, wherever its two halves lead', function (string $music, array $found): void {
    expect(slips_of_the_pen(tune($music)))->toBe($found);
})->with([
    'at a repeat' => ["R: @c4 w1 | h.2 :| q3 | w1\n", []],
    'at a repeat that begins' => ["R: @c4 w1 | h.2 |: q3 | h.1 :|\n", []],
    'halves that do not make one' => ["R: @c4 w1 | h2 :| q3 | w1\n", ['bar_short 2.3', 'bar_short 3.2']],
]);

test('the measures of a way stand in the piece', function (): void {
    $piece = tune("R: @c4 |: w1 [1 2 :| [2 3 | 4 [D.C.]\n");
    expect(array_map(static fn (Measure $measure): int => $measure->index, $piece->measures))->toBe(range(0, 3))
        ->and(array_diff(PlayOrder::of($piece), [0, 1, 2, 3]))->toBe([]);
});
