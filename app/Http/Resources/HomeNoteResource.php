<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** What can be written at a note at home: its fingers, its counts, its name. */
#[OA\Schema]
final readonly class HomeNoteResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $hand,
        #[OA\Property]
        public string $fingers,
        #[OA\Property]
        public string $counts,
        #[OA\Property]
        public string $name,
    ) {}

    /** @param array<string, mixed> $event of the breakdown */
    public static function of(array $event, bool $solfege): self
    {
        $fingers = array_filter((array) $event['fingers'], static fn (mixed $finger): bool => $finger !== null);
        $letters = array_map(static fn (mixed $pitch): string => preg_replace('/-?\d+$/', '', (string) $pitch) ?? '', (array) $event['pitches']);

        return new self(
            (string) $event['id'],
            (string) $event['hand'],
            implode(' ', $fingers),
            implode(' ', (array) $event['counts']),
            $solfege ? (string) ($event['solfege'] ?? '') : implode(' ', $letters),
        );
    }
}
