<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Api\ListOf;
use Nasturtium\Core\Sheet\SheetKind;
use OpenApi\Attributes as OA;

/** A worksheet as it is printed. */
#[OA\Schema]
final readonly class PrintedSheetResource
{
    /** @param list<SheetItemResource> $items */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public SheetKind $kind,
        #[ListOf(SheetItemResource::class)]
        public array $items,
    ) {}

    public static function of(Worksheet $sheet): self
    {
        return new self($sheet->id, $sheet->number, $sheet->kind, array_map(static fn (array $item): SheetItemResource => new SheetItemResource(...$item), $sheet->items));
    }
}
