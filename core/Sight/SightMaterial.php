<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/** What a student has secured, from which lines at sight are made (trade 16.1). */
final readonly class SightMaterial
{
    /** What everybody can read who has opened a page. */
    private const RHYTHMS = ['4/4' => [['1/4', '1/4', '1/4', '1/4'], ['1/4', '1/4', '1/2'], ['1/2', '1/2'], ['1/1']]];

    /**
     * @param  list<string>  $secure  `treble:C4`
     * @param  ?string  $shaky  one more note, that is not secure yet
     * @param  non-empty-array<string, list<list<Duration>>>  $rhythms  bars by their meter, without rests
     * @param  int  $farthest  the widest move that was met, in steps
     * @param  bool  $turns  pages had the hands in turns
     * @param  bool  $together  pages had both hands sounding at once
     */
    public function __construct(
        public array $secure,
        public ?string $shaky,
        public array $rhythms,
        public int $farthest,
        public bool $turns,
        public bool $together,
    ) {}

    /**
     * @param  list<Piece>  $pieces  the pages that are signed off
     * @param  list<string>  $secure  `treble:C4`
     */
    public static function of(array $pieces, array $secure, ?string $shaky = null): self
    {
        $rhythms = array_map(static fn (array $bars): array => array_map(static fn (array $bar): array => array_map(self::duration(...), $bar), $bars), self::RHYTHMS);
        $farthest = 1;
        $turns = $together = false;
        foreach ($pieces as $piece) {
            foreach ($piece->measures as $measure) {
                foreach (Hand::cases() as $hand) {
                    $rhythm = self::rhythm($measure, $hand);
                    if ($rhythm !== null && ! in_array(self::text($rhythm), array_map(self::text(...), $rhythms[(string) $measure->meter] ?? []), true)) {
                        $rhythms[(string) $measure->meter][] = $rhythm;
                    }
                    $farthest = max($farthest, self::widest($measure, $hand));
                }
                $together = $together || self::sounds($measure, Hand::Right) && self::sounds($measure, Hand::Left);
            }
            $turns = $turns || $piece->plays(Hand::Right) && $piece->plays(Hand::Left);
        }

        return new self($secure, $shaky, $rhythms, $farthest, $turns, $together);
    }

    /**
     * The same by how well each note is known: of those that are shaky one more.
     *
     * @param  list<Piece>  $pieces  the pages that are signed off
     * @param  array<string, NoteStatus>  $known
     */
    public static function ofKnown(array $pieces, array $known): self
    {
        $shaky = array_keys($known, NoteStatus::Shaky, true);

        return self::of($pieces, array_keys($known, NoteStatus::Secure, true), $shaky[0] ?? null);
    }

    public function knows(Clef $clef, Pitch $pitch): bool
    {
        $name = "{$clef->value}:{$pitch->name()}";

        return in_array($name, $this->secure, true) || $name === $this->shaky;
    }

    private static function duration(string $text): Duration
    {
        [$over, $under] = array_map(intval(...), explode('/', $text));

        return Duration::of($over, $under);
    }

    /** @param list<Duration> $rhythm */
    private static function text(array $rhythm): string
    {
        return implode(' ', array_map(static fn (Duration $duration): string => (string) $duration->whole, $rhythm));
    }

    /** @return ?list<Duration> of a full bar of one voice without rests, ties and tuplets, in a simple meter */
    private static function rhythm(Measure $measure, Hand $hand): ?array
    {
        $events = $measure->of($hand);
        $isFull = $measure->length->equals($measure->meter->measure()) && ! $measure->meter->isCompound() && in_array((string) $measure->meter, ['2/4', '3/4', '4/4'], true);
        foreach ($events as $event) {
            $isFull = $isFull && ! $event->isRest() && ! $event->isHeld() && $event->duration->asNote() !== null && $event->ink->tuplet === null && ! self::isShort($event);
        }

        return $isFull && $events !== [] ? array_map(static fn (Event $event): Duration => $event->duration, $events) : null;
    }

    private static function isShort(Event $event): bool
    {
        return $event->duration->whole->compare(Duration::of(1, 8)->whole) < 0 || $event->notes[0]->tieStart;
    }

    private static function sounds(Measure $measure, Hand $hand): bool
    {
        foreach ($measure->of($hand) as $event) {
            if (! $event->isRest()) {
                return true;
            }
        }

        return false;
    }

    private static function widest(Measure $measure, Hand $hand): int
    {
        $widest = 0;
        $before = null;
        foreach ($measure->of($hand) as $event) {
            if (! $event->isRest()) {
                $now = $event->lowest()->diatonic();
                $widest = max($widest, $before === null ? 0 : abs($now - $before));
                $before = $now;
            }
        }

        return $widest;
    }

    /** @return non-empty-list<Meter> */
    public function meters(): array
    {
        return array_map(Meter::parse(...), array_keys($this->rhythms));
    }
}
