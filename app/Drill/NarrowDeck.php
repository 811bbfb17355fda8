<?php

declare(strict_types=1);

namespace App\Drill;

use Nasturtium\Core\Drill\DrillKind;

/** A drill of a few notes: of a task of the week, or before a page is played. */
final readonly class NarrowDeck
{
    /**
     * @param  list<string>  $notes  `treble:C4`
     * @param  ?int  $task  of the week
     * @param  ?string  $page  title of what is played with them
     */
    public function __construct(public DrillKind $kind, public array $notes, public ?int $task, public ?string $page) {}
}
