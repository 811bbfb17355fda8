<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;

/** Fingers that the teacher has set over what is printed or worked out, each for one note by its place; kept apart from the printed ones (trade 4.3). */
final readonly class OwnFingers
{
    /** @param array<string, int> $fingers by hand, place and pitch, as `R 2.3 E4` */
    private function __construct(public array $fingers) {}

    public static function none(): self
    {
        return new self([]);
    }

    /**
     * @param  array<string, int>  $fingers  by `R 2.3 E4`
     *
     * @throws InvalidFinger for a finger that no hand has
     */
    public static function of(array $fingers): self
    {
        foreach ($fingers as $at => $finger) {
            if ($finger < 1 || $finger > 5) {
                throw InvalidFinger::notOfAHand($at, $finger);
            }
        }
        ksort($fingers);

        return new self($fingers);
    }

    /** How a note is named here. */
    public static function name(Piece $piece, Event $event, Note $note): string
    {
        return "{$event->hand->value} {$piece->place($event)} {$note->pitch->name()}";
    }

    /** @return list<int|null> for each note of an event, lowest first */
    public function at(Piece $piece, Event $event): array
    {
        return $this->fingers === []
            ? array_fill(0, count($event->notes), null)
            : array_map(fn (Note $note): ?int => $this->fingers[self::name($piece, $event, $note)] ?? null, $event->notes);
    }
}
