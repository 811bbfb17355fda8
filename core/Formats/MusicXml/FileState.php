<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\PieceBuilder;

/** What a MusicXML part carries from measure to measure while it is read, and what of it was not understood. */
final class FileState
{
    public Meter $meter;

    public Key $key;

    public int $divisions = 1;

    /** Whether any time signature was given so far. */
    public bool $timed = false;

    /** How many measures the sign stands for that says to play those before again; 0 where none is in force. */
    public int $repeating = 0;

    /** The next measure begins a repeat, as the bar line before it says. */
    public bool $repeatStarts = false;

    /** Staves beyond the second, of which something was left out. */
    public bool $thirdStaff = false;

    public int $staves = 1;

    /** The hand of a part that has one staff, by its first clef. */
    public ?Hand $onlyHand = null;

    /** @var list<int> the passes of the ending that is open */
    public array $ending = [];

    /** The measure being read, as the file numbers it. */
    public string $bar = '1';

    /** @var list<array{int, string}> measure index and text */
    public array $noted = [];

    public function __construct(public readonly PieceBuilder $builder)
    {
        $this->meter = new Meter(4, 4);
        $this->key = new Key(fixed: false);
    }

    public function hand(int $staff): Hand
    {
        return match (true) {
            $this->staves < 2 => $this->onlyHand ?? Hand::Right,
            $staff === 1 => Hand::Right,
            default => Hand::Left,
        };
    }

    public function notRead(string $what): void
    {
        $noted = [max(0, $this->builder->count() - 1), "Bar {$this->bar}: {$what} is not read."];
        if (! in_array($noted, array_slice($this->noted, -20), true)) {
            $this->noted[] = $noted;
        }
    }

    public function at(\DOMElement $element): string
    {
        return "Bar {$this->bar} (line {$element->getLineNo()}): ";
    }

    /** @throws BadInput when the text is no whole number from the least to the most */
    public function number(\DOMElement $element, string $what, int $least, int $most): int
    {
        $text = trim($element->textContent);
        if (preg_match('/^[+-]?\d{1,7}(\.0*)?$/', $text) !== 1 || (int) $text < $least || (int) $text > $most) {
            throw BadMusicXml::notAWholeNumber($this->at($element), $what, $text, $least, $most);
        }

        return (int) $text;
    }

    /**
     * A length as a file counts it, in divisions of a quarter note; some write them with decimals.
     *
     * @return Fraction|null in whole notes; null when it is no number of at most nine digits and six decimals
     */
    public function length(string $text): ?Fraction
    {
        if (preg_match('/^(-?)(\d{1,9})(?:\.(\d{0,6})\d*)?$/', $text, $found) !== 1) {
            return null;
        }
        $decimals = rtrim($found[3] ?? '', '0');
        $scale = 10 ** strlen($decimals);
        $count = (int) $found[2] * $scale + (int) $decimals;

        return Fraction::of($found[1] === '-' ? -$count : $count, $scale)->dividedBy(Fraction::of(4 * $this->divisions));
    }
}
