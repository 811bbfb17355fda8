<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;

/** The counts under every bar (trade 5.2): struck `1`, held `(2)`, rests `[3]`. */
final readonly class Counts
{
    /** @param array<string, list<string>> $byEvent */
    private function __construct(private array $byEvent) {}

    public static function of(Piece $piece, CountWay $way = new CountWay()): self
    {
        $byEvent = [];
        foreach ($piece->measures as $measure) {
            $words = BeatWords::of($measure->meter, $way);
            $grid = BeatGrid::of($measure, $words, $way->style);
            foreach (Hand::cases() as $hand) {
                $byEvent += match (true) {
                    $way->system->isByBeat(), $way->system === CountingSystem::Lyrics && ! self::isSung($measure, $hand) => self::beats($measure, $hand, $words, $grid, $way->long),
                    default => self::notes($measure, $hand, $words, $way),
                };
            }
        }

        return new self($byEvent);
    }

    /** @return list<string> one for each count of the event; an empty one where its start is not said */
    public function under(Event $event): array
    {
        return $this->byEvent[$event->id] ?? [];
    }

    /** A bar of one hand as it is written under the notes: `1 2 3 (4)`. */
    public function text(Measure $measure, Hand $hand): string
    {
        $counts = [];
        foreach ($measure->of($hand) as $event) {
            array_push($counts, ...array_filter($this->under($event), static fn (string $count): bool => $count !== ''));
        }

        return implode(' ', $counts);
    }

    /**
     * @param  list<Fraction>  $grid
     * @return array<string, list<string>>
     */
    private static function beats(Measure $measure, Hand $hand, BeatWords $words, array $grid, LongNotes $long): array
    {
        $counts = [];
        $next = 0;
        foreach ($measure->of($hand) as $event) {
            $starts = $words->beats($measure->offset->plus($event->onset));
            $ends = $words->beats($measure->offset->plus($event->end));
            while ($next < count($grid) && $grid[$next]->compare($starts) < 0) {
                $next++;
            }
            $said = [];
            if ($next >= count($grid) || ! $grid[$next]->equals($starts)) {
                $said[] = self::bracket($event, BeatWords::BETWEEN, true);
            }
            for (; $next < count($grid) && $grid[$next]->compare($ends) < 0; $next++) {
                $said[] = self::bracket($event, $words->at($grid[$next]), $said === []);
            }
            if ($long === LongNotes::AfterStart && $event->isStruck() && $ends->minus($starts)->compare(Fraction::of(1)) > 0) {
                $said[0] = '';
            }
            $counts[$event->id] = $said;
        }

        return $counts;
    }

    private static function bracket(Event $event, string $word, bool $first): string
    {
        return match (true) {
            $event->isRest() => "[{$word}]",
            $event->isHeld() || ! $first => "({$word})",
            default => $word,
        };
    }

    /** @return array<string, list<string>> one word for each note */
    private static function notes(Measure $measure, Hand $hand, BeatWords $words, CountWay $way): array
    {
        $counts = [];
        foreach ($measure->of($hand) as $event) {
            $starts = $words->beats($measure->offset->plus($event->onset));
            $counts[$event->id] = [self::bracket($event, self::word($event, $starts, $words, $way), true)];
        }

        return $counts;
    }

    private static function word(Event $event, Fraction $starts, BeatWords $words, CountWay $way): string
    {
        $beats = $words->beats($event->duration->whole);
        if ($way->system === CountingSystem::Units) {
            return implode('-', range(1, max(1, $beats->ceil())));
        }
        if ($way->system === CountingSystem::Lyrics) {
            return self::syllable($event) ?? $words->at($starts);
        }
        $length = NoteLength::of($event);
        if ($length === null) {
            return BeatWords::BETWEEN;
        }
        // Notes that share a beat take their words in turn.
        $turn = $starts->part()->dividedBy($beats)->floor();

        return $way->system === CountingSystem::NoteNames
            ? $way->noteWords->name($length)
            : $way->words->word($length, $turn) ?? $way->noteWords->name($length);
    }

    private static function syllable(Event $event): ?string
    {
        foreach ($event->ink->lyrics as $lyric) {
            if ($lyric->verse === 1) {
                return $lyric->printed();
            }
        }

        return null;
    }

    private static function isSung(Measure $measure, Hand $hand): bool
    {
        foreach ($measure->of($hand) as $event) {
            if (self::syllable($event) !== null) {
                return true;
            }
        }

        return false;
    }
}
