<?php

declare(strict_types=1);

namespace App\Desk;

use Nasturtium\Core\Fingering\OwnFingers;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A finger that the teacher has set for one note. */
#[OA\Schema]
final readonly class OwnFingerResource
{
    public function __construct(
        #[OA\Property]
        public Hand $hand,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $pitch,
        #[OA\Property]
        public int $finger,
    ) {}

    /** @return list<self> */
    public static function all(OwnFingers $own): array
    {
        $all = [];
        foreach ($own->fingers as $at => $finger) {
            [$hand, $place, $pitch] = explode(' ', $at);
            $all[] = new self(Hand::from($hand), $place, $pitch, $finger);
        }

        return $all;
    }
}
