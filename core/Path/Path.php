<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

/** The order in which a page is learnt: one that ships, or a teacher's own (trade 8.1). */
final readonly class Path
{
    public const MOST_STEPS = 40;

    /** @param non-empty-list<PathStep> $steps in order; those that do not apply to a page drop out later */
    private function __construct(public string $name, public array $steps) {}

    public static function shipped(PathKind $kind): self
    {
        return new self($kind->words(), array_map(PathStep::of(...), $kind->stages()));
    }

    /**
     * @param  list<PathStep>  $steps
     *
     * @throws InvalidPath when it has no step, too many, or one twice
     */
    public static function own(string $name, array $steps): self
    {
        if ($steps === []) {
            throw InvalidPath::withoutStages();
        }
        if (count($steps) > self::MOST_STEPS) {
            throw InvalidPath::tooManyStages(self::MOST_STEPS);
        }
        $seen = [];
        foreach ($steps as $step) {
            if (isset($seen[$step->key()])) {
                throw InvalidPath::stageTwice($step->name);
            }
            $seen[$step->key()] = true;
        }

        return new self($name, $steps);
    }
}
