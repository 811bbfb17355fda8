<?php

declare(strict_types=1);

namespace Tests;

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Piece;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Pieces for two hands within five-finger positions, by seeded chance: apart, in turns, and together, as the first books have them. */
final class FiveFingerPiece
{
    /** Where the thumb or the little finger lies: right hand, left hand. */
    private const POSITIONS = [['@c4', '@5=c3'], ['@c4', '@c4'], ['@g4', '@5=g3'], ['@g4', '@5=g2'], ['@f4', '@5=f3'], ['@d4', '@5=d3'], ['@c4', '@5=f3'], ['@g4', '@5=c3'], ['@e4', '@c4'], ['@c5', '@5=c3']];

    private const RHYTHMS = [
        '4/4' => [['q', 'q', 'q', 'q'], ['h', 'h'], ['q', 'q', 'h'], ['v', 'v', 'q', 'h'], ['h.', 'q'], ['w']],
        '3/4' => [['q', 'q', 'q'], ['h', 'q'], ['h.'], ['q', 'v', 'v', 'q']],
    ];

    public static function of(int $seed, string $pickup = ''): Piece
    {
        $chance = new Randomizer(new Mt19937($seed));
        $meter = array_keys(self::RHYTHMS)[$chance->getInt(0, 1)];
        [$right, $left] = self::POSITIONS[$chance->getInt(0, count(self::POSITIONS) - 1)];
        $way = $chance->getInt(0, 3);
        $text = "time: {$meter}\n";
        for ($line = 0; $line < $chance->getInt(2, 4); $line++) {
            $lines = ['R' => $line === 0 ? $right.($pickup === '' ? '' : " {$pickup} |") : '', 'L' => $line === 0 ? $left.($pickup === '' ? '' : ' |') : ''];
            for ($bar = 0; $bar < 4; $bar++) {
                $inTurn = $chance->getInt(0, 1);
                foreach (['R', 'L'] as $i => $hand) {
                    $rests = $way === 0 && $i !== $inTurn;
                    $held = $way === 1 && $hand === 'L';
                    $lines[$hand] .= $rests ? ' /' : self::bar($chance, $held ? [$meter === '4/4' ? ($chance->getInt(0, 1) ? 'w' : 'h h') : 'h.'] : self::RHYTHMS[$meter][$chance->getInt(0, count(self::RHYTHMS[$meter]) - 1)], $hand);
                    $lines[$hand] .= ' |';
                }
            }
            $text .= "R: {$lines['R']}\nL: {$lines['L']}\n";
        }

        return ShorthandReader::read($text)->piece ?? throw new \LogicException($text);
    }

    /** @param list<string> $lengths */
    private static function bar(Randomizer $chance, array $lengths, string $hand): string
    {
        $bar = '';
        $finger = $chance->getInt(1, 5);
        foreach (explode(' ', implode(' ', $lengths)) as $length) {
            $finger = max(1, min(5, $finger + [-2, -1, -1, 0, 1, 1, 2][$chance->getInt(0, 6)]));
            $bar .= $chance->getInt(1, 14) === 1 ? " {$length}r" : ($hand === 'L' && $chance->getInt(1, 9) === 1 ? " {$length}(15)" : " {$length}{$finger}");
        }

        return $bar;
    }
}
