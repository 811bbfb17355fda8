<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\ListOf;
use App\Page\Piece\CheckResource;
use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Formats\MusicFormat;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\ScorePart;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\PageChecks;
use OpenApi\Attributes as OA;

/** What a file holds. Without music, the student's part is still to be chosen. */
#[OA\Schema]
final readonly class ReadingResource
{
    /**
     * @param  list<PartResource>  $parts
     * @param  list<CheckResource>  $notRead  what is not kept, and what is uncertain
     * @param  list<CheckResource>  $checks
     * @param  list<string>  $unsaid  what is lost when it is typed on as shorthand
     * @param  Grid|null  $grid  what a MIDI file was laid on; null for what fits, bar by bar
     * @param  string|null  $pickup  what stands before its first bar, in whole notes, as `1/4`; `0` for nothing
     * @param  list<PickupResource>  $pickups  to choose from
     */
    public function __construct(
        #[OA\Property(enum: ['score', 'midi'])]
        public string $kind,
        #[ListOf(PartResource::class)]
        public array $parts,
        #[OA\Property]
        public ?string $title,
        #[OA\Property]
        public ?string $music,
        #[OA\Property]
        public int $measures,
        #[ListOf(CheckResource::class)]
        public array $notRead,
        #[ListOf(CheckResource::class)]
        public array $checks,
        #[OA\Property]
        public string $shorthand,
        #[ListOf('string')]
        public array $unsaid,
        #[OA\Property]
        public ?Grid $grid,
        #[OA\Property]
        public ?string $pickup,
        #[ListOf(PickupResource::class)]
        public array $pickups,
    ) {}

    /** @param list<ScorePart> $parts */
    public static function of(ReadScore $score, array $parts, ?Grid $grid, MusicFormat $format): self
    {
        $printed = ShorthandWriter::write($score->piece);

        return new self(
            $format->isPlayed() ? 'midi' : 'score',
            array_map(PartResource::of(...), $parts),
            $score->piece->title,
            MusicXmlWriter::write($score->piece),
            count($score->piece->measures),
            array_map(CheckResource::of(...), $score->notRead),
            array_map(CheckResource::of(...), PageChecks::of($score->piece)),
            $printed->text,
            $printed->unsaid,
            $grid,
            $format->isPlayed() ? (string) ($score->piece->pickup()->length ?? Fraction::zero()) : null,
            $format->isPlayed() ? PickupResource::all($score->piece->meter()) : [],
        );
    }

    /** @param list<ScorePart> $parts */
    public static function undecided(array $parts): self
    {
        return new self('score', array_map(PartResource::of(...), $parts), null, null, 0, [], [], '', [], null, null, []);
    }
}
