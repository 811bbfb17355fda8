<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;

/** What was read, as the teacher has corrected it. A correction of what is not there changes nothing. */
final class Corrected
{
    /** Where a note stands that takes the place of a rest: the middle line. */
    private const MIDDLE = 4;

    /** Columns after a sign at which an added one is shown. */
    private const BESIDE = 18;

    /** @param list<Correction> $corrections in the order they were made */
    public static function page(ReadPage $page, array $corrections): ReadPage
    {
        $pieces = $page->pieces;
        foreach ($corrections as $correction) {
            if (isset($pieces[$correction->piece])) {
                $pieces[$correction->piece] = self::piece($pieces[$correction->piece], $correction);
            }
        }

        return new ReadPage($pieces);
    }

    private static function piece(ReadPhoto $piece, Correction $correction): ReadPhoto
    {
        return match ($correction->change) {
            Change::Clef => $piece->with(clefs: self::otherClef($piece->clefs, $correction->staff)),
            Change::Key => $piece->with(fifths: self::around($piece->fifths + ($correction->value ?? 1))),
            Change::Join => Bars::joined($piece, $correction->bar),
            Change::Split => Bars::split($piece, $correction->bar, $correction->staff, $correction->sign),
            Change::Time => self::withTime($piece, self::timeAfter($piece->time)),
            default => self::bar($piece, $correction),
        };
    }

    /**
     * @param  list<Clef> $clefs
     * @return list<Clef>
     */
    private static function otherClef(array $clefs, int $staff): array
    {
        return array_map(static fn (Clef $clef, int $i): Clef => $i === $staff ? ($clef === Clef::Treble ? Clef::Bass : Clef::Treble) : $clef, $clefs, array_keys($clefs));
    }

    /** From seven sharps it goes on with seven flats. */
    private static function around(int $fifths): int
    {
        return (($fifths + 7) % 15 + 15) % 15 - 7;
    }

    private static function timeAfter(Meter $time): Meter
    {
        $here = array_search($time->printed(), PageBuilder::TIMES, true);

        return Meter::parse(PageBuilder::TIMES[$here === false ? 0 : ($here + 1) % count(PageBuilder::TIMES)]);
    }

    /**
     * Lengths that were changed to come to the old time are as they were seen again, but those that she has set. A bar that does
     * not come to the new time is in doubt; one that does is not for its sum.
     */
    private static function withTime(ReadPhoto $piece, Meter $time): ReadPhoto
    {
        $timed = $piece->with(time: $time);
        $bars = [];
        foreach ($piece->bars as $n => $bar) {
            $doubts = array_values(array_filter($bar->doubts, static fn (array $doubt): bool => $doubt[1] !== 'sum'));
            foreach ($bar->staves as $staff => $signs) {
                $isRest = count($signs) === 1 && $signs[0]->isRest() && $signs[0]->ticks() === $piece->fullBar($bar);
                $bar = $bar->withStaff($staff, $isRest ? [$signs[0]->lasting($timed->fullBar($bar), 0)] : array_map(static fn (ReadSign $sign): ReadSign => $sign->asSeen(), $signs));
            }
            $bars[] = $bar->doubted([...$doubts, ...$timed->sumDoubts($bar, $n === 0)]);
        }

        return $timed->with(bars: $bars);
    }

    private static function bar(ReadPhoto $piece, Correction $correction): ReadPhoto
    {
        $bars = $piece->bars;
        $bar = $bars[$correction->bar] ?? null;
        $signs = $bar?->staves[$correction->staff] ?? null;
        if ($bar === null || $signs === null) {
            return $piece;
        }
        if ($correction->change === Change::Right) {
            $bars[$correction->bar] = $bar->doubted(array_values(array_filter($bar->doubts, static fn (array $doubt): bool => $doubt[0] !== $correction->staff + 1)));
        } elseif ($correction->change === Change::Other) {
            $bars[$correction->bar] = $bar->swapped($correction->staff);
        } else {
            $bars[$correction->bar] = $bar->withStaff($correction->staff, self::signs($signs, $correction, $piece->fullBar($bar)));
        }

        return $piece->with(bars: $bars);
    }

    /**
     * @param  list<ReadSign> $signs
     * @return list<ReadSign>
     */
    private static function signs(array $signs, Correction $correction, int $full): array
    {
        $sign = $signs[$correction->sign] ?? null;
        if ($sign === null) {
            // Into an empty bar something can be put.
            return $correction->change === Change::Add && $signs === [] ? [new ReadSign(0, 0, Item::QUARTER, 0, [new ReadHead(self::MIDDLE)])] : $signs;
        }
        $new = match ($correction->change) {
            Change::Remove => [],
            Change::Add => [$sign, new ReadSign($sign->x + self::BESIDE, 0, Item::QUARTER, 0, [new ReadHead($sign->heads[0]->place ?? self::MIDDLE)], voice: $sign->voice)],
            default => [self::sign($sign, $correction, $full)],
        };
        $next = $signs[$correction->sign + 1] ?? null;
        if ($new === [] && $sign->clef !== null && $next !== null) {
            // The clef before it stays.
            $signs[$correction->sign + 1] = $next->after($next->clef ?? $sign->clef);
        }
        array_splice($signs, $correction->sign, 1, $new);

        return $signs;
    }

    private static function sign(ReadSign $sign, Correction $correction, int $full): ReadSign
    {
        return match ($correction->change) {
            Change::Length => self::lasting($sign, $correction->value ?? 4),
            Change::Dot => $sign->lasting($sign->base, ($sign->dots + 1) % 3),
            Change::Rest => $sign->isRest() ? self::sounding($sign, $full) : $sign->with([]),
            default => $sign->with(array_map(
                static fn (ReadHead $head, int $h): ReadHead => $h === $correction->head ? self::head($head, $correction) : $head,
                $sign->heads,
                array_keys($sign->heads),
            )),
        };
    }

    /** @param int $part how many of them make a whole note */
    private static function lasting(ReadSign $sign, int $part): ReadSign
    {
        return in_array($part, [1, 2, 4, 8, 16, 32], true) ? $sign->lasting(intdiv(4 * Item::QUARTER, $part), 0) : $sign;
    }

    /** A rest of a whole bar may be of a length that no note has. */
    private static function sounding(ReadSign $sign, int $full): ReadSign
    {
        $note = $sign->with([new ReadHead(self::MIDDLE)]);

        return $sign->ticks() === $full && (4 * Item::QUARTER) % $sign->base !== 0 ? $note->lasting($full % 3 === 0 ? intdiv(2 * $full, 3) : Item::QUARTER, $full % 3 === 0 ? 1 : 0) : $note;
    }

    private static function head(ReadHead $head, Correction $correction): ReadHead
    {
        $value = $correction->value;

        return match ($correction->change) {
            Change::Step => new ReadHead(max(ReadHead::LOWEST, min(ReadHead::HIGHEST, $head->place + ($value ?? 0))), $head->sign, $head->finger, $head->tied),
            Change::Accidental => new ReadHead($head->place, self::accidental($head->sign, $value), $head->finger, $head->tied),
            Change::Tie => new ReadHead($head->place, $head->sign, $head->finger, ! $head->tied),
            Change::Finger => new ReadHead($head->place, $head->sign, $value === null ? null : max(1, min(5, $value)), $head->tied),
            default => $head,
        };
    }

    /** The one that stands there already is taken away. */
    private static function accidental(?int $printed, ?int $asked): ?int
    {
        $asked = max(-1, min(1, $asked ?? 0));

        return $asked === $printed ? null : $asked;
    }
}
