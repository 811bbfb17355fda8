<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

use Nasturtium\Core\Practice\Answer;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** An invented learner, as fixed by trade 15.3, so that ways of choosing cards can be measured on the same ones. */
final class Learner
{
    private const DAY = 86_400;

    private const HALF_LIFE = 1.0 * self::DAY;

    private const LEAST_HALF_LIFE = 600.0;

    private const FIRST_TIME = 0.35;

    private const FIRST_TIME_BY_A_LANDMARK = 0.6;

    private const GUESSING = 1 / 7;

    private const MEDIAN = 2_000.0;

    /** At a chance of one half the median is three times as long. */
    private const SLOWER = 3.0;

    private const SIGMA = 0.4;

    /** Parts that a chance is told by. */
    private const PARTS = 1_000_000_000;

    private readonly Randomizer $chance;

    private readonly float $pace;

    private readonly float $keeps;

    /** @var array<string, float> seconds, by card */
    private array $halfLife = [];

    /** @var array<string, int> when each was asked last */
    private array $asked = [];

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
        $this->pace = $this->between(0.6, 1.6);
        $this->keeps = $this->between(0.7, 1.4);
    }

    /** @param int $now seconds */
    public function answer(Note $note, int $now): Answer
    {
        $chance = $this->chanceOf($note, $now);
        $right = $this->between(0, 1) < $chance || $this->between(0, 1) < self::GUESSING;
        $median = self::MEDIAN * self::SLOWER ** (2 * (1 - $chance));
        $milliseconds = (int) round($this->pace * $median * exp(self::SIGMA * $this->normal()));
        $this->halfLife[$note->name] = max(self::LEAST_HALF_LIFE, ($this->halfLife[$note->name] ?? self::HALF_LIFE) * ($right ? 2.2 : 0.5));
        $this->asked[$note->name] = $now;

        return new Answer($right, $milliseconds, $now);
    }

    /** That it is remembered, guessing apart. */
    public function chanceOf(Note $note, int $now): float
    {
        if (! isset($this->asked[$note->name])) {
            return $note->byALandmark ? self::FIRST_TIME_BY_A_LANDMARK : self::FIRST_TIME;
        }

        return 0.5 ** (($now - $this->asked[$note->name]) / ($this->keeps * ($this->halfLife[$note->name] ?? self::HALF_LIFE)));
    }

    private function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->chance->getInt(0, self::PARTS) / self::PARTS;
    }

    private function normal(): float
    {
        return sqrt(-2 * log(max(1 / self::PARTS, $this->between(0, 1)))) * cos(2 * M_PI * $this->between(0, 1));
    }
}
