<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\HowToRead;
use Nasturtium\Core\Formats\MusicFormat;
use Nasturtium\Core\Formats\ReadScore;

/** MusicXML, as it is or packed. */
final readonly class MusicXmlFormat implements MusicFormat
{
    public function endings(): array
    {
        return ['.musicxml', '.xml', '.mxl'];
    }

    public function accepts(string $bytes): bool
    {
        return str_starts_with($bytes, "PK\x03\x04") || str_starts_with(ltrim($bytes, "\xEF\xBB\xBF \t\r\n"), '<');
    }

    public function isPlayed(): bool
    {
        return false;
    }

    public function parts(string $bytes): array
    {
        return MusicXmlReader::parts($bytes);
    }

    public function read(string $bytes, HowToRead $how): ReadScore
    {
        return MusicXmlReader::read($bytes, $how->parts);
    }
}
