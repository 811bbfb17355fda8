<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/** What was read, as the teacher has corrected it. A correction of what is not there changes nothing. */
final class Corrected
{
    private const CLEFS = [Clef::Treble, Clef::Bass];

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
        $value = $correction->value ?? 0;

        return match ($correction->change) {
            Change::Clef => self::withClef($piece, $correction->staff, self::CLEFS[$value] ?? Clef::Treble),
            Change::Key => new ReadPhoto($piece->clefs, max(-7, min(7, $value)), $piece->time, $piece->bars, $piece->title),
            Change::Time => self::withTime($piece, intdiv($value, 100), $value % 100),
            default => self::bar($piece, $correction),
        };
    }

    private static function withClef(ReadPhoto $piece, int $staff, Clef $clef): ReadPhoto
    {
        $clefs = array_map(static fn (Clef $own, int $i): Clef => $i === $staff ? $clef : $own, $piece->clefs, array_keys($piece->clefs));

        return new ReadPhoto($clefs, $piece->fifths, $piece->time, $piece->bars, $piece->title);
    }

    /** A bar that does not come to the new time is in doubt; one that does is not for its sum. */
    private static function withTime(ReadPhoto $piece, int $beats, int $unit): ReadPhoto
    {
        if ($beats < 1 || $beats > 32 || ! in_array($unit, [1, 2, 4, 8, 16], true)) {
            return $piece;
        }
        $timed = new ReadPhoto($piece->clefs, $piece->fifths, [$beats, $unit], $piece->bars, $piece->title);
        $full = $timed->fullBar();
        $bars = [];
        foreach ($piece->bars as $n => $bar) {
            $doubts = array_values(array_filter($bar->doubts, static fn (array $doubt): bool => $doubt[1] !== 'sum'));
            foreach ($bar->staves as $staff => $signs) {
                if (count($signs) === 1 && $signs[0]->isRest() && $signs[0]->ticks() === $piece->fullBar()) {
                    $bar = $bar->withStaff($staff, [$signs[0]->lasting($full, 0)]);
                } elseif ($bar->sum($staff) !== $full && ! ($n === 0 && $bar->sum($staff) < $full)) {
                    $doubts[] = [$staff + 1, 'sum'];
                }
            }
            $bars[] = $bar->doubted($doubts);
        }

        return $timed->withBars($bars);
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
        } else {
            $bars[$correction->bar] = $bar->withStaff($correction->staff, self::signs($signs, $correction, $piece->fullBar()));
        }

        return $piece->withBars($bars);
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
            Change::Add => [$sign, new ReadSign($sign->x + self::BESIDE, 0, Item::QUARTER, 0, [new ReadHead($sign->heads[0]->place ?? self::MIDDLE)])],
            default => [self::sign($sign, $correction, $full)],
        };
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
            Change::Accidental => new ReadHead($head->place, $value === null ? null : max(-1, min(1, $value)), $head->finger, $head->tied),
            Change::Tie => new ReadHead($head->place, $head->sign, $head->finger, ! $head->tied),
            Change::Finger => new ReadHead($head->place, $head->sign, $value === null ? null : max(1, min(5, $value)), $head->tied),
            default => $head,
        };
    }
}
