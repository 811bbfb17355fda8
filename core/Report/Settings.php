<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Counting\CountWay;
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
        public CountWay $counting = new CountWay(),
        ?Landmarks $landmarks = null,
        ?KnownNotes $known = null,
    ) {
        $this->landmarks = $landmarks ?? new Landmarks();
        $this->known = $known ?? KnownNotes::none();
    }
}
