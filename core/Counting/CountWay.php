<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

/** How a student counts (trade 5.1). */
final readonly class CountWay
{
    /** For time names and the teacher's own words; a length without one is said by its time name. */
    public LengthWords $words;

    /** @param string $ready the last words of the count-in, such as `ready go`; none for counts alone */
    public function __construct(
        public CountingSystem $system = CountingSystem::Numbers,
        public CountStyle $style = CountStyle::WholeBar,
        public LongNotes $long = LongNotes::AllCounts,
        public CompoundBeats $compound = CompoundBeats::Eighths,
        public NoteWords $noteWords = NoteWords::American,
        public string $ready = '',
        ?LengthWords $words = null,
    ) {
        $this->words = ($words ?? LengthWords::timeNames())->or(LengthWords::timeNames());
    }
}
