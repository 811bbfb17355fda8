<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Http\English;
use App\Week\TaskBars;
use Nasturtium\Core\Score\BarRange;
use OpenApi\Attributes as OA;

/** Bars of a piece: `first` and `last` are indices of measures, `from` and `to` places as a teacher says them. */
#[OA\Schema]
final readonly class BarsResource
{
    public function __construct(
        #[OA\Property]
        public int $first,
        #[OA\Property]
        public int $last,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public string $label,
    ) {}

    public static function of(StageBars|TaskBars $bars): self
    {
        return self::over($bars->first, $bars->last, $bars->from_place, $bars->to_place);
    }

    public static function over(int $first, int $last, string $fromPlace, string $toPlace): self
    {
        return new self($first, $last, $fromPlace, $toPlace, English::text((new BarRange((int) $fromPlace, (int) $toPlace))->words()));
    }
}
