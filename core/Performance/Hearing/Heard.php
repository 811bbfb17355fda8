<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** A take beside what is written (trade 18.1). */
final readonly class Heard
{
    /** One note in so many may be unsure; of a take with more too little was heard to say anything. */
    private const UNSURE = 5;

    /**
     * @param  list<HeardNote>  $notes  in play order
     * @param  list<TakenNote>  $extras
     * @param  list<array{before: int, milliseconds: int}>  $stalls  hesitations, by the note they come before
     * @param  list<array{at: int, from: int, to: int}>  $restarts  when, by the notes that would have come and that came
     * @param  list<array{note: int, milliseconds: int}>  $apart  hands that do not meet, by the first note of the moment
     * @param  ?int  $tempo  quarters a minute, in thousandths; null where too little was played
     * @param  ?int  $steady  of a thousand beats, those within a tenth of the beat around them
     * @param  int  $octave  octaves that it was played higher than it is written; the keys are told as if they were not
     */
    public function __construct(
        public WrittenMusic $music,
        public Source $source,
        public array $notes,
        public array $extras,
        public array $stalls,
        public array $restarts,
        public array $apart,
        public ?int $tempo,
        public ?int $steady,
        public int $octave = 0,
    ) {}

    /** Enough was heard to say how it was (trade 18.2). */
    public function isHeard(): bool
    {
        $unsure = array_filter($this->notes, static fn (HeardNote $note): bool => $note->status === HeardStatus::Unsure && $note->at === null);

        return self::UNSURE * count($unsure) <= count($this->notes);
    }

    /** The tempo in beats a minute, as the page counts them; null where too little was played. */
    public function beatsAMinute(): ?int
    {
        return $this->tempo === null ? null : intdiv($this->tempo * $this->music->piece->meter()->unit + 2_000, 4_000);
    }

    /** As it is written, once through: what counts for three in a row (trade 18.2). */
    public function isClean(): bool
    {
        if (! $this->isHeard()) {
            return false;
        }
        $other = array_filter($this->notes, static fn (HeardNote $note): bool => $note->status !== HeardStatus::Right && $note->status !== HeardStatus::Unsure);

        return $this->notes !== [] && $other === [] && $this->extras === [] && $this->stalls === [] && $this->restarts === [];
    }
}
