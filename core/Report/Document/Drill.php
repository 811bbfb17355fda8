<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Reading\Drill as NoteToDrill;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Score\Clef;

/** A note to drill before the page is opened. */
final readonly class Drill implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Clef  $clef  it is written in
     * @param  string  $pitch  its name
     * @param  NoteStatus  $status  for this student
     * @param  string  $why  in words
     */
    public function __construct(
        public Clef $clef,
        public string $pitch,
        public NoteStatus $status,
        public string $why,
    ) {}

    public static function of(NoteToDrill $drill): self
    {
        return new self($drill->clef, $drill->pitch->name(), $drill->status, $drill->why);
    }
}
