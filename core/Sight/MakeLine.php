<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Words;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Makes a line at sight from what a student has secured (trade 16.1). The same seed makes the same line. */
final class MakeLine
{
    /** Lines that are tried before one that was used comes again. */
    private const TRIES = 24;

    /** Degrees of the position: where a line ends, and where else it may begin. */
    private const TONIC = 0;

    private const DOMINANT = 4;

    private const LENGTHS = ['1' => 'w', '3/4' => 'h.', '1/2' => 'h', '3/8' => 'q.', '1/4' => 'q', '1/8' => 'v'];

    private Randomizer $chance;

    public function __construct(private readonly SightMaterial $material)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar(1));
    }

    /**
     * @param  array<string, int>  $used  marks of lines that were used, and when, in days; the larger the later
     * @return ?SightLine null where too few notes are known for any
     */
    public function __invoke(SightLevel $level, int $seed, array $used = []): ?SightLine
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
        $positions = $this->positions();
        if ($positions === []) {
            return null;
        }
        $oldest = null;
        for ($try = 0; $try < self::TRIES; $try++) {
            $line = $this->line($level, $this->oneOf($positions));
            $when = $used[$line->mark()] ?? null;
            if ($when === null) {
                return $line;
            }
            if ($oldest === null || $when < $oldest[0]) {
                $oldest = [$when, $line];
            }
        }

        return $oldest[1];
    }

    /** Enough notes are known for a line. */
    public function canMake(): bool
    {
        return $this->positions() !== [];
    }

    /** @return list<SightPosition> of which do and the note above it are known, and one more */
    private function positions(): array
    {
        return array_values(array_filter(
            SightPosition::all(),
            fn (SightPosition $position): bool => $this->isKnown($position, self::TONIC) && $this->isKnown($position, 1) && count($this->degrees($position)) > 2,
        ));
    }

    private function isKnown(SightPosition $position, int $degree): bool
    {
        return $this->material->knows($position->clef, $position->pitch($degree));
    }

    /** @return list<int> those of the five keys whose notes are known */
    private function degrees(SightPosition $position): array
    {
        return array_values(array_filter(range(0, 4), fn (int $degree): bool => $this->isKnown($position, $degree)));
    }

    private function line(SightLevel $level, SightPosition $position): SightLine
    {
        $partner = $position->partner();
        $hands = $level->hands();
        $canTurn = $this->material->turns && $partner !== null && $this->isKnown($partner, self::TONIC) && $this->isKnown($partner, 1) && count($this->degrees($partner)) > 2;
        $canMeet = $this->material->together && $partner !== null && $this->isKnown($partner, self::TONIC);
        $hands = match (true) {
            $hands === SightHands::Together && ! $canMeet => $canTurn ? SightHands::Turns : SightHands::One,
            $hands === SightHands::Turns && ! $canTurn => SightHands::One,
            default => $hands,
        };
        $meter = $this->oneOf($this->material->meters());
        $rhythms = $this->rhythms($level, $meter);
        $farthest = min($level->farthest(), $this->material->farthest);
        $bars = $this->bars($level->bars(), $rhythms);
        $changes = $hands === SightHands::Turns && $partner !== null ? intdiv($level->bars(), 2) : $level->bars();
        $degrees = [...$this->walk($position, array_slice($bars, 0, $changes), $farthest, $changes === count($bars))];
        if ($changes < count($bars) && $partner !== null) {
            $degrees = [...$degrees, ...$this->walk($partner, array_slice($bars, $changes), $farthest, true)];
        }

        return new SightLine(
            $this->text($meter, $position, $partner, $bars, $degrees, $changes, $hands === SightHands::Together),
            $level,
            self::reasons($bars, $degrees, $hands, $meter),
        );
    }

    /** @return non-empty-list<list<Duration>> */
    private function rhythms(SightLevel $level, Meter $meter): array
    {
        $all = $this->material->rhythms[(string) $meter] ?? [];
        $plain = array_values(array_filter($all, static fn (array $bar): bool => ! self::hasShortNotes($bar)));
        $rhythms = $level->hasShortNotes() || $plain === [] ? $all : $plain;
        assert($rhythms !== []);

        return $rhythms;
    }

    /** @param list<Duration> $bar */
    private static function hasShortNotes(array $bar): bool
    {
        foreach ($bar as $duration) {
            $note = $duration->asNote();
            if ($note === null || $note[0] === 'eighth' || ($note[0] === 'quarter' && $note[1] > 0)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Question and answer: bars 1 and 2 have the rhythm of bars 3 and 4; every second one ends on its longest note.
     *
     * @param  non-empty-list<list<Duration>>  $rhythms
     * @return list<list<Duration>>
     */
    private function bars(int $count, array $rhythms): array
    {
        $bars = [];
        while (count($bars) < $count) {
            $first = $this->oneOf($rhythms);
            $second = $this->oneOf(self::ending($rhythms));
            $bars = [...$bars, $first, $second, ...($count > 2 ? [$first, $second] : [])];
        }

        return $bars;
    }

    /**
     * Bars that come to rest: their last note is the longest they have.
     *
     * @param  non-empty-list<list<Duration>>  $rhythms
     * @return non-empty-list<list<Duration>>
     */
    private static function ending(array $rhythms): array
    {
        $ending = array_values(array_filter($rhythms, static function (array $bar): bool {
            $last = $bar[count($bar) - 1];
            foreach ($bar as $duration) {
                if ($duration->whole->compare($last->whole) > 0) {
                    return false;
                }
            }

            return $last->whole->compare(Duration::of(1, 2)->whole) >= 0;
        }));

        return $ending === [] ? $rhythms : $ending;
    }

    /**
     * Degrees of the notes, from do or so, by moves that were met; to do where the line ends, to another where it asks.
     *
     * @param  list<list<Duration>>  $bars
     * @return list<int>
     */
    private function walk(SightPosition $position, array $bars, int $farthest, bool $ends): array
    {
        $degrees = $this->degrees($position);
        $count = count(array_merge(...$bars));
        $resting = $ends ? [self::TONIC] : array_values(array_diff($degrees, [self::TONIC]));
        $open = [$count - 1 => $resting];
        for ($at = $count - 2; $at >= 0; $at--) {
            $open[$at] = array_values(array_filter($degrees, static fn (int $degree): bool => self::canReach($degree, $open[$at + 1], $farthest)));
        }
        $starts = array_values(array_intersect($open[0], [self::TONIC, self::DOMINANT]));
        // A note may always be repeated, so there is a way.
        assert($open[0] !== []);
        $walk = [$this->oneOf($starts === [] ? $open[0] : $starts)];
        for ($at = 1; $at < $count; $at++) {
            $walk[] = $this->next($walk, $open[$at], $farthest);
        }

        return $walk;
    }

    /** @param list<int> $next */
    private static function canReach(int $degree, array $next, int $farthest): bool
    {
        foreach ($next as $other) {
            if (abs($other - $degree) <= $farthest) {
                return true;
            }
        }

        return false;
    }

    /**
     * Mostly steps, then repeats and skips, leaps seldom; no note a third time in a row.
     *
     * @param  non-empty-list<int>  $walk
     * @param  list<int>  $open
     */
    private function next(array $walk, array $open, int $farthest): int
    {
        $last = $walk[count($walk) - 1];
        $choices = [];
        foreach ($open as $degree) {
            $far = abs($degree - $last);
            $isThird = $far === 0 && ($walk[count($walk) - 2] ?? null) === $last;
            for ($weight = $far > $farthest ? 0 : ($isThird ? 1 : [4, 12, 5, 2, 1][$far]); $weight > 0; $weight--) {
                $choices[] = $degree;
            }
        }
        assert($choices !== []);

        return $this->oneOf($choices);
    }

    /**
     * @param  list<list<Duration>>  $bars
     * @param  list<int>  $degrees
     * @param  int  $changes  bars after which the other hand goes on
     */
    private function text(Meter $meter, SightPosition $position, ?SightPosition $partner, array $bars, array $degrees, int $changes, bool $held): string
    {
        $lines = ['R' => [], 'L' => []];
        $length = '';
        $note = 0;
        foreach ($bars as $i => $bar) {
            $plays = $i < $changes || $partner === null ? $position : $partner;
            $text = [];
            foreach ($bar as $at => $duration) {
                $new = self::LENGTHS[(string) $duration->whole] ?? throw new \LogicException("no length for {$duration->whole}");
                $hands = $i === 0 || $i === $changes;
                $degree = $degrees[$note++];
                $text[] = ($new === $length && ! $hands ? '' : $new).strtolower($plays->pitch($degree)->letter()).($hands && $at === 0 ? "^{$plays->finger($degree)}" : '');
                $length = $new;
            }
            $other = $plays->hand === Hand::Right ? Hand::Left : Hand::Right;
            $lines[$plays->hand->value][] = ($i === 0 || $i === $changes ? self::placed($plays).' ' : '').implode(' ', $text);
            $lines[$other->value][] = $held && $partner !== null ? self::heldNote($meter, $partner, $i) : '/';
        }
        $key = $position->key->fifths === 0 && ! $position->key->minor ? '' : "key: {$position->key->name()}\n";

        return "title: A line at sight\ntime: {$meter}\n{$key}R: ".implode(' | ', $lines['R'])."\nL: ".implode(' | ', $lines['L'])."\n";
    }

    private static function placed(SightPosition $position): string
    {
        $lowest = strtolower($position->lowest->letter()).$position->lowest->octave;

        return $position->hand === Hand::Right ? "@{$lowest}" : "@5={$lowest}";
    }

    /** The other hand holds its do through the bar. */
    private static function heldNote(Meter $meter, SightPosition $partner, int $bar): string
    {
        $length = ['4/4' => 'w', '3/4' => 'h.', '2/4' => 'h'][(string) $meter] ?? 'w';
        $finger = $partner->hand === Hand::Left ? 5 : 1;

        return ($bar === 0 ? self::placed($partner).' ' : '').$length.strtolower($partner->lowest->letter()).($bar === 0 ? "^{$finger}" : '');
    }

    /**
     * @param  list<list<Duration>>  $bars
     * @param  list<int>  $degrees
     * @return non-empty-list<string>
     */
    private static function reasons(array $bars, array $degrees, SightHands $hands, Meter $meter): array
    {
        $far = 0;
        foreach ($degrees as $i => $degree) {
            $far = max($far, $i === 0 ? 0 : abs($degree - $degrees[$i - 1]));
        }
        $short = array_filter($bars, self::hasShortNotes(...)) !== [];

        return [
            Words::counted(count($bars), 'bar')." in {$meter}",
            match (true) {
                $far <= 1 => 'steps and repeats',
                $far === 2 => 'steps and skips',
                default => 'leaps too',
            },
            $short ? 'short notes or dots' : 'no short notes',
            match ($hands) {
                SightHands::One => 'one hand',
                SightHands::Turns => 'the hands in turns',
                SightHands::Together => 'over a held note',
            },
        ];
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private function oneOf(array $of): mixed
    {
        return $of[$this->chance->getInt(0, count($of) - 1)];
    }
}
