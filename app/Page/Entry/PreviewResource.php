<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\ListOf;
use App\Page\Piece\CheckResource;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ReadShorthand;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\LineCrossings;
use Nasturtium\Core\Score\PageChecks;
use OpenApi\Attributes as OA;

/** What has been typed so far, engraved and checked. */
#[OA\Schema]
final readonly class PreviewResource
{
    /**
     * @param  list<string>  $lines  each printed line as a score of its own, to engrave what has changed
     * @param  bool  $crossing  something goes on from line to line, which only the whole shows
     * @param  list<ShorthandErrorResource>  $errors
     * @param  list<CheckResource>  $checks
     * @param  list<SpanResource>  $spans  where each event was typed
     */
    public function __construct(
        #[OA\Property]
        public ?string $music,
        #[ListOf('string')]
        public array $lines,
        #[OA\Property]
        public bool $crossing,
        #[OA\Property]
        public int $measures,
        #[ListOf(ShorthandErrorResource::class)]
        public array $errors,
        #[ListOf(CheckResource::class)]
        public array $checks,
        #[ListOf(SpanResource::class)]
        public array $spans,
    ) {}

    /** @return list<SpanResource> */
    private static function spans(ReadShorthand $read): array
    {
        $spans = [];
        foreach ($read->piece->measures ?? [] as $measure) {
            foreach ($measure->events() as $event) {
                if (isset($read->spans[$event->id])) {
                    $spans[] = SpanResource::of($event->id, $measure->index, $read->spans[$event->id]);
                }
            }
        }

        return $spans;
    }

    public static function of(ReadShorthand $read): self
    {
        return new self(
            $read->piece === null ? null : MusicXmlWriter::write($read->piece),
            $read->piece === null ? [] : MusicXmlWriter::lines($read->piece),
            $read->piece !== null && LineCrossings::any($read->piece),
            count($read->piece->measures ?? []),
            array_map(ShorthandErrorResource::of(...), $read->errors),
            $read->piece === null ? [] : array_map(static fn (Check $check): CheckResource => CheckResource::typed($check, $read), PageChecks::of($read->piece)),
            self::spans($read),
        );
    }
}
