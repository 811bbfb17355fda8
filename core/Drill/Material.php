<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Reading\Route;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/** What cards are made of for one student. */
final readonly class Material
{
    public Landmarks $landmarks;

    public Phrases $phrases;

    /**
     * @param  list<array{Clef, Pitch}>  $notes  in the order they are met
     * @param  list<Piece>  $pieces  the pages that are open, the newest first
     */
    public function __construct(
        public array $notes,
        public array $pieces = [],
        public School $school = School::Landmark,
        ?Landmarks $landmarks = null,
        ?Phrases $phrases = null,
        public CountWay $counting = new CountWay(),
    ) {
        $this->landmarks = $landmarks ?? new Landmarks();
        $this->phrases = $phrases ?? Phrases::usual();
    }

    /** How a note is found, by the student's school, as a sentence. */
    public function way(Clef $clef, Pitch $pitch): string
    {
        return ucfirst(Route::to($pitch, $clef, $this->school, $this->landmarks, $this->phrases)).'.';
    }

    /** `on line 2`, `in space 3`, `in the space below`, `on ledger line 1 below` */
    public function where(Clef $clef, Pitch $pitch): string
    {
        $place = str_replace('ledger', 'ledger line', StaffPlace::of($pitch, $clef));

        return match (true) {
            str_starts_with($place, 'space above'), str_starts_with($place, 'space below') => "in the {$place}",
            str_starts_with($place, 'space') => "in {$place}",
            default => "on {$place}",
        };
    }

    /** @return list<Pitch> of one staff, from the lowest */
    public function on(Clef $clef): array
    {
        $pitches = array_values(array_map(static fn (array $note): Pitch => $note[1], array_filter($this->notes, static fn (array $note): bool => $note[0] === $clef)));
        usort($pitches, static fn (Pitch $a, Pitch $b): int => $a->midi() <=> $b->midi());

        return $pitches;
    }
}
