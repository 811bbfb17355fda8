<?php

declare(strict_types=1);

namespace App\Desk;

use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Report\Document\Report;

/** The breakdown of a piece with its sound, as they are worked out once and kept. */
final readonly class KeptReport
{
    /**
     * Of what both are made of and of what they say, so that nothing is read that another release has kept: a test says
     * when it has to change.
     */
    public const FORM = '4d1aa22cb8ce';

    public function __construct(public Report $report, public Playback $playback) {}
}
