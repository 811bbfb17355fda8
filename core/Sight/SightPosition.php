<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

/** Five neighbouring keys of one hand that a line stays on: the lowest is do, or la in minor (trade 16.1). */
final readonly class SightPosition
{
    private const FIVE = 5;

    private function __construct(public Hand $hand, public Clef $clef, public Pitch $lowest, public Key $key) {}

    /** @return list<self> those that beginners meet, in the order they mostly do */
    public static function all(): array
    {
        $positions = [];
        foreach ([['C', 'C4', 'C3'], ['G', 'G4', 'G2'], ['A minor', 'A3', 'A2'], ['F', 'F4', 'F3'], ['D minor', 'D4', 'D3']] as [$key, $right, $left]) {
            $positions[] = new self(Hand::Right, Clef::Treble, Pitch::parse($right), Key::parse($key));
            $positions[] = new self(Hand::Left, Clef::Bass, Pitch::parse($left), Key::parse($key));
        }

        return $positions;
    }

    /** Of the same key, for the other hand. */
    public function partner(): ?self
    {
        foreach (self::all() as $other) {
            if ($other->hand !== $this->hand && $other->key->equals($this->key)) {
                return $other;
            }
        }

        return null;
    }

    /** @param int $degree 0 to 4 from the lowest key */
    public function pitch(int $degree): Pitch
    {
        $letter = Pitch::ofDiatonic($this->lowest->diatonic() + $degree);

        return Pitch::ofDiatonic($letter->diatonic(), $this->key->alters($letter->step));
    }

    /** The finger on a key of it. */
    public function finger(int $degree): int
    {
        return $this->hand === Hand::Right ? $degree + 1 : self::FIVE - $degree;
    }
}
