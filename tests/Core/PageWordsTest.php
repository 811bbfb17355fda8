<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Reading\PageWord;
use Nasturtium\Core\Reading\PageWords;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;

/*
 * What the signs and words of a page say, each once (trade 3.8).
 */

/** @return list<string> `dynamic p: soft` */
function page_words(Piece $piece): array
{
    return array_map(static fn (PageWord $word): string => trim("{$word->sign} {$word->text}").": {$word->says}", PageWords::of($piece));
}

/** @param list<string> $marks */
function page_with(array ...$marks): Piece
{
    $tones = array_map(static fn (array $of): array => [Pitch::parse('A4'), Duration::of(1, 4), $of], array_values($marks));

    return MusicXmlReader::read(StaffLine::write(Clef::Treble, [$tones], Meter::parse(count($marks).'/4'), true))->piece;
}

test('signs at notes are told in the order in which they are met, each once', function (): void {
    expect(page_words(page_with(['staccato'], ['accent'], ['staccato'], ['fermata'])))->toBe([
        'staccato: short and light', 'accent: a little louder than the others', 'fermata: hold it longer than it is written',
    ])
        ->and(page_words(page_with(['tied start'], ['tied stop'], [])))->toBe(['tie: hold the second one, do not play it again'])
        ->and(page_words(page_with(['slur start'], [], ['slur stop'])))->toBe(['slur: join the notes smoothly'])
        ->and(page_words(page_with([], [])))->toBe([]);
});

test('dynamics, words and hairpins say what they mean; where both hairpins are there, one sentence tells them apart', function (): void {
    $piece = ShorthandReader::read("time: 4/4\nR: @c4 q1 2 3 4 | w5")->piece ?? throw new LogicException();
    $sign = static fn (SignKind $kind, string $text = ''): Sign => new Sign($kind, Hand::Right, Fraction::zero(), $text);
    $with = static fn (Sign ...$signs): Piece => $piece->withMeasures([
        new Measure(...[...array_diff_key(get_object_vars($piece->measures[0]), ['offset' => 1]), 'signs' => array_values($signs)]), $piece->measures[1],
    ]);
    expect(page_words($with($sign(SignKind::Dynamic, 'mf'), $sign(SignKind::Dynamic, 'mf'), $sign(SignKind::Words, 'Andante cantabile'), $sign(SignKind::Words, 'Lightly'))))
        ->toBe(['dynamic mf: medium loud', 'word Andante cantabile: andante: at a walking pace; cantabile: in a singing way'])
        ->and(page_words($with($sign(SignKind::Crescendo))))->toBe(['hairpin: getting louder'])
        ->and(page_words($with($sign(SignKind::Crescendo), $sign(SignKind::Dynamic, 'f'), $sign(SignKind::Diminuendo))))->toBe(['dynamic f: loud', 'hairpin: getting louder where it opens, softer where it closes']);
});

test('where the player goes is said of every sign that sends him elsewhere', function (): void {
    $piece = ShorthandReader::read("time: 4/4\nR: @c4 q1 2 3 4 | w5")->piece ?? throw new LogicException();
    foreach (Navigation::cases() as $sign) {
        $with = $piece->withMeasures([$piece->measures[0], new Measure(...[...array_diff_key(get_object_vars($piece->measures[1]), ['offset' => 1]), 'navigation' => [$sign]])]);
        expect(page_words($with))->toHaveCount(1)->and(page_words($with)[0])->toStartWith("word {$sign->value}: ");
    }
    expect(page_words($with)[0])->toBe('word D.S. al Coda: go back to the sign, then jump to the ending');
});
