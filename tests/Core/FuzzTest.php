<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Book\Contents;
use Nasturtium\Core\Formats\Midi\MidiReader;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\MusicXml\ScoreFile;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Piece;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Fuzz\Mutations;
use Tests\Fuzz\Work;

/*
 * Whatever comes in is read or refused in words: no crash, no hang over two seconds, no more than 256 MB.
 */

/** Everything that is done with a piece once it is read. */
function used(?Piece $piece): void
{
    if ($piece !== null) {
        document(Breakdown::of($piece, new Settings()));
        MusicXmlWriter::write($piece);
        ShorthandWriter::write($piece);
        MidiWriter::write($piece);
    }
}

const FUZZED = "key: G\ntempo: 60-92 Gently\nR: @g4 q1_ 2 3 4_ | {v123} q4 \"mf\" h5 < :|\nW: la la- la _\nR2: w1 | /\nL: @5=g3 w5 [bass] | h1 3\nR: . x1234 v.5 x4 `d h3:trill [D.C.]\nL: [8vb] w(53)~ [loco]\n";

dataset('readers', [
    'MusicXML' => [fn (): string => MusicXmlWriter::write(tune(FUZZED)), fn (string $bytes) => used(MusicXmlReader::read($bytes)->piece)],
    'compressed MusicXML' => [fn (): string => ScoreFile::compressed(MusicXmlWriter::write(tune(FUZZED))), fn (string $bytes) => used(MusicXmlReader::read($bytes)->piece)],
    'MIDI' => [fn (): string => MidiWriter::write(tune(FUZZED)), fn (string $bytes) => used(MidiReader::read($bytes)->piece)],
    'shorthand' => [fn (): string => FUZZED, fn (string $bytes) => used(ShorthandReader::read(mb_scrub($bytes))->piece)],
    'table of contents' => [fn (): string => "page,title,kind,introduces\n4,\"Two, Snails\",pieces,middle C\n9,Lines,theory,\n", fn (string $bytes) => Contents::read($bytes)],
    'book archive' => [fn (): string => packed(small_book()), fn (string $bytes) => unpacked($bytes)],
]);

test('mutated files are read or refused in words', function (Closure $make, Closure $read): void {
    $whole = $make();
    $chance = new Randomizer(new Mt19937(20310505));
    $refused = 0;
    for ($round = 0; $round < 250; $round++) {
        $bytes = Mutations::of($whole, $chance);
        memory_reset_peak_usage();
        $reason = null;
        $try = function () use ($read, $bytes, &$reason): float {
            $begun = Work::worked();
            try {
                $read($bytes);
            } catch (BadInput $caught) {
                $reason = $caught;
            }

            return Work::worked() - $begun;
        };
        // What hangs hangs again; what the machine was slow at does not.
        $took = $try();
        expect($took < 2.0 ? $took : $try())->toBeLessThan(2.0, bin2hex($bytes))
            ->and(memory_get_peak_usage())->toBeLessThan(256 * 1024 * 1024)
            ->and(trim($reason?->getMessage() ?? 'read'))->not->toBe('');
        $refused += $reason === null ? 0 : 1;
    }
    expect($refused)->toBeLessThan(250);
})->with('readers');

test('elements inside one another without end are refused', function (): void {
    expect(fn () => MusicXmlReader::read(musicxml(str_repeat('<measure>', 20_000))))->toThrow(BadInput::class, 'more than 32 deep')
        ->and(fn () => MusicXmlReader::read(musicxml(str_repeat('<measure>', 20_000).str_repeat('</measure>', 20_000))))->toThrow(BadInput::class);
});

test('as many bars as there may be are read within the memory that a request has, one more is refused', function (): void {
    $bar = '<measure>'.xml_note('C4', 6).'<backup><duration>6</duration></backup>'.xml_note('C3', 6, '', 2).'</measure>';
    $file = fn (int $bars): string => musicxml('<measure number="1">'.GRAND.xml_note('C4', 6).'</measure>'.str_repeat($bar, $bars - 1));
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $piece = MusicXmlReader::read($file(Limits::MEASURES))->piece;
    expect($piece->measures)->toHaveCount(Limits::MEASURES);
    document(Breakdown::of($piece, new Settings()));
    expect(memory_get_peak_usage() - $before)->toBeLessThan(96 * 1024 * 1024)
        ->and(fn () => MusicXmlReader::read($file(Limits::MEASURES + 1)))->toThrow(BadInput::class, 'more than '.Limits::MEASURES.' bars');
});
