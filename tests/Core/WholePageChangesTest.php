<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandFix;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\HandSwap;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\Transposition;

test('a piece moves to another key, the nearest way or the one that is asked for', function (string $key, int $direction, string $typed): void {
    $piece = tune("R: @c4 q1 2 3 f+ | w5\nL: @5=c3 w5 | h5 b-\n");
    expect(ShorthandWriter::write(Transposition::to($piece, Key::parse($key), $direction))->text)->toBe("title: Untitled\ntime: 4/4\n{$typed}");
})->with([
    ['G', 0, "key: G\nR: @g3 q1 2 3 c+ | w5\nL: @5=g2 w5 | h5 fn\n"],
    ['G', 1, "key: G\nR: @g4 q1 2 3 c+ | w5\nL: @5=g3 w5 | h5 fn\n"],
    ['F', 0, "key: F\nR: @f4 q1 2 3 bn | w5\nL: @5=f3 w5 | h5 e-\n"],
    ['D', -1, "key: D\nR: @d3 q1 2 3 g+ | w5\nL: @5=d2 w5 | h5 cn\n"],
]);

test('there and back is the same piece', function (string $tune): void {
    $piece = tune($tune);
    $there = Transposition::to($piece, new Key($piece->key()->fifths === 3 ? 2 : 3, $piece->key()->minor), 1);
    $back = Transposition::to($there, $piece->key(), -1);
    $plain = fn (string $xml): string => (string) preg_replace('/<accidental>.*<\/accidental>/', '', $xml);
    expect($plain(MusicXmlWriter::write($back)))->toBe($plain(MusicXmlWriter::write($piece)));
})->with('demo tunes');

test('octaves up leave the names', function (): void {
    expect(ShorthandWriter::write(Transposition::byOctaves(tune("R: @c4 q1 2 h3\n"), 1))->text)->toBe("title: Untitled\ntime: 4/4\nR: @c5 q1 2 h3\n");
});

test('a signature of more than seven signs is written with the other kind', function (): void {
    $piece = tune("key: E\nR: w e [key B] b\n");
    expect(Transposition::to($piece, Key::parse('C#'))->measures[1]->key->typed())->toBe('Ab');
});

test('hands are swapped with their clefs, and back', function (): void {
    $piece = tune("R: @c4 q1 2 h3 | w1\nL: @5=c3 \"p\" w5 | w5\n");
    $swapped = HandSwap::of($piece);
    expect(ShorthandWriter::write($swapped)->text)->toBe("title: Untitled\ntime: 4/4\nclefs: bass treble\nR: \"p\" @f2 w5 | 5\nL: qc'^1 d^2 he^3 | wc^1\n")
        ->and(MusicXmlWriter::write(HandSwap::of($swapped)))->toBe(MusicXmlWriter::write($piece));
});

test('a fix changes the text where it was typed, and the check is gone', function (string $typed, string $code, string $fixed): void {
    $read = ShorthandReader::read($typed);
    $check = array_values(array_filter(PageChecks::of($read->piece ?? throw new LogicException()), fn (Check $check): bool => $check->code === $code))[0];
    $lines = explode("\n", $typed);
    foreach (array_reverse(ShorthandFix::edits($check->fix ?? throw new LogicException('no fix'), $read)) as $edit) {
        $lines[$edit->line - 1] = substr_replace($lines[$edit->line - 1], $edit->insert, $edit->column - 1, $edit->length);
    }
    expect(implode("\n", $lines))->toBe($fixed)
        ->and(array_column(PageChecks::of(tune($fixed)), 'code'))->not->toContain($code);
})->with([
    'a bar short of a rest' => ["R: @c4 q1 2 | w3\nL: @5=c3 w5 | 5\n", 'bar_short', "R: @c4 q1 2 hr q | w3\nL: @5=c3 w5 | 5\n"],
    'short by the length in force' => ["R: @c4 q1 2 3 | 4 5 4 3\nL: @5=c3 w5 | 5\n", 'bar_short', "R: @c4 q1 2 3 r | 4 5 4 3\nL: @5=c3 w5 | 5\n"],
    'a tie to another note' => ["R: @c4 w1~ | r\nL: @5=c3 w5 | 5\n", 'tie_broken', "R: @c4 w1 | r\nL: @5=c3 w5 | 5\n"],
    'a repeat without its end' => ["R: @c4 w1 |: 2 3\n", 'repeat_open', "R: @c4 w1 |: 2 3 :|\n"],
    'a first ending without its repeat' => ["R: @c4 |: w1 [1 2 [2 3 |\n", 'ending_open', "R: @c4 |: w1 [1 2 :| [2 3 |\n"],
    'a last bar filled up after a pickup' => ["R: @c4 q5 | w1 | h.1 qr\nL: | @5=c3 w5 | h.5 qr\n", 'pickup_last', "R: @c4 q5 | w1 | h.1 q\nL: | @5=c3 w5 | h.5 q\n"],
]);

test('what is not certain has no fix', function (string $typed, string $code): void {
    $checks = array_values(array_filter(PageChecks::of(tune($typed)), fn (Check $check): bool => $check->code === $code));
    expect($checks)->not->toBe([])->and($checks[0]->fix)->toBeNull();
})->with([
    'both hands short' => ["R: @c4 w1 | q2 3 | w1\nL: @5=c3 w5 | h5 | w5\n", 'bar_short'],
    'a note too many' => ["R: @c4 h.1 h2 | w1\n", 'bar_long'],
    'a slur with one end' => ["R: @c4 q1_ 2 3 4\n", 'slur_open'],
    'a jump to nowhere' => ["R: @c4 w1 2 [D.S. al Coda]\n", 'jump_nowhere'],
    'a hairpin without an end' => ["R: @c4 < w1 2\n", 'hairpin_open'],
]);

test('every jump that leads nowhere names what is missing', function (string $typed, array $texts): void {
    expect(array_column(PageChecks::of(tune($typed)), 'text'))->toBe($texts);
})->with([
    ["R: @c4 w1 2 [D.C. al Fine]\n", ['Bar 2 says D.C. al Fine, but there is no Fine.']],
    ["R: @c4 w1 [To Coda] 2\n", ['Bar 1 says To Coda, but there is no coda.']],
    ["R: @c4 w1 2 [D.S.]\n", ['Bar 2 says D.S., but there is no segno.']],
    ["R: @c4 w1 2 [D.C.]\n", []],
]);
