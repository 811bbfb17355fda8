<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Note;

/** Which accidentals are printed in one hand's measure: an accidental holds to the bar line, on its own place only. */
final class PrintedAccidentals
{
    private const NAMES = [-2 => 'flat-flat', -1 => 'flat', 0 => 'natural', 1 => 'sharp', 2 => 'double-sharp'];

    /** @var array<int, int> the alteration in force, by staff place */
    private array $inForce = [];

    public function __construct(private readonly Key $key) {}

    /** The alteration in force at a staff place, as printed so far. */
    public function at(int $diatonic): int
    {
        return $this->inForce[$diatonic] ?? $this->key->alters(($diatonic % 7 + 7) % 7);
    }

    public function set(int $diatonic, int $alter): void
    {
        $this->inForce[$diatonic] = $alter;
    }

    /** @return string|null the name of the accidental to print before this note */
    public function shown(Note $note): ?string
    {
        $place = $note->pitch->diatonic();
        if ($note->tieStop || $this->at($place) === $note->pitch->alter) {
            return null;
        }
        $this->set($place, $note->pitch->alter);

        return self::NAMES[$note->pitch->alter] ?? null;
    }
}
