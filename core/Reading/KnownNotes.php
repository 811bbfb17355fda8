<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Pitch;

/** The notes a student has met, in any clef or in one. */
final readonly class KnownNotes
{
    /** @param array<string, true> $names `C4`, or `bass:C4` for one clef only */
    private function __construct(private array $names) {}

    public static function none(): self
    {
        return new self([]);
    }

    /**
     * @param  iterable<string>  $names  `C4` or `bass:C4`
     *
     * @throws InvalidScore
     */
    public static function of(iterable $names): self
    {
        $known = [];
        foreach ($names as $name) {
            [$clef, $pitch] = str_contains($name, ':') ? explode(':', $name, 2) : ['', $name];
            $known[($clef === '' ? '' : "{$clef}:").Pitch::parse($pitch)->name()] = true;
        }

        return new self($known);
    }

    /** `secure` for a note that is known, else `new`. */
    public function status(Pitch $pitch, Clef $clef): string
    {
        return isset($this->names[$pitch->name()]) || isset($this->names["{$clef->value}:{$pitch->name()}"]) ? 'secure' : 'new';
    }
}
