<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Note;

/** The voices of one measure while it is read; the fullest voice of a staff is that hand's. */
final class MeasureVoices
{
    private Fraction $cursor;

    /** @var array<int, array<string, list<array{Clef, Fraction, Duration, list<Note>, list<Mark>, string|null, string|null}>>> by staff and voice */
    private array $events = [];

    /** @var array{int, string}|null staff and voice of the last note, which a chord note joins */
    private ?array $last = null;

    /** @var array<int, string> the dynamic that waits for the next note of a staff */
    private array $dynamics = [];

    public function __construct()
    {
        $this->cursor = Fraction::zero();
    }

    public function move(Duration $by, int $direction): void
    {
        $moved = $this->cursor->plus($by->whole->times(Fraction::of($direction)));
        $this->cursor = $moved->max(Fraction::zero());
    }

    public function dynamic(int $staff, string $dynamic): void
    {
        $this->dynamics[$staff] = $dynamic;
    }

    /**
     * @param  list<Note>  $notes
     * @param  list<Mark>  $marks
     */
    public function add(int $staff, string $voice, Clef $clef, Duration $length, array $notes, array $marks, ?string $lyric): void
    {
        $dynamic = null;
        if ($notes !== [] && isset($this->dynamics[$staff])) {
            $dynamic = $this->dynamics[$staff];
            unset($this->dynamics[$staff]);
        }
        $this->events[$staff][$voice][] = [$clef, $this->cursor, $length, $notes, $marks, $lyric, $dynamic];
        $this->last = [$staff, $voice];
        $this->cursor = $this->cursor->plus($length->whole);
    }

    /**
     * @param  list<Mark>  $marks
     * @return bool false when there is nothing to join
     */
    public function addToChord(?Note $note, array $marks): bool
    {
        if ($this->last === null) {
            return false;
        }
        [$staff, $voice] = $this->last;
        $at = count($this->events[$staff][$voice]) - 1;
        if ($note !== null) {
            $this->events[$staff][$voice][$at][3][] = $note;
        }
        $known = $this->events[$staff][$voice][$at][4];
        foreach ($marks as $mark) {
            if (! in_array($mark, $known, true)) {
                $this->events[$staff][$voice][$at][4][] = $mark;
            }
        }

        return true;
    }

    /** @return list<array{int, array{Clef, Fraction, Duration, list<Note>, list<Mark>, string|null, string|null}}> staff and event, in time, gaps filled with rests */
    public function chosen(): array
    {
        $chosen = [];
        foreach ($this->events as $staff => $voices) {
            $cursor = Fraction::zero();
            foreach ($voices[$this->main($staff)] as $event) {
                [$clef, $onset] = $event;
                if ($onset->compare($cursor) > 0) {
                    $chosen[] = [$staff, [$clef, $cursor, Duration::ofWhole($onset->minus($cursor)), [], [], null, null]];
                }
                $chosen[] = [$staff, $event];
                $cursor = $onset->plus($event[2]->whole);
            }
        }

        return $chosen;
    }

    /** @return list<string> the names of voices with notes that no hand takes */
    public function leftOut(): array
    {
        $names = [];
        foreach ($this->events as $staff => $voices) {
            foreach ($voices as $voice => $events) {
                if ((string) $voice !== $this->main($staff) && self::sounding($events) > 0) {
                    $names[] = (string) $voice;
                }
            }
        }

        return $names;
    }

    private function main(int $staff): string
    {
        $main = '';
        $most = -1;
        foreach ($this->events[$staff] ?? [] as $voice => $events) {
            if (self::sounding($events) > $most) {
                [$main, $most] = [(string) $voice, self::sounding($events)];
            }
        }

        return $main;
    }

    /** @param list<array{Clef, Fraction, Duration, list<Note>, list<Mark>, string|null, string|null}> $events */
    private static function sounding(array $events): int
    {
        return count(array_filter($events, static fn (array $event): bool => $event[3] !== []));
    }
}
