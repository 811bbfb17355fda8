<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** A stage of a page as it comes to the lesson. */
final readonly class HeardStage
{
    /**
     * @param  bool  $isPassed  before this lesson
     * @param  bool  $wasSet  it had a day of the week that is heard
     * @param  bool  $wasPractised  it was ticked at home in this week
     * @param  bool  $isPreparation  no key of the page is played in it yet
     */
    public function __construct(public int $id, public bool $isPassed, public bool $wasSet, public bool $wasPractised, public bool $isPreparation) {}
}
