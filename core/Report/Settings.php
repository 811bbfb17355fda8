<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\School;

/** Whose page it is: how this student reads, counts and learns. */
final readonly class Settings
{
    public KnownNotes $known;

    public Landmarks $landmarks;

    public function __construct(
        public PathKind $path = PathKind::BeatFirst,
        public School $school = School::Landmark,
        public CountingSystem $counting = CountingSystem::Numbers,
        public CountStyle $style = CountStyle::WholeBar,
        ?Landmarks $landmarks = null,
        ?KnownNotes $known = null,
    ) {
        $this->landmarks = $landmarks ?? new Landmarks();
        $this->known = $known ?? KnownNotes::none();
    }
}
