<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use App\Page\Piece\Piece;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\ReviewSchedule;

/** A piece that a student works on, or reviews. */
final class LivedPage
{
    public ?string $finishedOn = null;

    /** @var list<bool> reviews heard that passed, in order */
    public array $reviews = [];

    public string $playedOn;

    /** @param list<LivedStage> $stages */
    public function __construct(public readonly int $id, public readonly Piece $piece, public readonly string $openedOn, public array $stages = [])
    {
        $this->playedOn = $openedOn;
    }

    /** @return list<LivedStage> */
    public function open(): array
    {
        return array_values(array_filter($this->stages, static fn (LivedStage $stage): bool => $stage->passedOn === null));
    }

    public function isDue(string $on): bool
    {
        return $this->finishedOn !== null && ReviewSchedule::isDue(ReviewSchedule::after($this->reviews), (int) CarbonImmutable::parse($this->playedOn)->diffInDays($on));
    }
}
