<?php

declare(strict_types=1);

use App\Page\Photo\PdfPage;
use App\Page\Photo\Tesseract;
use Nasturtium\Core\Formats\Photo\BadPhoto;

/*
 * The programs that draw a page of a PDF and read words, as the application asks them.
 */

/** A PDF of so many pages, each with five lines across it, as many times as its number. */
function ruled_pdf(int $pages): string
{
    $objects = [1 => '<</Type/Catalog/Pages 2 0 R>>'];
    $kids = [];
    for ($page = 1; $page <= $pages; $page++) {
        $ink = '';
        for ($staff = 0; $staff < $page; $staff++) {
            for ($line = 0; $line < 5; $line++) {
                $y = 760 - 90 * $staff - 6 * $line;
                $ink .= "60 {$y} m 540 {$y} l S\n";
            }
        }
        [$leaf, $stream] = [1 + 2 * $page, 2 + 2 * $page];
        $kids[] = "{$leaf} 0 R";
        $objects[$leaf] = "<</Type/Page/Parent 2 0 R/MediaBox[0 0 595 842]/Contents {$stream} 0 R>>";
        $objects[$stream] = '<</Length '.strlen($ink).">>stream\n{$ink}endstream";
    }
    $objects[2] = '<</Type/Pages/Kids['.implode(' ', $kids)."]/Count {$pages}>>";
    ksort($objects);
    $pdf = "%PDF-1.4\n";
    $at = [];
    foreach ($objects as $number => $object) {
        $at[] = strlen($pdf);
        $pdf .= "{$number} 0 obj\n{$object}\nendobj\n";
    }
    $table = strlen($pdf);
    $pdf .= 'xref'."\n0 ".(count($at) + 1)."\n0000000000 65535 f \n".implode('', array_map(static fn (int $offset): string => sprintf("%010d 00000 n \n", $offset), $at));

    return $pdf.'trailer<</Size '.(count($at) + 1)."/Root 1 0 R>>\nstartxref\n{$table}\n%%EOF\n";
}

/** Rows of a picture in which its middle column is dark, as stretches. */
function lines_in(string $png): int
{
    $image = imagecreatefromstring($png);
    assert($image !== false);
    $lines = 0;
    $dark = false;
    for ($y = 0; $y < imagesy($image); $y++) {
        $at = (int) imagecolorat($image, intdiv(imagesx($image), 2), $y);
        $now = (imageistruecolor($image) ? $at & 255 : imagecolorsforindex($image, $at)['blue']) < 140;
        $lines += $now && ! $dark ? 1 : 0;
        $dark = $now;
    }

    return $lines;
}

test('a page of a PDF is drawn, the one that is asked for, no larger than A4 at 300 dots an inch', function (int $page): void {
    $png = PdfPage::drawn(ruled_pdf(3), $page);
    expect(max(array_slice(getimagesizefromstring($png), 0, 2)))->toBe(3508)->and(lines_in($png))->toBe(5 * $page);
})->with([1, 3]);

test('a page that is not there, and a file that is broken, are told', function (string $bytes, int $page): void {
    expect(static fn () => PdfPage::drawn($bytes, $page))->toThrow(BadPhoto::class, "Page {$page} of this PDF cannot be opened");
})->with(['the fourth of three' => [fn (): string => ruled_pdf(3), 4], 'broken off' => [fn (): string => substr(ruled_pdf(1), 0, 60), 1], 'only a name' => ['%PDF-1.7', 1]]);

test('a PDF is known by how it begins', function (string $bytes, bool $is): void {
    expect(PdfPage::isPdf($bytes))->toBe($is);
})->with(['one' => ['%PDF-1.4', true], 'after blanks' => ["\n %PDF-1.4", true], 'a picture' => ["\x89PNG", false], 'nothing' => ['', false]]);

test('words are read line by line with their height, where the program is installed', function (): void {
    $words = Tesseract::here();
    expect($words)->not->toBeNull();
    $image = imagecreatetruecolor(900, 220);
    assert($image !== false);
    imagefill($image, 0, 0, 0xFFFFFF);
    imagettftext($image, 40, 0, 120, 90, 0, '/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf', 'Paper Lantern Walk');
    imagettftext($image, 18, 0, 330, 170, 0, '/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf', 'for two hands');
    ob_start();
    imagejpeg($image);
    $lines = $words?->lines((string) ob_get_clean()) ?? [];
    expect(array_map(static fn (array $line): string => implode(' ', array_column($line['words'], 'text')), $lines))->toBe(['Paper Lantern Walk', 'for two hands'])
        // The middle of the first small word is right of where it begins, and left of the next one's.
        ->and($lines[1]['words'][0]['x'])->toBeGreaterThan(330)->toBeLessThan($lines[1]['words'][1]['x'])->and($lines[0]['height'])->toBeGreaterThan($lines[1]['height']);
});

test('what is no picture has no words', function (): void {
    expect(Tesseract::here()?->lines('no picture'))->toBe([]);
});

test('a page whose words take too long is read without the rest of them', function (): void {
    $folder = sys_get_temp_dir().'/slow-'.bin2hex(random_bytes(6));
    mkdir($folder);
    file_put_contents("{$folder}/tesseract", "#!/bin/sh\necho x >> {$folder}/runs\nexec sleep 5\n");
    chmod("{$folder}/tesseract", 0o755);
    $path = (string) getenv('PATH');
    try {
        putenv("PATH={$folder}:{$path}");
        $words = Tesseract::here(0.3);
        putenv("PATH={$path}");
        expect([$words?->lines('a'), $words?->lines('b'), $words?->lines('c')])->toBe([[], [], []])
            ->and(file("{$folder}/runs"))->toHaveCount(1);
    } finally {
        putenv("PATH={$path}");
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }
});
