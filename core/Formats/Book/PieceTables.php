<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Csv;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Score\Hand;

/** What the teacher made of a piece, as tables: her own fingers and her verdicts. */
final class PieceTables
{
    private const FINGERS = ['hand', 'place', 'note', 'finger'];

    private const VERDICTS = ['bar', 'verdict'];

    private const PLACE = '~^\d{1,4}\.\d{1,3}(\+\d{1,3}/\d{1,3})?$~D';

    private const PITCH = '/^[A-G](#{1,2}|b{1,2})?-?\d{1,2}$/D';

    /** @param list<BookFinger> $fingers */
    public static function fingers(array $fingers): string
    {
        return Csv::write([self::FINGERS, ...array_map(static fn (BookFinger $one): array => [$one->hand->value, $one->place, $one->pitch, $one->finger], $fingers)]);
    }

    /** @param array<int, Verdict> $verdicts by the number of the bar */
    public static function verdicts(array $verdicts): string
    {
        return Csv::write([self::VERDICTS, ...array_map(static fn (int $bar, Verdict $verdict): array => [$bar, $verdict->value], array_keys($verdicts), $verdicts)]);
    }

    /**
     * @return list<BookFinger> each note once
     *
     * @throws BadInput with the row
     */
    public static function readFingers(string $csv, string $name): array
    {
        $read = [];
        foreach (array_slice(Csv::read($csv), 1, null, true) as $number => $cells) {
            [$hand, $place, $pitch, $finger] = array_pad($cells, 4, '');
            if (Hand::tryFrom($hand) === null || preg_match(self::PLACE, $place) !== 1 || preg_match(self::PITCH, $pitch) !== 1 || preg_match('/^[1-5]$/D', $finger) !== 1) {
                throw BadBook::noFinger($name, $number);
            }
            $read["{$hand} {$place} {$pitch}"] = new BookFinger(Hand::from($hand), $place, $pitch, (int) $finger);
        }

        return array_values($read);
    }

    /**
     * @return array<int, Verdict> by the number of the bar
     *
     * @throws BadInput with the row
     */
    public static function readVerdicts(string $csv, string $name): array
    {
        $read = [];
        foreach (array_slice(Csv::read($csv), 1, null, true) as $number => $cells) {
            [$bar, $verdict] = array_pad($cells, 2, '');
            if (preg_match('/^\d{1,4}$/D', $bar) !== 1 || Verdict::tryFrom($verdict) === null) {
                throw BadBook::noVerdict($name, $number);
            }
            $read[(int) $bar] = Verdict::from($verdict);
        }

        return $read;
    }
}
