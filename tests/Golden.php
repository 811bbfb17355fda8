<?php

declare(strict_types=1);

namespace Tests;

use App\Demo\InventedWeeks;
use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\LongNotes;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Formats\Midi\MidiReader;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\ScorePart;
use Nasturtium\Core\Formats\Shorthand\ShorthandError;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Formats\WeekFile;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\MusicText;
use Nasturtium\Core\Score\Piece;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What is written, read, played and reported of many pages, as one digest each. They were looked at, and read by other
 * programs, when `php tests/renew-golden.php` kept them; whatever changes one of them is meant to, or is a mistake.
 */
final class Golden
{
    public const FILE = __DIR__.'/Datasets/golden.json';

    /** @return array<string, string> digests by what they are of */
    public static function digests(): array
    {
        $digests = [];
        foreach (SayableTunes::all() as $name => $text) {
            $piece = ShorthandReader::read($text)->piece ?? throw new \LogicException($name);
            $digests += self::written("tune {$name}", $piece);
            $digests += self::slips("tune {$name}", $text, $piece);
            $digests["tune {$name}: the report"] = self::report($piece, new Settings());
        }
        for ($seed = 1; $seed <= 15; $seed++) {
            $piece = RandomPiece::of($seed);
            $digests += self::written("random {$seed}", $piece);
            $digests["random {$seed}: the report"] = self::report($piece, self::settings($seed));
            $digests["week {$seed}"] = self::plan(InventedWeeks::make($seed));
            $digests["played loosely {$seed}"] = self::read(static fn (): ReadScore => MidiReader::read(self::loosely($seed), [null, ...Grid::cases()][$seed % 5]));
            $played = MidiWriter::write(FiveFingerPiece::of($seed, ['', 'q3', 'v1 2'][$seed % 3]));
            $digests["played {$seed}"] = self::read(static fn (): ReadScore => MidiReader::read($played));
            $digests["played {$seed} in eighths"] = self::read(static fn (): ReadScore => MidiReader::read($played, Grid::Eighths, Fraction::of($seed % 4, 4)));
        }

        return $digests + self::foreign();
    }

    /** A student who reads, counts and reaches in a way of their own. */
    private static function settings(int $seed): Settings
    {
        $of = static fn (string $enum): \BackedEnum => $enum::cases()[$seed % count($enum::cases())];

        return new Settings(
            $of(PathKind::class),
            $of(School::class),
            new CountWay($of(CountingSystem::class), $of(CountStyle::class), $of(LongNotes::class), $of(CompoundBeats::class), $of(NoteWords::class)),
            new Landmarks(1 + $seed % 3, $seed % 2 === 0),
            KnownNotes::of(['C4', 'D4', 'E4', 'F3', 'G4']),
            handSpan: 5 + $seed % 4,
            octave: $seed % 3 - 1,
        );
    }

    private static function report(Piece $piece, Settings $settings): string
    {
        return self::digest(json_encode(ReportDocument::of(Breakdown::of($piece, $settings)), JSON_THROW_ON_ERROR));
    }

    private static function plan(Week $week): string
    {
        return self::digest(WeekFile::writePlan($week, WeekPlanner::propose($week)));
    }

    /** A tune for two hands as somebody may play it who is never quite in time. */
    private static function loosely(int $seed): string
    {
        $chance = new Randomizer(new Mt19937($seed));
        $notes = [];
        foreach (Playback::whole(FiveFingerPiece::of($seed))->sounds as $sound) {
            $from = max(0, (int) round($sound->at->toFloat() * 96) + $chance->getInt(-14, 14));
            foreach ($sound->keys as $key) {
                $notes[] = [$key, $from, $from + max(6, (int) round($sound->held($key)->toFloat() * 96) - $chance->getInt(0, 30))];
            }
        }

        return MidiBytes::of($notes);
    }

    /** @return array<string, string> of the files of other writers, and their first parts */
    private static function foreign(): array
    {
        $digests = [];
        foreach (OtherWriters::files(OtherWriters::SHIPPED) as $bytes) {
            $parts = MusicXmlReader::parts($bytes);
            $file = 'file '.(count($digests) + 1).' of another writer';
            $digests[$file] = self::digest(json_encode($parts, JSON_THROW_ON_ERROR));
            // The second part of a file is often the left hand.
            foreach (array_slice(array_map(static fn (ScorePart $part): string => $part->id, $parts), 0, 2) as $part) {
                $digests["{$file} {$part}"] = self::read(static fn (): ReadScore => MusicXmlReader::read($bytes, new PartChoice($part)));
            }
        }

        return $digests;
    }

    /** @return array<string, string> what is said when a letter is left out, and when a number of the file is another one */
    private static function slips(string $name, string $text, Piece $piece): array
    {
        $chance = new Randomizer(new Mt19937(crc32($name)));
        $typed = '';
        $xml = MusicXmlWriter::write($piece);
        preg_match_all('/(?<=>)\d+(?=<)/', $xml, $numbers, PREG_OFFSET_CAPTURE);
        $given = '';
        for ($i = 0; $i < 6; $i++) {
            $read = ShorthandReader::read(substr_replace($text, '', $chance->getInt(0, strlen($text) - 1), 1));
            $typed .= implode("\n", array_map(static fn (ShorthandError $error): string => "{$error->line}:{$error->column}+{$error->length} {$error->text}", $read->errors))."\n\n";
            [$number, $at] = $numbers[0][$chance->getInt(0, count($numbers[0]) - 1)];
            $given .= self::read(static fn (): ReadScore => MusicXmlReader::read(substr_replace($xml, (string) ($number + $chance->getInt(1, 3)), $at, strlen($number))));
        }

        return ["{$name}: a letter less" => self::digest($typed), "{$name}: another number" => self::digest($given)];
    }

    /** @return array<string, string> */
    private static function written(string $name, Piece $piece): array
    {
        $shorthand = ShorthandWriter::write($piece);

        return [
            "{$name}: the page" => self::digest(implode("\n", MusicText::of($piece))),
            "{$name}: the file" => self::digest(MusicXmlWriter::write($piece)),
            "{$name}: the sound" => self::digest(MidiWriter::write($piece, countIn: true)),
            "{$name}: the shorthand" => self::digest($shorthand->text.implode("\n", $shorthand->unsaid)),
        ];
    }

    /** @param \Closure(): ReadScore $reading */
    private static function read(\Closure $reading): string
    {
        try {
            $read = $reading();
        } catch (BadInput $refused) {
            return self::digest($refused->getMessage());
        }
        $said = array_map(static fn (Check $check): string => "{$check->code} {$check->place} {$check->text}", $read->notRead);

        return self::digest(MusicXmlWriter::write($read->piece).self::report($read->piece, new Settings()).implode("\n", $said));
    }

    private static function digest(string $text): string
    {
        return substr(hash('sha256', $text), 0, 12);
    }
}
