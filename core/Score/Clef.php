<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** The clefs of a page. A student's page has the first two; the others are shown as they are, and its notes are read by them. */
enum Clef: string
{
    case Treble = 'treble';
    case Bass = 'bass';
    case TrebleUp = 'treble-8va';
    case TrebleDown = 'treble-8vb';
    case BassUp = 'bass-8va';
    case BassDown = 'bass-8vb';
    case Soprano = 'soprano';
    case MezzoSoprano = 'mezzo-soprano';
    case Alto = 'alto';
    case Tenor = 'tenor';
    case Baritone = 'baritone';

    /** Sign, its line, and the octaves that it sounds above. */
    private const PRINTED = [
        'treble' => ['G', 2, 0], 'bass' => ['F', 4, 0], 'treble-8va' => ['G', 2, 1], 'treble-8vb' => ['G', 2, -1], 'bass-8va' => ['F', 4, 1], 'bass-8vb' => ['F', 4, -1],
        'soprano' => ['C', 1, 0], 'mezzo-soprano' => ['C', 2, 0], 'alto' => ['C', 3, 0], 'tenor' => ['C', 4, 0], 'baritone' => ['C', 5, 0],
    ];

    /** Letter counts from C0 of the notes that the signs name. */
    private const NAMED = ['G' => 32, 'F' => 24, 'C' => 28];

    /** @return self|null null for a clef that is not read, such as that of drums */
    public static function printed(string $sign, int $line, int $octaves): ?self
    {
        $name = array_search([$sign, $line, $octaves], self::PRINTED, true);

        return $name === false ? null : self::from($name);
    }

    public function sign(): string
    {
        return self::PRINTED[$this->value][0];
    }

    /** From 1, the bottom line. */
    public function line(): int
    {
        return self::PRINTED[$this->value][1];
    }

    /** What it sounds above where it is written. */
    public function octaves(): int
    {
        return self::PRINTED[$this->value][2];
    }

    /** The letter count from C0 of the bottom line: E4 or G2. */
    public function bottomLine(): int
    {
        return self::NAMED[$this->sign()] - 2 * ($this->line() - 1) + 7 * $this->octaves();
    }

    /** Most hands that read it are the left one. */
    public function isLow(): bool
    {
        return $this->bottomLine() < self::Alto->bottomLine();
    }

    /** As it is said: `treble`, `treble 8vb`. */
    public function words(): string
    {
        return str_replace('-', ' ', $this->value);
    }
}
