<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Pitch;

/** A full bar of one hand, as simple as a card shows it: one note after the other. */
final readonly class Bar
{
    /** What bars are taken from where no page is open. */
    private const USUAL = [
        "time: 4/4\nR: @c4 q1 2 3 4 | h5 3 | q1 h2 q3 | v1 2 q3 h5 | w1 | q5 v4 3 q2 1 | h.3 q2 | q1 r 3 r | v1 2 3 4 h5 | q5 4 h3 | h1 q2 3 | w5",
        "time: 3/4\nR: @c4 q1 2 3 | h3 q5 | h.1 | v1 2 q3 5 | q5 h3 | q3 r 1",
    ];

    /**
     * @param  list<array{?Pitch, Duration}>  $tones
     * @param  list<Duration>  $from  where each struck one begins, from the start of the bar
     */
    private function __construct(public Measure $measure, public Hand $hand, public Clef $clef, public array $tones, public array $from) {}

    /** @return list<self> each once, those of the newest page first; the usual ones after them */
    public static function of(Material $material): array
    {
        $bars = [];
        $usual = array_map(static fn (string $text) => ShorthandReader::read($text)->piece, self::USUAL);
        foreach ([...$material->pieces, ...array_filter($usual)] as $piece) {
            foreach ($piece->measures as $measure) {
                foreach (Hand::cases() as $hand) {
                    $bar = self::read($measure, $hand);
                    if ($bar !== null) {
                        $bars[$bar->text()] ??= $bar;
                    }
                }
            }
        }

        return array_values($bars);
    }

    /** Null for a bar that is not full, or that has chords, tuplets, further voices or another clef. */
    private static function read(Measure $measure, Hand $hand): ?self
    {
        $events = $measure->of($hand);
        $isPlain = $measure->length->equals($measure->meter->measure()) && count($measure->voices($hand)) === 1 && ! $measure->isDivided();
        $sounds = false;
        foreach ($events as $event) {
            $isPlain = $isPlain && self::isPlain($event, $events[0]->clef);
            $sounds = $sounds || ! $event->isRest();
        }
        if (! $isPlain || ! $sounds) {
            return null;
        }
        $struck = array_values(array_filter($events, static fn (Event $event): bool => $event->isStruck()));

        return new self(
            $measure,
            $hand,
            $events[0]->clef,
            array_map(static fn (Event $event): array => [$event->isRest() ? null : $event->lowest(), $event->duration], $events),
            array_map(static fn (Event $event): Duration => Duration::ofWhole($event->onset), $struck),
        );
    }

    private static function isPlain(Event $event, Clef $clef): bool
    {
        return count($event->notes) < 2 && $event->duration->asNote() !== null && $event->ink->tuplet === null && ! $event->crossed && $event->clef === $clef
            && $event->ottava === 0 && ($event->isRest() || ! $event->isHeld() && ! $event->notes[0]->tieStart);
    }

    /** What it is known by: the same for equal bars. */
    public function text(): string
    {
        return "{$this->measure->meter} {$this->clef->value} ".implode(' ', array_map(static fn (array $tone): string => ($tone[0]?->name() ?? 'r').":{$tone[1]->whole}", $this->tones));
    }

    /** A short name for ids of cards. */
    public function id(): string
    {
        return substr(hash('sha256', $this->text()), 0, 12);
    }

    /** Its rhythm alone. */
    public function rhythm(): string
    {
        return implode(' ', array_map(static fn (array $tone): string => ($tone[0] === null ? 'r' : '').$tone[1]->whole, $this->tones));
    }
}
