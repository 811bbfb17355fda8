<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A written note in scientific octaves: middle C is C4. */
final readonly class Pitch
{
    public const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];

    private const SEMITONES = [0, 2, 4, 5, 7, 9, 11];

    /** Letters on the line of fifths, C at 0. */
    private const FIFTHS = [0, 2, 4, -1, 1, 3, 5];

    private const LOWEST_KEY = 21;

    private const HIGHEST_KEY = 108;

    /** What a file may write, and two octaves beyond it, where a duet is played. */
    private const LEAST_OCTAVE = -4;

    private const MOST_OCTAVE = 13;

    /**
     * @param  int  $step  the letter, 0 for C to 6 for B
     * @param  int  $alter  semitones: 1 for a sharp, -1 for a flat
     *
     * @throws InvalidScore
     */
    public function __construct(public int $step, public int $octave, public int $alter = 0)
    {
        if ($step < 0 || $step > 6 || $octave < self::LEAST_OCTAVE || $octave > self::MOST_OCTAVE || abs($alter) > 2) {
            throw InvalidScore::noPitch($step, $octave, $alter);
        }
    }

    /** @throws InvalidScore when it does not read like `C4`, `F#3` or `Bb2` */
    public static function parse(string $name): self
    {
        if (preg_match('/^([A-Ga-g])(#{1,2}|b{1,2})?(-?\d{1,2})$/', trim($name), $found) !== 1) {
            throw InvalidScore::notANoteName($name);
        }
        $alter = strlen($found[2]) * (str_starts_with($found[2], 'b') ? -1 : 1);

        return new self((int) array_search(strtoupper($found[1]), self::LETTERS, true), (int) $found[3], $alter);
    }

    /** @param int $diatonic letter names counted from C0, so that C4 is 28 */
    public static function ofDiatonic(int $diatonic, int $alter = 0): self
    {
        $octave = intdiv($diatonic - (($diatonic % 7 + 7) % 7), 7);

        return new self($diatonic - 7 * $octave, $octave, $alter);
    }

    /** The name of a key of the keyboard that is nearest to a key signature on the line of fifths: Bb and F# in C major, the leading note of a minor key. */
    public static function ofMidi(int $midi, Key $signature): self
    {
        $best = null;
        $least = PHP_INT_MAX;
        foreach (self::SEMITONES as $step => $semitones) {
            foreach ([1, 0, -1] as $alter) {
                $octaves = $midi - $alter - $semitones;
                // F is one fifth below C, B five above; a sharp is seven fifths up. The middle of a key lies two above its tonic.
                $away = abs(self::FIFTHS[$step] + 7 * $alter - $signature->fifths - 2);
                if ($octaves % 12 === 0 && $away < $least) {
                    $best = new self($step, intdiv($octaves, 12) - 1, $alter);
                    $least = $away;
                }
            }
        }

        return $best ?? throw InvalidScore::noKeyOfAPiano($midi);
    }

    /** Letter names counted from C0: one staff place is one step of this. */
    public function diatonic(): int
    {
        return 7 * $this->octave + $this->step;
    }

    /** The key's number as MIDI has it: middle C is 60. */
    public function midi(): int
    {
        return 12 * ($this->octave + 1) + self::SEMITONES[$this->step] + $this->alter;
    }

    public function letter(): string
    {
        return self::LETTERS[$this->step];
    }

    /** The letter with its accidental, without the octave: `F#`. */
    public function spelled(): string
    {
        return $this->letter().($this->alter < 0 ? str_repeat('b', -$this->alter) : str_repeat('#', $this->alter));
    }

    public function name(): string
    {
        /** @var array<int, array<int, string>> $names by letter count and alteration: the same few are asked for again and again */
        static $names = [];

        return $names[7 * $this->octave + $this->step][$this->alter] ??= $this->spelled().$this->octave;
    }

    /** A0 to C8. */
    public function isOnKeyboard(): bool
    {
        return $this->midi() >= self::LOWEST_KEY && $this->midi() <= self::HIGHEST_KEY;
    }

    public function equals(self $other): bool
    {
        return $this->step === $other->step && $this->octave === $other->octave && $this->alter === $other->alter;
    }
}
