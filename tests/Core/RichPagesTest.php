<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Formats\Midi\MidiFile;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Piece;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * Pages with everything on them, made by seeded chance: what goes out comes in again, and every length adds up.
 */

/** Bars in 4/4, each with its own difficulties. */
const RICH_BARS = [
    'q1 2 3 4', 'h1* 3!', 'w(135)', 'v1_ 2 3 4_ q5 3:fermata', '{v123} {q1 v2} h4', 'q.1 v2~ q2 r', '"p" q1 < 2 3 4 .', '"mf" h5 > 3 .',
    '`d q1 ``e 2 h3', 'h..1 v2', '[8va] q1 2 [loco] h3', 'q f+ f fn b-', 'x1234 v.5 x4 h3', '/', 'q(1~3) 1 h(2 4):arpeggio', '[bass] q1 2 [treble] 3 4',
    'q1 [cross] 2 3 [back] 4', '"dolce" w5', 'h{q123} h4:trill', 'qc\'^3 d, h e',
];

function rich_page(int $seed): Piece
{
    $chance = new Randomizer(new Mt19937($seed));
    $of = fn (array $list): string => $list[$chance->getInt(0, count($list) - 1)];
    $line = function (int $bars) use ($chance, $of): string {
        $text = '';
        for ($bar = 0; $bar < $bars; $bar++) {
            $text .= $of(RICH_BARS).match ($chance->getInt(1, 12)) {
                1 => ' || ',
                2 => ' [Fine] | ',
                default => ' | ',
            };
        }

        return $text;
    };
    $text = 'title: Page '.$seed."\nkey: ".$of(['C', 'G', 'Bb', 'E minor'])."\ntempo: ".$of(['92', '60-84 Gently', 'h=50'])."\n";
    foreach (range(1, $chance->getInt(1, 3)) as $number) {
        $bars = $chance->getInt(2, 5);
        $repeats = $chance->getInt(1, 3) === 1;
        $text .= 'R: '.($number === 1 ? '@c4 ' : '').($repeats ? '|: ' : '').rtrim($line($bars), '| ').($repeats ? " :|\n" : "\n");
        if ($chance->getInt(1, 2) === 1) {
            $text .= 'R2: '.implode(' | ', array_map(fn (): string => $of(['/', 'w c', 'ho h e', 'q c d e f']), range(1, $bars)))."\n";
        }
        if ($chance->getInt(1, 2) === 1) {
            $text .= "W: la\n";
        }
        $text .= 'L: '.($number === 1 ? '@5=c3 ' : '').str_replace(['[bass]', '[treble]'], ['[treble]', '[bass]'], rtrim($line($bars), '| '))."\n";
    }
    $text = rtrim($text)."\n".($chance->getInt(1, 3) === 1 ? "R: w1 [D.C. al Fine]\n" : '');
    $read = ShorthandReader::read($text);
    expect(array_map(fn ($error): string => "{$error->line}:{$error->column} {$error->text}", $read->errors))->toBe([], $text);

    return $read->piece ?? throw new LogicException('an empty page');
}

dataset('rich pages', fn (): array => array_map(fn (int $seed): array => [$seed], range(1, 80)));

test('a rich page goes out and comes in the same, as shorthand and as a file', function (int $seed): void {
    $piece = rich_page($seed);
    $xml = MusicXmlWriter::write($piece);
    $read = MusicXmlReader::read($xml);
    $printed = ShorthandWriter::write($piece);
    expect($read->notRead)->toBe([])
        ->and(MusicXmlWriter::write($read->piece))->toBe($xml)
        ->and($printed->unsaid)->toBe([], $printed->text)
        ->and(ShorthandWriter::write(ShorthandReader::read($printed->text)->piece ?? $piece)->text)->toBe($printed->text);
})->with('rich pages');

test('a rich page is played in its length, by the clock and in the MIDI file', function (int $seed): void {
    $piece = rich_page($seed);
    $order = PlayOrder::of($piece);
    $whole = array_reduce($order, fn (Fraction $sum, int $index): Fraction => $sum->plus($piece->measures[$index]->length), Fraction::zero());
    $playback = Playback::whole($piece);
    expect((string) $playback->beats)->toBe((string) $piece->meter()->beats($whole))
        ->and($playback->bars)->toHaveCount(count($order));
    $file = MidiFile::read(MidiWriter::write($piece));
    $keys = array_sum(array_map(fn ($sound): int => count($sound->keys), $playback->sounds));
    expect(count($file->notes))->toBeLessThanOrEqual($keys)->toBeGreaterThan(intdiv($keys, 2));
    foreach ($file->notes as $note) {
        expect(Fraction::of($note->to, 4 * $file->ticks)->compare($whole))->toBeLessThanOrEqual(0);
    }
    $report = document(Breakdown::of($piece, new Settings()));
    expect(array_unique(array_column($report['events'], 'id')))->toHaveCount(count($report['events']));
})->with('rich pages');
