<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Nasturtium\Core\Score\Check;
use OpenApi\Attributes as OA;

/** Something on the page that does not add up. */
#[OA\Schema]
final readonly class CheckResource
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public ?string $hand,
        #[OA\Property]
        public string $text,
    ) {}

    public static function of(Check $check): self
    {
        return new self($check->code, (string) $check->place, $check->hand?->value, $check->text);
    }
}
