<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sheet;

use Nasturtium\Core\Sight\SightLevel;
use Nasturtium\Core\Sight\SightMaterial;
use Nasturtium\Core\Sight\SightWent;

/** What lines at sight on paper are made of. */
final readonly class SightSource
{
    /**
     * @param  SightLevel  $level  that is neither easy nor hard
     * @param  array<string, int>  $used  marks of lines that were used, and when; the larger the later
     */
    public function __construct(public SightMaterial $material, private SightLevel $level, public array $used = []) {}

    /** The level below, the level itself, or the one above. */
    public function level(int $hard): SightLevel
    {
        return match (true) {
            $hard < 2 => $this->level->after(SightWent::Hard),
            $hard > 2 => $this->level->after(SightWent::Clean),
            default => $this->level,
        };
    }
}
