<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use App\Demo\Chance;

/** Short tunes by seeded chance, in the shorthand: two lines of four bars, five fingers in each hand. */
final class InventedTunes
{
    private const FIRST = ['Amber', 'Quiet', 'Crooked', 'Hollow', 'Silver', 'Patient', 'Sleepy', 'Narrow', 'Windy', 'Copper', 'Distant', 'Mossy', 'Paper', 'Second', 'Velvet', 'Wandering'];

    private const LAST = ['Orchard', 'Harbour', 'Staircase', 'Lantern', 'Meadow', 'Ferry', 'Attic', 'Bridge', 'Heron', 'Teapot', 'Window', 'Cart', 'Island', 'Gate'];

    private const TEMPI = [72, 80, 84, 88, 92, 100, 108];

    /** Bars of four beats; each # is a finger. */
    private const BUSY = ['q####', 'q### r', 'h# q##', 'q## h#', 'v#### h#', 'q# v## q##', 'h.# qr'];

    private const CALM = ['w#', 'h# #', 'h# r', 'w(531)', '/'];

    private function __construct(private readonly Chance $chance) {}

    /** The same for the same number, and another title for each number up to 223. */
    public static function tune(int $number): string
    {
        return (new self(new Chance($number)))->write(
            self::FIRST[$number % count(self::FIRST)].' '.self::LAST[intdiv($number, count(self::FIRST)) % count(self::LAST)],
        );
    }

    private function write(string $title): string
    {
        $right = $this->chance->oneOf(['@c4', '@g4']);
        $left = $this->chance->oneOf(['@5=c3', '@5=g2']);
        $text = "title: {$title}\ntempo: {$this->chance->oneOf(self::TEMPI)}\n";
        foreach ([1, 2] as $line) {
            $busyLeft = $this->chance->oneIn(3);
            $text .= "R: {$right} {$this->bars($busyLeft ? self::CALM : self::BUSY, $line === 2)}\n";
            $text .= "L: {$left} {$this->bars($busyLeft ? self::BUSY : self::CALM, $line === 2)}\n";
            [$right, $left] = ['', ''];
        }

        return $text;
    }

    /** @param non-empty-list<string> $shapes */
    private function bars(array $shapes, bool $isEnd): string
    {
        $bars = [];
        for ($bar = 1; $bar <= 4; $bar++) {
            $shape = $isEnd && $bar === 4 ? 'w#' : $this->chance->oneOf($shapes);
            $bars[] = (string) preg_replace_callback('/#/', fn (): string => (string) $this->chance->between(1, 5), $shape);
        }

        return implode(' | ', $bars);
    }
}
