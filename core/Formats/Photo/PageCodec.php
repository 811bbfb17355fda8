<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Meter;

/**
 * Writes what was read as JSON, and reads it again: what is kept while a teacher looks at it.
 *
 * @phpstan-type KeptSign array{0: int, 1: int, 2: int, 3: int, 4: list<array{int, int|null, int|null, bool}>, 5?: list<string>, 6?: string, 7?: int, 8?: string, 9?: string, 10?: array{int, int}|null, 11?: string}
 */
final class PageCodec
{
    public static function written(ReadPage $page): string
    {
        return json_encode(array_map(self::piece(...), $page->pieces), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /** @throws BadPhoto when it was written by something else */
    public static function read(string $json): ReadPage
    {
        try {
            /** @var non-empty-list<array{clefs: list<string>, fifths: int, time: string|array{int, int}, title: string, tempo?: array{string, int|null}, number?: int, bars: list<array{0: list<list<KeptSign>>, 1: bool, 2: bool, 3: list<array{0: int, 1: string, 2?: int}>, 4: int, 5: list<array{int, int}>, 6?: int, 7?: array<int, string>, 8?: int|null, 9?: string|array{int, int}|null, 10?: array<int, list<KeptSign>>}>}> $pieces */
            $pieces = json_decode($json, true, 16, JSON_THROW_ON_ERROR);

            return new ReadPage(array_map(static fn (array $piece): ReadPhoto => new ReadPhoto(
                array_map(Clef::from(...), $piece['clefs']),
                $piece['fifths'],
                self::time($piece['time']),
                array_map(self::bar(...), $piece['bars']),
                $piece['title'],
                new TempoWords(...($piece['tempo'] ?? [])),
                $piece['number'] ?? 1,
            ), $pieces));
        } catch (\JsonException|\TypeError|\ValueError|InvalidScore) {
            throw BadPhoto::notKept();
        }
    }

    /** @return array<string, mixed> */
    private static function piece(ReadPhoto $piece): array
    {
        return [
            'clefs' => array_map(static fn (Clef $clef): string => $clef->value, $piece->clefs),
            'fifths' => $piece->fifths,
            'time' => $piece->time->printed(),
            'title' => $piece->title,
            'tempo' => [$piece->tempo->words, $piece->tempo->beats],
            'number' => $piece->number,
            'bars' => array_map(static fn (ReadBar $bar): array => [
                array_map(self::signs(...), $bar->staves),
                $bar->repeatStart, $bar->repeatEnd, $bar->doubts, $bar->line, $bar->columns, $bar->ending,
                array_map(static fn (Clef $clef): string => $clef->value, $bar->clefs), $bar->fifths, $bar->time?->printed(),
                array_map(self::signs(...), $bar->others),
            ], $piece->bars),
        ];
    }

    /**
     * @param  list<ReadSign>    $signs
     * @return list<list<mixed>>
     */
    private static function signs(array $signs): array
    {
        return array_map(static fn (ReadSign $sign): array => [
            $sign->x, $sign->onset, $sign->base, $sign->dots,
            array_map(static fn (ReadHead $head): array => [$head->place, $head->sign, $head->finger, $head->tied], $sign->heads),
            array_map(static fn (Mark $mark): string => $mark->value, $sign->marks),
            $sign->lyric,
            $sign->voice,
            $sign->dynamic,
            implode('', array_map(static fn (LineEnd $end): string => $end->value, $sign->lines)),
            $sign->seen,
            $sign->clef->value ?? '',
        ], $signs);
    }

    /** @param array{0: list<list<KeptSign>>, 1: bool, 2: bool, 3: list<array{0: int, 1: string, 2?: int}>, 4: int, 5: list<array{int, int}>, 6?: int, 7?: array<int, string>, 8?: int|null, 9?: string|array{int, int}|null, 10?: array<int, list<KeptSign>>} $bar */
    private static function bar(array $bar): ReadBar
    {
        [$staves, $start, $end, $doubts, $line, $columns] = $bar;
        // What was kept before endings, and other clefs, keys and times, were read has none.
        $ending = $bar[6] ?? 0;

        return new ReadBar(
            array_map(self::kept(...), $staves),
            $start,
            $end,
            $doubts,
            $line,
            $columns,
            $ending,
            array_map(Clef::from(...), $bar[7] ?? []),
            $bar[8] ?? null,
            isset($bar[9]) ? self::time($bar[9]) : null,
            // And was read once.
            array_map(self::kept(...), $bar[10] ?? []),
        );
    }

    /**
     * @param  list<KeptSign> $signs
     * @return list<ReadSign>
     */
    private static function kept(array $signs): array
    {
        return array_map(static fn (array $sign): ReadSign => new ReadSign(
            $sign[0],
            $sign[1],
            $sign[2],
            $sign[3],
            array_map(static fn (array $head): ReadHead => new ReadHead(...$head), $sign[4]),
            // What was kept before marks and words were read has none.
            array_map(Mark::from(...), $sign[5] ?? []),
            $sign[6] ?? '',
            $sign[7] ?? 0,
            $sign[8] ?? '',
            array_map(LineEnd::from(...), ($sign[9] ?? '') === '' ? [] : str_split($sign[9])),
            $sign[10] ?? null,
            Clef::tryFrom($sign[11] ?? ''),
        ), $signs);
    }

    /**
     * What was kept before the signs of a time were read has two numbers.
     *
     * @param string|array{int, int} $time
     */
    private static function time(string|array $time): Meter
    {
        return is_string($time) ? Meter::parse($time) : new Meter(...$time);
    }
}
