<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;

/** @return array{int, string, string} exit code, output, errors */
function breakdown_command(string ...$arguments): array
{
    return artisan_on_its_own('nasturtium:breakdown', ...$arguments);
}

test('one JSON document, nothing else, with every field', function (): void {
    $file = tempnam(sys_get_temp_dir(), 'page').'.musicxml';
    file_put_contents($file, MusicXmlWriter::write(ShorthandReader::read("title: One\nR: @c4 q1 2 h3\nL: @5=c3 w5\n")->piece));
    [$code, $out, $err] = breakdown_command($file, '--path=sound', '--school=phrase', '--known=C4');
    $report = json_decode($out, true, flags: JSON_THROW_ON_ERROR);
    expect($code)->toBe(0)->and($err)->toBe('')
        ->and(array_keys($report))->toBe(['version', 'student', 'piece', 'checks', 'play_order', 'beats', 'bars', 'count_in', 'events', 'counting', 'positions', 'shifts', 'crossings', 'leaps', 'spans', 'weak_runs', 'finger_lines', 'notes', 'landmarks_due', 'traps', 'drill', 'rings', 'equal', 'lines', 'hands', 'hand_first', 'chunks', 'sticking', 'look_over', 'learn', 'path', 'stages'])
        ->and($report['notes'][0]['status'])->toBe('secure')
        ->and($report['stages'][0]['name'])->toBe('listen');
    unlink($file);
});

test('the ways of a student are options', function (): void {
    $file = tempnam(sys_get_temp_dir(), 'page').'.musicxml';
    file_put_contents($file, MusicXmlWriter::write(ShorthandReader::read("R: @c4 h1 2\n")->piece));
    $report = json_decode(breakdown_command($file, '--counting=note-names', '--words=uk', '--octave=1', '--hand-span=5')[1], true, flags: JSON_THROW_ON_ERROR);
    expect($report['counting'][0]['text'])->toBe('minim minim')->and($report['notes'][0]['midi'])->toBe(72);
    unlink($file);
});

test('bad input is one line on standard error and exit 1', function (array $arguments, string $says): void {
    [$code, $out, $err] = breakdown_command(...$arguments);
    expect($code)->toBe(1)->and($out)->toBe('')->and(substr_count($err, "\n"))->toBe(1)->and($err)->toContain($says);
})->with([
    [['/nowhere.xml'], 'There is no file'],
    [[__FILE__], 'this is not MusicXML'],
    [[__FILE__, '--path=fast'], 'this is not MusicXML'],
]);

test('an option that is none is named', function (): void {
    $file = tempnam(sys_get_temp_dir(), 'page').'.xml';
    file_put_contents($file, MusicXmlWriter::write(ShorthandReader::read("R: @c4 w1\n")->piece));
    expect(breakdown_command($file, '--school=guess')[2])->toContain("--school is 'guess'")
        ->and(breakdown_command($file, '--known=H9')[2])->toContain("'H9' is not a note name")
        ->and(breakdown_command($file, '--compound=halves')[2])->toContain("--compound is 'halves'; it is eighths or dotted-quarters");
    unlink($file);
});
