<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\Blobs;
use Nasturtium\Core\Formats\Photo\Head;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\Letters;
use Nasturtium\Core\Formats\Photo\Lyrics;
use Nasturtium\Core\Formats\Photo\Opening;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\Staff;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\TempoWords;
use Nasturtium\Core\Formats\Photo\WordBand;
use Nasturtium\Core\Formats\Photo\WordReader;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;
use Tests\Photo\DrawnStrip;

/*
 * Words above and below a staff: where they are looked for, and whose they are.
 */

/** Says always the same words, and keeps the pictures that it was shown. */
final class SaidWords implements WordReader
{
    /** @var list<array{int, int}> their widths and heights */
    public array $shown = [];

    /** @var list<string> */
    public array $pictures = [];

    /** @param list<array{text: string, x: int}> $words */
    public function __construct(private readonly array $words) {}

    public function lines(string $jpeg): array
    {
        [$width, $height] = (array) getimagesizefromstring($jpeg);
        $this->shown[] = [(int) $width, (int) $height];
        $this->pictures[] = $jpeg;

        return [['height' => 40, 'words' => $this->words]];
    }
}

/** A staff with so many letters that stand on a row. */
function lettered(int $letters, int $row): DrawnStrip
{
    $drawn = new DrawnStrip();
    for ($i = 0; $i < $letters; $i++) {
        $drawn->box(60 + 16 * $i, $row - 12 - $i % 2 * 6, 8, 12 + $i % 2 * 6);
    }

    return $drawn;
}

/** @return list<array{text: string, x: float}> */
function band(DrawnStrip $drawn, WordReader $words, int $width = 400): array
{
    $strip = $drawn->strip();

    return WordBand::read(Blobs::of($strip->bareRows), Strip::BOTTOM + 6, Strip::HEIGHT - 12, $width, $words);
}

test('words are read where letters stand in a row, three times as large', function (): void {
    $words = new SaidWords([['text' => 'now', 'x' => 300], ['text' => 'row', 'x' => 390]]);
    expect(band(lettered(6, 210), $words))->toBe([['text' => 'now', 'x' => 100.0], ['text' => 'row', 'x' => 130.0]])
        ->and($words->shown)->toBe([[1200, 126]]);
});

test('too few letters, or those of another staff or of the right half, are not shown to the reader', function (DrawnStrip $drawn, int $width): void {
    $words = new SaidWords([['text' => 'no', 'x' => 1]]);
    expect(band($drawn, $words, $width))->toBe([])->and($words->shown)->toBe([]);
})->with([
    'four letters' => [fn (): DrawnStrip => lettered(4, 210), 400],
    'too low' => [fn (): DrawnStrip => lettered(8, 250), 400],
    'to the right' => [fn (): DrawnStrip => lettered(6, 210), 100],
]);

/**
 * @param  list<array{text: string, x: int}> $said
 * @return list<Item> three notes and a rest after the second, with the syllables they are given
 */
function sung(array $said): array
{
    $note = static fn (float $x): Item => new Item($x, $x, [new Head($x, 3, false, 18.0, 1.0)], 48, 0, 0);
    $strip = lettered(6, 210)->strip();
    $staff = new Staff($strip, Blobs::of($strip->bareRows), new Opening(Clef::Treble, 0, null, 20));
    $staff->items = [$note(70.0), $note(130.0), new Item(190.0, 190.0, [], 48, 0, 0), $note(250.0)];
    Lyrics::give($staff, null, Strip::HEIGHT, new SaidWords($said));

    return $staff->items;
}

test('a syllable is of the note above it, and a hyphen says that its word goes on', function (array $said, array $syllables): void {
    expect(array_map(static fn (Item $item): string => $item->lyric, sung($said)))->toBe($syllables);
})->with([
    'a number and what is far away are of none' => [[['text' => '“sun', 'x' => 213], ['text' => 'low', 'x' => 384], ['text' => '3', 'x' => 750], ['text' => 'away', 'x' => 1100]], ['sun', 'low', '', '']],
    'a hyphen at its end' => [[['text' => 'sun-', 'x' => 210], ['text' => 'ny', 'x' => 390]], ['sun-', 'ny', '', '']],
    'a hyphen between them' => [[['text' => 'sun', 'x' => 210], ['text' => '-', 'x' => 300], ['text' => 'ny', 'x' => 390]], ['sun-', 'ny', '', '']],
    'a hyphen before any word' => [[['text' => '-', 'x' => 100], ['text' => 'now', 'x' => 210]], ['now', '', '', '']],
    'two of one note: the first' => [[['text' => 'now', 'x' => 205], ['text' => 'ow', 'x' => 220]], ['now', '', '', '']],
]);

test('a syllable goes where its note goes, and with it where it becomes a rest', function (): void {
    $sign = ReadSign::of(sung([['text' => 'sun-', 'x' => 210]])[0]);
    expect($sign->lyric)->toBe('sun-')->and($sign->lasting(96, 0)->lyric)->toBe('sun-')->and($sign->at(48)->lyric)->toBe('sun-')->and($sign->with([])->lyric)->toBe('');
});

