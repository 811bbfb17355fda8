<?php

declare(strict_types=1);

namespace App\Listening;

use App\Api\ListOf;
use App\Http\English;
use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\HeardStatus;
use Nasturtium\Core\Performance\Hearing\ToTheChild;
use OpenApi\Attributes as OA;

/** What was heard in a take, as a child is told. */
#[OA\Schema]
final readonly class TakeHeardResource
{
    /**
     * @param  list<HeardNoteResource>  $notes  those that were another key or missed
     * @param  list<HeardAgainResource>  $again  where it is not sure
     * @param  list<int>  $measures  where the one thing is, as indices
     */
    public function __construct(
        #[OA\Property]
        public bool $clean,
        #[OA\Property]
        public string $well,
        #[OA\Property]
        public ?string $thing,
        #[ListOf('integer')]
        public array $measures,
        #[ListOf(HeardNoteResource::class)]
        public array $notes,
        #[ListOf(HeardAgainResource::class)]
        public array $again,
        #[OA\Property(description: 'beats a minute, as the page counts them')]
        public ?int $tempo,
    ) {}

    public static function of(Heard $heard): self
    {
        $said = ToTheChild::of($heard);
        $notes = [];
        foreach ($heard->notes as $note) {
            if ($note->status === HeardStatus::Wrong || $note->status === HeardStatus::Missed) {
                $notes[$note->written->event] ??= new HeardNoteResource($note->written->event, $note->written->hand, $note->status);
            }
        }

        return new self(
            $heard->isClean(),
            English::text($said->well),
            $said->thing === null ? null : English::text($said->thing),
            $said->measures,
            array_values($notes),
            self::again($heard),
            $heard->beatsAMinute(),
        );
    }

    /**
     * Each bar once, at what was heard last before it.
     *
     * @return list<HeardAgainResource>
     */
    private static function again(Heard $heard): array
    {
        $again = [];
        $at = null;
        foreach ($heard->notes as $note) {
            $at = $note->at ?? $at;
            if ($note->status === HeardStatus::Unsure) {
                $again[$note->written->bar] ??= new HeardAgainResource($note->written->event, $heard->music->piece->measures[$note->written->measure]->number, $at === null ? null : $at / 1_000);
            }
        }

        return array_values($again);
    }
}
