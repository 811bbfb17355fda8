<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Tests\Photo\DrawnPage;
use Tests\Photo\DrawnStrip;

/** @return array{int, string, string} exit code, output, errors */
function photo_command(string $bytes, string ...$options): array
{
    $file = tempnam(sys_get_temp_dir(), 'photo').'.png';
    file_put_contents($file, $bytes);
    $said = artisan_on_its_own('nasturtium:photo', $file, ...$options);
    unlink($file);

    return $said;
}

/** Two bars of quarters in the treble. */
function two_bars(): string
{
    $drawn = (new DrawnStrip(700))->barLine(0)->box(16, 74, 34, 112);
    foreach ([120, 180, 240, 300, 420, 480, 540, 600] as $i => $x) {
        $drawn->head($x, $i % 4)->stem($x, $i % 4, true);
    }

    return (new DrawnPage([[$drawn->barLine(360)->barLine(697)]]))->png();
}

test('a page is one JSON document and nothing else, with every field', function (): void {
    [$code, $out, $err] = photo_command(two_bars());
    $read = json_decode($out, true, flags: JSON_THROW_ON_ERROR);
    expect($code)->toBe(0)->and($err)->toBe('')
        ->and(array_keys($read))->toBe(['clefs', 'key', 'time', 'bars', 'repeats', 'notes', 'rests', 'doubts', 'pieces'])
        ->and([$read['clefs'], $read['key'], $read['time'], $read['bars']])->toBe([['G'], 0, [4, 4], 2])
        ->and(array_column($read['notes'], 'midi'))->toBe([64, 65, 67, 69, 64, 65, 67, 69])
        ->and($read['notes'][5])->toBe(['staff' => 1, 'bar' => 2, 'onset' => 1, 'dur' => 1, 'midi' => 65, 'finger' => null]);
});

test('it is read again as the shorthand and as MusicXML', function (): void {
    $typed = ShorthandReader::read(photo_command(two_bars(), '--as=shorthand')[1])->piece;
    $file = MusicXmlReader::read(photo_command(two_bars(), '--as=musicxml')[1])->piece;
    foreach ([$typed, $file] as $piece) {
        $names = [];
        foreach ($piece?->measures ?? [] as $measure) {
            foreach ($measure->events() as $event) {
                foreach ($event->notes as $note) {
                    $names[] = $note->pitch->name();
                }
            }
        }
        expect($names)->toBe(['E4', 'F4', 'G4', 'A4', 'E4', 'F4', 'G4', 'A4']);
    }
});

test('what cannot be read is one line on standard error and exit 1', function (string $bytes, array $options, string $says): void {
    [$code, $out, $err] = photo_command($bytes, ...$options);
    expect($code)->toBe(1)->and($out)->toBe('')->and(substr_count($err, "\n"))->toBe(1)->and($err)->toContain($says);
})->with([
    'no picture' => ['no picture', [], 'no picture that can be opened'],
    'a form there is not' => ['', ['--as=pdf'], "--as is 'pdf'; it is json, musicxml or shorthand."],
    'a page that is too small' => [(new DrawnPage([[new DrawnStrip(700)]]))->png(0, 0.4), [], 'too small'],
]);

test('a file that is not there is named', function (): void {
    [$code, , $err] = artisan_on_its_own('nasturtium:photo', '/nowhere/page.jpg');
    expect($code)->toBe(1)->and($err)->toContain("There is no file '/nowhere/page.jpg'");
});
