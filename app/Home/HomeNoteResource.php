<?php

declare(strict_types=1);

namespace App\Home;

use Nasturtium\Core\Report\Document\Event;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** What can be written at a note at home: its fingers, its counts, its name. */
#[OA\Schema]
final readonly class HomeNoteResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public Hand $hand,
        #[OA\Property]
        public string $fingers,
        #[OA\Property]
        public string $counts,
        #[OA\Property]
        public string $name,
    ) {}

    public static function of(Event $event, bool $solfege): self
    {
        return new self(
            $event->id,
            $event->hand,
            implode(' ', array_filter($event->fingers, static fn (?int $finger): bool => $finger !== null)),
            implode(' ', $event->counts),
            $solfege ? $event->solfege ?? '' : implode(' ', $event->letters),
        );
    }
}
