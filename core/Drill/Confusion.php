<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Pitch;

/** A note that was taken for another (trade 10.3). */
final readonly class Confusion
{
    private function __construct(public Clef $clef, public Pitch $note, public Pitch $taken, public int $times) {}

    /**
     * @param  string  $note  `treble:B4`
     * @param  string  $given  a letter, or the number of a key
     * @return ?self null where what was given is no other note
     */
    public static function of(string $note, string $given, int $times): ?self
    {
        [$clef, $name] = [...explode(':', $note), ''];
        try {
            $pitch = Pitch::parse($name);
            $taken = ctype_digit($given) ? self::keyNear((int) $given, $pitch) : self::letterNear(Pitch::parse("{$given}4"), $pitch);
        } catch (InvalidScore) {
            return null;
        }
        $clef = Clef::tryFrom($clef);

        return $clef === null || $taken->midi() === $pitch->midi() ? null : new self($clef, $pitch, $taken, $times);
    }

    /** `B4 for C5, a step higher` */
    public function words(): string
    {
        $steps = $this->taken->diatonic() - $this->note->diatonic();
        $far = match (abs($steps)) {
            0 => 'the next key',
            1 => 'a step',
            2 => 'a skip',
            default => Move::interval($steps),
        };

        return "{$this->note->name()} for {$this->taken->name()}, {$far} ".($this->taken->midi() > $this->note->midi() ? 'higher' : 'lower');
    }

    /** Of all notes of a letter the nearest: whoever names a letter says no octave. */
    private static function letterNear(Pitch $letter, Pitch $to): Pitch
    {
        $best = $letter;
        for ($octave = $to->octave - 1; $octave <= $to->octave + 1; $octave++) {
            $one = new Pitch($letter->step, $octave, $letter->alter);
            if (abs($one->diatonic() - $to->diatonic()) < abs($best->diatonic() - $to->diatonic())) {
                $best = $one;
            }
        }

        return $best;
    }

    /** A white key has its letter; a black one is called as the note it was taken for. */
    private static function keyNear(int $key, Pitch $to): Pitch
    {
        foreach ([0, $to->alter < 0 ? -1 : 1] as $alter) {
            for ($diatonic = 0; $diatonic < 70; $diatonic++) {
                $pitch = Pitch::ofDiatonic($diatonic, $alter);
                if ($pitch->midi() === $key) {
                    return $pitch;
                }
            }
        }

        throw InvalidScore::noKeyOfAPiano($key);
    }
}
