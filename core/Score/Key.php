<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A key signature with its mode. */
final readonly class Key
{
    private const SHARPS = [3, 0, 4, 1, 5, 2, 6];

    private const TONICS = ['Cb', 'Gb', 'Db', 'Ab', 'Eb', 'Bb', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#', 'G#', 'D#', 'A#'];

    /**
     * @param  int  $fifths  sharps above zero, flats below
     * @param  bool  $fixed  false when the page names no key
     * @param  bool  $modeKnown  false while a source has named the signature alone
     *
     * @throws InvalidScore with more than seven sharps or flats
     */
    public function __construct(public int $fifths = 0, public bool $minor = false, public bool $fixed = true, public bool $modeKnown = true)
    {
        if (abs($fifths) > 7) {
            throw InvalidScore::noKeySignature($fifths);
        }
    }

    /** @throws InvalidScore when it does not read like `G`, `Bb`, `Am`, `E minor` or `none` */
    public static function parse(string $text): self
    {
        if (trim($text) === 'none') {
            return new self(fixed: false);
        }
        if (preg_match('/^\s*([A-Ga-g])(#|b)?\s*(m|min|minor|major)?\s*$/', $text, $found) !== 1) {
            throw InvalidScore::notAKey($text);
        }
        $minor = in_array($found[3] ?? '', ['m', 'min', 'minor'], true);
        $place = (int) array_search(strtoupper($found[1]).($found[2] ?? ''), self::TONICS, true);

        return new self($place - 7 - ($minor ? 3 : 0), $minor);
    }

    /** What the signature does to a letter: 1 sharpens it, -1 flattens it. */
    public function alters(int $step): int
    {
        $place = (int) array_search($step, self::SHARPS, true);

        return match (true) {
            $this->fifths > $place => 1,
            $this->fifths < $place - 6 => -1,
            default => 0,
        };
    }

    /** The letter of movable do: the major tonic of this signature, so that minor is la-based. */
    public function doStep(): int
    {
        return (4 * $this->fifths % 7 + 7) % 7;
    }

    /** As it is typed: `G`, `E minor`, or `none` where the page names no key. */
    public function typed(): string
    {
        return match (true) {
            ! $this->fixed => 'none',
            $this->minor => $this->name(),
            default => self::TONICS[$this->fifths + 7],
        };
    }

    public function equals(self $other): bool
    {
        return $this->fifths === $other->fifths && $this->minor === $other->minor;
    }

    /** `G major`, `E minor`. */
    public function name(): string
    {
        return $this->minor
            ? self::TONICS[$this->fifths + 10].' minor'
            : self::TONICS[$this->fifths + 7].' major';
    }
}
