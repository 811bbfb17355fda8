<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Where a staff runs in a picture: for each column its middle line and the distance of its lines, in pixels. */
final readonly class StaffPath
{
    /**
     * @param int                   $from   first column
     * @param non-empty-list<float> $middle by column, from `from`
     * @param non-empty-list<float> $space  likewise
     */
    public function __construct(public int $from, public array $middle, public array $space) {}

    public function to(): int
    {
        return $this->from + count($this->middle) - 1;
    }

    /** Beyond its ends it goes on as it ended. */
    public function middleAt(float $x): float
    {
        return self::along($this->middle, $x - $this->from);
    }

    public function spaceAt(float $x): float
    {
        $at = max(0, min(count($this->space) - 1, (int) round($x - $this->from)));

        return $this->space[$at] ?? $this->space[0];
    }

    /** @param non-empty-list<float> $values */
    private static function along(array $values, float $at): float
    {
        $last = count($values) - 1;
        $reach = min(64, $last);
        if ($at < 0 && $reach > 0) {
            return $values[0] + $at * (($values[$reach] ?? $values[0]) - $values[0]) / $reach;
        }
        if ($at > $last && $reach > 0) {
            $end = $values[$last];

            return $end + ($at - $last) * ($end - $values[$last - $reach]) / $reach;
        }

        return $values[max(0, min($last, (int) round($at)))];
    }
}
