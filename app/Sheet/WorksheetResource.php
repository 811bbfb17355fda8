<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Api\ListOf;
use Nasturtium\Core\Sheet\SheetKind;
use OpenApi\Attributes as OA;

/** A worksheet that was kept. */
#[OA\Schema]
final readonly class WorksheetResource
{
    /** @param list<GivenResource> $given */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public SheetKind $kind,
        #[OA\Property]
        public int $questions,
        #[OA\Property]
        public string $madeOn,
        #[ListOf(GivenResource::class)]
        public array $given,
    ) {}

    /** @param Worksheet $sheet with those who have it, and their names */
    public static function of(Worksheet $sheet): self
    {
        return new self($sheet->id, $sheet->number, $sheet->kind, $sheet->count, $sheet->created_at->toDateString(), array_values($sheet->given->map(
            static fn (GivenWorksheet $given): GivenResource => new GivenResource($given->student_id, $given->student->name()->short(), $given->given_on->toDateString(), $given->right),
        )->sortBy('student')->all()));
    }
}
