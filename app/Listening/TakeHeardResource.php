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
        #[OA\Property(description: 'quarters a minute')]
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
            $heard->tempo === null ? null : (int) round($heard->tempo / 1_000),
        );
    }
}
