<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Readers;

use Nasturtium\Core\Formats\Midi\MidiFormat;
use Nasturtium\Core\Formats\MusicFormat;
use Nasturtium\Core\Formats\MusicXml\MusicXmlFormat;

/** The formats that music comes in. */
final class MusicFormats
{
    /** @return non-empty-list<MusicFormat> the last takes what no other accepts, and says what is wrong with it */
    public static function all(): array
    {
        return [new MidiFormat(), new MusicXmlFormat()];
    }

    public static function of(string $bytes): MusicFormat
    {
        $formats = self::all();
        foreach ($formats as $format) {
            if ($format->accepts($bytes)) {
                return $format;
            }
        }

        return $formats[count($formats) - 1];
    }

    /** @return list<string> how files that can be read are called */
    public static function endings(): array
    {
        return array_merge(...array_map(static fn (MusicFormat $format): array => $format->endings(), self::all()));
    }
}
