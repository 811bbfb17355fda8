<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** The straight line that lies best among weighted points. */
final class LineFit
{
    public int $count = 0;

    private float $weight = 0.0;

    private float $x = 0.0;

    private float $y = 0.0;

    private float $squares = 0.0;

    private float $products = 0.0;

    public function add(float $x, float $y, float $weight = 1.0): void
    {
        $this->count++;
        $this->weight += $weight;
        $this->x += $weight * $x;
        $this->y += $weight * $y;
        $this->squares += $weight * $x * $x;
        $this->products += $weight * $x * $y;
    }

    /** @return array{float, float}|null where it is at 0, and how much it rises; null where the points do not say */
    public function line(): ?array
    {
        $under = $this->weight * $this->squares - $this->x ** 2;
        if ($under <= 1e-9) {
            return null;
        }
        $slope = ($this->weight * $this->products - $this->x * $this->y) / $under;

        return [($this->y - $slope * $this->x) / $this->weight, $slope];
    }
}
