<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Reading\InventoryNote;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Score\Clef;

/** A note of the page in one clef, as the student will meet it. */
final readonly class Note implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Clef  $clef  it is written in
     * @param  string  $pitch  its name
     * @param  string  $letter  its name without the octave
     * @param  int  $times  it is written
     * @param  string  $first  the place it is met at
     * @param  NoteStatus  $status  for this student
     * @param  string  $route  how to find it, in words of the student's school
     * @param  string  $landmark  the nearest
     * @param  int  $steps  from the landmark, up positive
     * @param  string  $staff  its place on the staff
     * @param  string  $key  where its key lies, in words
     * @param  int  $midi  the number of its key: middle C is 60
     * @param  list<string>  $events  ids
     */
    public function __construct(
        public Clef $clef,
        public string $pitch,
        public string $letter,
        public int $times,
        public string $first,
        public NoteStatus $status,
        public string $route,
        public string $landmark,
        public int $steps,
        public string $staff,
        public string $key,
        public int $midi,
        public array $events,
    ) {}

    public static function of(InventoryNote $note): self
    {
        return new self(
            $note->clef,
            $note->pitch->name(),
            $note->pitch->spelled(),
            $note->times,
            (string) $note->first,
            $note->status,
            $note->route,
            $note->landmark->name(),
            $note->steps,
            $note->staff,
            $note->key,
            $note->midi,
            $note->events,
        );
    }
}