test('how fast it goes is words and a number after an equals sign', function (string $read, string $words, ?int $beats): void {
    $tempo = TempoWords::from($read);
    expect([$tempo->words, $tempo->beats])->toBe([$words, $beats]);
})->with([
    'words alone' => ['Rather slowly', 'Rather slowly', null],
    'both' => ['Gently (J = 80)', 'Gently', 80],
    'a small word between' => ['With a swing d=108', 'With a swing', 108],
    'a mark alone' => ['J =60', '', 60],
    'fingers and dust' => ['1 | 3 _', '', null],
    'finger numbers that were taken for letters' => ['FFF = 72', '', 72],
    'no number that a metronome has' => ['Lively = 19', 'Lively', null],
    'the lowest that is believed' => ['= 30', '', 30],
    'nothing' => ['', '', null],
]);

test('words and tempo go out with the piece, and are kept', function (): void {
    $signs = [new ReadSign(20, 0, 72, 0, [new ReadHead(3)], [], 'sun-'), new ReadSign(80, 72, 72, 0, [new ReadHead(4)], [], 'ny')];
    $bar = (new ReadBar([[]], false, false, [], 0, [[0, 200]]))->withStaff(0, $signs);
    $page = new ReadPage([new ReadPhoto([Clef::Treble], 0, new Meter(6, 8), [$bar], 'Two Kites', new TempoWords('Gently', 54))]);
    $again = PageCodec::read(PageCodec::written($page));
    $piece = PhotoPiece::of($again->pieces[0]);
    [$first, $second] = $piece->measures[0]->events();
    expect($again)->toEqual($page)
        ->and($piece->tempoWords)->toBe('Gently')
        // Two beats of a dotted quarter each: 54 of them are 81 quarters.
        ->and($piece->tempo)->toBe(81)
        ->and($first->ink->lyrics[0]->printed())->toBe('sun-')
        ->and($second->ink->lyrics[0]->printed())->toBe('ny')
        ->and([$first->ink->lyrics[0]->continues, $second->ink->lyrics[0]->continues])->toBe([false, true]);
});

test('words far below a staff are read above the one that stands there, and are of the notes over them', function (): void {
    $note = static fn (float $x): Item => new Item($x, $x, [new Head($x, 3, false, 18.0, 1.0)], 48, 0, 0);
    $staff = static function (DrawnStrip $drawn): Staff {
        $strip = $drawn->strip();

        return new Staff($strip, Blobs::of($strip->bareRows), new Opening(Clef::Treble, 0, null, 20));
    };
    [$upper, $lower] = [$staff(new DrawnStrip()), $staff(lettered(6, Strip::TOP - 30))];
    $upper->items = [$note(70.0), $note(130.0)];
    Lyrics::give($upper, $lower, Strip::HEIGHT, new SaidWords([['text' => 'sun', 'x' => 210], ['text' => 'low', 'x' => 384]]));
    expect(array_column($upper->items, 'lyric'))->toBe(['sun', 'low']);
    // Where some stand right below it, those of the next are that staff's own.
    $upper = $staff(lettered(6, 210));
    $upper->items = [$note(70.0)];
    Lyrics::give($upper, $lower, Strip::HEIGHT, new SaidWords([['text' => 'now', 'x' => 210]]));
    expect($upper->items[0]->lyric)->toBe('now');
});

test('three that stand side by side are letters of a word, and no notes', function (int $letters, int $apart, int $row, int $found): void {
    $drawn = new DrawnStrip();
    for ($i = 0; $i < $letters; $i++) {
        $drawn->box(60 + (12 + $apart) * $i, $row, 12, 16);
    }
    expect(Letters::among(Blobs::of($drawn->strip()->bareRows)))->toHaveCount($found);
})->with([
    'three of them' => [3, 9, Strip::BOTTOM + 30, 3],
    'above the staff' => [4, 5, Strip::TOP - 40, 4],
    'two' => [2, 5, Strip::BOTTOM + 30, 0],
    'three that are further apart' => [3, 10, Strip::BOTTOM + 30, 0],
    'on the staff' => [3, 5, Strip::TOP + 20, 0],
]);

test('an o of a word is no whole note, however it stands', function (bool $inWord, array $places): void {
    $drawn = (new DrawnStrip())->head(80, 4)->stem(80, 4, false)->whole(200, 11);
    if ($inWord) {
        $drawn->box(164, Strip::row(11) - 10, 12, 18)->box(224, Strip::row(11) - 10, 12, 18);
    }
    expect(array_map(static fn (Item $item): int => $item->heads[0]->place, $drawn->items()))->toBe($places);
})->with([[false, [4, 11]], [true, [4]]]);

test('nothing but the line of letters is shown to the reader', function (): void {
    $words = new SaidWords([]);
    // A stem comes down to it.
    band(lettered(6, 210)->box(300, Strip::BOTTOM, 2, 40), $words);
    $image = imagecreatefromstring($words->pictures[0]);
    assert($image !== false);
    expect(imagecolorat($image, 3 * 64, 3 * 24) & 255)->toBeLessThan(40)
        ->and(imagecolorat($image, 3 * 301, 3 * 20) & 255)->toBeGreaterThan(200);
});
