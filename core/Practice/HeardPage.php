<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/**
 * A page as it is heard at the lesson: as one thing, not stage by stage. The furthest stage that was practised is heard;
 * when it passes, what stands before it has passed too (trade 12.6).
 */
final readonly class HeardPage
{
    /** @param list<HeardStage> $stages in the order of the path */
    public function __construct(private array $stages) {}

    /**
     * The stage that is heard: the furthest that was practised, or else the first that was set and is open, or else the
     * first open one, or else the last.
     *
     * @return ?int its id; null for a page without stages
     */
    public function heard(): ?int
    {
        foreach (array_reverse($this->stages) as $stage) {
            if ($stage->wasPractised) {
                return $stage->id;
            }
        }
        $open = $this->open();
        $set = array_values(array_filter($open, static fn (HeardStage $stage): bool => $stage->wasSet));
        $heard = $set[0] ?? $open[0] ?? $this->stages[count($this->stages) - 1] ?? null;

        return $heard?->id;
    }

    /** @return list<int> the open stages that pass when one does: it, and all before it; by id */
    public function passingWith(int $heard): array
    {
        $passing = [];
        foreach ($this->stages as $stage) {
            if (! $stage->isPassed) {
                $passing[] = $stage->id;
            }
            if ($stage->id === $heard) {
                return $passing;
            }
        }

        return [];
    }

    /** @return ?int the last stage that is done together when the page is new: of what makes ready, before the first that is played; null when none is open there */
    public function together(): ?int
    {
        $last = null;
        foreach ($this->stages as $stage) {
            if (! $stage->isPreparation) {
                break;
            }
            $last = $stage->id;
        }

        return $last === null || $this->passingWith($last) === [] ? null : $last;
    }

    /** @return list<HeardStage> */
    private function open(): array
    {
        return array_values(array_filter($this->stages, static fn (HeardStage $stage): bool => ! $stage->isPassed));
    }
}
