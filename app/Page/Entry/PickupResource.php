<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;
use OpenApi\Attributes as OA;

/** A length that may stand before the first bar. */
#[OA\Schema]
final readonly class PickupResource
{
    /** Of a beat. */
    private const PARTS = ['1/4' => '¼', '1/2' => '½', '3/4' => '¾'];

    /** @param string $length in whole notes, as `1/4` */
    public function __construct(
        #[OA\Property]
        public string $length,
        #[OA\Property]
        public string $name,
    ) {}

    /** @return list<self> every half beat of a bar, or every eighth where beats are longer */
    public static function all(Meter $meter): array
    {
        $step = Fraction::of(1, max(8, 2 * $meter->unit));
        $all = [];
        for ($length = Fraction::zero(); $length->compare($meter->measure()) < 0; $length = $length->plus($step)) {
            $all[] = new self((string) $length, self::named($meter->beats($length)));
        }

        return $all;
    }

    private static function named(Fraction $beats): string
    {
        if ($beats->isZero()) {
            return 'none';
        }
        $whole = $beats->floor();
        $part = self::PARTS[(string) $beats->part()] ?? '';

        return ($whole === 0 ? '' : $whole).$part.($beats->compare(Fraction::of(1)) > 0 ? ' beats' : ' beat');
    }
}
