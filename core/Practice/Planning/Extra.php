<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** What filling has added to a day. */
final readonly class Extra
{
    /** @param string $id of the task, or Filling::CHOICE */
    public function __construct(public string $id, public string $date, public int $halfMinutes) {}
}
