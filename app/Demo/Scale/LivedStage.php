<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use Nasturtium\Core\Path\Stage;

/** A stage of a page on its way to being passed. */
final class LivedStage
{
    public ?string $passedOn = null;

    public int $misses = 0;

    /** @param list<self> $waitsFor */
    public function __construct(public readonly int $id, public readonly Stage $stage, public readonly array $waitsFor) {}

    public function isReady(): bool
    {
        foreach ($this->waitsFor as $earlier) {
            if ($earlier->passedOn === null) {
                return false;
            }
        }

        return true;
    }
}
