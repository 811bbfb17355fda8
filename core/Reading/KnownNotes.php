<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Pitch;

/** How well a student knows which notes, in any clef or in one; a note that is not named is new. */
final readonly class KnownNotes
{
    /** @param array<string, NoteStatus> $status by `C4`, or `bass:C4` for one clef only */
    private function __construct(public array $status) {}

    public static function none(): self
    {
        return new self([]);
    }

    /**
     * Notes that are secure.
     *
     * @param  iterable<string>  $names  `C4` or `bass:C4`
     *
     * @throws InvalidScore
     */
    public static function of(iterable $names): self
    {
        $known = [];
        foreach ($names as $name) {
            $known[$name] = NoteStatus::Secure;
        }

        return self::with($known);
    }

    /**
     * @param  array<string, NoteStatus>  $status  by `C4` or `bass:C4`
     *
     * @throws InvalidScore
     */
    public static function with(array $status): self
    {
        $known = [];
        foreach ($status as $name => $how) {
            [$clef, $pitch] = str_contains($name, ':') ? explode(':', $name, 2) : ['', $name];
            $known[($clef === '' ? '' : "{$clef}:").Pitch::parse($pitch)->name()] = $how;
        }
        ksort($known);

        return new self($known);
    }

    public function status(Pitch $pitch, Clef $clef): NoteStatus
    {
        return $this->status["{$clef->value}:{$pitch->name()}"] ?? $this->status[$pitch->name()] ?? NoteStatus::Fresh;
    }
}
