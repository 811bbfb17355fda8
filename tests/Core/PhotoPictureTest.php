<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\Corners;
use Nasturtium\Core\Formats\Photo\Decoder;
use Nasturtium\Core\Formats\Photo\GreyPicture;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Photo\PhotoStep;
use Nasturtium\Core\Formats\Photo\Picture;
use Nasturtium\Core\Formats\Photo\PictureFaults;
use Nasturtium\Core\Formats\Photo\WordReader;
use Nasturtium\Core\Score\Clef;
use Tests\Photo\DrawnPage;
use Tests\Photo\DrawnStrip;

/*
 * Pictures around the reading: what is cut out by its corners, what is shown of it, why it cannot be read, and what is told
 * on the way.
 */

/** Columns that get lighter to the right and rows that get lighter downwards: every pixel tells where it was. */
function shaded(int $width, int $height): Picture
{
    $columns = [];
    for ($x = 0; $x < $width; $x++) {
        $columns[] = implode('', array_map(static fn (int $y): string => chr((int) (100 * $x / $width + 100 * $y / $height)), range(0, $height - 1)));
    }

    return new Picture($columns, $height, 1.0);
}

/** A line of four bars with a thick bar line at its end. */
function closed_staff(bool $timed): DrawnStrip
{
    $staff = (new DrawnStrip(700))->barLine(0)->box(16, 74, 34, 112);
    if ($timed) {
        $staff->time(62, 4);
    }
    foreach ([0, 1, 2] as $bar) {
        foreach ([0, 1, 2, 3] as $i) {
            $staff->head(120 + 185 * $bar + 40 * $i, 1 + $i)->stem(120 + 185 * $bar + 40 * $i, 1 + $i, true);
        }
        $staff->barLine(285 + 185 * $bar);
    }

    return $staff->box(664, 96, 9, 65);
}

test('the corners of the whole picture leave it as it is', function (): void {
    $picture = shaded(80, 60);
    $cut = Corners::of([[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]])->cut($picture);
    expect(abs($cut->width() - 80))->toBeLessThan(2)->and(abs($cut->height - 60))->toBeLessThan(2)
        ->and(abs(ord($cut->columns[40][30]) - ord($picture->columns[40][30])))->toBeLessThan(4);
});

test('a part is cut out, and what was far away and narrow becomes as wide as what was near', function (): void {
    $picture = shaded(200, 100);
    $half = Corners::of([[0.5, 0.0], [1.0, 0.0], [1.0, 1.0], [0.5, 1.0]])->cut($picture);
    expect(abs($half->width() - 100))->toBeLessThan(2)->and(ord($half->columns[2][50]))->toBeGreaterThan(95);
    // The upper edge is half as long as the lower: every row reaches from one side to the other.
    $leaning = Corners::of([[0.25, 0.0], [0.75, 0.0], [1.0, 1.0], [0.0, 1.0]])->cut($picture);
    $last = $leaning->width() - 1;
    expect(abs(ord($leaning->columns[0][0]) - 25))->toBeLessThan(4)
        ->and(abs(ord($leaning->columns[$last][0]) - 75))->toBeLessThan(4)
        ->and(ord($leaning->columns[0][$leaning->height - 1]))->toBeLessThan(104)
        ->and(ord($leaning->columns[$last][$leaning->height - 1]))->toBeGreaterThan(190);
});

test('corners that go round nothing are refused', function (array $points): void {
    expect(static fn () => Corners::of($points))->toThrow(BadPhoto::class, 'do not go round a page');
})->with([
    'three' => [[[0.0, 0.0], [1.0, 0.0], [1.0, 1.0]]],
    'the wrong way round' => [[[0.0, 0.0], [0.0, 1.0], [1.0, 1.0], [1.0, 0.0]]],
    'two that crossed' => [[[0.0, 0.0], [1.0, 1.0], [1.0, 0.0], [0.0, 1.0]]],
    'all in one place' => [array_fill(0, 4, [0.5, 0.5])],
]);

test('columns of brightness become the picture they are of, upright', function (): void {
    $columns = shaded(61, 40)->columns;
    $image = imagecreatefromstring(GreyPicture::jpeg($columns, 8, 40));
    assert($image !== false);
    expect([imagesx($image), imagesy($image)])->toBe([61, 32]);
    foreach ([[0, 0], [60, 0], [0, 31], [60, 31], [30, 16]] as [$x, $y]) {
        expect(abs((imagecolorat($image, $x, $y) & 255) - ord($columns[$x][8 + $y])))->toBeLessThan(12);
    }
});

test('a line is shown straight, with the rows of its staves', function (): void {
    $upper = closed_staff(true);
    $lower = closed_staff(true);
    $reading = (new PhotoReader())->read((new DrawnPage([[$upper, $lower]]))->png());
    [$line] = $reading->lines();
    $image = imagecreatefromstring($line->jpeg);
    assert($image !== false);
    expect([imagesx($image), imagesy($image)])->toBe([$line->width, $line->height])->and($line->tops)->toHaveCount(2);
    [$bar] = $reading->page->pieces[0]->bars;
    foreach ($line->tops as $i => $top) {
        // The top line is dark where the bar is, and the space below it is not.
        [$from, $to] = $bar->columns[$i];
        $dark = static fn (int $row): int => count(array_filter(range($from, $to), static fn (int $x): bool => (imagecolorat($image, $x, $row) & 255) < 128));
        expect($dark($top) + $dark($top - 1) + $dark($top + 1))->toBeGreaterThan(intdiv($to - $from, 2))->and($dark($top - 10))->toBeLessThan(20);
        // What is marked is where the note stands.
        $x = $bar->staves[$i][0]->x;
        $middle = $top + 64 - 8 * $bar->staves[$i][0]->heads[0]->place;
        expect(imagecolorat($image, $x, $middle) & 255)->toBeLessThan(100);
    }
});

