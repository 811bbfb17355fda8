<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\ListOf;
use App\Http\English;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\PageChecks;
use OpenApi\Attributes as OA;

/** A piece that was read of a picture. */
#[OA\Schema]
final readonly class ReadPieceResource
{
    /**
     * @param string                $label A, B, C where the page has several
     * @param bool                  $typed it went on to be typed
     * @param list<string>          $clefs from the top staff, `treble` or `bass`
     * @param int                   $fifths sharps above zero, flats below
     * @param string                $time as it is typed: `3/4`, `C`
     * @param list<string>          $lines each printed line as a score of its own
     * @param list<ReadBarResource> $bars
     */
    public function __construct(
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public bool $typed,
        #[ListOf('string')]
        public array $clefs,
        #[OA\Property]
        public int $fifths,
        #[OA\Property]
        public string $time,
        #[ListOf('string')]
        public array $lines,
        #[ListOf(ReadBarResource::class)]
        public array $bars,
    ) {}

    public static function of(ReadPhoto $read, string $label, bool $typed): self
    {
        $built = PhotoPiece::built($read);
        $events = $built->events();
        $checks = [];
        foreach (PageChecks::of($built->piece) as $check) {
            if (str_starts_with($check->code, 'bar_')) {
                $checks[$check->place->measure][] = $check;
            }
        }
        $bars = [];
        foreach ($read->bars as $n => $bar) {
            $number = $built->piece->measures[$n]->number;
            $bars[] = ReadBarResource::of($read, $n, $number, $events, self::texts($checks[$number] ?? []));
        }

        return new self(
            $label,
            $read->title,
            $typed,
            array_map(static fn (Clef $clef): string => $clef->value, $read->clefs),
            $read->fifths,
            $read->time->printed(),
            MusicXmlWriter::lines($built->piece),
            $bars,
        );
    }

    /**
     * @param  list<Check>  $checks
     * @return list<string>
     */
    private static function texts(array $checks): array
    {
        return array_map(static fn (Check $check): string => English::text($check->text), $checks);
    }
}
