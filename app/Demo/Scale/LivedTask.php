<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use Nasturtium\Core\Practice\TaskKind;

/** A task of a week that is under way. */
final class LivedTask
{
    /** @var list<string> */
    public array $dates = [];

    public int $practised = 0;

    /** @param int $days it is wanted on */
    public function __construct(
        public readonly int $id,
        public readonly TaskKind $kind,
        public readonly int $halfMinutes,
        public readonly int $repetitions,
        public readonly int $days,
        public readonly ?LivedPage $page = null,
        public readonly ?LivedStage $stage = null,
    ) {}
}