test('nothing of the file but the light is in what is kept of it', function (): void {
    $image = imagecreatefromstring((new DrawnPage([[closed_staff(true)]]))->png());
    ob_start();
    imagejpeg($image, null, 90);
    // What a camera writes beside the picture: where and by whom it was taken.
    $words = "Exif\0\0MM\0*".'TAKEN IN THE STUDIO OF SOMEBODY';
    $bytes = substr_replace((string) ob_get_clean(), "\xFF\xE1".pack('n', strlen($words) + 2).$words, 2, 0);
    $reading = (new PhotoReader())->read($bytes);
    expect($bytes)->toContain('STUDIO OF SOMEBODY')->and($reading->page->bars())->toHaveCount(3);
    foreach ([$reading->upright(), $reading->lines()[0]->jpeg] as $kept) {
        expect(getimagesizefromstring($kept)[2])->toBe(IMAGETYPE_JPEG)->and($kept)->not->toContain('Exif')->and($kept)->not->toContain('SOMEBODY');
    }
});

test('a piece ends with a thick bar line, and the next one begins with its own time', function (bool $timed, int $pieces): void {
    $page = (new PhotoReader())->read((new DrawnPage([[closed_staff(true)], [closed_staff($timed)]]))->png())->page;
    expect($page->pieces)->toHaveCount($pieces)->and($page->bars())->toHaveCount(6);
})->with(['with a time of its own' => [true, 2], 'without' => [false, 1]]);

test('it is told step by step how far the reading is, and what is thrown then ends it', function (): void {
    $told = [];
    $bytes = (new DrawnPage([[closed_staff(true)], [closed_staff(false)]]))->png();
    (new PhotoReader(function (PhotoStep $step, int $done, int $of) use (&$told): void {
        $told[] = "{$step->value} {$done}/{$of}";
    }))->read($bytes);
    expect($told[0])->toBe('opening 0/1')->and($told)->toContain('staves 1/2', 'lines 1/2');
    $stop = static function (PhotoStep $step): void {
        if ($step === PhotoStep::Lines) {
            throw BadPhoto::stopped();
        }
    };
    expect(static fn () => (new PhotoReader($stop))->read($bytes))->toThrow(BadPhoto::class, 'stopped');
});

test('the title is the tallest of the words above the first line', function (array $lines, string $title): void {
    $words = new class ($lines) implements WordReader {
        /** @param list<array{text: string, height: int}> $lines */
        public function __construct(private array $lines) {}

        public function lines(string $jpeg): array
        {
            return getimagesizefromstring($jpeg) === false ? [] : array_map(static fn (array $line): array => ['height' => $line['height'], 'words' => array_map(static fn (string $text): array => ['text' => $text, 'x' => 0], explode(' ', $line['text']))], $this->lines);
        }
    };
    // Twice as much room above it as a staff has.
    $image = imagecreatefromstring((new DrawnPage([[closed_staff(true)]]))->png());
    $tall = imagecreatetruecolor(imagesx($image), imagesy($image) + 120);
    imagefill($tall, 0, 0, 0xFFFFFF);
    imagecopy($tall, $image, 0, 120, 0, 0, imagesx($image), imagesy($image));
    ob_start();
    imagepng($tall);
    $page = (new PhotoReader(words: $words))->read((string) ob_get_clean())->page;
    expect($page->pieces[0]->title)->toBe($title);
})->with([
    'among others' => [[['text' => 'Gently', 'height' => 14], ['text' => '— Paper Lantern Walk', 'height' => 24], ['text' => 'for two hands', 'height' => 12]], 'Paper Lantern Walk'],
    'none that could be one' => [[['text' => '= 80', 'height' => 30], ['text' => 'crumbs', 'height' => 5]], ''],
    'a sign that was taken for letters' => [[['text' => 'TT ‘| —_ £Q', 'height' => 30], ['text' => 'Two Kites', 'height' => 22]], 'Two Kites'],
    'no words' => [[], ''],
]);

test('a picture in which no staff can be seen says why, where the picture is the reason', function (int $ink, int $blur, string $said): void {
    $image = imagecreatetruecolor(320, 240);
    assert($image !== false);
    imagefill($image, 0, 0, 0xFFFFFF);
    for ($y = 30; $y < 220; $y += 30) {
        imagefilledrectangle($image, 0, $y, 320, $y + 7, $ink * 0x010101);
    }
    for ($i = 0; $i < $blur; $i++) {
        imagefilter($image, IMG_FILTER_GAUSSIAN_BLUR);
    }
    expect(PictureFaults::of($image)?->getMessage() ?? 'nothing')->toContain($said);
})->with([
    'sharp print' => [0, 0, 'nothing'],
    'a little soft' => [0, 1, 'nothing'],
    'blurred' => [0, 60, 'blurred'],
    'faint' => [225, 0, 'too faint'],
    'blank' => [255, 0, 'nothing'],
]);

test('what a file says of its size is looked at before it is unpacked', function (): void {
    $bytes = (new DrawnPage([[closed_staff(true)]]))->png();
    Decoder::held($bytes);
    expect(static fn () => Decoder::held(substr_replace($bytes, pack('NN', 20_000, 10), 16, 8)))->toThrow(BadPhoto::class, '20000 by 10')
        ->and(static fn () => Decoder::held('GIF89a'))->toThrow(BadPhoto::class, 'no picture');
});

test('both staves of a line may have the same clef', function (): void {
    $reading = (new PhotoReader())->read((new DrawnPage([[closed_staff(true), closed_staff(true)]]))->png());
    expect($reading->page->pieces[0]->clefs)->toBe([Clef::Treble, Clef::Treble]);
});
