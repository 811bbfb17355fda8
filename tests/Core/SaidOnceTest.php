<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Reading\Move;

/** @return list<string> of a bar, why it sticks */
function why_sticks(string $music, int $bar): array
{
    foreach (broken_down($music)['sticking'] as $point) {
        if ($point['measure'] === $bar) {
            return array_column($point['reasons'], 'text');
        }
    }

    return [];
}

/** @return list<string> where hands hand over */
function hand_overs(string $music): array
{
    return array_values(array_map(
        static fn (array $chunk): string => "{$chunk['from']}–{$chunk['to']}",
        array_filter(broken_down($music)['chunks'], static fn (array $chunk): bool => $chunk['kind'] === 'hand-over'),
    ));
}

test('the same line or space with another accidental is no repeat', function (string $music, array $moves): void {
    expect(array_column(array_filter(broken_down($music)['events'], static fn (array $event): bool => $event['hand'] === 'R'), 'move'))->toBe($moves);
})->with([
    'up and down by a half step' => ["R: @c4 hf f+ | hf e\n", ['start', 'half step up', 'half step down', 'step down']],
    'the same again' => ["R: @c4 qf+ f+ g f+\n", ['start', 'repeat', 'step up', 'step down']],
    'two half steps on one line' => ["R: @c4 qg- g+ hg+ | wg\n", ['start', 'whole step up', 'repeat', 'half step down']],
    'an octave has its name' => ["R: @c4 qc c' c c,\n", ['start', 'leap up octave', 'leap down octave', 'leap down octave']],
]);

test('intervals in a sentence', function (int $steps, string $words): void {
    expect(Move::interval($steps))->toBe($words);
})->with([[5, 'a sixth'], [-5, 'a sixth'], [7, 'an octave'], [9, 'a tenth'], [10, 'an 11th'], [11, 'a 12th']]);

test('a tune that passes from hand to hand is handed over wherever it does', function (string $music, array $places): void {
    expect(hand_overs($music))->toBe($places);
})->with([
    'from bar to bar' => ["R: @c4 q1234 | w5 | w r\nL: @5=c3 w r | w r | q5432\n", ['2.1–3.4']],
    'into a bar of turns, in it, and out of it' => ["R: @c4 q1234 | h r q34 | w r\nL: @5=c3 w r | q54 h r | q5432\n", ['1.1–2.4', '2.1–2.4', '2.1–3.4']],
    'a bar of turns that goes on with the same hand' => ["R: @c4 q1234 | q12 h r\nL: @5=c3 w r | h r q54\n", ['2.1–2.4']],
    'across a silent bar' => ["R: @c4 q1234 | w r | w r\nL: @5=c3 w r | w r | q5432\n", ['1.1–3.4']],
]);

test('a key without a mode is told from its end', function (int $fifths, string $last, ?string $before, string $key): void {
    $note = static fn (string $pitch): string => '<note><pitch><step>'.$pitch[0].'</step>'.(str_contains($pitch, '#') ? '<alter>1</alter>' : '').'<octave>4</octave></pitch><duration>2</duration></note>';
    $xml = musicxml("<measure number='1'><attributes><divisions>1</divisions><key><fifths>{$fifths}</fifths></key><time><beats>4</beats><beat-type>4</beat-type></time></attributes>".$note($before ?? 'E').$note('E').'</measure><measure number="2">'.$note('B').$note($last).'</measure>');
    expect(MusicXmlReader::read($xml)->piece->key()->name())->toBe($key);
})->with([
    'on do' => [0, 'C', null, 'C major'],
    'on la' => [0, 'A', null, 'A minor'],
    'on la, with its leading note' => [0, 'A', 'G#', 'A minor'],
    'elsewhere' => [0, 'G', 'G#', 'C major'],
    'on la of one sharp' => [1, 'E', null, 'E minor'],
    'on do of one sharp' => [1, 'G', null, 'G major'],
]);

test('a mode that is given stays, whatever the end', function (): void {
    $bar = static fn (string $mode): string => musicxml("<measure number='1'><attributes><divisions>1</divisions><key><fifths>0</fifths><mode>{$mode}</mode></key></attributes><note><pitch><step>A</step><octave>4</octave></pitch><duration>4</duration></note></measure>");
    expect(MusicXmlReader::read($bar('major'))->piece->key()->name())->toBe('C major');
});

test('a reason is said once, with how often', function (string $music, int $bar, string $says): void {
    expect(implode(' | ', why_sticks($music, $bar)))->toContain($says);
})->with([
    'a shift up and down again' => ["R: @c4 q1 @c5 5 @c4 1 @c5 5 | wr\n", 1, 'the right hand shifts 7 keys up and down, three times'],
    'up and down is a swing' => ["R: @c4 q1 @c5 5 @c4 1 @c5 5 | wr\n", 1, 'the right hand swings over a 12th, three times'],
    'one by itself' => ["R: @c4 q1 @c5 5 hr | wr\n", 1, 'the right hand leaps up a 12th'],
]);
