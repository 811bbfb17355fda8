<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Words;

/** A term in sentences that a teacher would write. */
final class TermWords
{
    /** Slips of one kind that are worth a word. */
    private const OFTEN = 3;

    /** @return list<string> */
    public static function practice(string $name, int $daysPlanned, int $daysPractised, int $minutes): array
    {
        if ($daysPlanned === 0) {
            return ["{$name} had no week planned in this time."];
        }
        $hours = intdiv($minutes, 60);
        $time = $hours >= 2 ? "{$hours} hours" : "{$minutes} minutes";
        $share = intdiv(100 * $daysPractised, $daysPlanned);
        $how = match (true) {
            $share >= 80 => 'That is steady work.',
            $share >= 50 => 'That carries the lessons well.',
            default => 'A little more often, even for a short time, would help most.',
        };

        return ["{$name} practised on {$daysPractised} of {$daysPlanned} planned days, {$time} in all. {$how}"];
    }

    /**
     * @param  list<string>  $shaky  names of notes
     * @return list<string>
     */
    public static function notes(string $name, int $secure, int $before, array $shaky): array
    {
        $more = $secure - $before;
        $said = "{$name} reads ".self::count($secure, 'note').' securely'.($more > 0 ? ", {$more} more than at the start." : '.');
        if ($shaky !== []) {
            $said .= ' '.Words::listed(array_slice($shaky, 0, 6)).(count($shaky) === 1 ? ' is' : ' are').' still shaky.';
        }

        return [$said];
    }

    /**
     * @param  list<string>  $signedOff  titles
     * @param  list<string>  $open
     * @return list<string>
     */
    public static function pieces(array $signedOff, array $open): array
    {
        return [
            ...$signedOff === [] ? [] : [self::count(count($signedOff), 'piece').' signed off: '.Words::listed($signedOff).'.'],
            ...$open === [] ? [] : ['At work on '.Words::listed($open).'.'],
        ];
    }

    /**
     * @param  list<array{piece: string, from: int, to: int}>  $tempi
     * @return list<string>
     */
    public static function tempi(array $tempi): array
    {
        $risen = array_filter($tempi, static fn (array $of): bool => $of['to'] > $of['from']);

        return array_values(array_map(static fn (array $of): string => "{$of['piece']} went from {$of['from']} to {$of['to']} beats a minute.", $risen));
    }

    /**
     * @param  list<array{words: string, recent: int, before: int}>  $slips  in the second half of the time and in the first
     * @return list<string>
     */
    public static function slips(array $slips): array
    {
        $said = [];
        foreach ($slips as ['words' => $words, 'recent' => $recent, 'before' => $before]) {
            if ($recent + $before >= self::OFTEN) {
                $trend = $recent < $before ? 'lately less' : ($recent > $before ? 'lately more' : 'no less lately');
                $said[] = ucfirst($words).': '.($recent + $before)." times, {$trend}.";
            }
        }

        return $said;
    }

    private static function count(int $number, string $thing): string
    {
        return $number === 1 ? "one {$thing}" : "{$number} {$thing}s";
    }
}
