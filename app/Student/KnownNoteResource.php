<?php

declare(strict_types=1);

namespace App\Student;

use Nasturtium\Core\Formats\MusicXml\NoteChart;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;
use OpenApi\Attributes as OA;

/** A note the student has met: where it stands, and how well it is known. */
#[OA\Schema]
final readonly class KnownNoteResource
{
    /** @param string $id in the drawing of the chart */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public Clef $clef,
        #[OA\Property]
        public string $pitch,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public int $midi,
        #[OA\Property]
        public NoteStatus $status,
    ) {}

    /**
     * @param  array<string, NoteStatus>  $known  by clef:pitch
     * @return list<self> from low to high
     */
    public static function all(array $known): array
    {
        $notes = [];
        foreach ($known as $name => $status) {
            [$clef, $pitch] = explode(':', $name);
            [$clef, $pitch] = [Clef::from($clef), Pitch::parse($pitch)];
            $notes[] = new self(NoteChart::nameOf($clef, $pitch), $clef, $pitch->name(), StaffPlace::of($pitch, $clef), $pitch->midi(), $status);
        }
        usort($notes, static fn (self $a, self $b): int => [$a->midi, $a->clef->value] <=> [$b->midi, $b->clef->value]);

        return $notes;
    }

    /**
     * The notes on a grand staff.
     *
     * @param  list<self>  $notes
     * @return string MusicXML
     */
    public static function chart(array $notes): string
    {
        return NoteChart::write(array_map(static fn (self $note): array => [$note->clef, Pitch::parse($note->pitch)], $notes));
    }
}
