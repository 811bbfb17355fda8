<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Measure;

/** Which short notes share a beam: neighbours of one felt beat. */
final readonly class Beams
{
    private const MOST = 4;

    /**
     * @param  list<Event>  $voice  one voice of the measure, in time
     * @return array<string, list<string>> `begin`, `continue`, `end`, `forward hook` or `backward hook` for each beam from the outermost, by event id
     */
    public static function of(Measure $measure, array $voice): array
    {
        $felt = self::felt($measure);
        $beams = [];
        $group = [];
        $beat = null;
        foreach ($voice as $event) {
            $flags = $event->isRest() ? 0 : self::flags($event);
            $at = $measure->offset->plus($event->onset)->dividedBy($felt)->floor();
            if ($group !== [] && ($flags === 0 || $at !== $beat)) {
                $beams += self::joined($group);
                $group = [];
            }
            if ($flags > 0) {
                $group[$event->id] = $flags;
                $beat = $at;
            }
        }

        return $beams + self::joined($group);
    }

    /** The beat whose short notes stand together, in whole notes. */
    private static function felt(Measure $measure): Fraction
    {
        $meter = $measure->meter;

        return match (true) {
            $meter->isCompound(), $meter->unit === 8 && $meter->count === 3 => Fraction::of(3, 8),
            $meter->unit > 4 => Fraction::of(1, $meter->unit),
            default => Fraction::of(1, 4),
        };
    }

    /** One for an eighth, two for a sixteenth. */
    private static function flags(Event $event): int
    {
        $written = $event->writtenLength()->whole;
        $flags = 0;
        while ($flags < self::MOST && $written->compare(Fraction::of(1, 2 ** ($flags + 2))) < 0) {
            $flags++;
        }

        return $flags;
    }

    /**
     * @param  array<string, int>  $group  flags by event id
     * @return array<string, list<string>>
     */
    private static function joined(array $group): array
    {
        if (count($group) < 2) {
            return [];
        }
        $beams = [];
        $ids = array_keys($group);
        foreach ($ids as $i => $id) {
            for ($level = 1; $level <= $group[$id]; $level++) {
                $before = $i > 0 && $group[$ids[$i - 1]] >= $level;
                $after = $i + 1 < count($ids) && $group[$ids[$i + 1]] >= $level;
                $beams[$id][] = match (true) {
                    $before && $after => 'continue',
                    $before => 'end',
                    $after => 'begin',
                    $i > 0 => 'backward hook',
                    default => 'forward hook',
                };
            }
        }

        return $beams;
    }
}
