<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Reading\KeyPlace;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Transposition;

/** A piece moved to another five-finger position: where each hand starts, what is sharp or flat, everything else by move (trade 4.5). */
final readonly class OtherPosition
{
    /**
     * @param  Piece  $piece  moved, each struck note with its finger
     * @param  list<HandStart>  $starts
     * @param  list<string>  $accidentals  the sharp and flat notes that are played, as `F#`, low letters first
     */
    private function __construct(public Piece $piece, public array $starts, public array $accidentals) {}

    /**
     * @param  array<string, HandFingers>  $fingers  of the piece where it stands, by hand
     * @param  Key  $key  the key it is moved to
     * @param  int  $direction  1 up, -1 down, 0 whichever is nearer
     */
    public static function of(Piece $piece, array $fingers, Key $key, int $direction = 0): self
    {
        $moved = Transposition::to($piece, new Key($key->fifths, $piece->key()->minor), $direction);
        $fingered = $moved->withMeasures(array_map(static fn (Measure $measure): Measure => $measure->with(
            $measure->key,
            $measure->changes,
            static fn (Event $event): Event => self::fingered($event, $fingers[$event->hand->value]->fingers[$event->id] ?? []),
        ), $moved->measures));
        $starts = array_map(static fn (Hand $hand): ?HandStart => self::start($fingered, $hand, $fingers[$hand->value]), Hand::cases());

        return new self($fingered, array_values(array_filter($starts)), self::accidentals($moved));
    }

    /** @param list<int|null> $fingers */
    private static function fingered(Event $event, array $fingers): Event
    {
        $notes = [];
        foreach ($event->notes as $i => $note) {
            $notes[] = $event->isHeld() ? $note : $note->withFinger($fingers[$i] ?? $note->finger);
        }

        return $event->withNotes($notes, $event->ink->graces);
    }

    private static function start(Piece $piece, Hand $hand, HandFingers $fingers): ?HandStart
    {
        $placed = $fingers->placed[0] ?? null;
        if ($placed === null) {
            return null;
        }
        foreach ($piece->hand($hand) as $event) {
            if ($event->id === $placed->event->id) {
                $thumb = $placed->frame->thumb + $event->lowest()->diatonic() - $placed->event->lowest()->diatonic();
                $key = $piece->measures[$event->measure]->key;

                return new HandStart(
                    $hand,
                    array_map(static fn (Note $note): string => $note->pitch->name(), $event->notes),
                    array_map(static fn (Note $note): ?int => $note->finger, $event->notes),
                    Pitch::ofDiatonic($thumb, $key->alters(($thumb % 7 + 7) % 7))->name(),
                    array_map(static fn (Note $note): string => KeyPlace::of($note->pitch), $event->notes),
                );
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function accidentals(Piece $piece): array
    {
        $found = [];
        foreach ($piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                foreach ($event->notes as $note) {
                    if ($note->pitch->alter !== 0) {
                        $found[$note->pitch->spelled()] = true;
                    }
                }
            }
        }
        ksort($found);

        return array_keys($found);
    }
}
