<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;

/** @return array{int, string, string} exit code, output, errors */
function hear_command(string $take, string ...$options): array
{
    $piece = tempnam(sys_get_temp_dir(), 'piece').'.musicxml';
    $file = tempnam(sys_get_temp_dir(), 'take').'.json';
    file_put_contents($piece, MusicXmlWriter::write(ShorthandReader::read("time: 4/4\ntempo: 60\nR: @c4 q1 2 3 4 | h5 1\nL: @5=c3 w5 | w1")->piece));
    file_put_contents($file, $take);
    $said = artisan_on_its_own('nasturtium:hear', $piece, $file, ...$options);
    array_map(unlink(...), [$piece, $file]);

    return $said;
}

/** @param list<array{float, int}> $keys seconds and MIDI numbers */
function a_take(array $keys): string
{
    return json_encode(['notes' => array_map(static fn (array $key): array => ['t' => $key[0], 'off' => $key[0] + 0.9, 'pitch' => $key[1], 'vel' => 70], $keys)], JSON_THROW_ON_ERROR);
}

test('one JSON document, nothing else, with every field', function (): void {
    [$code, $out, $err] = hear_command(a_take([[1, 60], [1.01, 48], [2, 62], [3, 65], [4, 65], [5, 67], [5, 55], [7, 60]]));
    $heard = json_decode($out, true, flags: JSON_THROW_ON_ERROR);
    expect($code)->toBe(0)->and($err)->toBe('')->and(array_keys($heard))->toBe(['notes', 'extras', 'stalls', 'restarts', 'apart', 'tempo', 'steadiness', 'octave', 'slips'])
        ->and($heard['notes'][3])->toBe(['at' => '2', 'pitch' => 64, 'place' => '1.3', 'hand' => 'R', 'status' => 'wrong', 'played' => 65, 't' => 3, 'timing' => 'ok', 'hold' => 'ok'])
        ->and($heard['notes'][0]['pitch'])->toBe(48)->and([$heard['tempo'], $heard['steadiness']])->toBe([60, 1])
        ->and(array_column($heard['slips'], null, 'kind')['wrong-note'])->toBe(['kind' => 'wrong-note', 'place' => '1.3', 'hand' => 'R', 'why' => 'another key was struck', 'notes' => [3]]);
});

test('bars and a hand can be named', function (): void {
    $heard = json_decode(hear_command(a_take([[1, 67], [3, 60]]), '--bars=2', '--hand=R', '--from=microphone')[1], true, flags: JSON_THROW_ON_ERROR);
    expect(array_column($heard['notes'], 'status', 'place'))->toBe(['2.1' => 'right', '2.3' => 'right']);
});

test('bad input is one line on standard error and exit 1', function (string $take, array $options, string $says): void {
    [$code, $out, $err] = hear_command($take, ...$options);
    expect($code)->toBe(1)->and($out)->toBe('')->and(substr_count($err, "\n"))->toBe(1)->and($err)->toContain($says);
})->with([
    ['{', [], 'A take is JSON'], ['{"notes": 3}', [], 'a list of notes'], ['{"notes": []}', ['--bars=9'], "--bars is '9'; the piece has bars 1 to 2, as 3-5 or 4."], ['{"notes": []}', ['--bars=2-1'], "--bars is '2-1'"],
    ['{"notes": []}', ['--hand=B'], "--hand is 'B'; it is R or L."], ['{"notes": []}', ['--from=radio'], "--from is 'radio'; it is keyboard or microphone."],
]);

test('invented takes are measured, kind by kind', function (): void {
    Artisan::call('nasturtium:hearing', ['--takes' => 2]);
    expect(Artisan::output())->toMatch('/^clean +2 +2 +1\.000/m')->toMatch('/^rough +2/m')->toMatch('/^all +32/m')->toMatch('/\d+ notes, \d\.\d\d ms a note/');
});
